'use client';

import * as messages from '@/language/bench/readings';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useRef } from 'react';
import type { ReactNode } from 'react';
import type { LitMinute } from '@/core/track/alongTrack';
import type { TrackPoint } from '@/core/track/track';
import { trimmed } from '@/core/units/format';
import { useWidth } from '../../../ui/useWidth';
import styles from './readings.module.css';

const HEIGHT = 220;
const SPEED_HEIGHT = 90;
const SIDE = 14;

/** The way from above, with a mark each minute that says how it lies to the sun; below it the speed. */
export function TrackDrawing({
  drawn,
  minutes,
}: {
  drawn: readonly TrackPoint[];
  minutes: readonly LitMinute[];
}): ReactNode {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const lats = drawn.map(({ lat }) => lat);
  const lons = drawn.map(({ lon }) => lon);
  const middle = ((Math.min(...lats) + Math.max(...lats)) / 2) * (Math.PI / 180);
  const across = (Math.max(...lons) - Math.min(...lons)) * Math.cos(middle);
  const tall = Math.max(...lats) - Math.min(...lats);
  // One scale for both ways: pixels a degree of latitude.
  const scale = Math.min(
    (width - 2 * SIDE) / Math.max(across, 1e-6),
    (HEIGHT - 2 * SIDE) / Math.max(tall, 1e-6),
  );
  const x = (lon: number): number =>
    width / 2 + (lon - (Math.min(...lons) + Math.max(...lons)) / 2) * Math.cos(middle) * scale;
  const y = (lat: number): number => HEIGHT / 2 - (lat - (Math.min(...lats) + Math.max(...lats)) / 2) * scale;
  const way = line<TrackPoint>(
    (point) => x(point.lon),
    (point) => y(point.lat),
  );
  const every = Math.ceil(minutes.length / 60);
  const first = minutes[0];
  const last = minutes[minutes.length - 1];
  const fastest = Math.max(1, ...minutes.map(({ speedMps }) => speedMps));
  const clock = scaleLinear([first?.fromMs ?? 0, last?.toMs ?? 1], [40, Math.max(41, width - SIDE)]);
  const speed = scaleLinear([0, fastest], [SPEED_HEIGHT - 16, 12]);
  const steps = minutes.map(
    ({ fromMs, toMs, speedMps }) =>
      `${clock(fromMs).toFixed(1)},${speed(speedMps).toFixed(1)}H${clock(toMs).toFixed(1)}`,
  );
  return (
    <div ref={frame} className={styles.drawing}>
      {width > 0 && (
        <>
          <svg
            width={width}
            height={HEIGHT}
            role="img"
            aria-label={messages.theWayFromAboveNorth}
            className={styles.map}
          >
            <path d={way(drawn) ?? ''} className={styles.way} />
            {minutes
              .filter((_, at) => at % every === 0)
              .map((minute) => (
                <g key={minute.fromMs} transform={`translate(${x(minute.place.lon)},${y(minute.place.lat)})`}>
                  <LitMark lit={minute.lit} />
                </g>
              ))}
          </svg>
          <p className={styles.legend}>
            {(['back', 'side', 'front'] as const).map((lit) => (
              <span key={lit}>
                <svg width={16} height={16} aria-hidden>
                  <g transform="translate(8,8)">
                    <LitMark lit={lit} />
                  </g>
                </svg>{' '}
                {{ back: messages.intoTheSun, side: messages.sunFromTheSide, front: messages.sunBehind }[lit]}
              </span>
            ))}
          </p>
          {minutes.length > 1 && (
            <svg
              width={width}
              height={SPEED_HEIGHT}
              role="img"
              aria-label={messages.speedOverTheWayUp({ fastest: trimmed(fastest, 1) })}
            >
              <line x1={40} x2={width - SIDE} y1={speed(0)} y2={speed(0)} className={styles.hair} />
              <text x={34} y={speed(fastest) + 4} textAnchor="end" className={styles.number}>
                {trimmed(fastest, 1)}
              </text>
              <text x={34} y={speed(0) + 4} textAnchor="end" className={styles.number}>
                0
              </text>
              <text x={34} y={(speed(0) + speed(fastest)) / 2 + 4} textAnchor="end" className={styles.number}>
                {messages.unitMetresPerSecond}
              </text>
              <path d={`M${steps.join('L')}`} className={styles.speed} />
            </svg>
          )}
        </>
      )}
    </div>
  );
}

/** Full: into the sun. Half: from the side. Hollow: behind. A bar: no sun or standing. */
function LitMark({ lit }: { lit: LitMinute['lit'] }): ReactNode {
  if (lit === 'night' || lit === 'standing') return <path d="M-4,0H4" className={styles.markLine} />;
  return (
    <>
      <circle r={5} className={lit === 'back' ? styles.markFull : styles.mark} />
      {lit === 'side' && <path d="M0,-5A5,5 0 0 1 0,5Z" className={styles.markFull} />}
    </>
  );
}
