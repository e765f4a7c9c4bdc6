import { describe, expect, it } from 'vitest';
import { LAMP_COLOUR, LAMP_KINDS } from '../vocabulary/lamps';
import type { Light, SunLight } from './lightSchema';
import { colourOfLight, miredOf } from './kelvin';
import type { LightColour } from './kelvin';
import { lightRangeOf } from './lightRange';

const EUROPE = { lamps: 'byLight', mainsHz: 50, screenHz: 60 } as const;

function colour(light: Light, limits = {}, kind: 'helmet' | 'tripod' = 'helmet'): LightColour {
  const run = { limits: { ...EUROPE, ...limits }, mount: { kind } };
  return colourOfLight(light, lightRangeOf(light, run), run);
}

const sun = (clock: string, more: Partial<SunLight> = {}): SunLight => ({
  kind: 'sun',
  lat: 46.62,
  lon: 12.3,
  from: `2026-10-03T${clock}:00+02:00`,
  to: `2026-10-03T${clock}:00+02:00`,
  ...more,
});
const range = (evMin: number, evMax = evMin): Light => ({ kind: 'range', evMin, evMax });

describe('colour of the light', () => {
  it('is cool in shade and under cloud, and a low sun keeps its own', () => {
    const noon = colour(sun('13:00', { shade: ['open'] }));
    expect(noon).toMatchObject({ from: 'sky' });
    expect(noon.lockK).toBeGreaterThan(5200);
    expect(noon.lockK).toBeLessThan(5800);
    expect(colour(sun('13:00', { shade: ['gorge'] })).lockK).toBeGreaterThan(noon.lockK + 500);
    expect(colour(sun('13:00', { sky: 'cloud', shade: ['open'] })).lockK).toBe(6500);
    const clouds = [{ at: '2026-10-03T12:00:00+02:00', cloudPct: 95, spreadPct: 0, by: 'forecast' as const }];
    expect(colour(sun('12:30', { clouds, shade: ['open'] })).lockK).toBe(6500);
    const evening = colour(sun('18:20', { shade: ['open'] }));
    expect(evening).toMatchObject({ from: 'lowSun' });
    expect(evening.warmK).toBeLessThan(4200);
    expect(evening.lockK).toBeGreaterThanOrEqual(5000);
    expect(evening.lockK).toBeLessThanOrEqual(5600);
  });

  it('is that of the lamps named, whatever else tells the light', () => {
    for (const lamps of LAMP_KINDS)
      if (lamps !== 'none' && lamps !== 'unknown')
        for (const light of [range(6, 8), { kind: 'scene', from: 'sportsHall', to: 'sportsHall' } as const]) {
          const { lockK, from } = colour({ ...light, lamps });
          expect(from).toBe('lamps');
          expect(Math.abs(lockK - LAMP_COLOUR[lamps].kelvin)).toBeLessThanOrEqual(50);
        }
  });

  it('is never that of lamps where none are told, however dark it is', () => {
    for (let ev = 1; ev <= 12; ev += 0.5) {
      const { from, warmK } = colour(range(ev));
      expect(from).toBe('sky');
      expect(warmK).toBeGreaterThan(6000);
    }
  });

  it('of lamps that nobody named is a guess, by room and by light', () => {
    const hall = colour({ kind: 'scene', from: 'sportsHall', to: 'sportsHall' });
    const room = colour({ kind: 'scene', from: 'litRoom', to: 'litRoom' });
    expect(hall).toMatchObject({ from: 'unknownLamps', lockK: 4000 });
    expect(room.lockK).toBeLessThan(3200);
    expect(hall.offMired).toBeGreaterThan(30);
    expect(colour(range(8), { lamps: 'mains' })).toMatchObject({ from: 'unknownLamps' });
    expect(colour(range(8), { lamps: 'screen' })).toMatchObject({ from: 'screen', lockK: 6500 });
    expect(colour({ kind: 'scene', from: 'litRoom', to: 'openSun' }).from).toBe('mixed');
  });

  it('of lamps by day is theirs only as far as they light anything', () => {
    const sodium = (evMin: number, evMax = evMin): LightColour =>
      colour({ ...range(evMin, evMax), lamps: 'sodium' });
    expect(sodium(6, 9)).toMatchObject({ from: 'lamps', lockK: 2100 });
    expect(sodium(14, 15)).toEqual(colour(range(14, 15)));
    const tunnel = sodium(6, 14);
    expect(tunnel).toMatchObject({ from: 'mixed', warmK: 2100 });
    expect(tunnel.coolK).toBe(colour(range(6, 14)).coolK);
  });

  it('is locked half-way in mired between the ends of the run', () => {
    const { lockK, warmK, coolK } = colour(range(10, 15));
    // A camera's white balance goes in hundreds.
    expect(Math.abs(miredOf(lockK) - (miredOf(warmK) + miredOf(coolK)) / 2)).toBeLessThan(1.5);
    expect(coolK).toBeGreaterThan(warmK);
  });

  it('lets an automatic wander least where nothing changes', () => {
    expect(colour(range(12), {}, 'tripod').wanderMired).toBeLessThan(colour(range(12)).wanderMired);
    expect(colour(range(12, 15), {}, 'tripod').wanderMired).toBe(colour(range(12)).wanderMired);
  });
});
