import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { solve } from '../answer/solve';
import type { Solution } from '../answer/solve';
import { briefOf } from '../brief/brief';
import type { Brief } from '../brief/brief';
import { emptyShot } from '../records/emptyShot';
import { ShotSchema } from '../records/shot';
import type { ShotInput } from '../records/shot';
import { workingsOf } from '../search/workings';
import { SURROUNDINGS } from '../vocabulary/surroundings';
import { meterReads, skyShareOf } from './picture';

const briefed = (more: Partial<ShotInput>): Brief =>
  briefOf(ShotSchema.parse({ ...emptyShot('x'), ...more })).brief;
const solved = (more: Partial<ShotInput>): Solution => {
  const outcome = solve(briefed(more));
  if (!outcome.solved) throw new Error('no answer');
  return outcome.solution;
};
const auto = { shutterMode: 'auto' } as const;
const day = { kind: 'range', evMin: 12, evMax: 13.5 } as const;

describe('what a meter makes of what fills the frame', () => {
  it('is log2(ρ / 0.18), of which half comes back', () => {
    expect(meterReads('snow').fullStops).toBeCloseTo(2.152, 3);
    expect(meterReads('sand').fullStops).toBeCloseTo(1.152, 3);
    expect(meterReads('wood').fullStops).toBeCloseTo(-1.585, 3);
    expect(meterReads('stage').fullStops).toBeCloseTo(-2, 3);
  });

  it.each([
    ['snow', 0.7, 1],
    ['sand', 0.7, 1],
    ['wood', -1, -0.7],
    ['stage', -1, -0.7],
    ['grass', 0, 0],
    ['water', 0, 0],
  ] as const)('%s asks an automatic for an offset from %s to %s', (surroundings, from, to) => {
    for (const light of [day, { kind: 'range', evMin: 9, evMax: 12 } as const]) {
      const mount = { kind: 'chest' as const, pitchDeg: 40 };
      const { settings } = solved({ surroundings, light, mount, pins: auto });
      expect(settings.exposureOffsetStops).toBeGreaterThanOrEqual(from);
      expect(settings.exposureOffsetStops).toBeLessThanOrEqual(to);
    }
  });

  it('follows what fills the frame in every school, and not how bright the light is', () => {
    for (const school of ['weigh', 'crisp', 'handsOff'] as const) {
      const at = (surroundings: 'snow' | 'stage', evMax: number): number =>
        solved({
          surroundings,
          look: { school },
          light: { kind: 'range', evMin: evMax - 2, evMax },
          pins: auto,
        }).settings.exposureOffsetStops;
      for (const evMax of [11, 16]) {
        expect(at('snow', evMax)).toBeGreaterThanOrEqual(0.7);
        expect(at('stage', evMax)).toBeLessThanOrEqual(-0.7);
      }
    }
  });

  it('does nothing where everything stands still', () => {
    const pins = { shutterSeconds: 1 / 100, iso: { min: 100, max: 100 } };
    for (const surroundings of SURROUNDINGS)
      expect(solved({ surroundings, light: day, pins }).settings.exposureOffsetStops).toBe(0);
  });

  it('makes an offset of the wrong sign cost, and no pin a better answer', () => {
    const light = { kind: 'range', evMin: 14, evMax: 16 } as const;
    const own = solved({ surroundings: 'snow', light, pins: auto });
    for (const exposureOffsetStops of [-1, -0.3, 0, 0.7, 1, 1.3, 2]) {
      const pinned = solved({ surroundings: 'snow', light, pins: { ...auto, exposureOffsetStops } });
      expect(pinned.score).toBeGreaterThanOrEqual(own.score - 1e-9);
      if (exposureOffsetStops <= 0) expect(pinned.loss.meter).toBeGreaterThan(own.loss.meter + 0.4);
    }
  });

  it('is the usual one of scene, ground, mount and activity, unless it is told', () => {
    const of = (more: Partial<ShotInput>): string => briefed(more).surroundings;
    const scene = (from: 'snowSun' | 'denseWood' | 'litRoom' | 'openSun') =>
      ({ kind: 'scene', from }) as const;
    expect(of({ light: scene('snowSun') })).toBe('snow');
    expect(of({ light: scene('denseWood') })).toBe('wood');
    expect(of({ light: scene('litRoom') })).toBe('room');
    expect(of({ light: scene('openSun'), mount: { activity: 'paddling' } })).toBe('water');
    expect(of({ mount: { kind: 'vehicleInside', place: 'inwards', activity: 'driving' } })).toBe('cabin');
    expect(of({ light: scene('snowSun'), surroundings: 'rock' })).toBe('rock');
  });
});

describe('the sky in a picture', () => {
  const wide = { width: 16, height: 9 };
  const at = (pitchDeg: number, horizontalDeg = 90): number =>
    skyShareOf(
      { surroundings: 'water', mount: { ...briefed({}).mount, pitchDeg } },
      { horizontalDeg, projection: 'straight' },
      wide,
    );

  it('is half of a level frame, and by tan(pitch) ÷ tan(half the height) less looking down', () => {
    expect(at(0)).toBeCloseTo(0.5, 9);
    // A straight lens of 90° across is tan 45° · 9/16 high to either side.
    const tall = 9 / 16;
    for (const pitch of [5, 15, -10])
      expect(at(pitch)).toBeCloseTo(0.5 - Math.tan((pitch * Math.PI) / 180) / tall / 2, 9);
    expect(at(60)).toBe(0);
    expect(at(-60)).toBe(1);
  });

  it('is more of a wide view than of a narrow one looking down, and none under a roof', () => {
    expect(at(10, 120)).toBeGreaterThan(at(10, 60));
    const { mount } = briefed({});
    const lens = { horizontalDeg: 90, projection: 'straight' } as const;
    expect(skyShareOf({ surroundings: 'room', mount }, lens, wide)).toBe(0);
    expect(skyShareOf({ surroundings: 'wood', mount }, lens, wide)).toBeLessThan(0.1);
  });

  it('is lost less in a colour that keeps more', () => {
    const lossIn = (colour: 'standard' | 'flat' | 'log'): number =>
      solved({ light: { kind: 'scene', from: 'openShade' }, surroundings: 'water', pins: { colour } }).loss
        .contrast;
    expect(lossIn('standard')).toBeGreaterThan(lossIn('flat'));
    expect(lossIn('flat')).toBeGreaterThan(lossIn('log'));
    expect(lossIn('log')).toBeLessThan(0.01);
  });
});

describe('a face against the light', () => {
  const talk = { subject: { speedMps: 0, distanceM: 0.7, sizeM: 0.5 } };
  const backlit = (more: Partial<ShotInput>) =>
    solved({ motion: talk, mount: { kind: 'hand' }, ...more }).warnings.find(
      ({ code }) => code === 'backlight',
    );

  it('is told as a caution, so that it reaches the card, and lifts an automatic by a stop', () => {
    const overcast = { light: { kind: 'scene', from: 'overcast' } as const, surroundings: 'water' as const };
    expect(backlit(overcast)).toMatchObject({ severity: 'caution', of: 'face' });
    const mount = { kind: 'hand' } as const;
    expect(solved({ motion: talk, mount, ...overcast, pins: auto }).settings.exposureOffsetStops).toBe(1);
  });

  it('is so against a cabin’s windows by day, and not by its lamps', () => {
    const inwards = { mount: { kind: 'vehicleInside' as const, place: 'inwards' as const } };
    expect(backlit({ ...inwards, light: { kind: 'scene', from: 'overcast' } })).toMatchObject({ of: 'face' });
    expect(backlit({ ...inwards, light: { kind: 'scene', from: 'litRoom' } })).toBeUndefined();
  });

  it('is none in a room, in a wood, or where nobody talks', () => {
    expect(backlit({ light: { kind: 'scene', from: 'litRoom' } })).toBeUndefined();
    expect(
      workingsOf(briefed({ motion: talk, light: { kind: 'scene', from: 'denseWood' } })).picture.faceStops,
    ).toBe(0);
    expect(workingsOf(briefed({ light: { kind: 'scene', from: 'overcast' } })).picture.faceStops).toBe(0);
  });

  it('is the demo’s talk at the put-in, the low sun behind', () => {
    const { shot } = makeDemo().shots.find(({ shot: one }) => one.name === 'Put-in talk')!;
    const outcome = solve(briefOf(shot).brief);
    if (!outcome.solved) throw new Error('no answer');
    expect(outcome.solution.warnings).toContainEqual(
      expect.objectContaining({ code: 'backlight', of: 'face' }),
    );
  });
});
