import { describe, expect, it, vi } from 'vitest';
import { makeDemo } from '../../demo/makeDemo';
import { scheduleOf } from '@/core/day/schedule';
import { workedDay } from '@/core/day/workedDay';
import { isTimeLapse } from '@/core/records/filmedAs';
import { emptyShot } from '@/core/records/emptyShot';
import type { Outing } from '@/core/records/outing';
import { wallClock } from '@/formats/clock';
import { solvedSettings, solveForScreen, solveInDay } from '@/screens/data/useAnswer';
import { dayWork } from './dayWork';
import { shortAnswerOf } from './shortAnswer';

const { shots, outings } = makeDemo();
const outing = outings.find(({ id }) => id === 'demo-outing')!;
const kept = new Map(shots.map((record) => [record.id, record]));
const scheduleIn = (of: Outing, dayId: string): ReturnType<typeof scheduleOf> =>
  scheduleOf(of, dayId, kept, wallClock(of.zone));

describe('the work of a day', () => {
  it.each(['saturday', 'sunday'])(
    'tells a list of %s what the Bench tells of each shot in its day',
    (dayId) => {
      const day = scheduleIn(outing, dayId);
      const { sheet } = dayWork.work(day, outing.gear);
      const worked = workedDay(day, outing.gear, sheet);
      const told = dayWork.carried(outing, dayId, shots);
      const main = worked.parts.filter(({ part }) => part === 0);
      expect(main.length).toBeGreaterThan(3);
      expect(told.size).toBe(main.length);
      for (const part of main) {
        const solved = solveInDay(part);
        const short = told.get(part.entryId)!;
        expect('settings' in short ? short.settings : null, part.id).toEqual(
          solved && solvedSettings(solved),
        );
        expect('settings' in short ? short.settings : null, part.id).toEqual(
          part.answer?.carried?.settings ?? null,
        );
      }
    },
  );

  it('is the same wherever the outing is: its hours are those of its own clock', () => {
    const there = dayWork.carried(outing, 'saturday', shots);
    const away = scheduleIn({ ...outing, zone: 'America/Los_Angeles' }, 'saturday');
    const here = scheduleIn(outing, 'saturday');
    expect(there.size).toBeGreaterThan(0);
    expect(away.parts.map(({ fromMs }) => fromMs)).toEqual(
      here.parts.map(({ fromMs }) => fromMs + 9 * 3_600_000),
    );
  });

  it('offers cures for what runs out, each of which ends later or not at all', () => {
    const scarce = outing.gear.map((gear) => ({
      ...gear,
      charging: 'none' as const,
      cards: gear.cards.slice(0, 1).map((card) => ({ ...card, capacityGb: 4 })),
    }));
    const { cures } = dayWork.work(scheduleIn(outing, 'saturday'), scarce);
    expect(cures.length).toBeGreaterThan(0);
  });

  it('solved together is given up when it is cancelled or another begins, and then comes whole', async () => {
    // Between any two steps there is time to look whether it is still wanted.
    let now = 0;
    vi.spyOn(performance, 'now').mockImplementation(() => (now += 100));
    const day = scheduleIn(outing, 'saturday');
    const cancelled = dayWork.joint(day, outing.gear, () => undefined);
    dayWork.cancelJoint();
    expect(await cancelled).toBeNull();
    const told: number[] = [];
    const overtaken = dayWork.joint(day, outing.gear, () => undefined);
    const last = dayWork.joint(day, outing.gear, ({ share }) => told.push(share));
    expect(await overtaken).toBeNull();
    const { before, after } = (await last)!;
    expect(after.total).toBeLessThanOrEqual(before.total);
    expect(told.length).toBeGreaterThan(0);
    vi.restoreAllMocks();
  });
});

describe('a time-lapse', () => {
  const lapses = shots.filter(({ shot }) => isTimeLapse(shot));
  it('is the same in a list as on the Bench', () => {
    const asLapse = { ...emptyShot('mist'), timeLapse: { change: 'mist' as const } };
    const all = [...lapses.map(({ shot }) => shot), asLapse];
    for (const shot of all) {
      const short = shortAnswerOf(shot, {});
      const bench = solvedSettings(solveForScreen(shot));
      expect(bench).not.toBeNull();
      expect('settings' in short ? short.settings : null).toEqual(bench);
    }
  });
});
