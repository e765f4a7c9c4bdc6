import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ARCHETYPES } from '../camera/archetypes';
import { DAY_LIGHT_STOPS } from '../light/lightRange';
import type { Light } from '../light/lightSchema';
import type { Figure, Learned } from '../records/learned';
import { LearnedFigures } from './learned';
import { USUAL } from './usual';

const camera = ARCHETYPES.main;
const learned = (figure: Figure, more: Partial<Learned> = {}): Learned => ({
  figure,
  usual: 40,
  off: 0,
  spread: 0.2,
  from: 4,
  ...more,
});
const HELMET = { mount: 'helmet', activity: 'riding', ground: 'rough' } as const;

describe('the figures of the person in a brief', () => {
  it('multiply the shake of that mount, activity and ground and of no other', () => {
    const own = new LearnedFigures([learned({ of: 'shake', ...HELMET }, { off: 1 })]);
    expect(own.shakeFactor(HELMET)).toBe(2);
    expect(own.shakeFactor({ ...HELMET, ground: 'smooth' })).toBe(1);
    expect(own.shakeFactor({ ...HELMET, mount: 'chest' })).toBe(1);
  });

  it('tell which of them were asked for, each once', () => {
    const shake = learned({ of: 'shake', ...HELMET }, { off: 0.5 });
    const own = new LearnedFigures([shake, learned({ of: 'scene', scene: 'openSun' })]);
    expect(own.used()).toEqual([]);
    own.shakeFactor({ ...HELMET, ground: 'smooth' });
    expect(own.used()).toEqual([]);
    own.shakeFactor(HELMET);
    own.shakeFactor(HELMET);
    expect(own.used()).toEqual([shake]);
  });

  it('put the ceiling of ISO on the step of the camera that is nearest in stops', () => {
    fc.assert(
      fc.property(fc.double({ min: -3, max: 4, noNaN: true }), (off) => {
        const own = learned({ of: 'iso', cameraId: camera.id }, { usual: 800, off });
        const ceiling = new LearnedFigures([own]).isoCeiling(camera);
        const steps = camera.iso.steps.filter((step) => step >= camera.iso.standard.base);
        expect(steps).toContain(ceiling);
        const away = (step: number): number => Math.abs(Math.log2(step / (800 * 2 ** off)));
        for (const step of steps) expect(away(ceiling)).toBeLessThanOrEqual(away(step) + 1e-9);
      }),
    );
    expect(new LearnedFigures([]).isoCeiling(camera)).toBe(USUAL.isoCeiling);
    const others = learned({ of: 'iso', cameraId: 'another' }, { usual: 800, off: 2 });
    expect(new LearnedFigures([others]).isoCeiling(camera)).toBe(USUAL.isoCeiling);
  });

  it('say what a filter takes, never less than nothing, and leave a variable one to its ring', () => {
    const kit = [
      { id: 'nd8', kind: 'nd' as const, stops: 3 },
      { id: 'clear', kind: 'nd' as const, stops: 0.5 },
      { id: 'ring', kind: 'variable' as const, stopsMin: 1, stopsMax: 5 },
    ];
    const figures = [
      learned({ of: 'filter', filterId: 'nd8' }, { usual: 3, off: 0.3 }),
      learned({ of: 'filter', filterId: 'clear' }, { usual: 0.5, off: -2 }),
      learned({ of: 'filter', filterId: 'ring' }, { usual: 1, off: 1 }),
    ];
    const [nd8, clear, ring] = new LearnedFigures(figures).filters(kit);
    expect(nd8).toMatchObject({ stops: 3, measuredStops: 3.3 });
    expect(clear).toMatchObject({ measuredStops: 0 });
    expect(ring).toEqual(kit[2]);
    expect(new LearnedFigures([]).filters(kit)).toBe(kit);
  });

  it('correct the light of a named scene, with the day added to their spread', () => {
    const own = new LearnedFigures([
      learned({ of: 'scene', scene: 'openSun' }, { usual: 15, off: -0.4, spread: 0.2 }),
    ]);
    const light = own.light({ kind: 'scene', from: 'gorgeFloor', to: 'openSun' });
    expect(light).toMatchObject({
      corrected: { openSun: { stops: -0.4, spreadStops: Math.hypot(0.2, DAY_LIGHT_STOPS) } },
    });
    expect(light).not.toHaveProperty('corrected.gorgeFloor');
  });

  it('yield to what the person set for this shot, and leave other ways of telling light alone', () => {
    const own = new LearnedFigures([learned({ of: 'scene', scene: 'openSun' }, { usual: 15, off: -0.4 })]);
    const set = { openSun: { stops: 1, spreadStops: 0 } };
    expect(own.light({ kind: 'scene', from: 'openSun', to: 'openSun', corrected: set })).toMatchObject({
      corrected: set,
    });
    const range: Light = { kind: 'range', evMin: 9, evMax: 12 };
    expect(own.light(range)).toBe(range);
    const sun = {
      kind: 'sun',
      lat: 46,
      lon: 12,
      from: '2026-10-03T09:30:00+02:00',
      to: '2026-10-03T10:30:00+02:00',
      sky: 'clear',
    } as Light;
    expect(own.light(sun)).toBe(sun);
  });

  it('correct the sky and the shades of a sun, and the shade behind its horizon', () => {
    const own = new LearnedFigures([
      learned({ of: 'sky', sky: 'clear' }, { usual: 0, off: 0.2 }),
      learned({ of: 'shade', shade: 'gorge' }, { usual: -5, off: -0.7 }),
    ]);
    const light = own.light({
      kind: 'sun',
      lat: 46,
      lon: 12,
      from: '2026-10-03T09:30:00+02:00',
      to: '2026-10-03T10:30:00+02:00',
      sky: 'clear',
      shade: ['open'],
      horizon: { points: [{ azimuthDeg: 0, altitudeDeg: 30 }], behind: 'gorge' },
    });
    expect(light).toMatchObject({ corrected: { clear: { stops: 0.2 }, gorge: { stops: -0.7 } } });
    expect(light).not.toHaveProperty('corrected.open');
    expect(
      own
        .used()
        .map(({ figure }) => figure.of)
        .sort(),
    ).toEqual(['shade', 'sky']);
  });

  it('make of a camera the same profile for the same figures, and another for others', () => {
    const figures = [learned({ of: 'guard', cameraId: camera.id }, { usual: 1, off: 0.3 })];
    const one = new LearnedFigures(figures).camera(camera);
    expect(new LearnedFigures(figures).camera(camera)).toBe(one);
    expect(one).not.toEqual(camera);
    expect(new LearnedFigures([]).camera(camera)).toEqual(camera);
  });
});
