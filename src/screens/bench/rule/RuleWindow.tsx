import * as messages from '@/language/bench/rule';
import type { ReactNode } from 'react';
import { wearable } from '@/core/filters/bag';
import { filterSettings } from '@/core/filters/kit';
import type { Solution } from '@/core/answer/solve';
import { shutterFraction } from '@/core/units/format';
import { evText, filterText } from '@/words/settingText';
import { usePreference } from '../../data/repository';
import styles from './rule.module.css';
import { shoulderEv } from './ruleMoves';
import { BRACKET, bracketPath } from './ruleShape';

/** Usual width of a letter in the window, pixels. */
const LETTER = 7.4;

/** What camera and filter hold, as a bracket over the light that slides with the filter. */
export function RuleWindow({
  solution,
  bound,
  width,
  grip,
}: {
  solution: Solution;
  bound: (ev: number) => number;
  width: number;
  grip: object;
}): ReactNode {
  const { space, candidate, exposure, settings } = solution;
  const { brief } = space;
  const [notation] = usePreference('filterNotation');
  const running = candidate.shutter.spanStops > 0;
  const kit = filterSettings(wearable(brief));
  const filterName = filterText(settings.filter, brief.filters, notation);
  const left = bound(exposure.windowEvMin);
  const right = bound(running ? Infinity : exposure.windowEvMax);
  const guardRight = bound(exposure.windowEvMax + candidate.colour.sensor.guardStops);
  // Its name stands beside the shutter's handle, on the side with more room.
  const handle = bound(shoulderEv(solution));
  const written =
    handle - left > width - handle
      ? { at: handle - 14, anchor: 'end' as const }
      : { at: handle + 14, anchor: 'start' as const };
  const glass = settings.filter.ids.length === 0 ? messages.noFilter : filterName;
  const whole = messages.sAndShorter({
    glass,
    shutterSeconds: shutterFraction(settings.shutterSeconds),
    running,
  });
  const fits = Math.max(handle - left, width - handle) - 20 > whole.length * LETTER;
  return (
    <g
      {...grip}
      role="slider"
      tabIndex={0}
      className={styles.grip}
      aria-label={messages.filterSlidesTheWindow}
      aria-valuemin={kit[0]?.stops ?? 0}
      aria-valuemax={kit.at(-1)?.stops ?? 0}
      aria-valuenow={settings.filter.stops}
      aria-valuetext={messages.windowFromTo({
        filterName,
        windowEvMin: evText(exposure.windowEvMin),
        windowEvMax: evText(exposure.windowEvMax),
      })}
    >
      <rect
        x={left}
        y={BRACKET.top}
        width={Math.max(4, right - left)}
        height={BRACKET.height}
        className={styles.window}
      />
      <path className={styles.bracket} d={bracketPath(left, right, running)} />
      {!running && (
        <path
          className={styles.guard}
          d={`M${right},${BRACKET.top + BRACKET.height - 6}H${guardRight}M${guardRight},${BRACKET.top + BRACKET.height - 12}v12`}
        />
      )}
      <text x={written.at} y={BRACKET.top + 23} textAnchor={written.anchor} className={styles.ruleValue}>
        {fits ? whole : glass}
      </text>
    </g>
  );
}
