import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyShot } from '../../../bench/anyShot';
import { MADE_DAY, outingOf, recordOf } from '../../../bench/madeDay';
import { solve } from '../answer/solve';
import { briefOf } from '../brief/brief';
import type { ShotInput } from '../records/shot';
import { item } from '../units/items';
import type { DaySheet } from './daySheet';
import { daySheet } from './daySheet';
import { scheduleOf } from './schedule';
import type { Schedule } from './schedule';
import { samples, sampling } from '../../../testing/samples';

const utc = (date: string, time: string): number => Date.parse(`${date}T${time}:00Z`);

/** Shots of a quarter of an hour, one after the other; with a break between where `breaks` says so. */
function dayOf(shots: readonly ShotInput[], breaks: readonly boolean[]): { day: Schedule; sheet: DaySheet } {
  const entries = shots.map((_, at) => ({
    what: 'shot',
    id: `e${at}`,
    shotId: `s${at}`,
    at: `${String(8 + at).padStart(2, '0')}:00`,
  }));
  const between = breaks.map((free, at) => ({
    what: free ? 'break' : 'travel',
    id: `b${at}`,
    name: 'between',
    at: `${String(8 + at).padStart(2, '0')}:20`,
    minutes: 20,
  }));
  const kept = new Map(
    shots.map((one, at) => [
      `s${at}`,
      recordOf(`s${at}`, { ...one, limits: { ...one.limits, recordSeconds: 900 } }),
    ]),
  );
  const day = scheduleOf(outingOf([...entries, ...between]), MADE_DAY, kept, utc);
  return { day, sheet: daySheet(day, []) };
}

const shot = (more: Partial<ShotInput>): ShotInput => ({
  kind: 'lynxeye/shot',
  version: 3,
  mount: { kind: 'helmet', activity: 'riding' },
  ...more,
});
const SUN: ShotInput['light'] = { kind: 'range', evMin: 14.5, evMax: 15.5 };
const SHADE: ShotInput['light'] = { kind: 'range', evMin: 9, evMax: 10 };

describe('what a day holds of a shot', () => {
  it('gives the very answer that the day carries, on days of any shots of one camera', () => {
    let held = 0;
    fc.assert(
      fc.property(
        fc.array(anyShot(['main']), { minLength: 2, maxLength: 4 }),
        fc.array(fc.boolean(), { minLength: 3, maxLength: 3 }),
        (shots, free) => {
          const { day, sheet } = dayOf(shots, free.slice(0, shots.length - 1));
          for (const part of day.parts) {
            const { carried, held: hold } = sheet.parts.get(part.id)!;
            if (!carried) continue;
            const outcome = solve(briefOf(part.shot, { held: hold?.pins }).brief);
            expect(outcome.solved && outcome.solution.settings, part.id).toEqual(carried.settings);
            if (hold) held += 1;
          }
        },
      ),
      sampling(40, 7),
    );
    expect(held).toBeGreaterThanOrEqual(samples(40) / 4);
  });

  it('says that there is no break, and with which shot the filter is shared', () => {
    const { sheet } = dayOf([shot({ light: SUN }), shot({ light: SHADE })], [false]);
    const holds = ['e0/0', 'e1/0'].map((id) => sheet.parts.get(id)!.held);
    const [at, hold] = holds[0] ? ['e1/0', holds[0]] : ['e0/0', holds[1]!];
    expect(hold.filter).toEqual({ why: 'noBreak', withPartId: at });
    expect(hold.addedLoss).toBeGreaterThan(0);
    expect(hold.pins.filter!.ids).not.toEqual(hold.alone.filter.ids);
  });

  it('says that a change could be made but gains too little', () => {
    const middling: ShotInput['light'] = { kind: 'range', evMin: 13, evMax: 13.6 };
    const { sheet } = dayOf(
      [shot({ light: SUN }), shot({ light: middling }), shot({ light: SUN })],
      [true, true],
    );
    const { held, own, carried } = sheet.parts.get('e1/0')!;
    expect(held).toMatchObject({ filter: { why: 'notWorth', withPartId: 'e0/0' } });
    expect(carried!.loss - own!.loss).toBeLessThan(0.7);
  });

  it('leaves alone what the day has nothing to say to, and what the person pinned', () => {
    const { sheet } = dayOf([shot({ light: SUN }), shot({ light: SHADE })], [true]);
    expect([...sheet.parts.values()].map(({ held }) => held?.filter ?? null)).toEqual([null, null]);
    const { brief } = briefOf(
      { ...recordOf('s').shot, pins: { iso: { min: 100, max: 100 } } },
      { held: { iso: { min: 100, max: 400 }, codec: 'avc' } },
    );
    expect([brief.pins, brief.held]).toEqual([
      { iso: { min: 100, max: 100 }, codec: 'avc' },
      { codec: 'avc' },
    ]);
  });

  it('names the settings that a shared set-up decides, and whom else it serves', () => {
    const lights = [SUN, { kind: 'range' as const, evMin: 13, evMax: 15 }, SHADE, SUN];
    const { day, sheet } = dayOf(
      lights.map((light, at) =>
        shot({ camera: { archetype: 'mini' }, light, playback: { slowdown: at % 2 === 0 ? 1 : 2 } }),
      ),
      [true, true, true],
    );
    const { presets } = item(sheet.cameras, 0);
    for (const part of day.parts) {
      const { held, carried, preset } = sheet.parts.get(part.id)!;
      if (!held?.setup) continue;
      expect(item(presets, preset!).partIds).toEqual(
        expect.arrayContaining([part.id, ...held.setup.withPartIds]),
      );
      expect(held.setup.settings.length).toBeGreaterThan(0);
      expect(held.pins).toMatchObject({ filter: { ids: carried!.settings.filter.ids } });
    }
    expect([...sheet.parts.values()].some(({ held }) => held?.setup)).toBe(true);
  });
});
