import { describe, expect, it } from 'vitest';
import { checkAgainst } from '../schema/faults';
import { ARCHETYPES } from './archetypes';
import { limitAgainst, modesOf } from './modeTable';
import { CameraProfileSchema } from './profile';

describe('the cameras that ship', () => {
  it('have at least sixty modes for main, each once', () => {
    const modes = modesOf(ARCHETYPES.main);
    expect(modes.length).toBeGreaterThanOrEqual(60);
    const keys = modes.map(
      (m) => `${m.recording}|${m.resolution.id}|${m.frameRate}|${m.view.id}|${m.stabilization}`,
    );
    expect(new Set(keys).size).toBe(keys.length);
    expect(modes.map(({ index }) => index)).toEqual(modes.map((_, index) => index));
  });

  it('keep to their limits', () => {
    for (const profile of Object.values(ARCHETYPES))
      for (const { recording, resolution, frameRate, view, stabilization } of modesOf(profile)) {
        const wish = {
          recording,
          resolutionId: resolution.id,
          frameRate,
          viewId: view.id,
          stabilization,
        };
        expect(limitAgainst(profile, wish)).toBeUndefined();
      }
    const main = modesOf(ARCHETYPES.main);
    expect(
      main.some(({ stabilization, resolution }) => stabilization === 'rollHold' && resolution.width > 2688),
    ).toBe(false);
    expect(main.some(({ view, frameRate }) => view.id === 'widest' && frameRate > 30)).toBe(false);
  });

  it('lose view to the crop of their stabilization, and log has a base of its own', () => {
    const wide = modesOf(ARCHETYPES.main).filter(({ view }) => view.id === 'wide');
    const at = (hold: string): number =>
      wide.find(({ stabilization }) => stabilization === hold)!.view.horizontalDeg;
    expect(at('off')).toBe(112);
    expect(at('standard')).toBeCloseTo(100.8, 6);
    expect(at('strong')).toBeCloseTo(89.6, 6);
    expect(ARCHETYPES.main.iso.log?.base).toBeGreaterThan(ARCHETYPES.main.iso.standard.base);
  });
});

describe('a profile from outside', () => {
  it('is refused where it names what it does not describe, with the place', () => {
    const broken = structuredClone(ARCHETYPES.budget) as {
      rules: { views: string[]; colours: string[] }[];
      limits: { where: object }[];
    };
    broken.rules[0]!.views.push('backwards');
    broken.rules[1]!.colours.push('log');
    broken.limits[0]!.where = { resolutions: ['8K'] };
    expect(checkAgainst(CameraProfileSchema, broken)).toEqual({
      ok: false,
      faults: [
        { path: 'rules[0].views[1]', problem: { code: 'notDescribed', id: 'backwards', under: 'views' } },
        {
          path: 'limits[0].where.resolutions[0]',
          problem: { code: 'notDescribed', id: '8K', under: 'resolutions' },
        },
        { path: 'rules[1].colours[1]', problem: { code: 'noIsoRange', id: 'log' } },
      ],
    });
  });
});

describe('the cameras that ship', () => {
  it('are whole profiles: the schema finds no fault and has nothing to fill in', () => {
    for (const [id, profile] of Object.entries(ARCHETYPES))
      expect(CameraProfileSchema.parse(profile), id).toEqual(profile);
  });
});
