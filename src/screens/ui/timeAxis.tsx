import { scaleLinear } from 'd3-scale';
import type { ScaleLinear } from 'd3-scale';
import type { PointerEvent, ReactNode, RefObject } from 'react';
import { wholeHours } from '@/formats/clock';
import { pointIn } from './usePointerDrag';
import { clockText } from '@/words/lightText';
import drawing from './timeDrawing.module.css';

/** Milliseconds since 1970, both ends inside. */
interface Span {
  fromMs: number;
  toMs: number;
}

/** An axis of time across a drawing: linear in milliseconds, so that a change of the clock does not bend it. */
export interface TimeAxis {
  shown: Span;
  x: ScaleLinear<number, number>;
  /** Where a span stands, cut to what is shown: CSS pixels. */
  between: (span: Span) => { x: number; width: number };
  /** The instant under a pointer. */
  at: (event: PointerEvent) => number | null;
}

/**
 * @param room where the axis begins and ends in the drawing, CSS pixels
 * @param frame the element that the drawing fills from its left edge
 */
export function timeAxis(
  shown: Span,
  room: { left: number; right: number },
  frame: RefObject<HTMLElement | null>,
): TimeAxis {
  const x = scaleLinear([shown.fromMs, shown.toMs], [room.left, Math.max(room.left + 1, room.right)]);
  return {
    shown,
    x,
    between: ({ fromMs, toMs }) => {
      const left = x(Math.max(fromMs, shown.fromMs));
      return { x: left, width: Math.max(0, x(Math.min(toMs, shown.toMs)) - left) };
    },
    at: (event) => {
      const point = pointIn(frame.current, event);
      return point && x.invert(point.x);
    },
  };
}

/** A hair at each whole hour of the zone's clock, and its time where there is room for one. */
export function HourLines({
  axis: { shown, x },
  zone,
  from,
  to,
  labelY,
  apart = 44,
}: {
  axis: TimeAxis;
  zone: string;
  /** Top and bottom of the hairs, and the baseline of the times, CSS pixels. */
  from: number;
  to: number;
  labelY: number;
  /** Least distance of two times, CSS pixels. */
  apart?: number;
}): ReactNode {
  const hours = wholeHours(shown, zone);
  const [left = 0, right = 0] = x.range();
  const every = Math.max(1, Math.ceil((hours.length * apart) / Math.max(1, right - left)));
  return hours.map((hour, at) => (
    <g key={hour} transform={`translate(${x(hour)},0)`}>
      <line y1={from} y2={to} className={drawing.hair} />
      {at % every === 0 && (
        <text y={labelY} textAnchor="middle" className={drawing.number}>
          {clockText(hour, zone)}
        </text>
      )}
    </g>
  ));
}
