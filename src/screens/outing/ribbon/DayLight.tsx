import * as messages from '@/language/outing';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { evRangeOf } from '@/core/light/lightRange';
import { dayLightOf } from '@/core/light/sun/day';
import type { WorkedDay } from '@/core/day/workedDay';
import { bandPath } from '../../ui/bandPath';
import { HourLines } from '../../ui/timeAxis';
import type { TimeAxis } from '../../ui/timeAxis';
import { LAY, lightScale, openSunOf } from './dayShape';
import drawing from '../../ui/timeDrawing.module.css';
import styles from './ribbon.module.css';

/** Behind the blocks: the light in the open, what of it each shot crosses, where hands are free, and the hours. */
export function DayLight({
  schedule,
  axis,
  zone,
  by,
  lanes,
  height,
}: {
  schedule: WorkedDay;
  axis: TimeAxis;
  zone: string;
  /** How far an entry is being moved, ms. */
  by: (entryId: string) => number;
  /** Top and bottom of the cameras' lanes, CSS pixels. */
  lanes: { top: number; bottom: number };
  height: number;
}): ReactNode {
  const { x, shown, between } = axis;
  const light = useMemo(() => {
    const sun = openSunOf(schedule.parts);
    return sun ? dayLightOf(sun, { fromMs: schedule.fromMs, toMs: schedule.toMs }) : null;
  }, [schedule]);
  const samples = (light?.samples ?? []).filter(({ atMs }) => atMs >= shown.fromMs && atMs <= shown.toMs);
  const y = lightScale(samples, schedule.parts);
  return (
    <g aria-hidden>
      {light?.spans.golden.map((span) => (
        <rect key={span.fromMs} {...between(span)} y={LAY.axis} height={LAY.light} fill="url(#day-golden)" />
      ))}
      {schedule.pauses.map((pause) => (
        <rect
          key={pause.id}
          x={x(pause.fromMs + by(pause.id))}
          width={Math.max(2, x(pause.toMs) - x(pause.fromMs))}
          y={lanes.top}
          height={lanes.bottom - lanes.top}
          fill={`url(#day-${pause.kind})`}
        />
      ))}
      <HourLines axis={axis} zone={zone} from={LAY.axis} to={height - 4} labelY={13} />
      {y.ticks(4).map((ev) => (
        <text key={ev} x={LAY.left - 8} y={y(ev) + 4} textAnchor="end" className={drawing.number}>
          {messages.ev({ ev })}
        </text>
      ))}
      <path
        d={bandPath(
          samples.map(({ atMs, evLow, evHigh, errorStops }) => ({
            x: x(atMs),
            low: y(evLow - errorStops),
            high: y(evHigh + errorStops),
          })),
        )}
        className={styles.unsure}
      />
      <path
        d={bandPath(
          samples.map(({ atMs, evLow, evHigh }) => ({ x: x(atMs), low: y(evLow), high: y(evHigh) })),
        )}
        className={styles.light}
      />
      {schedule.parts.map((part) => {
        const range = evRangeOf(part.brief.light);
        return (
          <rect
            key={part.id}
            x={x(part.fromMs + by(part.entryId))}
            width={Math.max(3, x(part.toMs) - x(part.fromMs))}
            y={y(range.evMax)}
            height={Math.max(3, y(range.evMin) - y(range.evMax))}
            className={styles.shotLight}
          />
        );
      })}
    </g>
  );
}

/** The hatchings of the ribbon: low sun, a break, a way. */
export function Patterns(): ReactNode {
  return (
    <defs>
      <pattern id="day-golden" width="5" height="5" patternUnits="userSpaceOnUse">
        <line x1="1" y1="0" x2="1" y2="5" className={styles.golden} />
      </pattern>
      <pattern id="day-break" width="7" height="7" patternUnits="userSpaceOnUse">
        <circle cx="2" cy="2" r="0.9" className={styles.dot} />
      </pattern>
      <pattern
        id="day-travel"
        width="8"
        height="8"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <line x1="0" y1="0" x2="0" y2="8" className={styles.golden} />
      </pattern>
    </defs>
  );
}
