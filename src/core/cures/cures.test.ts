import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MADE_DAY, outingOf, recordOf, withChanges } from '../../../bench/madeDay';
import { ARCHETYPES } from '../camera/archetypes';
import type { Gear, Outing } from '../records/outing';
import { OutingSchema } from '../records/outing';
import type { ShotInput } from '../records/shot';
import type { ShotRecord } from '../records/shotRecord';
import { outingFedSo } from '../changes/feed';
import { pinsTaken } from '../changes/pins';
import { curesOf } from './cures';
import { stopped } from '../changes/stop';
import type { Cure } from './cure';
import { daySheet, outsOf } from '../day/daySheet';
import type { DaySheet } from '../day/daySheet';
import type { Memo } from '../day/partWork';
import { scheduleOf } from '../day/schedule';
import type { DayPart, Schedule } from '../day/schedule';
import { sampling } from '../../../testing/samples';

const MINUTE = 60_000;
const memo: Memo = new Map();

interface Planned {
  outing: Outing;
  shots: ReadonlyMap<string, ShotRecord>;
}

interface Worked extends Planned {
  day: Schedule;
  sheet: DaySheet;
}

const record = (id: string, more: Partial<ShotInput>): ShotRecord =>
  recordOf(id, {
    light: { kind: 'range', evMin: 11, evMax: 13 },
    mount: { kind: 'chest', ground: 'mixed', activity: 'walking' },
    ...more,
  });

function planned(
  shots: readonly { id: string; at: string; more: Partial<ShotInput> }[],
  gear: Partial<Gear>[] = [],
  others: readonly object[] = [],
): Planned {
  return {
    outing: outingOf(
      [...shots.map(({ id, at }) => ({ what: 'shot', id: `e-${id}`, shotId: id, at })), ...others],
      { air: { lowC: 15, highC: 15 }, gear: gear.map((one) => ({ cameraId: 'main', ...one })) },
    ),
    shots: new Map(shots.map(({ id, more }) => [id, record(id, more)])),
  };
}

function workedOut({ outing, shots }: Planned): Worked {
  const day = scheduleOf(outing, MADE_DAY, shots, (date, time) => Date.parse(`${date}T${time}:00Z`));
  return { outing, shots, day, sheet: daySheet(day, outing.gear, memo) };
}

/** The day after a cure is taken for real, worked out with nothing kept from before. */
function taken({ outing, shots, day }: Worked, { changes }: Cure): Worked {
  return workedOut(withChanges(outing, shots, day.parts, changes));
}

function curesFor(worked: Worked): Cure[] {
  return worked.sheet.cameras.flatMap(({ budget }) =>
    outsOf(budget).flatMap((out) => curesOf(worked.day, worked.outing.gear, worked.sheet, out, memo)),
  );
}

const hours = (count: number): Partial<ShotInput> => ({ limits: { recordSeconds: count * 3600 } });

describe('what keeps a day from running out', () => {
  const short = workedOut(
    planned(
      [
        { id: 'morning', at: '08:00', more: { ...hours(1.5), pins: { codec: 'avc', bitRateMbps: 60 } } },
        { id: 'later', at: '12:00', more: hours(1) },
      ],
      [{ cards: [{ name: 'Card 32 GB', capacityGb: 32, writeMBps: 60 }] }],
    ),
  );

  it('is tried on the day: each that is told works when taken, and leaves what it says it leaves', () => {
    const cures = curesFor(short);
    expect(cures.length).toBeGreaterThanOrEqual(3);
    for (const cure of cures) {
      const { sheet } = taken(short, cure);
      const outs = outsOf(sheet.cameras[0]!.budget).map(({ what }) => what);
      expect(outs, cure.how).not.toContain(cure.what);
      expect([...outs].sort(), cure.how).toEqual([...cure.leaves].sort());
    }
  });

  it('is of use only where something is short', () => {
    const fine = workedOut(planned([{ id: 'a', at: '08:00', more: hours(0.1) }]));
    expect(outsOf(fine.sheet.cameras[0]!.budget)).toEqual([]);
    const nobody = curesOf(
      fine.day,
      [],
      fine.sheet,
      { cameraId: 'nobody', what: 'card', atMs: 0, partId: 'x' },
      memo,
    );
    expect(nobody).toEqual([]);
  });

  it('never asks a pinned shot to give its pin up', () => {
    const held = workedOut(
      planned(
        [{ id: 'held', at: '08:00', more: { ...hours(3), pins: { frameRate: 60, bitRateMbps: 100 } } }],
        [{ cards: [{ name: 'Card 64 GB', capacityGb: 64, writeMBps: 60 }] }],
      ),
    );
    for (const cure of curesFor(held)) {
      expect(['bitRate', 'codec', 'frameRate']).not.toContain(cure.how);
      const [shot] = taken(held, cure).shots.values();
      expect(shot!.shot.pins).toMatchObject({ frameRate: 60, bitRateMbps: 100 });
    }
  });

  it('uses a break that is there before it makes a stop, and the spare at hand before one more', () => {
    const cards = [1, 2].map(() => ({ name: 'Card 64 GB', capacityGb: 64, writeMBps: 60 }));
    const pins = { bitRateMbps: 100 };
    const spareOf = (others: readonly object[], own = cards.slice(0, 1)): Cure | undefined =>
      curesFor(
        workedOut(
          planned(
            [
              { id: 'a', at: '08:00', more: { ...hours(1), pins } },
              { id: 'b', at: '09:30', more: { ...hours(1), pins } },
            ],
            [{ cards: own, cells: { ampereHours: 1.72, volts: 3.85, count: 9 } }],
            others,
          ),
        ),
      ).find(({ how, what }) => how === 'spareCard' && what === 'card');
    const rest = [{ what: 'break', id: 'r', name: 'Rest', at: '09:05', minutes: 20 }];
    expect(spareOf(rest)).toMatchObject({ capacityGb: 64, stop: null });
    const way = [{ what: 'travel', id: 'r', name: 'Way', at: '09:00', minutes: 30 }];
    expect(spareOf(way)).toMatchObject({ stop: { entryId: 'e-b' } });
    // Two cards at hand: no third is bought, the stop alone is made.
    const two = spareOf(way, cards);
    expect(two?.changes.flatMap((one) => ('gear' in one ? [one.gear.cards.length] : []))).toEqual([2]);
  });

  it('tells the gentlest first: leaner bits before fewer frames, and both before a stop to cool', () => {
    const order = [
      'codec',
      'bitRate',
      'card',
      'charge',
      'spareCard',
      'spareCell',
      'frameRate',
      'resolution',
      'stops',
    ];
    const cheap = curesFor(short).filter((cure) => cure.addedLoss === 0 && !('stop' in cure && cure.stop));
    const ranks = cheap.filter(({ what }) => what === 'card').map(({ how }) => order.indexOf(how));
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
    for (const cure of curesFor(short)) expect(cure.addedLoss).toBeGreaterThanOrEqual(0);
  });

  it('keeps to the film: no rate below its timeline, no size below what is delivered', () => {
    const slow = workedOut(
      planned(
        [
          {
            id: 'slow',
            at: '08:00',
            more: {
              ...hours(4),
              playback: { timelineFps: 50, deliver: { width: 3840, height: 2160 } },
              pins: { resolution: { width: 3840, height: 2160 } },
            },
          },
        ],
        [{ cards: [{ name: 'Card 64 GB', capacityGb: 64, writeMBps: 60 }] }],
      ),
    );
    for (const cure of curesFor(slow)) {
      if (cure.how === 'frameRate') expect(cure.fps).toBeGreaterThanOrEqual(49);
      expect(cure.how).not.toBe('resolution');
    }
  });

  it('cools a camera by the shortest stops that work', () => {
    const hot = planned(
      [
        {
          id: 'hot',
          at: '13:00',
          more: {
            ...hours(0.75),
            motion: { travelMps: 0 },
            pins: { frameRate: 60, resolution: { width: 3840, height: 2160 } },
          },
        },
      ],
      [],
    );
    const warm = {
      ...hot,
      outing: OutingSchema.parse({
        ...hot.outing,
        days: [{ ...hot.outing.days[0]!, air: { lowC: 36, highC: 36 } }],
      }),
    };
    const worked = workedOut(warm);
    const cure = curesFor(worked).find(({ how }) => how === 'stops');
    expect(cure).toBeDefined();
    if (cure?.how !== 'stops') return;
    const entry = taken(worked, cure).outing.days[0]!.entries[0]!;
    expect(entry.what === 'shot' && entry.pauses).toEqual(cure.stops);
    const lengths = new Set(cure.stops.map(({ minutes }) => minutes));
    expect(lengths.size).toBe(1);
    const after = [...cure.stops].map(({ afterMinutes }) => afterMinutes);
    expect(after).toEqual([...after].sort((a, b) => a - b));
    expect(Math.max(...after)).toBeLessThan(45);
  });
});

describe('pauses put into a recording', () => {
  const part = (spans: readonly [number, number][]): DayPart => ({
    ...workedOut(planned([{ id: 'a', at: '08:00', more: hours(1) }])).day.parts[0]!,
    stretches: spans.map(([from, to]) => ({ fromMs: from * MINUTE, toMs: to * MINUTE })),
  });
  const spansOf = ({ stretches }: DayPart): number[][] =>
    stretches.map(({ fromMs, toMs }) => [fromMs / MINUTE, toMs / MINUTE]);

  it('stand after the minutes recorded, pauses before them not counted', () => {
    const paused = stopped(part([[0, 60]]), [
      { afterMinutes: 40, minutes: 10 },
      { afterMinutes: 15, minutes: 5 },
    ]);
    expect(spansOf(paused)).toEqual([
      [0, 15],
      [20, 45],
      [55, 75],
    ]);
    expect(paused.toMs).toBe(75 * MINUTE);
  });

  it('join the pauses that are there', () => {
    const cut = part([
      [0, 20],
      [30, 60],
    ]);
    expect(spansOf(stopped(cut, [{ afterMinutes: 20, minutes: 5 }]))).toEqual([
      [0, 20],
      [35, 65],
    ]);
    expect(spansOf(stopped(cut, [{ afterMinutes: 30, minutes: 5 }]))).toEqual([
      [0, 20],
      [30, 40],
      [45, 65],
    ]);
    expect(spansOf(stopped(cut, [{ afterMinutes: 500, minutes: 5 }]))).toEqual(spansOf(cut));
  });

  it('record as long as before', () => {
    const pause = fc.record({
      afterMinutes: fc.integer({ min: 1, max: 80 }),
      minutes: fc.integer({ min: 1, max: 20 }),
    });
    fc.assert(
      fc.property(fc.array(pause, { maxLength: 5 }), (pauses) => {
        const after = spansOf(
          stopped(
            part([
              [0, 25],
              [40, 75],
            ]),
            pauses,
          ),
        );
        expect(after.reduce((sum, [from, to]) => sum + to! - from!, 0)).toBeCloseTo(60, 6);
        for (const [at, span] of after.entries())
          if (at > 0) expect(span[0]).toBeGreaterThanOrEqual(after[at - 1]![1]!);
      }),
      sampling(80, 41),
    );
  });
});

describe('taking a cure', () => {
  const worked = workedOut(
    planned([
      {
        id: 'two',
        at: '08:00',
        more: {
          ...hours(0.2),
          pins: { frameRate: 30 },
          secondAngles: [{ name: 'Bow', camera: { archetype: 'mini' }, pins: { colour: 'log' } }],
        },
      },
    ]),
  );
  const { day, outing, shots } = worked;

  it('pins the right camera of a shot, beside what is pinned there', () => {
    const changes = pinsTaken(day.parts, [
      { partId: 'e-two/0', pins: { codec: 'hevc' } },
      { partId: 'e-two/1', pins: { frameRate: 25 } },
      { partId: 'nobody', pins: { frameRate: 24 } },
    ]);
    expect([...changes.keys()]).toEqual(['two']);
    const after = changes.get('two')!(shots.get('two')!.shot);
    expect(after.pins).toEqual({ frameRate: 30, codec: 'hevc' });
    expect(after.secondAngles?.[0]).toMatchObject({ name: 'Bow', pins: { colour: 'log', frameRate: 25 } });
    expect(shots.get('two')!.shot.pins).toEqual({ frameRate: 30 });
  });

  it('replaces one camera’s gear and keeps the others’', () => {
    const gear = (cameraId: string, capacityGb: number): Gear => ({
      cameraId,
      charging: 'none',
      cards: [{ name: 'Card', capacityGb, writeMBps: 30 }],
    });
    const both = outingFedSo(outingFedSo(outing, gear('main', 64)), gear('mini', 32));
    const changed = outingFedSo(both, gear('main', 256));
    expect(changed.gear).toHaveLength(2);
    expect(changed.gear.find(({ cameraId }) => cameraId === 'main')!.cards[0]!.capacityGb).toBe(256);
    expect(changed.gear.find(({ cameraId }) => cameraId === 'mini')!.cards[0]!.capacityGb).toBe(32);
  });

  it('adds a stop to the entry it names on its day, and touches no other', () => {
    const changes = [{ what: 'stop', entryId: 'e-two', afterMinutes: 5, minutes: 3 } as const];
    const twice = { ...outing, days: [...outing.days, { ...outing.days[0]!, id: 'other' }] };
    const { outing: after, shots: kept } = withChanges(twice, shots, day.parts, changes);
    const pausesOn = (at: number): unknown => {
      const entry = after.days[at]!.entries[0]!;
      return entry.what === 'shot' && entry.pauses;
    };
    expect(pausesOn(0)).toEqual([{ afterMinutes: 5, minutes: 3 }]);
    expect(pausesOn(1)).toEqual([]);
    for (const [id, one] of kept) expect(one.shot).toBe(shots.get(id)?.shot);
  });
});

describe('any camera that runs short', () => {
  it('is told only cures that work, whatever it is', () => {
    const anyShort = fc.record({
      archetype: fc.constantFrom(...(Object.keys(ARCHETYPES) as (keyof typeof ARCHETYPES)[])),
      length: fc.integer({ min: 1, max: 6 }),
      gb: fc.constantFrom(16, 32, 64),
      travelMps: fc.constantFrom(0, 6),
    });
    fc.assert(
      fc.property(anyShort, ({ archetype, length, gb, travelMps }) => {
        const worked = workedOut(
          planned([
            {
              id: 'x',
              at: '08:00',
              more: {
                camera: { archetype },
                motion: { travelMps },
                limits: { recordSeconds: length * 3600, cardGb: gb },
              },
            },
          ]),
        );
        for (const cure of curesFor(worked)) {
          const budget = taken(worked, cure).sheet.cameras[0]!.budget;
          const outs = outsOf(budget).map(({ what }) => what);
          expect(outs, `${archetype} ${cure.what} ${cure.how}`).not.toContain(cure.what);
        }
      }),
      sampling(12, 42),
    );
  });
});
