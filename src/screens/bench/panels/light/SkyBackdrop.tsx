import type { ScaleLinear } from 'd3-scale';
import type { ReactNode } from 'react';
import { aimAt } from '@/core/answer/sunInShot';
import type { Solution } from '@/core/answer/solve';
import { horizonAltitudeDeg } from '@/core/light/sun/horizon';
import { sunPosition } from '@/core/light/sun/position';
import type { SunLight } from '@/core/light/sun/sunLight';
import { dayAt, wholeHours } from '@/formats/clock';
import { clockText, headingText } from '@/words/lightText';
import styles from './sky.module.css';
import { zoneOf } from '@/formats/placed';
import { ordered } from './sunEditing';

export const HEIGHT = 230;
export const TOP_DEG = 75;
export const BOTTOM_DEG = -12;

type Scale = ScaleLinear<number, number>;

/** The sky unrolled: the sun's way over the day with its hours, what stands around, and what the camera sees of it. */
export function SkyBackdrop({
  light,
  solution,
  middle,
  x,
  y,
}: {
  light: SunLight;
  solution: Solution;
  /** The middle of the run, ms. */
  middle: number;
  /** Azimuth and altitude, degrees, to CSS pixels. */
  x: Scale;
  y: Scale;
}): ReactNode {
  const zone = zoneOf(light);
  const sun = sunPosition(light, middle);
  const day = dayAt(middle, zone);
  const way = Array.from({ length: 289 }, (_, at) =>
    sunPosition(light, day.fromMs + ((day.toMs - day.fromMs) * at) / 288),
  )
    .filter(({ apparentAltitudeDeg }) => apparentAltitudeDeg > BOTTOM_DEG)
    .sort((a, b) => a.azimuthDeg - b.azimuthDeg);
  const horizon = light.horizon && ordered(light.horizon);
  const aim = aimAt(solution.space.brief, solution.candidate.mode, middle);
  return (
    <g aria-hidden>
      {aim && (
        <rect
          x={x(aim.headingDeg - aim.horizontalDeg / 2)}
          width={x(aim.horizontalDeg) - x(0)}
          y={y(-aim.pitchDeg + aim.verticalDeg / 2)}
          height={y(0) - y(aim.verticalDeg)}
          className={styles.frame}
        />
      )}
      <polyline
        points={way.map((one) => `${x(one.azimuthDeg)},${y(one.apparentAltitudeDeg)}`).join(' ')}
        className={styles.way}
      />
      {wholeHours(day, zone).map((hour) => {
        const there = sunPosition(light, hour);
        if (there.apparentAltitudeDeg < 0) return null;
        return (
          <g key={hour} transform={`translate(${x(there.azimuthDeg)},${y(there.apparentAltitudeDeg)})`}>
            <line y1={-4} y2={4} className={styles.tick} />
            <text y={-8} textAnchor="middle" className={styles.number}>
              {clockText(hour, zone).slice(0, 2)}
            </text>
          </g>
        );
      })}
      {horizon && <path d={wallPath(horizon, x, y)} className={styles.wall} />}
      <line x1={x(0)} x2={x(360)} y1={y(0)} y2={y(0)} className={styles.level} />
      {[0, 45, 90, 135, 180, 225, 270, 315, 360].map((azimuth) => (
        <text
          key={azimuth}
          x={x(azimuth)}
          y={HEIGHT - 6}
          textAnchor={azimuth === 0 ? 'start' : azimuth === 360 ? 'end' : 'middle'}
          className={styles.number}
        >
          {headingText(azimuth).split(' ')[0]}
        </text>
      ))}
      {sun.apparentAltitudeDeg > BOTTOM_DEG && (
        <g transform={`translate(${x(sun.azimuthDeg)},${y(sun.apparentAltitudeDeg)})`}>
          <circle r={7} className={styles.sun} />
        </g>
      )}
    </g>
  );
}

/** The outline of what stands around, down to the level. */
function wallPath(
  horizon: NonNullable<SunLight['horizon']>,
  x: (deg: number) => number,
  y: (deg: number) => number,
): string {
  const tops = Array.from({ length: 181 }, (_, at) => at * 2).map(
    (azimuth) =>
      `${x(azimuth).toFixed(1)},${y(Math.min(TOP_DEG, horizonAltitudeDeg(horizon, azimuth))).toFixed(1)}`,
  );
  return `M${x(0)},${y(0)}L${tops.join('L')}L${x(360)},${y(0)}Z`;
}
