import { describe, expect, it } from 'vitest';
import { MADE_DAY, outingOf, recordOf } from '../../../bench/madeDay';
import { ARCHETYPES } from '../camera/archetypes';
import type { ShotInput } from '../records/shot';
import { dayFaultsOf } from './dayFaults';
import { daySheet } from './daySheet';
import { scheduleOf } from './schedule';
import { workedDay } from './workedDay';
import type { WorkedDay } from './workedDay';

const utc = (date: string, time: string): number => Date.parse(`${date}T${time}:00Z`);

const EASY: Partial<ShotInput> = {
  mount: { kind: 'tripod' },
  light: { kind: 'range', evMin: 12, evMax: 12.5 },
  limits: { recordSeconds: 600 },
};

/** A day of shots by their entry; an entry names its shot by its own id. */
function day(
  shots: Readonly<Record<string, [at: string, shot: Partial<ShotInput>]>>,
  more: { gear?: readonly object[]; entries?: readonly object[]; air?: object } = {},
): WorkedDay {
  const entries = Object.entries(shots).map(([id, [at]]) => ({ what: 'shot', id, shotId: id, at }));
  const outing = outingOf([...entries, ...(more.entries ?? [])], more);
  const kept = new Map(Object.entries(shots).map(([id, [, shot]]) => [id, recordOf(id, shot)]));
  const schedule = scheduleOf(outing, MADE_DAY, kept, utc);
  return workedDay(schedule, outing.gear, daySheet(schedule, outing.gear));
}
const whatOf = (one: WorkedDay): string[] => dayFaultsOf(one).map(({ what }) => what);

describe('what a day does not manage', () => {
  it('is nothing where every shot is exposed, every camera lasts and nothing is hot', () => {
    expect(whatOf(day({ a: ['10:00', EASY], b: ['12:00', EASY] }))).toEqual([]);
  });

  it('begins with a camera that is wanted twice, and says when it is free', () => {
    const [first, ...others] = dayFaultsOf(
      day({
        a: ['10:00', EASY],
        b: ['10:05', { ...EASY, light: { kind: 'range', evMin: 2, evMax: 16 } }],
      }),
    );
    expect(first).toMatchObject({
      what: 'clash',
      partId: 'b/0',
      withId: 'a/0',
      freeMs: utc('2026-07-01', '10:10'),
    });
    expect(others.map(({ what }) => what)).toContain('light');
  });

  it('names pins that nothing keeps, and pinned filters with no break between', () => {
    const barred = day({ a: ['10:00', { ...EASY, pins: { frameRate: 999 } }] });
    expect(dayFaultsOf(barred)).toEqual([{ what: 'noAnswer', partId: 'a/0' }]);
    const pinned = (id: string): Partial<ShotInput> => ({ ...EASY, pins: { filter: { ids: [id] } } });
    const tied = day({ a: ['10:00', pinned('nd4')], b: ['10:11', pinned('nd8')] });
    expect(whatOf(tied)).toContain('filterRun');
    const free = day({ a: ['10:00', pinned('nd4')], b: ['11:30', pinned('nd8')] });
    expect(whatOf(free)).not.toContain('filterRun');
  });

  it('puts what runs out before light that is lost, and the more stops the sooner', () => {
    const starved = day(
      {
        a: ['10:00', { ...EASY, light: { kind: 'range', evMin: 3, evMax: 16 } }],
        b: ['12:00', { ...EASY, light: { kind: 'range', evMin: 0, evMax: 17 } }],
        c: ['14:00', { ...EASY, limits: { recordSeconds: 7200 } }],
      },
      { gear: [{ cameraId: 'main', cells: { ampereHours: 0.3, volts: 3.85, count: 1 } }] },
    );
    const faults = dayFaultsOf(starved);
    expect(faults[0]).toMatchObject({ what: 'out', out: { what: 'power' } });
    expect(faults.flatMap((one) => (one.what === 'light' ? [one.partId] : []))).toEqual(['b/0', 'a/0']);
  });

  it('offers the filter that the day withholds, and none where the shot would take it anyhow', () => {
    const standing = {
      profile: { ...ARCHETYPES.main, shutter: { ...ARCHETYPES.main.shutter, auto: false } },
    };
    const gorge: Partial<ShotInput> = {
      ...EASY,
      camera: standing,
      mount: { kind: 'helmet' },
      light: { kind: 'range', evMin: 9, evMax: 10 },
    };
    const sun: Partial<ShotInput> = {
      ...gorge,
      look: { school: 'film' },
      light: { kind: 'range', evMin: 15, evMax: 16 },
    };
    const lights = dayFaultsOf(
      day({ a: ['10:00', sun], b: ['10:11', gorge], c: ['10:22', sun], d: ['10:33', sun] }),
    ).flatMap((one) => (one.what === 'light' ? [one] : []));
    expect(lights.length).toBeGreaterThan(0);
    expect(lights.some(({ instead }) => instead?.filter)).toBe(true);
    const alone = dayFaultsOf(
      day({ a: ['10:00', { ...EASY, light: { kind: 'range', evMin: 1, evMax: 16 } }] }),
    );
    expect(alone).toMatchObject([{ what: 'light', instead: null }]);
  });

  it('tells a camera that runs hot though it goes on, a slow card, and a shot that is gone', () => {
    const long = { ...EASY, limits: { recordSeconds: 5400 } };
    const hot = day({ a: ['12:00', long] }, { air: { lowC: 30, highC: 42 } });
    expect(
      dayFaultsOf(hot).some((one) => one.what === 'hot' || (one.what === 'out' && one.out.what === 'heat')),
    ).toBe(true);
    const slow = day(
      { a: ['10:00', EASY] },
      { gear: [{ cameraId: 'main', cards: [{ name: 'old', capacityGb: 64, writeMBps: 2 }] }] },
    );
    expect(dayFaultsOf(slow)).toContainEqual(expect.objectContaining({ what: 'slowCard', card: 'old' }));
    const gone = day(
      { a: ['10:00', EASY] },
      { entries: [{ what: 'shot', id: 'x', shotId: 'nobody', at: '11:30' }] },
    );
    expect(dayFaultsOf(gone)[0]).toEqual({ what: 'missing', entryId: 'x' });
  });
});
