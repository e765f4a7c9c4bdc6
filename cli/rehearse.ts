import type { Memo } from '@/core/day/partWork';
import { scheduleOf } from '@/core/day/schedule';
import { MOST_DRAWS } from '@/core/records/dayBounds';
import type { Outing } from '@/core/records/outing';
import type { ShotRecord } from '@/core/records/shotRecord';
import { planOf } from '@/core/rehearse/plan';
import { Rehearsing } from '@/core/rehearse/rehearse';
import type { Picks, RehearsedShot } from '@/core/rehearse/rehearse';
import { unknownsOf, USUAL_UNKNOWNS } from '@/core/rehearse/unknowns';
import { worded } from '@/core/schema/fault';
import type { Checked, Fault } from '@/core/schema/fault';
import { wallClock } from '@/formats/clock';
import { dayPartName } from '@/words/shotName';

/** How many days are drawn, from which seed. */
export interface Wish {
  draws: number;
  seed: number;
}

/** `--draws 1000 --seed 1`, both optional. */
export function wishIn(args: readonly string[]): Checked<Wish> {
  const wish: Wish = { draws: 1000, seed: 1 };
  const faults: Fault[] = [];
  for (let at = 0; at < args.length; at += 2) {
    const [name, text] = [args[at], args[at + 1]];
    const value = Number(text);
    if (name === '--draws' && Number.isInteger(value) && value >= 1 && value <= MOST_DRAWS)
      wish.draws = value;
    else if (name === '--seed' && Number.isInteger(value) && value >= 0 && value < 2 ** 32) wish.seed = value;
    else if (name === '--draws')
      faults.push(worded('--draws', `expected a whole number from 1 to ${MOST_DRAWS}`));
    else if (name === '--seed') faults.push(worded('--seed', 'expected a whole number from 0 to 4294967295'));
    else faults.push(worded('', `unexpected "${name ?? ''}"`));
  }
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: wish };
}

/** The days of an outing lived through so often, the plan held fixed, as plain JSON. */
export function rehearsalReport(outing: Outing, shots: readonly ShotRecord[], { draws, seed }: Wish): object {
  const kept = new Map(shots.map((shot) => [shot.id, shot]));
  const memo: Memo = new Map();
  const unknowns = unknownsOf(
    USUAL_UNKNOWNS.slips,
    shots.flatMap(({ shot }) => shot.learned ?? []),
  );
  return {
    kind: 'lynxeye/rehearsal',
    version: 1,
    draws,
    seed,
    days: outing.days.map(({ id, date }) => {
      const schedule = scheduleOf(outing, id, kept, wallClock(outing.zone));
      const plan = planOf(schedule, outing.gear, memo);
      const rehearsing = new Rehearsing(plan, unknowns, seed);
      rehearsing.run(draws);
      const { everythingLasts, shots: rehearsed } = rehearsing.report();
      const picks = new Map(rehearsing.picks(memo).map((one) => [one.id, one]));
      const names = new Map(plan.parts.map(({ part }) => [part.id, dayPartName(part)]));
      return {
        date,
        everythingLasts,
        shots: rehearsed.map((one) => shotReport(one, picks.get(one.id), names.get(one.id) ?? one.id)),
      };
    }),
  };
}

function shotReport(shot: RehearsedShot, picks: Picks | undefined, name: string): object {
  const { id, chances, lossMean, lossWorstTenth, drivers } = shot;
  const { robust = null, reading = { changes: 0, savesLoss: 0 } } = picks ?? {};
  return {
    id,
    name,
    chances,
    lossMean,
    lossWorstTenth,
    drivers,
    robust: robust && { settings: robust.settings, lossMean: robust.lossMean },
    reading: { changesPct: 100 * reading.changes, savesLoss: reading.savesLoss },
  };
}
