'use client';

import * as messages from '@/language/practice/drills';
import { scaleLog } from 'd3-scale';
import { useRef } from 'react';
import type { ReactNode } from 'react';
import { cardSeconds, writtenMbps } from '@/core/camera/card';
import { coldShare } from '@/core/camera/power';
import type { Drill, DrillChoice, DrillGiven } from '@/core/drill/drill';
import { durationText } from '@/words/settingText';
import { useWidth } from '../../ui/useWidth';
import styles from './drills.module.css';

const LABEL = 44;
const LANE = 30;
const TOP = 22;
const HEIGHT = TOP + 2 * LANE + 4;

/** Time as a ribbon, each answer a notch; once answered, how far card and cell reach. */
export function LastsDrawing({
  drill: { choices, brief },
  given,
  chosen,
}: {
  drill: Drill;
  given: Extract<DrillGiven, { kind: 'lasts' }>;
  chosen: DrillChoice | null;
}): ReactNode {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const minutes = choices.flatMap(({ answer }) => ('minutes' in answer ? answer.minutes : []));
  const written = writtenMbps(given.settings.bitRateMbps, brief.camera);
  const lanes = [
    { name: messages.card, reaches: cardSeconds(written, given.cardGb) / 60 },
    { name: messages.cell, reaches: ((given.cellWh * coldShare(given.airC)) / given.powerW) * 60 },
  ];
  const [from, to] = [Math.min(...minutes) / 1.3, Math.max(...minutes) * 1.3];
  const x = scaleLog([from, to], [LABEL, Math.max(LABEL + 1, width - 8)]).clamp(true);
  const mine = chosen && 'minutes' in chosen.answer ? chosen.answer.minutes : null;
  const [card, cell] = lanes.map(({ reaches }) => durationText(reaches * 60));
  const says = chosen ? messages.lastsCard({ minutes: card ?? '', cell: cell ?? '' }) : '';
  return (
    <div ref={frame}>
      {width > 0 && (
        <svg width={width} height={HEIGHT} role="img" aria-label={messages.lasts({ says })}>
          {minutes.map((one) => (
            <g key={one} className={styles.notch} data-mine={one === mine}>
              <line x1={x(one)} x2={x(one)} y1={TOP - 4} y2={HEIGHT} />
              <text x={x(one)} y={TOP - 9} textAnchor="middle">
                {one}
              </text>
            </g>
          ))}
          {lanes.map(({ name, reaches }, at) => (
            <g key={name} transform={`translate(0,${TOP + at * LANE})`} className={styles.lane}>
              <text x={0} y={LANE / 2 + 4}>
                {name}
              </text>
              <rect x={LABEL} y={5} width={chosen ? Math.max(0, x(reaches) - LABEL) : 0} height={LANE - 10} />
            </g>
          ))}
        </svg>
      )}
    </div>
  );
}
