import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyProfile, plainModes } from '../../../bench/anyProfile';
import { ARCHETYPES } from './archetypes';
import { modesOf } from './modeTable';
import { CameraProfileSchema } from './profile';
import { rulesFrom } from './rulesFrom';
import { tableFindingsOf } from './tableFindings';
import { cheapestGiveUps, grants, optionsFor, valuesOf, WISH_KEYS } from './wishes';
import type { ModeWishes } from './wishes';
import { sampling } from '../../../testing/samples';

describe('wishes', () => {
  const { main } = ARCHETYPES;

  it('full-roll hold at the highest resolution goes dark, and says what to give up', () => {
    const wishes: ModeWishes = { recording: 'video', resolutionId: '4K tall', frameRate: 60 };
    const holds = optionsFor(main, 'stabilization', wishes);
    expect(holds.find(({ value }) => value === 'rollHold')).toEqual({ value: 'rollHold', open: false });
    expect(holds.find(({ value }) => value === 'standard')?.open).toBe(true);
    const [cheapest] = cheapestGiveUps(main, { ...wishes, stabilization: 'rollHold' }, 'stabilization');
    expect(cheapest?.keys).toEqual(['resolutionId']);
    expect(cheapest?.mode.resolution.id).toBe('2.7K');
  });

  it('an option is open exactly when some mode grants it with the rest, and giving up what is said works', () => {
    const anyWishes = fc.record(
      Object.fromEntries(WISH_KEYS.map((key) => [key, fc.constantFrom(...valuesOf(main, key))])),
      { requiredKeys: [] },
    ) as fc.Arbitrary<ModeWishes>;
    fc.assert(
      fc.property(anyWishes, fc.constantFrom(...WISH_KEYS), (wishes, key) => {
        for (const { value, open } of optionsFor(main, key, wishes))
          expect(modesOf(main).some((mode) => grants(mode, { ...wishes, [key]: value }))).toBe(open);
        if (wishes[key] === undefined) return;
        const ways = cheapestGiveUps(main, wishes, key);
        const together = modesOf(main).some((mode) => grants(mode, wishes));
        expect(ways.length === 0).toBe(together);
        for (const { keys, mode } of ways) {
          const kept = Object.fromEntries(
            Object.entries(wishes).filter(([name]) => !keys.some((gone) => gone === name)),
          );
          expect(grants(mode, kept), `without ${keys.join()}`).toBe(true);
          expect(keys).not.toContain(key);
        }
      }),
      sampling(300),
    );
  });
});

describe('what looks wrong in a table', () => {
  const codes = (change: (profile: ReturnType<typeof copy>) => void): string[] => {
    const profile = copy();
    change(profile);
    return tableFindingsOf(CameraProfileSchema.parse(profile)).map(({ code, path }) => `${code} ${path}`);
  };
  const copy = (): (typeof ARCHETYPES)['main'] => structuredClone(ARCHETYPES.main);

  it('nothing, in the cameras that ship', () => {
    for (const profile of Object.values(ARCHETYPES)) expect(tableFindingsOf(profile), profile.id).toEqual([]);
  });

  it('overlaps, gaps, idle limits, crops and bit rates are each named with their place', () => {
    expect(codes((p) => p.rules.push(structuredClone(p.rules[1]!)))).toEqual(['overlap rules[10]']);
    expect(
      codes((p) => {
        p.limits.push({
          says: 'no 2.7K at 50',
          where: { resolutions: ['2.7K'], frameRateAbove: 30, stabilizations: ['off'], views: ['wide'] },
        });
      }),
    ).toEqual(['gap resolutions[3]', 'gap resolutions[3]', 'gap resolutions[3]', 'gap resolutions[3]']);
    expect(codes((p) => p.limits.push({ says: 'nothing', where: { frameRateAbove: 500 } }))).toEqual([
      'limitIdle limits[6]',
    ]);
    expect(codes((p) => void (p.stabilizations.strong!.cropPerSide = 0.3))).toEqual([
      'cropEnlarges stabilizations.strong.cropPerSide',
      'cropLeavesLittle stabilizations.strong.cropPerSide',
      'cropLeavesLittle stabilizations.strong.cropPerSide',
      'cropLeavesLittle stabilizations.strong.cropPerSide',
      'cropLeavesLittle stabilizations.strong.cropPerSide',
    ]);
    expect(
      codes((p) => {
        p.rules[0]!.encodings = [{ codec: 'avc', bitDepth: 8, bitRatesMbps: [4] }];
      }),
    ).toEqual(['bitRateTooLow rules[0].encodings[0]', 'logInEightBit rules[0].colours']);
    expect(
      codes((p) =>
        p.views.push({ id: 'unused', horizontalDeg: 50, projection: 'straight', fromSphere: false }),
      ),
    ).toEqual(['neverOffered views[4]']);
  });
});

describe('rules from rows', () => {
  it('name the rows, all of them and nothing else, on any camera', () => {
    fc.assert(
      fc.property(anyProfile, (profile) => {
        const rows = modesOf(profile).map((mode) => ({
          recording: mode.recording,
          resolutionId: mode.resolution.id,
          frameRate: mode.frameRate,
          viewId: mode.view.id,
          stabilization: mode.stabilization,
          colours: [...mode.colours],
          encodings: mode.encodings.map(({ bitRateMbps, ...rest }) => ({
            ...rest,
            bitRatesMbps: [bitRateMbps],
          })),
        }));
        if (rows.length === 0) return;
        const again = CameraProfileSchema.parse({ ...profile, rules: rulesFrom(rows), limits: [] });
        expect(plainModes(again)).toEqual(plainModes(profile));
        expect(tableFindingsOf(again).filter(({ code }) => code === 'overlap')).toEqual([]);
      }),
      sampling(100),
    );
  });
});
