import { describe, expect, it } from 'vitest';
import { solve } from '../answer/solve';
import type { Solution } from '../answer/solve';
import { briefOf } from '../brief/brief';
import { emptyShot } from '../records/emptyShot';
import { readShot } from '../records/shot';
import type { ShotInput } from '../records/shot';
import { workingsOf } from '../search/workings';
import { WATERS } from '../vocabulary/waters';
import { evRangeOf } from './lightRange';
import type { UnderwaterLight } from './lightSchema';
import { colourLeft, depthStops, MIRED_PER_M, viewBehindPortDeg } from './underwater';

const water = (more: Partial<UnderwaterLight> = {}): UnderwaterLight => ({
  kind: 'underwater',
  depthM: 5,
  water: 'coast',
  surface: { kind: 'range', evMin: 14, evMax: 15 },
  distanceM: 1,
  ...more,
});

function shotWith(more: Partial<ShotInput>) {
  const read = readShot({ ...emptyShot('Reef'), ...more });
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  return read.value;
}
const briefed = (more: Partial<ShotInput>) => briefOf(shotWith(more)).brief;
function solved(more: Partial<ShotInput>): Solution {
  const outcome = solve(briefed(more));
  if (!outcome.solved) throw new Error('no answer');
  return outcome.solution;
}

describe('light under water', () => {
  it('is 0.95 of what falls on it, less e^−Kz: stops, by hand', () => {
    // A coast of 0.2 a metre at five metres: 0.95 · e⁻¹ = 0.3495, one and a half stops.
    expect(depthStops(5, 'coast')).toBeCloseTo(1.517, 3);
    expect(depthStops(10, 'sea')).toBeCloseTo(0.9396, 3);
    expect(depthStops(3, 'lake')).toBeCloseTo(2.238, 3);
    expect(depthStops(2, 'river')).toBeCloseTo(2.959, 3);
    expect(depthStops(0, 'sea')).toBeCloseTo(0.074, 3);
  });

  it('moves both ends of the surface’s light down alike', () => {
    const { evMin, evMax } = evRangeOf(water());
    expect(evMin).toBeCloseTo(14 - 1.517, 3);
    expect(evMax).toBeCloseTo(15 - 1.517, 3);
    for (const kind of WATERS) expect(depthStops(4, kind)).toBeGreaterThan(depthStops(3, kind));
  });

  it('is known the less the deeper it is', () => {
    const spread = (depthM: number): number =>
      workingsOf(briefed({ light: water({ depthM }) })).light.spreadStops;
    expect(spread(10)).toBeGreaterThan(spread(2));
  });
});

describe('colour under water', () => {
  it('loses its red first, by Pope & Fry', () => {
    expect(colourLeft(650, 5)).toBeCloseTo(Math.exp(-1.7), 9);
    expect(colourLeft(440, 5)).toBeCloseTo(0.9704, 3);
    expect(colourLeft(700, 5)).toBeLessThan(colourLeft(600, 5));
  });

  it('grows bluer by some thirty mired a metre, so that no lock reaches it past three to five', () => {
    // Wien: 0.334 a metre ÷ (0.014388 · (1/440 nm − 1/650 nm)) = 31.6 mired.
    expect(MIRED_PER_M).toBeCloseTo(31.6, 1);
    const lockAt = (depthM: number): number =>
      workingsOf(
        briefed({
          light: water({
            depthM,
            distanceM: 0.5,
            surface: { kind: 'scene', from: 'openSun', to: 'openSun' },
          }),
        }),
      ).lightColour.lockK;
    expect(lockAt(0.5)).toBeGreaterThan(5500);
    expect(lockAt(2)).toBeLessThan(15_000);
    expect(lockAt(5)).toBe(15_000);
  });

  it('is told where no white balance brings it back, and what does', () => {
    const cast = (more: Partial<UnderwaterLight>) =>
      solved({ light: water(more) }).warnings.find(({ code }) => code === 'colourCast');
    expect(cast({ depthM: 8 })).toMatchObject({ severity: 'caution', beyondLock: true, lamp: false });
    expect(cast({ depthM: 0.3, distanceM: 0.3 })).toBeUndefined();
    expect(cast({ depthM: 15, distanceM: 0.4, lamps: 'daylightLed' })).toBeUndefined();
  });

  it('is locked at depth', () => {
    const { settings } = solved({ light: water({ depthM: 2 }) });
    expect(settings.whiteBalance).toBeGreaterThan(7000);
  });
});

describe('a camera under water', () => {
  it('sees what sin(H/2) ÷ 1.333 leaves behind a flat port', () => {
    // 90°: sin 45° ÷ 1.333 = 0.5305, 32.04° to either side.
    expect(viewBehindPortDeg(90)).toBeCloseTo(64.08, 1);
    expect(viewBehindPortDeg(180)).toBeCloseTo(97.2, 1);
    const dry = solved({ light: water().surface, pins: { view: { id: 'wide' }, stabilization: 'off' } });
    const wet = solved({ light: water(), pins: { view: { id: 'wide' }, stabilization: 'off' } });
    const angle = (deg: number): number => Math.sin((deg * Math.PI) / 360);
    expect(angle(wet.settings.view.horizontalDeg)).toBeCloseTo(
      angle(dry.settings.view.horizontalDeg) / 1.333,
      3,
    );
  });

  it('is stopped below its seal, and cautioned where a jump would pass it', () => {
    const { camera } = briefed({});
    const at = (depthM: number) =>
      solved({ light: water({ depthM }) }).warnings.find(({ code }) => code === 'depth')?.severity;
    expect(at(camera.sealedToM + 1)).toBe('stop');
    expect(at(camera.sealedToM - 1)).toBe('caution');
    expect(at(Math.max(0, camera.sealedToM - 4))).toBeUndefined();
    expect(solved({ light: water().surface }).warnings.some(({ code }) => code === 'depth')).toBe(false);
  });

  it('wears nothing that opens its seal', () => {
    const filters: ShotInput['filters'] = [{ id: 'nd16', kind: 'nd', stops: 4, opensSeal: true }];
    const sunny = water({ depthM: 0.2, water: 'sea' });
    expect(solved({ light: sunny, filters, pins: { shutterSeconds: 1 / 50 } }).settings.filter.ids).toEqual(
      [],
    );
  });

  it('has no wet light inside another, and no water without its surface', () => {
    const faulty = (light: unknown): string[] => {
      const read = readShot({ ...emptyShot('Reef'), light });
      return read.ok ? [] : read.faults.map(({ path }) => path);
    };
    expect(faulty({ ...water(), surface: water() })).toEqual(['light.surface.kind']);
    expect(faulty({ ...water(), depthM: -1 })).toEqual(['light.depthM']);
    expect(faulty({ ...water(), water: 'soup' })).toEqual(['light.water']);
    expect(faulty({ kind: 'underwater', depthM: 1, water: 'sea' })[0]).toMatch(/^light\.surface/);
  });
});
