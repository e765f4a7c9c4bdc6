import { beforeAll, describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { ARCHETYPES } from '../camera/archetypes';
import { emptyShot } from '../records/emptyShot';
import type { Outing } from '../records/outing';
import type { Shot } from '../records/shot';
import type { ShotRecord } from '../records/shotRecord';
import { search } from '../search/search';
import { spaceFor } from '../search/space';
import { item } from '../units/items';
import { savedBy } from './bestSet';
import { adviceOn, daysOf, mainCameraFirst, worthOf } from './worth';
import type { Worth } from './worth';

const AT = '2026-10-01T08:00:00Z';
const clock = () => (date: string, time: string) => Date.parse(`${date}T${time}:00Z`);

function recordOf(id: string, brief: Omit<Partial<Shot>, 'kind' | 'version'>): ShotRecord {
  return { id, createdAt: AT, updatedAt: AT, demo: false, ticked: [], shot: { ...emptyShot(id), ...brief } };
}

function outingOf(shots: readonly ShotRecord[], minutes: number, gear: Outing['gear'] = []): Outing {
  const demo = item(makeDemo().outings, 0);
  return {
    ...demo,
    zone: 'UTC',
    gear,
    days: [
      {
        ...item(demo.days, 0),
        entries: shots.map(({ id }, at) => ({
          what: 'shot' as const,
          id: `entry-${at}`,
          at: `${String(9 + 2 * at).padStart(2, '0')}:00`,
          shotId: id,
          recordSeconds: 60 * minutes,
          pauses: [],
          note: '',
        })),
      },
    ],
  };
}

function worthWith(shots: readonly ShotRecord[], minutes = 10, gear: Outing['gear'] = []): Worth {
  return worthOf(daysOf([outingOf(shots, minutes, gear)], new Map(shots.map((one) => [one.id, one])), clock));
}

const SUN: Omit<Partial<Shot>, 'kind' | 'version'> = {
  light: { kind: 'range', evMin: 14.8, evMax: 15.2 },
  mount: { kind: 'tripod', activity: 'still' },
  filters: [],
};

describe('what to get next, over the demo', () => {
  let worth: Worth;
  beforeAll(() => {
    const { outings, shots } = makeDemo();
    worth = worthOf(daysOf(outings, new Map(shots.map((one) => [one.id, one])), clock));
  });

  it('looks at every recording of every outing', () => {
    expect(worth.recordings).toBeGreaterThan(15);
    expect(worth.main?.share).toBeGreaterThan(0.5);
    expect(worth.things.length).toBeGreaterThan(3);
  });

  it('saves by each thing what solving again with it saves, the most first', () => {
    const { outings, shots } = makeDemo();
    const days = daysOf(outings, new Map(shots.map((one) => [one.id, one])), clock);
    const parts = days.flatMap(({ schedule }) => schedule.parts);
    const one = worth.things.find(({ thing }) => thing.what === 'filter')!;
    const { thing } = one;
    if (thing.what !== 'filter') throw new Error('no filter');
    const plain = parts
      .filter(({ camera }) => camera.id === thing.cameraId)
      .reduce((sum, { brief }) => {
        const loss = (filters: typeof brief.filters): number => {
          const made = spaceFor({ ...brief, filters });
          return made.ok ? search(made.space)!.score : NaN;
        };
        return sum + loss(brief.filters) - loss([...brief.filters, thing.filter]);
      }, 0);
    expect(one.saves).toBeCloseTo(plain, 6);
    const saves = worth.things.map((thing1) => thing1.saves);
    expect(saves).toEqual([...saves].sort((a, b) => b - a));
  });

  it('saves no more by a set than by its things one by one where they serve the same, and never less than the best of them', () => {
    const all = 2 ** worth.things.length - 1;
    const together = savedBy(worth.units, all);
    expect(together).toBeGreaterThanOrEqual(item(worth.things, 0).saves);
    const filters = worth.things.flatMap(({ thing }, at) => (thing.what === 'filter' ? [at] : []));
    const bits = filters.reduce((sum, at) => sum | (1 << at), 0);
    const alone = filters.reduce((sum, at) => sum + item(worth.things, at).saves, 0);
    expect(savedBy(worth.units, bits)).toBeLessThanOrEqual(alone + 1e-9);
  });

  it('takes no more than the budget, and nothing without a price', () => {
    const prices = new Map(worth.things.slice(0, 8).map(({ id }, at) => [id, 20 + 15 * at]));
    expect(adviceOn(worth, new Map(), 100)).toEqual({ code: 'unpriced' });
    expect(adviceOn(worth, prices, 5)).toEqual({ code: 'tooDear', cheapest: 20 });
    let before = 0;
    for (const budget of [20, 60, 150, 1000]) {
      const advice = adviceOn(worth, prices, budget);
      if (advice.code !== 'set') throw new Error(advice.code);
      expect(advice.price).toBeLessThanOrEqual(budget);
      expect(advice.ids.every((id) => prices.has(id))).toBe(true);
      expect(advice.saves).toBeGreaterThanOrEqual(before);
      before = advice.saves;
    }
  });
});

describe('what to get next', () => {
  it('is a filter in the sun without one, and nothing once it is in the bag', () => {
    const bare = worthWith([recordOf('a', SUN), recordOf('b', SUN)]);
    expect(bare.things[0]?.thing).toMatchObject({ what: 'filter', cameraId: 'main' });
    expect(bare.things[0]?.improved).toBe(2);
    const id = bare.things[0]!.id;
    expect(adviceOn(bare, new Map([[id, 30]]), 50)).toMatchObject({ code: 'set', ids: [id], price: 30 });
    const nd = (stops: number): NonNullable<Shot['filters']>[number] => ({
      id: `own${stops}`,
      kind: 'nd',
      stops,
    });
    const full = worthWith([recordOf('a', { ...SUN, filters: [3, 4, 5, 6, 7].map(nd) })]);
    expect(full.things.filter(({ thing }) => thing.what === 'filter')).toEqual([]);
    expect(adviceOn(full, new Map(), 1000)).toMatchObject({ code: 'nothing' });
  });

  it('is one more cell or a card where they run out, and what they save is the clips that are lost without', () => {
    const { filters } = SUN;
    const shots = ['a', 'b', 'c'].map((id) => recordOf(id, { ...SUN, filters }));
    const gear: Outing['gear'] = [
      {
        cameraId: 'main',
        cards: [{ name: 'card', capacityGb: 512, writeMBps: 60 }],
        cells: { ampereHours: 1.7, volts: 3.85, count: 1 },
        charging: 'none',
      },
    ];
    const fed = worthWith(shots, 60, gear).things.find(({ thing }) => thing.what === 'cell');
    expect(fed?.saves).toBeGreaterThan(1);
    const many = gear.map((one) => ({ ...one, cells: { ...one.cells!, count: 20 } }));
    expect(worthWith(shots, 60, many).things.some(({ thing }) => thing.what === 'cell')).toBe(false);
  });

  it('is another main camera where that alone beats all the rest', () => {
    const dark: Omit<Partial<Shot>, 'kind' | 'version'> = {
      camera: { profile: { ...ARCHETYPES.budget, id: 'old', name: 'Old' } },
      light: { kind: 'range', evMin: 4, evMax: 5 },
      limits: { lamps: 'none' },
      mount: { kind: 'helmet', ground: 'rough', activity: 'riding' },
    };
    const worth = worthWith([recordOf('a', dark), recordOf('b', dark)]);
    expect(worth.main).toMatchObject({ cameraId: 'old', share: 1 });
    expect(mainCameraFirst(worth)?.thing).toMatchObject({ what: 'camera', cameraId: 'old' });
  });

  it('says that nothing is filmed where no outing holds a recording', () => {
    expect(adviceOn(worthOf([]), new Map(), 100)).toEqual({ code: 'nothingFilmed' });
  });

  it('counts a polarizer apart, where sky or water would be clearer', () => {
    const lake = recordOf('a', {
      mount: { kind: 'hull', activity: 'paddling' },
      filters: [{ id: 'nd8', kind: 'nd', stops: 3 }],
      light: {
        kind: 'sun',
        lat: 46.6,
        lon: 12.3,
        from: '2026-10-03T09:30:00+02:00',
        to: '2026-10-03T10:00:00+02:00',
        sky: 'clear',
        ground: 'water',
        headingsDeg: [40],
      },
    });
    expect(worthWith([lake]).polarizer).toBe(1);
    const worn = {
      ...lake,
      shot: { ...lake.shot, filters: [{ id: 'cpl', kind: 'polarizer' as const, stops: 1.5 }] },
    };
    expect(worthWith([worn]).polarizer).toBe(0);
  });
});
