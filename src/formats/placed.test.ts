import { describe, expect, it } from 'vitest';
import { MADE_DATE, outingOf, recordOf } from '../../bench/madeDay';
import { OutingSchema } from '@/core/records/outing';
import { ShotSchema } from '@/core/records/shot';
import type { Shot } from '@/core/records/shot';
import { emptyShot } from '@/core/records/emptyShot';
import { dateAndTime } from './clock';
import { hourFromNoon, lightBySun, outingAt, outingOnClock, placeOfOuting } from './placed';

const QUITO = { lat: -0.22, lon: -78.51, name: 'Quito', country: 'EC', zone: 'America/Guayaquil' };
const ALPS = { lat: 46.62, lon: 12.3, name: 'Gorge', country: 'IT', zone: 'Europe/Rome' };
const sunAt = (place: typeof QUITO): Shot =>
  lightBySun(emptyShot('x'), place, hourFromNoon(MADE_DATE, place.zone));
const shown = ({ light }: Shot): unknown =>
  light?.kind === 'sun' ? [light.place, dateAndTime(Date.parse(light.from), light.zone!).time] : light?.kind;

describe('a light told by the sun', () => {
  it('begins at noon of its place, with the mains of its country', () => {
    const shot = ShotSchema.parse(sunAt(QUITO));
    expect(shown(shot)).toEqual(['Quito', '12:00']);
    expect(shot.limits).toEqual({ mainsHz: 60 });
    const sea = lightBySun(emptyShot('x'), { ...QUITO, name: null, country: null }, { fromMs: 0, toMs: 0 });
    expect(sea.limits).toBeUndefined();
    expect(sea.light).not.toHaveProperty('place');
  });
});

describe('the place of an outing', () => {
  const outing = outingOf([
    { what: 'shot', id: 'a', shotId: 'here', at: '09:30' },
    { what: 'shot', id: 'b', shotId: 'there', at: '11:00' },
    { what: 'shot', id: 'c', shotId: 'here', at: '15:00' },
    { what: 'shot', id: 'd', shotId: 'lamp', at: '20:00' },
  ]);

  it('brings its clock and mains, and the outing keeps its times on the clock', () => {
    const { outing: moved, shots } = outingAt(outing, QUITO);
    expect(OutingSchema.parse(moved)).toMatchObject({
      place: { lat: -0.22, lon: -78.51, name: 'Quito', country: 'EC' },
      zone: 'America/Guayaquil',
      mainsHz: 60,
    });
    // Told by the sun elsewhere: at its own place, but at the hour of the day by the outing's clock.
    expect(shown(shots.get('there')!(sunAt(ALPS)))).toEqual(['Gorge', '11:00']);
    expect(shown(shots.get('here')!(sunAt(ALPS)))).toEqual(['Gorge', '09:30']);
    const lamp = recordOf('lamp').shot;
    expect(shots.get('lamp')!(lamp)).toBe(lamp);
    expect(placeOfOuting(moved)).toMatchObject({ name: 'Quito', zone: 'America/Guayaquil' });
    expect(placeOfOuting(outing)).toBeNull();
  });

  it('takes along the shots that are at its old one, and no other', () => {
    const { outing: first } = outingAt(outing, ALPS);
    const { shots } = outingAt(first, QUITO);
    expect(shown(shots.get('here')!(sunAt(ALPS)))).toEqual(['Quito', '09:30']);
    const lake = { ...ALPS, lat: 59.4, name: 'Lake' };
    expect(shown(shots.get('there')!(sunAt(lake)))).toEqual(['Lake', '11:00']);
  });

  it('leaves mains as they are where no country is known', () => {
    const { outing: moved } = outingAt({ ...outing, mainsHz: 60 }, { ...ALPS, name: null, country: null });
    expect(moved).toMatchObject({ mainsHz: 60, place: { lat: 46.62, lon: 12.3 } });
    expect(moved.place).not.toHaveProperty('country');
  });

  it('told by another clock moves every sun to the same time on it', () => {
    const { outing: moved, shots } = outingOnClock(outing, 'Asia/Tokyo');
    expect(moved.zone).toBe('Asia/Tokyo');
    expect(shown(shots.get('there')!(sunAt(ALPS)))).toEqual(['Gorge', '11:00']);
  });
});
