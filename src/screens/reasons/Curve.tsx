'use client';

import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useRef } from 'react';
import type { ReactNode } from 'react';
import { useWidth } from '../ui/useWidth';
import styles from './reasons.module.css';

const HEIGHT = 92;
const FOOT = 18;
const HEAD = 16;
const SIDE = 4;

/** The run of a result over one input, and where it stands. */
export function Curve({
  points,
  at,
  says,
  ends,
  result,
}: {
  points: readonly { share: number; result: number }[];
  /** Share of the way of the input at hand. */
  at: number;
  says: string;
  ends: readonly [string, string];
  result: string;
}): ReactNode {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const results = points.map((point) => point.result).filter(Number.isFinite);
  const [low, high] = [Math.min(...results), Math.max(...results)];
  const x = scaleLinear([0, 1], [SIDE, Math.max(SIDE + 1, width - SIDE)]);
  const y = scaleLinear([low, high === low ? low + 1 : high], [HEIGHT - FOOT, HEAD]);
  const path = line<{ share: number; result: number }>()
    .defined((point) => Number.isFinite(point.result))
    .x((point) => x(point.share))
    .y((point) => y(point.result));
  const here = points.reduce((near, point) =>
    Math.abs(point.share - at) < Math.abs(near.share - at) ? point : near,
  );
  const left = x(at) > width / 2;
  return (
    <div ref={frame}>
      {width > 0 && (
        <svg width={width} height={HEIGHT} role="img" aria-label={says}>
          <line x1={SIDE} x2={width - SIDE} y1={HEIGHT - FOOT} y2={HEIGHT - FOOT} className={styles.axis} />
          <path d={path([...points]) ?? ''} className={styles.run} />
          <circle cx={x(at)} cy={y(here.result)} r={5} className={styles.here} />
          <text
            x={x(at) + (left ? -10 : 10)}
            y={Math.max(12, y(here.result) - 6)}
            textAnchor={left ? 'end' : 'start'}
            className={styles.value}
          >
            {result}
          </text>
          <text x={SIDE} y={HEIGHT - 4} className={styles.end}>
            {ends[0]}
          </text>
          <text x={width - SIDE} y={HEIGHT - 4} textAnchor="end" className={styles.end}>
            {ends[1]}
          </text>
        </svg>
      )}
    </div>
  );
}
