import { beforeAll, describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import type { Gear, Outing } from '../records/outing';
import type { Shot } from '../records/shot';
import { daySheet } from './daySheet';
import type { Memo } from './partWork';
import { packingOf, safetyCards } from './packing';
import type { PackItem } from './packing';
import { scheduleOf } from './schedule';
import { workedDay } from './workedDay';
import type { WorkedDay } from './workedDay';

const demo = makeDemo();
const outing = demo.outings[0]!;
const memo: Memo = new Map();

/** The first day with some of its shots, and what they are told otherwise. */
function dayOf(
  shotIds: readonly string[],
  { gear = [], change = (shot: Shot) => shot }: { gear?: Gear[]; change?: (shot: Shot) => Shot } = {},
): WorkedDay {
  const one: Outing = {
    ...outing,
    gear,
    days: [
      {
        ...outing.days[0]!,
        entries: outing.days
          .flatMap(({ entries }) => entries)
          .filter((entry) => entry.what === 'shot' && shotIds.includes(entry.shotId)),
      },
    ],
  };
  const shots = new Map(demo.shots.map((record) => [record.id, { ...record, shot: change(record.shot) }]));
  const day = scheduleOf(one, one.days[0]!.id, shots, (date, time) => Date.parse(`${date}T${time}:00+02:00`));
  return workedDay(day, gear, daySheet(day, gear, memo));
}
const pack = (...days: WorkedDay[]): Map<string, PackItem> =>
  new Map(packingOf(days).map((item) => [item.id, item]));

describe('what goes into the bag', () => {
  let whole: Map<string, PackItem>;
  const all = demo.shots.map(({ id }) => id);
  beforeAll(() => {
    whole = pack(dayOf(all, { gear: outing.gear }));
  });

  it('is each camera, mount and filter that is really used, once', () => {
    const day = dayOf(all, { gear: outing.gear });
    const cameras = new Set(day.parts.map(({ camera }) => camera.id));
    const mounts = new Set(day.parts.map(({ brief }) => brief.mount.kind));
    const kinds = [...whole.values()].map(({ what }) => what);
    expect(kinds.filter((what) => what === 'camera')).toHaveLength(cameras.size);
    expect(kinds.filter((what) => what === 'mount')).toHaveLength(mounts.size);
    const used = new Set(
      day.parts.flatMap(({ camera, answer }) =>
        (answer?.carried?.settings.filter.ids ?? []).map((id) => `filter:${camera.id}:${id}`),
      ),
    );
    expect(new Set([...whole.keys()].filter((id) => id.startsWith('filter:')))).toEqual(used);
  });

  it('counts cards by their name, cells as they are told, and a bank only where it is plugged in', () => {
    const cards = [64, 64, 128].map((capacityGb) => ({
      name: `Card ${capacityGb} GB`,
      capacityGb,
      writeMBps: 60,
    }));
    const gear = (charging: Gear['charging']): Gear => ({
      cameraId: 'otter',
      cards,
      cells: { ampereHours: 1.72, volts: 3.85, count: 3 },
      bank: { ampereHours: 5 },
      charging,
    });
    const plugged = pack(dayOf(['demo-01'], { gear: [gear('breaks')] }));
    expect(plugged.get('card:otter:Card 64 GB')!.count).toBe(2);
    expect(plugged.get('card:otter:Card 128 GB')!.count).toBe(1);
    expect(plugged.get('cell:otter')!.count).toBe(3);
    expect(plugged.get('bank:5')).toMatchObject({ what: 'bank', ampereHours: 5, count: 1 });
    expect(pack(dayOf(['demo-01'], { gear: [gear('none')] })).has('bank:5')).toBe(false);
  });

  it('has a card and a cell for a camera of which nothing was told', () => {
    const bag = pack(dayOf(['demo-01']));
    expect(bag.get('card:otter:')!.count).toBe(1);
    expect(bag.get('cell:otter')!.count).toBe(1);
  });

  it('has a tether for what can be lost, a lamp for the dark, codes for a camera that reads them', () => {
    const bag = pack(dayOf(['demo-02']));
    expect(bag.get('tether')!.count).toBeGreaterThanOrEqual(1);
    const dark = (shot: Shot): Shot => ({ ...shot, light: { kind: 'range', evMin: 2, evMax: 6 } });
    expect(pack(dayOf(['demo-01'], { change: dark })).has('lamp')).toBe(true);
    const bright = (shot: Shot): Shot => ({ ...shot, light: { kind: 'range', evMin: 10, evMax: 14 } });
    expect(pack(dayOf(['demo-01'], { change: bright })).has('lamp')).toBe(false);
    expect(whole.has('codes')).toBe(true);
    expect(whole.get('cloth')!.count).toBe(1);
  });

  it('over several days is packed once, the larger number of each', () => {
    const one = dayOf(['demo-01'], { gear: outing.gear });
    const twice = pack(one, one);
    expect([...twice.values()]).toEqual([...pack(one).values()]);
    const both = pack(one, dayOf(['demo-10'], { gear: outing.gear }));
    for (const [id, { count }] of pack(one)) expect(both.get(id)!.count, id).toBeGreaterThanOrEqual(count);
  });
});

describe('what is read before going', () => {
  it('names each caution once, with the shots it is about, each once', () => {
    const day = dayOf(demo.shots.map(({ id }) => id));
    const { parts } = day;
    const cards = safetyCards([day]);
    expect(new Set(cards.map(({ caution }) => caution)).size).toBe(cards.length);
    for (const { parts: about } of cards) {
      expect(new Set(about.map(({ shotId, part }) => `${shotId}/${part}`)).size).toBe(about.length);
      for (const part of about) expect(parts).toContain(part);
    }
  });

  it('asks for the people filmed on every outing, and asks nothing of an empty one', () => {
    const cards = safetyCards([dayOf(['demo-05'])]);
    expect(cards.some(({ caution }) => caution === 'othersFilmed')).toBe(true);
    expect(safetyCards([])).toEqual([]);
  });
});
