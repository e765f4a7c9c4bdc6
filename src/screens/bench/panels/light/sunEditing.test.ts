import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { daySpansOf } from '@/core/light/sun/day';
import { horizonAltitudeDeg } from '@/core/light/sun/horizon';
import type { SunLight } from '@/core/light/sun/sunLight';
import { emptyShot } from '@/core/records/emptyShot';
import { readShot } from '@/core/records/shot';
import type { Shot } from '@/core/records/shot';
import { dayAt } from '@/formats/clock';
import { clockText } from '@/words/lightText';
import { atPlace } from '@/formats/placed';
import {
  changingSun,
  gorgeBetween,
  HORIZONS,
  inZone,
  onDay,
  ordered,
  shiftedBy,
  startingAt,
  withCorner,
  withEnd,
  withMoreCorners,
} from './sunEditing';

const LIGHT: SunLight = {
  kind: 'sun',
  lat: 46.62,
  lon: 12.3,
  from: '2026-10-03T12:40:00+02:00',
  to: '2026-10-03T13:10:00+02:00',
  zone: 'Europe/Rome',
  place: 'Tarnholt Gorge',
  country: 'IT',
  horizon: HORIZONS.valley,
  clouds: [{ at: '2026-10-03T12:00:00+02:00', cloudPct: 40, spreadPct: 10, by: 'person' }],
};
const at = (iso: string): number => Date.parse(iso);
const shot = (light: Shot['light']): Shot => ({ ...emptyShot('x'), ...(light ? { light } : {}) });

describe('moving a shot in time', () => {
  it('keeps its length and writes the offset of its clock', () => {
    const moved = startingAt(at('2026-10-25T00:30:00Z'))(LIGHT);
    expect(moved.from).toBe('2026-10-25T02:30:00+02:00');
    expect(moved.to).toBe('2026-10-25T02:00:00+01:00');
  });

  it('an end moved past the other takes it along', () => {
    expect(withEnd('from', at('2026-10-03T14:00:00+02:00'))(LIGHT).to).toBe('2026-10-03T14:30:00+02:00');
    expect(withEnd('from', at('2026-10-03T12:00:00+02:00'))(LIGHT).to).toBe(LIGHT.to);
    expect(withEnd('to', at('2026-10-03T12:00:00+02:00'))(LIGHT)).toMatchObject({
      from: '2026-10-03T12:00:00+02:00',
      to: '2026-10-03T12:00:00+02:00',
    });
  });

  it('by steps lands on them, adds up, and stays within the day', () => {
    const day = dayAt(at(LIGHT.from), 'Europe/Rome');
    const step = shiftedBy(6, 5 * 60_000, day);
    expect(step(step(LIGHT))).toMatchObject({
      from: '2026-10-03T13:40:00+02:00',
      to: '2026-10-03T14:10:00+02:00',
    });
    const odd = { ...LIGHT, from: '2026-10-03T12:42:00+02:00' };
    expect(shiftedBy(1, 5 * 60_000, day)(odd).from).toBe('2026-10-03T12:45:00+02:00');
    expect(shiftedBy(900, 5 * 60_000, day)(LIGHT).to).toBe('2026-10-04T00:00:00+02:00');
    expect(shiftedBy(-900, 5 * 60_000, day)(LIGHT).from).toBe('2026-10-03T00:00:00+02:00');
  });

  it('to another day keeps the clock and drops that day’s cloud; nonsense changes nothing', () => {
    const winter = onDay('2027-01-15')(LIGHT);
    expect(winter).toMatchObject({ from: '2027-01-15T12:40:00+01:00', to: '2027-01-15T13:10:00+01:00' });
    expect(winter.clouds).toBeUndefined();
    expect(onDay('2026-10-03')(LIGHT).clouds).toEqual(LIGHT.clouds);
    expect(onDay('not a day')(LIGHT)).toEqual(LIGHT);
  });

  it('to another zone moves no instant', () => {
    const there = inZone('Asia/Tokyo')(LIGHT);
    expect(at(there.from)).toBe(at(LIGHT.from));
    expect(there.from).toBe('2026-10-03T19:40:00+09:00');
  });

  it('leaves light told another way alone', () => {
    const range = shot({ kind: 'range', evMin: 9, evMax: 12 });
    expect(changingSun(startingAt(0))(range)).toBe(range);
    expect(atPlace({ lat: 0, lon: 0, name: null, country: null, zone: 'UTC' })(range)).toBe(range);
  });
});

describe('another place', () => {
  it('keeps the clock times, brings its mains, and leaves horizon, cloud and name behind', () => {
    const quito = atPlace({
      lat: -0.22,
      lon: -78.51,
      name: 'Quito',
      country: 'EC',
      zone: 'America/Guayaquil',
    });
    const there = quito(shot(LIGHT));
    expect(readShot(there)).toMatchObject({ ok: true });
    expect(there.light).toEqual({
      kind: 'sun',
      lat: -0.22,
      lon: -78.51,
      from: '2026-10-03T12:40:00-05:00',
      to: '2026-10-03T13:10:00-05:00',
      zone: 'America/Guayaquil',
      place: 'Quito',
      country: 'EC',
    });
    expect(there.limits).toEqual({ mainsHz: 60 });
    const sea = atPlace({ lat: -20, lon: -100, name: null, country: null, zone: 'Etc/GMT+7' })(shot(LIGHT));
    expect(sea.limits).toBeUndefined();
    expect(sea.light).not.toHaveProperty('place');
  });
});

describe('the horizon', () => {
  it('of a gorge lets the sun in between two clock times, and is refused when they are the wrong way round', () => {
    const horizon = gorgeBetween(LIGHT, '11:20', '14:40')!;
    const { reached } = daySpansOf(LIGHT, horizon, dayAt(at(LIGHT.from), 'Europe/Rome'));
    expect(
      reached!.map(({ fromMs, toMs }) => [clockText(fromMs, LIGHT.zone), clockText(toMs, LIGHT.zone)]),
    ).toEqual([['11:20', '14:40']]);
    expect(gorgeBetween(LIGHT, '14:40', '11:20')).toBeNull();
    expect(gorgeBetween(LIGHT, '', '11:20')).toBeNull();
  });

  it('keeps its corners in order however they are dragged, and always stays valid', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.nat(3), fc.integer({ min: -400, max: 800 }), fc.integer({ min: -90, max: 200 })),
          {
            maxLength: 20,
          },
        ),
        (drags) => {
          let horizon = ordered(HORIZONS.valley);
          for (const [corner, azimuth, altitude] of drags)
            horizon = withCorner(horizon, corner, azimuth, altitude);
          const azimuths = horizon.points.map(({ azimuthDeg }) => azimuthDeg);
          expect([...azimuths].sort((a, b) => a - b)).toEqual(azimuths);
          expect(readShot(shot({ ...LIGHT, horizon }))).toMatchObject({ ok: true });
        },
      ),
    );
  });

  it('takes one corner more without changing its shape', () => {
    const more = withMoreCorners(HORIZONS.trees);
    expect(more.points).toHaveLength(HORIZONS.trees.points.length + 1);
    for (let azimuth = 0; azimuth < 360; azimuth += 5)
      expect(
        Math.abs(horizonAltitudeDeg(more, azimuth) - horizonAltitudeDeg(HORIZONS.trees, azimuth)),
      ).toBeLessThan(1);
  });
});
