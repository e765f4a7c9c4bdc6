import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyProfile, plainModes } from '../../../bench/anyProfile';
import { omit } from '../units/omit';
import { ARCHETYPES } from './archetypes';
import { lensFocusing, standardViewOf, viewMagnification } from './lenses';
import { modePowerW, modesOf } from './modeTable';
import { renamedPart, withoutPart } from './parts';
import { CameraProfileSchema } from './profile';
import { sampling } from '../../../testing/samples';

describe('parts of a camera', () => {
  it('under another name are the same modes, wherever rules and limits speak of them', () => {
    fc.assert(
      fc.property(anyProfile, (profile) => {
        const renamed = renamedPart(
          renamedPart(profile, 'views', 'mid', 'middle'),
          'resolutions',
          'large',
          'L',
        );
        const renamedIn = (text: string): string =>
          text.replaceAll('"mid"', '"middle"').replaceAll('"large"', '"L"');
        expect(CameraProfileSchema.safeParse(renamed).success).toBe(true);
        expect(plainModes(renamed)).toEqual(plainModes(profile).map(renamedIn).sort());
      }),
      sampling(100),
    );
  });

  it('taken away take their modes along and nothing else', () => {
    fc.assert(
      fc.property(anyProfile, (profile) => {
        const left = withoutPart(profile, 'views', 'mid');
        const expected = plainModes(profile).filter((mode) => !mode.includes('"id":"mid"'));
        expect(plainModes(left)).toEqual(expected);
        expect(JSON.stringify(left)).not.toContain('"mid"');
      }),
      sampling(100),
    );
  });
});

describe('a camera written for an earlier version', () => {
  it('without any of the later fields has the same modes, as plain video in eight bit', () => {
    const { budget } = ARCHETYPES;
    const old = {
      kind: budget.kind,
      version: budget.version,
      id: budget.id,
      name: budget.name,
      fNumber: budget.fNumber,
      focalMm: budget.focalMm,
      blurCircleMm: budget.blurCircleMm,
      nearLimitM: budget.nearLimitM,
      iso: budget.iso,
      highlightGuardStops: budget.highlightGuardStops,
      shutter: budget.shutter,
      presetSlots: budget.presetSlots,
      resolutions: budget.resolutions,
      views: budget.views.map(({ id, horizontalDeg, projection }) => ({ id, horizontalDeg, projection })),
      stabilizations: budget.stabilizations,
      rules: budget.rules.slice(0, 2).map(({ encodings, ...rule }) => ({
        ...omit(rule, 'recordings'),
        encodings: encodings.map(({ codec, bitRatesMbps }) => ({ codec, bitRatesMbps })),
      })),
    };
    const read = CameraProfileSchema.parse(old);
    expect(modesOf(read).every(({ recording }) => recording === 'video')).toBe(true);
    expect(modesOf(read).length).toBeGreaterThan(20);
    expect(read).toMatchObject({
      start: ['button'],
      sealedToM: 0,
      focus: { kind: 'fixed' },
      chapter: { gigabytes: 4 },
      heat: { shutdownC: 75 },
    });
  });

  it('is refused where heat does not rise, a name stands twice, or the standard view is not there', () => {
    const wrong = structuredClone(ARCHETYPES.main);
    wrong.heat.screenOffC = 90;
    wrong.views.push({ ...wrong.views[0]! });
    wrong.standardView = 'nowhere';
    const read = CameraProfileSchema.safeParse(wrong);
    expect(read.error?.issues.map(({ path }) => path.join('.'))).toEqual([
      'views.4.id',
      'standardView',
      'heat.shutdownC',
    ]);
  });
});

describe('lens and power', () => {
  it('a mode draws more the more pixels a second it captures: 4.5 W at 4K60 on the main camera', () => {
    const { main } = ARCHETYPES;
    const modes = modesOf(main);
    const at = (id: string, fps: number) =>
      modes.find(({ resolution, frameRate }) => resolution.id === id && frameRate === fps)!;
    expect(modePowerW(main, at('4K', 60))).toBeCloseTo(4.5, 1);
    for (const profile of Object.values(ARCHETYPES)) {
      const table = [...modesOf(profile)].sort(
        (a, b) =>
          a.resolution.width * a.resolution.height * a.frameRate -
          b.resolution.width * b.resolution.height * b.frameRate,
      );
      expect(modePowerW(profile, table.at(-1)!)).toBeGreaterThan(modePowerW(profile, table[0]!));
    }
  });

  it('magnification is told against the standard view, and a lens of its own brings its own focus', () => {
    for (const profile of Object.values(ARCHETYPES))
      expect(viewMagnification(profile, standardViewOf(profile).id), profile.id).toBe(1);
    expect(viewMagnification(ARCHETYPES.main, 'narrow')).toBeGreaterThan(1);
    expect(viewMagnification(ARCHETYPES.main, 'widest')).toBeLessThan(1);
    expect(lensFocusing(ARCHETYPES.long, 'long')).toMatchObject({ focalMm: 16, nearLimitM: 8 });
    expect(lensFocusing(ARCHETYPES.long, 'standard')).toMatchObject({ focalMm: 4.2, nearLimitM: 1 });
  });
});
