'use client';

import * as messages from '@/language/instrument';
import { line } from 'd3-shape';
import type { ReactNode } from 'react';
import type { Rate } from '@/core/instrument/shake';
import styles from './instrument.module.css';

/** The last so many seconds are drawn, and no more points than a screen can show. */
const SECONDS = 20;
const MOST_POINTS = 600;
const WIDTH = 600;
const HEIGHT = 120;
/** The least that fills the height, deg/s. */
const LEAST = 30;

/** How fast it turned, all axes together, over the last seconds. */
export function RateDrawing({ rates }: { rates: readonly Rate[] }): ReactNode {
  const end = rates.at(-1)?.atSeconds ?? 0;
  const from = Math.max(0, end - SECONDS);
  const recent = rates.filter(({ atSeconds }) => atSeconds >= from);
  const every = Math.max(1, Math.ceil(recent.length / MOST_POINTS));
  const points = recent
    .filter((_, at) => at % every === 0)
    .map(({ atSeconds, x, y, z }): [number, number] => [atSeconds, Math.hypot(x, y, z)]);
  const most = Math.max(LEAST, ...points.map(([, speed]) => speed));
  const path = line()
    .x(([atSeconds]) => ((atSeconds - from) / SECONDS) * WIDTH)
    .y(([, speed]) => HEIGHT - (speed / most) * (HEIGHT - 6))(points);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      preserveAspectRatio="none"
      role="img"
      aria-label={messages.rateDrawn({ most: Math.round(most) })}
      className={styles.rates}
    >
      <path d={path ?? ''} />
    </svg>
  );
}
