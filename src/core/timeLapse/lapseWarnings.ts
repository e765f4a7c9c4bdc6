import { once } from '../units/once';
import { cautionsFor } from '../motion/cautions';
import type { Caution } from '../vocabulary/cautions';
import type { SceneChange } from '../vocabulary/timeLapses';
import { MOUNTS } from '../vocabulary/mounts';
import { evRangeOf } from '../light/lightRange';
import { worthAWarning } from '../loss/table';
import type { Brief } from '../brief/brief';
import type { LapseAnswer } from './lapseAnswer';
import { lapseHelps } from './lapseWays';
import type { LapseHelp } from './lapseWays';

/** What a time-lapse is warned of, as figures; the gravest first. Stops, seconds, hours, watt-hours. */
export type LapseWarning = { severity: 'stop' | 'caution' | 'note' } & (
  | { code: 'exposeLapse'; seen: 'white' | 'dark'; stops: number; helps: LapseHelp[] }
  /** The light that was told goes by less than a sun that sets or rises. */
  | { code: 'exposeLapse'; seen: 'told'; stops: number }
  /** Longer than one cell lasts. */
  | { code: 'power'; hours: number; wattHours: number }
  | { code: 'noise'; iso: number }
  | { code: 'safety'; caution: Caution }
);

/** From here on a time-lapse outlasts the cell of most cameras of this kind, hours (start). */
const LONG_HOURS = 1;
/** A sun that sets or rises takes the light through so much at least, stops. */
const SUNSET_STOPS = 4;
/** What stands in the night or before the morning gathers dew. */
const DEWY: ReadonlySet<SceneChange> = new Set(['stars', 'sunset', 'mist', 'growth']);
/** Less than a camera's third of a stop is a matter of its steps. */
const SEEN_STOPS = 0.25;

export function lapseWarnings(brief: Brief, lapse: LapseAnswer): LapseWarning[] {
  const { plan, exposed, settings } = lapse;
  const { recordSeconds } = brief.limits;
  const { change, moving } = brief.timeLapse;
  const found: LapseWarning[] = [];
  const helps = once(() => lapseHelps(brief, lapse));
  for (const [seen, stops] of [
    ['white', plan.overStops],
    ['dark', plan.underStops],
  ] as const)
    if (stops > SEEN_STOPS)
      found.push({
        code: 'exposeLapse',
        seen,
        severity: exposed ? 'note' : 'stop',
        stops,
        get helps() {
          return helps();
        },
      });
  const { evMin, evMax } = evRangeOf(brief.light);
  if (change === 'sunset' && evMax - evMin < SUNSET_STOPS)
    found.push({ code: 'exposeLapse', seen: 'told', severity: 'caution', stops: evMax - evMin });
  if (worthAWarning('noise', plan.loss))
    found.push({ code: 'noise', severity: 'note', iso: settings.iso.min * 2 ** plan.exposure.darkIsoStops });
  const hours = recordSeconds / 3600;
  if (hours > LONG_HOURS)
    found.push({ code: 'power', severity: 'note', hours, wattHours: hours * brief.camera.power.baseW });
  const long = hours > LONG_HOURS && MOUNTS[brief.mount.kind].stands;
  const cautions: Caution[] = [
    ...(long && !moving ? (['sags'] as const) : []),
    ...(long && DEWY.has(change) ? (['dew'] as const) : []),
    ...cautionsFor(brief.mount.kind, brief.mount.activity),
  ];
  return [
    ...found,
    ...cautions.map((caution): LapseWarning => ({ code: 'safety', severity: 'note', caution })),
  ];
}
