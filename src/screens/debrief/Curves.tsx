'use client';

import * as messages from '@/language/debrief';
import { scaleLinear } from 'd3-scale';
import type { ScaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useRef } from 'react';
import type { KeyboardEvent, ReactNode } from 'react';
import { LIMITS } from '@/core/inspect/limits';
import type { Curves as ClipCurves } from '@/core/records/clip';
import type { Found } from '@/core/records/clipReport';
import { tenths, trimmed } from '@/core/units/format';
import { acrossStep } from '../ui/arrowKeys';
import { pointIn } from '../ui/usePointerDrag';
import { useWidth } from '../ui/useWidth';
import drawing from '../ui/timeDrawing.module.css';
import styles from './drawn.module.css';

type Key = Exclude<keyof ClipCurves, 'stepSeconds'>;

interface Band {
  key: Key;
  label: string;
  /** Ends of the scale where the figures do not reach further. */
  ends: readonly [number, number];
  /** From where on a finding is told. */
  limit?: number;
  /** What a picture bears: darker it was filmed in the dark, brighter there is nothing but white. */
  window?: readonly [number, number];
  unit: (value: number) => string;
}

const pct = (value: number): string => messages.percent({ value: trimmed(value, 1) });
/** From 18 % grey to white. */
const WHITE_STOPS = Math.log2(1 / 0.18);
const BANDS: readonly Band[] = [
  {
    key: 'middleStops',
    label: messages.exposure,
    ends: [-4, 3],
    window: [LIMITS.darkStops.value, WHITE_STOPS],
    unit: (value) => messages.stops({ value: signed(value) }),
  },
  { key: 'clippedPct', label: messages.white, ends: [0, 4], limit: LIMITS.clippedPct.value, unit: pct },
  { key: 'crushedPct', label: messages.black, ends: [0, 10], limit: LIMITS.crushedPct.value, unit: pct },
  {
    key: 'blur',
    label: messages.blur,
    ends: [0.2, 0.7],
    limit: LIMITS.blur.value,
    unit: (value) => trimmed(value, 2),
  },
  {
    key: 'speedPctWidthPerS',
    label: messages.movement,
    ends: [0, 40],
    unit: (value) => messages.percentOfTheWidth({ value: trimmed(value, 0) }),
  },
  {
    key: 'levelDb',
    label: messages.sound,
    ends: [-70, 0],
    unit: (value) => messages.decibels({ value: signed(value) }),
  },
];
const LAY = { left: 92, right: 20, band: 44, gap: 8, axis: 18 };

/** Figures over the clip's time, one under the other on one axis; a line at the time that is looked at. */
export function Curves({
  curves,
  durationSeconds,
  findings,
  atSeconds,
  onAt,
}: {
  curves: ClipCurves;
  durationSeconds: number;
  findings: readonly Found[];
  atSeconds: number | null;
  onAt: (seconds: number | null) => void;
}): ReactNode {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const bands = BANDS.filter(({ key }) => curves[key].some((value) => value !== null));
  const height = bands.length * (LAY.band + LAY.gap) + LAY.axis;
  const x = scaleLinear(
    [0, Math.max(0.01, durationSeconds)],
    [LAY.left, Math.max(LAY.left + 1, width - LAY.right)],
  );
  const go = (seconds: number): void => onAt(Math.max(0, Math.min(durationSeconds, seconds)));
  const keys = (event: KeyboardEvent): void => {
    const step = acrossStep(event, 5);
    if (step !== null) go((atSeconds ?? 0) + step * Math.max(0.2, durationSeconds / 50));
  };
  const said = bands.map((band) => `${band.label} ${at(curves, band, atSeconds ?? 0)}`).join(', ');
  return (
    <div ref={frame} className={styles.curves}>
      {width > 0 && (
        <svg
          width={width}
          height={height}
          role="slider"
          tabIndex={0}
          aria-label={messages.timeInTheClip}
          aria-valuemin={0}
          aria-valuemax={Math.round(10 * durationSeconds) / 10}
          aria-valuenow={Math.round(10 * (atSeconds ?? 0)) / 10}
          aria-valuetext={`${messages.seconds({ seconds: tenths(atSeconds ?? 0) })}: ${said}`}
          onPointerMove={(event) => {
            const point = pointIn(frame.current, event);
            if (point) go(x.invert(point.x));
          }}
          onPointerLeave={() => onAt(null)}
          onKeyDown={keys}
        >
          {bands.map((band, row) => (
            <BandCurve
              key={band.key}
              band={band}
              curves={curves}
              x={x}
              top={row * (LAY.band + LAY.gap)}
              atSeconds={atSeconds}
            />
          ))}
          {x.ticks(Math.max(2, Math.floor(width / 120))).map((tick) => (
            <text key={tick} x={x(tick)} y={height - 4} textAnchor="middle" className={drawing.number}>
              {messages.seconds({ seconds: trimmed(tick, 1) })}
            </text>
          ))}
          {findings.map(
            ({ code, atSeconds: worst }) =>
              worst !== null && (
                <line
                  key={code}
                  x1={x(worst)}
                  x2={x(worst)}
                  y1={0}
                  y2={height - LAY.axis}
                  className={styles.worstLine}
                />
              ),
          )}
          {atSeconds !== null && (
            <line x1={x(atSeconds)} x2={x(atSeconds)} y1={0} y2={height - LAY.axis} className={styles.here} />
          )}
        </svg>
      )}
    </div>
  );
}

function BandCurve({
  band,
  curves,
  x,
  top,
  atSeconds,
}: {
  band: Band;
  curves: ClipCurves;
  x: ScaleLinear<number, number>;
  top: number;
  atSeconds: number | null;
}): ReactNode {
  const values = curves[band.key];
  const known = values.filter((value) => value !== null);
  const y = scaleLinear(
    [Math.min(band.ends[0], ...known), Math.max(band.ends[1], ...known)],
    [top + LAY.band, top + 3],
  );
  const path = line<number | null>()
    .defined((value) => value !== null)
    .x((_, place) => x((place + 0.5) * curves.stepSeconds))
    .y((value) => y(value ?? 0));
  const [left, right] = [x.range()[0] ?? 0, x.range()[1] ?? 0];
  return (
    <g>
      <text x={8} y={top + 16} className={styles.bandName}>
        {band.label}
      </text>
      <text x={8} y={top + 34} className={drawing.number}>
        {atSeconds === null ? '' : at(curves, band, atSeconds)}
      </text>
      {band.window && (
        <rect
          x={left}
          width={right - left}
          y={y(band.window[1])}
          height={y(band.window[0]) - y(band.window[1])}
          className={styles.window}
        />
      )}
      <line x1={left} x2={right} y1={top + LAY.band} y2={top + LAY.band} className={drawing.hair} />
      {band.limit !== undefined && (
        <line x1={left} x2={right} y1={y(band.limit)} y2={y(band.limit)} className={styles.limit} />
      )}
      {band.key === 'middleStops' && (
        <line x1={left} x2={right} y1={y(0)} y2={y(0)} className={styles.limit} />
      )}
      <path d={path(values) ?? ''} className={styles.curve} />
    </g>
  );
}

function at(curves: ClipCurves, { key, unit }: Band, seconds: number): string {
  const values = curves[key];
  const value = values[Math.min(values.length - 1, Math.floor(seconds / Math.max(1e-6, curves.stepSeconds)))];
  return value === undefined || value === null ? messages.notLookedAtHere : unit(value);
}

function signed(value: number): string {
  return tenths(value).replace('-', '−');
}
