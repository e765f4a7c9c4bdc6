import type { ReactNode } from 'react';
import type { FilterLane } from '@/core/filters/filterPlan';
import type { Span } from '@/core/light/sun/day';
import drawing from '../../../ui/timeDrawing.module.css';
import styles from './ribbon.module.css';
import { LAY } from './ribbonShape';

/** The hours of each filter, one lane under the other: solid where it holds all of the light, hatched within a stop. */
export function FilterLanes({
  lanes,
  chosen,
  left,
  right,
  nameOf,
  between,
}: {
  lanes: readonly FilterLane[];
  chosen: readonly string[];
  left: number;
  right: number;
  nameOf: (lane: FilterLane) => string;
  between: (span: Span) => { x: number; width: number };
}): ReactNode {
  return lanes.map((lane, index) => {
    const top = LAY.lanes + index * LAY.lane;
    const bar = { y: top + 3, height: LAY.lane - 6 };
    const on = lane.ids.join() === chosen.join();
    return (
      <g key={lane.ids.join()}>
        <line x1={left} x2={right} y1={top + LAY.lane} y2={top + LAY.lane} className={drawing.hair} />
        <text
          x={left - 8}
          y={top + LAY.lane - 5}
          textAnchor="end"
          className={on ? styles.laneOn : styles.word}
        >
          {nameOf(lane)}
        </text>
        {lane.near.map((span) => (
          <rect key={`near ${span.fromMs}`} {...between(span)} {...bar} fill="url(#ribbon-near)" />
        ))}
        {lane.fits.map((span) => (
          <rect key={span.fromMs} {...between(span)} {...bar} className={styles.fits} />
        ))}
      </g>
    );
  });
}
