'use client';

import * as messages from '@/language/bench/rule';
import type { ScaleLinear } from 'd3-scale';
import type { ReactNode } from 'react';
import { wearable } from '@/core/filters/bag';
import { filterSettings } from '@/core/filters/kit';
import type { Solution } from '@/core/answer/solve';
import { flickerSafeShutters } from '@/core/light/flicker';
import { shutterFraction } from '@/core/units/format';
import { filterText } from '@/words/settingText';
import type { FilterNotation } from '@/words/settingText';
import styles from './rule.module.css';
import { notchEv, shoulderEv } from './ruleMoves';
import { BRACKET, LIGHT, NOTCHES, spaced } from './ruleShape';

/** Usual width of a letter under a notch, pixels. */
const LETTER = 6.6;

/** The filters of the kit as notches, each where the window's shoulder would stand with it. */
export function Notches({
  solution,
  x,
  width,
  side,
  notation,
}: {
  solution: Solution;
  x: ScaleLinear<number, number>;
  width: number;
  side: number;
  notation: FilterNotation;
}): ReactNode {
  const { settings } = solution;
  const { brief } = solution.space;
  const kit = filterSettings(wearable(brief));
  const shoulder = shoulderEv(solution);
  const labels = spaced(
    kit.map((filter) => ({
      at: x(notchEv(solution, filter.stops)),
      half: (filterText(filter, brief.filters, notation).length * LETTER) / 2 + 4,
    })),
  );
  return (
    <g aria-hidden>
      <line x1={side} x2={width - side} y1={NOTCHES} y2={NOTCHES} stroke="var(--notch)" />
      {kit.map((filter, index) => {
        const at = x(notchEv(solution, filter.stops));
        if (at < 0 || at > width) return null;
        const here =
          filter.stops === settings.filter.stops && filter.ids.join() === settings.filter.ids.join();
        return (
          <g key={`${filter.ids.join()}|${filter.stops}`} transform={`translate(${at},${NOTCHES})`}>
            <path
              d={here ? 'M-6,-14L0,-2L6,-14Z' : 'M0,-7V7'}
              className={here ? styles.notchHere : styles.notch}
            />
            {(here || (labels.has(index) && Math.abs(at - x(shoulder)) > 70)) && (
              <text y={22} textAnchor="middle" className={here ? styles.ruleValue : styles.ruleWord}>
                {filterText(filter, brief.filters, notation)}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

/** Width of a safe shutter's mark with its label, pixels. */
const SAFE_LABEL = 80;

/** Where the shutters that keep nothing of the lamps' pulse would put the shutter's handle: diamonds over the window. */
export function SafeMarks({
  solution,
  x,
  width,
}: {
  solution: Solution;
  x: ScaleLinear<number, number>;
  width: number;
}): ReactNode {
  const { settings, space } = solution;
  if (space.light.pulseHz === null) return null;
  const shoulder = shoulderEv(solution);
  const place = (seconds: number): number => x(shoulder + Math.log2(settings.shutterSeconds / seconds));
  const safe = flickerSafeShutters(space.light.pulseHz, settings.frameRate);
  const places = safe.map(place);
  // A label stands only where no other mark stands in it.
  const isNamed = (at: number): boolean => places.every((other) => other <= at || other >= at + SAFE_LABEL);
  return (
    <g role="img" aria-label={messages.shuttersFreeOfFlicker}>
      {safe.map((seconds) => {
        const at = place(seconds);
        if (at < 0 || at > width) return null;
        return (
          <g key={seconds} transform={`translate(${at},${BRACKET.top + BRACKET.height + 8})`}>
            <title>{messages.sIsFreeOfFlicker({ seconds: shutterFraction(seconds) })}</title>
            <path d="M0,-5L5,0L0,5L-5,0Z" className={styles.safe} />
            {isNamed(at) && (
              <text x={8} y={4} className={styles.ruleWord}>
                {messages.steady({ seconds: shutterFraction(seconds) })}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

/** The stretch of light that sticks out of the window. */
export function Out({ from, to }: { from: number; to: number }): ReactNode {
  return (
    <rect
      x={from}
      y={LIGHT.top}
      width={Math.max(3, to - from)}
      height={LIGHT.height}
      fill="url(#hatch-out)"
      stroke="var(--warn)"
      pointerEvents="none"
    />
  );
}

/** A handle that is dragged or nudged along the scale. */
export function HandleMark({
  grip,
  x,
  top,
  height,
  label,
  text,
  now,
  min,
  max,
}: {
  grip: object;
  x: number;
  top: number;
  height: number;
  label: string;
  text: string;
  now: number;
  min: number;
  max: number;
}): ReactNode {
  return (
    <g
      {...grip}
      role="slider"
      tabIndex={0}
      className={styles.grip}
      aria-label={label}
      aria-valuetext={text}
      aria-valuenow={now}
      aria-valuemin={min}
      aria-valuemax={max}
      transform={`translate(${x},${top})`}
    >
      <rect x={-12} y={-4} width={24} height={height + 8} fill="transparent" />
      <rect x={-3} width={6} height={height} className={styles.handle} />
    </g>
  );
}
