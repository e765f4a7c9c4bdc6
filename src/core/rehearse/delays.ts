import type { Pause, Schedule } from '../day/schedule';
import { named } from '../units/seededRandom';
import type { SeededRandom } from '../units/seededRandom';
import type { Unknowns } from './unknowns';

/** What of a break absorbs a delay. */
const ABSORBED = 0.5;

const LATE = named('late');
/** How much warmer the air of a day is than told. */
export const AIR = named('air');

/** How late each entry begins, ms: it adds up from stretch to stretch, and breaks take some of it. */
export function delaysOf(
  { parts, pauses }: Pick<Schedule, 'parts' | 'pauses'>,
  drawn: SeededRandom,
  { late }: Unknowns,
): Map<string, number> {
  const entries = [...new Map(parts.map((part) => [part.entryId, part])).values()].map(
    ({ entryId, fromMs }) => ({ id: entryId, fromMs, restMs: 0 }),
  );
  const rests = pauses
    .filter(({ kind }) => kind === 'break')
    .map(({ id, fromMs, toMs }) => ({ id, fromMs, restMs: toMs - fromMs }));
  const all = [...entries, ...rests].sort((a, b) => a.fromMs - b.fromMs);
  const rate = Math.max(0, late.minutesAnHour + late.spread * drawn.normal(LATE)) / 60;
  const delays = new Map<string, number>();
  let delay = 0;
  let last = all[0]?.fromMs ?? 0;
  for (const { id, fromMs, restMs } of all) {
    const slip = rate * (fromMs - last);
    if (slip > 0) delay += slip * 2 ** (late.octaves * drawn.normal(LATE ^ named(id)));
    last = fromMs;
    delays.set(id, delay);
    delay = Math.max(0, delay - ABSORBED * restMs);
  }
  return delays;
}

/** The day as it went: breaks begin late and are cut short. */
export function delayed(
  schedule: Schedule,
  delays: ReadonlyMap<string, number>,
  warmerC: number,
): Pick<Schedule, 'pauses' | 'air' | 'fromMs'> {
  const { pauses, air, fromMs } = schedule;
  return {
    fromMs,
    air: { lowC: air.lowC + warmerC, highC: air.highC + warmerC },
    pauses: pauses.map((pause): Pause => {
      const delay = delays.get(pause.id) ?? 0;
      const cut = pause.kind === 'break' ? Math.min(delay, ABSORBED * (pause.toMs - pause.fromMs)) : 0;
      return { ...pause, fromMs: pause.fromMs + delay, toMs: pause.toMs + delay - cut };
    }),
  };
}
