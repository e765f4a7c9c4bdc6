import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { outingOf, recordOf } from '../../../bench/madeDay';
import { ARCHETYPES } from '../camera/archetypes';
import { briefOf } from '../brief/brief';
import { EntrySchema } from '../records/outing';
import { ShotSchema } from '../records/shot';
import type { Shot, ShotInput } from '../records/shot';
import type { ShotRecord } from '../records/shotRecord';
import {
  airSpeedMps,
  camerasOf,
  entrySeconds,
  partsOfCamera,
  scheduleOf,
  shiftedIso,
  shiftedTo,
} from './schedule';
import type { Schedule } from './schedule';
import { sampling } from '../../../testing/samples';

const MINUTE = 60_000;
/** Two hours east of Greenwich, the whole day. */
const clock = (date: string, time: string): number => Date.parse(`${date}T${time}:00+02:00`);
const at = (time: string): number => clock('2026-07-01', time);

const shotOf = (more: Partial<ShotInput> = {}): Shot =>
  ShotSchema.parse({ kind: 'lynxeye/shot', version: 3, name: 'Ride', ...more });

const ridden = (id: string, more: Partial<ShotInput> = {}): ShotRecord =>
  recordOf(id, { name: 'Ride', ...more });

const scheduled = (entries: readonly object[], ...records: ShotRecord[]): Schedule =>
  scheduleOf(outingOf(entries), 'd', new Map(records.map((record) => [record.id, record])), clock);

const filmed = (id: string, shotId: string, time: string, more: object = {}): object => ({
  what: 'shot',
  id,
  shotId,
  at: time,
  ...more,
});

describe('a day by the clock', () => {
  it('places shots, breaks and ways in time, whatever order they are kept in', () => {
    const day = scheduled(
      [
        filmed('late', 's', '15:00'),
        { what: 'travel', id: 't', name: 'Up', at: '09:00', minutes: 45 },
        filmed('early', 's', '10:00'),
        { what: 'break', id: 'b', name: 'Hut', at: '12:00', minutes: 30, outOfReach: ['mini'] },
      ],
      ridden('s', { limits: { recordSeconds: 90 } }),
    );
    expect(day.parts.map(({ id, fromMs, toMs }) => [id, fromMs, toMs])).toEqual([
      ['early/0', at('10:00'), at('10:00') + 90_000],
      ['late/0', at('15:00'), at('15:00') + 90_000],
    ]);
    expect(day.pauses).toEqual([
      { id: 't', kind: 'travel', name: 'Up', fromMs: at('09:00'), toMs: at('09:45'), outOfReach: [] },
      { id: 'b', kind: 'break', name: 'Hut', fromMs: at('12:00'), toMs: at('12:30'), outOfReach: ['mini'] },
    ]);
    expect([day.fromMs, day.toMs]).toEqual([at('00:00'), at('00:00') + 86_400_000]);
  });

  it('tells the entries whose shot is gone, and works out the rest', () => {
    const day = scheduled([filmed('gone', 'nobody', '09:00'), filmed('here', 's', '10:00')], ridden('s'));
    expect(day.missing).toEqual(['gone']);
    expect(day.parts.map(({ entryId }) => entryId)).toEqual(['here']);
  });

  it('falls back to the first day for a day that is not there', () => {
    const outing = outingOf([filmed('e', 's', '10:00')]);
    const shots = new Map([['s', ridden('s')]]);
    expect(scheduleOf(outing, 'nowhere', shots, clock)).toEqual(scheduleOf(outing, 'd', shots, clock));
  });

  it('runs second cameras with the first, and a second half after it', () => {
    const [first, second] = scheduled(
      [filmed('e', 's', '10:00')],
      ridden('s', {
        limits: { recordSeconds: 60 },
        secondAngles: [{ name: 'Bow', camera: { archetype: 'mini' }, mount: { kind: 'tripod' } }],
      }),
    ).parts;
    expect(second).toMatchObject({ id: 'e/1', fromMs: first!.fromMs, toMs: first!.toMs });
    expect(second!.title).toEqual({ shot: 'Ride', part: { is: 'angle', number: 2, name: 'Bow' } });
    expect(second!.camera.id).toBe('mini');

    const halves = scheduled(
      [filmed('e', 's', '10:00')],
      ridden('s', {
        limits: { recordSeconds: 60 },
        pair: { kind: 'whip', second: { mount: { kind: 'chest' } } },
      }),
    ).parts;
    expect(halves.map(({ title }) => title.part?.is)).toEqual(['firstHalf', 'secondHalf']);
    expect(halves[1]!.fromMs).toBe(halves[0]!.toMs);
    expect(halves[1]!.brief.mount.kind).toBe('chest');
  });

  it('lists cameras as they first film, and each one’s parts in time', () => {
    const day = scheduled(
      [filmed('a', 'mini', '12:00'), filmed('b', 'main', '09:00'), filmed('c', 'mini', '08:00')],
      ridden('main', { camera: { archetype: 'main' } }),
      ridden('mini', { camera: { archetype: 'mini' } }),
    );
    expect(camerasOf(day.parts).map(({ id }) => id)).toEqual(['mini', 'main']);
    expect(partsOfCamera([...day.parts].reverse(), 'mini').map(({ entryId }) => entryId)).toEqual(['c', 'a']);
    expect(partsOfCamera(day.parts, 'nobody')).toEqual([]);
  });
});

describe('pauses within a recording', () => {
  const spansOf = (
    pauses: readonly { afterMinutes: number; minutes: number }[],
    seconds = 3600,
  ): number[][] =>
    scheduled(
      [filmed('e', 's', '10:00', { pauses })],
      ridden('s', { limits: { recordSeconds: seconds } }),
    ).parts[0]!.stretches.map(({ fromMs, toMs }) =>
      [fromMs, toMs].map((instant) => (instant - at('10:00')) / MINUTE),
    );

  it('cut it by the time recorded, and push the rest back', () => {
    expect(spansOf([])).toEqual([[0, 60]]);
    expect(spansOf([{ afterMinutes: 20, minutes: 5 }])).toEqual([
      [0, 20],
      [25, 65],
    ]);
    expect(
      spansOf([
        { afterMinutes: 40, minutes: 10 },
        { afterMinutes: 20, minutes: 5 },
      ]),
    ).toEqual([
      [0, 20],
      [25, 45],
      [55, 75],
    ]);
  });

  it('do nothing after the end, and two at one place are one', () => {
    expect(spansOf([{ afterMinutes: 60, minutes: 5 }])).toEqual([[0, 60]]);
    expect(
      spansOf([
        { afterMinutes: 20, minutes: 5 },
        { afterMinutes: 20, minutes: 9 },
      ]),
    ).toEqual([
      [0, 20],
      [25, 65],
    ]);
  });

  it('never change how long is recorded, and always count in what the entry takes', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            afterMinutes: fc.integer({ min: 1, max: 90 }),
            minutes: fc.integer({ min: 1, max: 30 }),
          }),
          { maxLength: 6 },
        ),
        fc.integer({ min: 60, max: 5400 }),
        (pauses, seconds) => {
          const spans = spansOf(pauses, seconds);
          const recorded = spans.reduce((sum, [from, to]) => sum + to! - from!, 0);
          expect(recorded).toBeCloseTo(seconds / 60, 6);
          for (const [index, span] of spans.entries())
            if (index > 0) expect(span[0]).toBeGreaterThan(spans[index - 1]![1]!);
          const entry = EntrySchema.parse(filmed('e', 's', '10:00', { pauses }));
          const shot = shotOf({ limits: { recordSeconds: seconds } });
          expect(entry.what === 'shot' && entrySeconds(entry, shot) / 60).toBeCloseTo(spans.at(-1)![1]!, 6);
        },
      ),
      sampling(100, 31),
    );
  });

  it('count for both halves of a pair', () => {
    const entry = EntrySchema.parse(filmed('e', 's', '10:00'));
    const pair = shotOf({ limits: { recordSeconds: 30 }, pair: { kind: 'cover', second: {} } });
    expect(entry.what === 'shot' && entrySeconds(entry, pair)).toBe(60);
  });
});

describe('light that goes with the shot', () => {
  const sun = {
    kind: 'sun' as const,
    lat: 47,
    lon: 13,
    from: '2026-10-03T10:10:00+02:00',
    to: '2026-10-03T10:40:00+02:00',
    sky: 'clear' as const,
    shade: ['open' as const],
  };

  it('moves the sun’s times to where the day has the shot, and keeps their length', () => {
    const moved = shiftedTo(shotOf({ light: sun }), Date.parse('2026-10-04T15:00:00+02:00'));
    expect(moved.light).toMatchObject({ from: '2026-10-04T15:00:00+02:00', to: '2026-10-04T15:30:00+02:00' });
  });

  it('leaves other light, and a shot at its own time, the same object', () => {
    const plain = shotOf({ light: { kind: 'range', evMin: 9, evMax: 12 } });
    expect(shiftedTo(plain, 0)).toBe(plain);
    const lit = shotOf({ light: sun });
    expect(shiftedTo(lit, Date.parse(sun.from))).toBe(lit);
  });

  it('lights each half of a pair at its own time', () => {
    const [first, second] = scheduled(
      [filmed('e', 's', '12:00')],
      ridden('s', { light: sun, limits: { recordSeconds: 600 }, pair: { kind: 'cover', second: {} } }),
    ).parts;
    expect(first!.shot.light).toMatchObject({ from: '2026-07-01T12:00:00+02:00' });
    expect(second!.shot.light).toMatchObject({ from: '2026-07-01T12:10:00+02:00' });
  });

  it('writes an instant at the offset it had, over midnight and west of Greenwich', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 2_000_000 }),
        fc.integer({ min: -14 * 4, max: 14 * 4 }),
        fc.integer({ min: -100_000, max: 100_000 }),
        (minute, quarters, byMinutes) => {
          const sign = quarters < 0 ? '-' : '+';
          const two = (value: number): string => String(value).padStart(2, '0');
          const offset = `${sign}${two(Math.floor(Math.abs(quarters) / 4))}:${two((Math.abs(quarters) % 4) * 15)}`;
          const there = new Date(Date.UTC(2026, 0, 1) + minute * MINUTE).toISOString().slice(0, 19);
          const moved = shiftedIso(`${there}${offset}`, byMinutes * MINUTE);
          expect(moved.endsWith(offset)).toBe(true);
          expect(Date.parse(moved)).toBe(Date.parse(`${there}${offset}`) + byMinutes * MINUTE);
        },
      ),
      sampling(200, 32),
    );
  });
});

describe('the air past a camera', () => {
  const speedOn = (mount: ShotInput['mount']): number =>
    airSpeedMps(briefOf(shotOf({ mount, motion: { travelMps: 9 } })).brief);

  it('goes with the ride, and stands on a stand and behind glass', () => {
    expect(speedOn({ kind: 'helmet' })).toBe(9);
    expect(speedOn({ kind: 'vehicleInside' })).toBe(0);
    expect(speedOn({ kind: 'tripod' })).toBe(0);
  });

  it('is that of the camera’s own profile in every archetype', () => {
    for (const archetype of Object.keys(ARCHETYPES) as (keyof typeof ARCHETYPES)[])
      expect(
        airSpeedMps(briefOf(shotOf({ camera: { archetype }, motion: { travelMps: 3 } })).brief),
        archetype,
      ).toBe(3);
  });
});
