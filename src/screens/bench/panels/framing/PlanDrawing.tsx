'use client';

import * as messages from '@/language/bench/framing';
import { useRef } from 'react';
import type { KeyboardEvent, ReactNode } from 'react';
import { habitsOf } from '@/core/vocabulary/mounts';
import type { Brief } from '@/core/brief/brief';
import type { FramedView } from '@/core/compare/framed';
import { trimmed } from '@/core/units/format';
import { sideText } from './FrameDrawing';
import type { FramingMoves } from './moves';
import { pointIn, usePointerDrag } from '../../../ui/usePointerDrag';
import styles from './framing.module.css';

const WIDTH = 400;
const HEIGHT = 380;
/** Where the camera stands in the drawing, pixels. */
const FOOT = HEIGHT - 34;

/** From above, to scale: the camera, its cone of view, how near and far it is sharp, the subject. */
export function PlanDrawing({
  brief,
  here,
  beside,
  moves,
}: {
  brief: Brief;
  here: FramedView;
  beside: FramedView | null;
  moves: FramingMoves;
}): ReactNode {
  const svg = useRef<SVGSVGElement>(null);
  const { subject } = here;
  // A whole scale that leaves room beyond the subject, and does not jump while it is dragged.
  const reach = niceReach(Math.max(subject.distanceM * 1.25, Math.abs(subject.sideM) * 2.4, 0.5));
  const { drag, grip } = usePointerDrag<{ pxPerM: number }, { x: number; y: number }>(
    (event) => {
      const point = pointIn(svg.current, event);
      return point && { x: (point.x * WIDTH) / point.width, y: (point.y * WIDTH) / point.width };
    },
    {
      pull: ({ held, to }) =>
        moves.subject({
          sideM: (to.x - WIDTH / 2) / held.pxPerM,
          distanceM: Math.max(0.05, (FOOT - to.y) / held.pxPerM),
        }),
      drop: () => moves.done(),
    },
  );
  const pxPerM = drag?.held.pxPerM ?? (FOOT - 20) / reach;
  const x = (metres: number): number => WIDTH / 2 + metres * pxPerM;
  const y = (metres: number): number => FOOT - metres * pxPerM;

  const step = (event: KeyboardEvent): void => {
    const factor = event.shiftKey ? 1.5 : 1.1;
    const aside = (event.shiftKey ? 0.25 : 0.05) * subject.distanceM;
    const change = {
      ArrowUp: { distanceM: subject.distanceM * factor },
      ArrowDown: { distanceM: subject.distanceM / factor },
      ArrowRight: { sideM: subject.sideM + aside },
      ArrowLeft: { sideM: subject.sideM - aside },
    }[event.key];
    if (!change) return;
    event.preventDefault();
    moves.subject(change);
  };
  const cone = (framed: FramedView): string => {
    const half = Math.min(89.5, framed.shape.lens.horizontalDeg / 2);
    const dy = HEIGHT * 1.5;
    const dx = Math.tan((half * Math.PI) / 180) * dy;
    return `M${WIDTH / 2 - dx},${FOOT - dy}L${WIDTH / 2},${FOOT}L${WIDTH / 2 + dx},${FOOT - dy}Z`;
  };
  const arc = (metres: number): string => {
    const r = metres * pxPerM;
    return `M${WIDTH / 2 - r},${FOOT}A${r},${r} 0 0 1 ${WIDTH / 2 + r},${FOOT}`;
  };
  const inReach = (metres: number | null): metres is number =>
    metres !== null && metres > reach / 200 && metres < reach * 1.05;

  return (
    <figure className={styles.plan}>
      <svg ref={svg} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="group" aria-label={messages.planFromAbove}>
        <rect width={WIDTH} height={HEIGHT} className={styles.sheet} />
        <path d={cone(here)} className={styles.cone} />
        {beside && <path d={cone(beside)} className={styles.coneOther} />}
        {[0.25, 0.5, 0.75, 1].map((part) => (
          <g key={part} aria-hidden className={styles.ring}>
            <path d={arc(part * reach)} />
            <text x={WIDTH / 2 + 4} y={y(part * reach) + 12}>
              {messages.part({ part: trimmed(part * reach, 2) })}
            </text>
          </g>
        ))}
        {inReach(here.nearestFitsM) && (
          <g className={styles.limit} aria-hidden>
            <path d={arc(here.nearestFitsM)} />
            <text x={8} y={Math.max(14, y(here.nearestFitsM * 0.55))}>
              {messages.fitsFromM({ nearestFitsM: trimmed(here.nearestFitsM, 2) })}
            </text>
          </g>
        )}
        {inReach(here.sharp.fromM) && (
          <g className={styles.soft} aria-hidden>
            <path d={`${arc(here.sharp.fromM)}Z`} />
            <text x={WIDTH - 8} y={Math.max(14, y(here.sharp.fromM * 0.55))} textAnchor="end">
              {messages.softNearerThanM({ fromM: trimmed(here.sharp.fromM, 2) })}
            </text>
          </g>
        )}
        <g className={styles.inTheWay} aria-hidden>
          {habitsOf(brief.mount.kind, brief.mount.place).inTheWay.map(({ from, to, thickM }, index) => (
            <line
              key={index}
              x1={x(from[0])}
              y1={y(from[2])}
              x2={x(to[0])}
              y2={y(to[2])}
              strokeWidth={Math.max(2, thickM * pxPerM)}
            />
          ))}
        </g>
        <path d={`M${WIDTH / 2 - 7},${FOOT + 12}h14v-8l-7,-5l-7,5z`} className={styles.camera} aria-hidden />
        <g
          role="slider"
          tabIndex={0}
          className={styles.subject}
          data-mine={brief.motion.subject !== null}
          aria-label={messages.subjectDistance}
          aria-orientation="vertical"
          aria-valuenow={subject.distanceM}
          aria-valuemin={0.05}
          aria-valuemax={10_000}
          aria-valuetext={messages.mAway({
            distanceM: trimmed(subject.distanceM, 2),
            sideM: sideText(subject.sideM),
          })}
          transform={`translate(${x(subject.sideM)},${y(subject.distanceM)})`}
          {...grip({ pxPerM })}
          onKeyDown={step}
        >
          <circle r={22} className={styles.grab} />
          <ellipse
            rx={Math.max(6, subject.sizeM * 0.15 * pxPerM)}
            ry={Math.max(4, subject.sizeM * 0.09 * pxPerM)}
          />
          <text y={-12} textAnchor="middle">
            {messages.distanceM({ distanceM: trimmed(subject.distanceM, 2) })}
          </text>
        </g>
      </svg>
      <figcaption className="quiet">{messages.fromAboveToScaleDrag}</figcaption>
    </figure>
  );
}

/** The next of 1, 2, 4, 8 … and their tenths. */
function niceReach(metres: number): number {
  return 2 ** Math.ceil(Math.log2(metres));
}
