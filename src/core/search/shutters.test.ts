import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { briefOf } from '../brief/brief';
import type { Brief } from '../brief/brief';
import { ARCHETYPES } from '../camera/archetypes';
import { flickerSafeShutters } from '../light/flicker';
import type { ShutterSetting } from '../loss/exposure';
import { emptyShot } from '../records/emptyShot';
import type { Pins } from '../records/settings';
import type { Shot } from '../records/shot';
import { allowedModes } from './allowedModes';
import type { Obstacle } from './obstacle';
import { shuttersFor } from './shutters';
import { workingsOf } from './workings';
import { sampling } from '../../../testing/samples';

const briefWith = (pins: Pins, more: Partial<Shot> = {}): Brief =>
  briefOf({ ...emptyShot('Ride'), light: { kind: 'range', evMin: 9, evMax: 13 }, ...more, pins }).brief;

function offeredTo(brief: Brief): Map<number, readonly ShutterSetting[]> | Obstacle {
  const allowed = allowedModes(brief);
  if ('code' in allowed) return allowed;
  return shuttersFor(brief, workingsOf(brief), allowed.modes);
}
function offered(brief: Brief): Map<number, readonly ShutterSetting[]> {
  const made = offeredTo(brief);
  if ('code' in made) throw new Error(made.code);
  return made;
}
const codeOf = (pins: Pins, more: Partial<Shot> = {}): string | null => {
  const made = offeredTo(briefWith(pins, more));
  return 'code' in made ? made.code : null;
};
const longest = ({ longestSeconds }: ShutterSetting): number => longestSeconds;
const isFixed = ({ longestSeconds, shortestSeconds }: ShutterSetting): boolean =>
  Math.abs(longestSeconds / shortestSeconds - 1) < 1e-9;

describe('the shutters that may be chosen', () => {
  it.each(Object.values(ARCHETYPES))('of $id lie between its shortest and the whole frame', (profile) => {
    const brief = briefWith({}, { camera: { profile } });
    for (const [fps, settings] of offered(brief)) {
      expect(settings.length).toBeGreaterThan(0);
      for (const one of settings) {
        expect(longest(one)).toBeLessThanOrEqual((1 / fps) * (1 + 1e-6));
        expect(one.shortestSeconds).toBeGreaterThanOrEqual(profile.shutter.shortestSeconds * (1 - 1e-6));
        expect(one.shortestSeconds).toBeLessThanOrEqual(longest(one) * (1 + 1e-9));
      }
    }
  });

  it('hold the exact 180° of the frames captured, and of those shown where fewer are', () => {
    const brief = briefWith({ frameRate: 50 }, { playback: { timelineFps: 25, slowdown: 1 } });
    const times = (offered(brief).get(50) ?? []).filter(isFixed).map(longest);
    for (const seconds of [1 / 100, 1 / 50])
      expect(times.some((one) => Math.abs(one / seconds - 1) < 1e-9)).toBe(true);
  });

  it('hold under lamps every time that flickers nowhere', () => {
    const brief = briefWith(
      { frameRate: 25 },
      { limits: { mainsHz: 50 }, light: { kind: 'scene', from: 'litRoom', to: 'litRoom' } },
    );
    const times = (offered(brief).get(25) ?? []).filter(isFixed).map(longest);
    const safe = flickerSafeShutters(100, 25).filter((one) => one <= 1 / 25 + 1e-12);
    expect(safe.length).toBeGreaterThan(1);
    for (const seconds of safe) expect(times.some((one) => Math.abs(one / seconds - 1) < 1e-6)).toBe(true);
  });

  it('are that very time where one is pinned, whatever the rate that can hold it', () => {
    fc.assert(
      fc.property(fc.double({ min: Math.log2(1 / 4000), max: Math.log2(1 / 30), noNaN: true }), (log) => {
        const shutterSeconds = 2 ** log;
        const all = [...offered(briefWith({ shutterSeconds }))].filter(([, settings]) => settings.length > 0);
        expect(all.length).toBeGreaterThan(0);
        for (const [fps, settings] of all) {
          expect(shutterSeconds).toBeLessThanOrEqual((1 / fps) * (1 + 1e-6));
          expect(settings).toHaveLength(1);
          expect(longest(settings[0]!)).toBeCloseTo(shutterSeconds, 9);
          expect(isFixed(settings[0]!)).toBe(true);
        }
      }),
      sampling(60),
    );
  });

  it('turn a pinned angle into its time at each rate', () => {
    for (const [fps, settings] of offered(briefWith({ shutterAngleDeg: 90 })))
      for (const one of settings) expect(longest(one)).toBeCloseTo(90 / 360 / fps, 9);
  });

  it('run where the automatic is pinned, down to the floor that the person sets', () => {
    const auto = [...offered(briefWith({ shutterMode: 'auto' })).values()].flat();
    expect(auto.every((one) => !isFixed(one))).toBe(true);
    const floored = [...offered(briefWith({ shutterFloorSeconds: 1 / 500 })).values()].flat();
    for (const one of floored) expect(one.shortestSeconds).toBeCloseTo(1 / 500, 9);
    expect(floored.every((one) => longest(one) > 1 / 500)).toBe(true);
  });

  it('say why there are none', () => {
    expect(codeOf({ shutterSeconds: 1 })).toBe('shutterLongerThanFrame');
    expect(codeOf({ shutterSeconds: 1 / 100_000 })).toBe('shutterTooShort');
    expect(codeOf({ shutterFloorSeconds: 1 / 100_000 })).toBe('shutterTooShort');
    expect(codeOf({ frameRate: 50, shutterSeconds: 1 / 100, shutterAngleDeg: 90 })).toBe('angleDisagrees');
    expect(codeOf({ frameRate: 50, shutterSeconds: 1 / 100, shutterAngleDeg: 180 })).toBeNull();
    expect(codeOf({ shutterSeconds: 1 / 500, shutterFloorSeconds: 1 / 200 })).toBe('shutterFloorAbove');
    const fixed = { ...ARCHETYPES.main, id: 'fixed', shutter: { ...ARCHETYPES.main.shutter, auto: false } };
    expect(codeOf({ shutterMode: 'auto' }, { camera: { profile: fixed } })).toBe('noAutoShutter');
    expect(codeOf({ shutterFloorSeconds: 1 / 500 }, { camera: { profile: fixed } })).toBe('noAutoShutter');
  });

  it('offer no automatic on a camera that has none', () => {
    const profile = { ...ARCHETYPES.main, id: 'fixed', shutter: { ...ARCHETYPES.main.shutter, auto: false } };
    const all = [...offered(briefWith({}, { camera: { profile } })).values()].flat();
    expect(all.length).toBeGreaterThan(10);
    expect(all.every(isFixed)).toBe(true);
  });
});
