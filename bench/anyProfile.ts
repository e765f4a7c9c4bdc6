import { COLOURS, RECORDINGS, STABILIZATIONS } from '@/core/vocabulary/modes';
import fc from 'fast-check';
import { modesOf } from '@/core/camera/modeTable';
import { CameraProfileSchema } from '@/core/camera/profile';
import type { CameraProfile } from '@/core/camera/profile';
import { PROJECTIONS } from '@/core/optics/projection';
import { FILE_VERSION } from '@/core/schema/versions';

/** Random cameras with small tables, odd ones included: overlapping rules, limits that bite or do not. */
const SIZES = [
  { id: 'large', width: 3840, height: 2160 },
  { id: 'tall', width: 2880, height: 2160 },
  { id: 'small', width: 1920, height: 1080 },
];
const some = <T>(all: readonly T[], maxLength = 2): fc.Arbitrary<T[]> =>
  fc.subarray([...all], { minLength: 1, maxLength: Math.min(maxLength, all.length) });
const VIEW_IDS = ['broad', 'mid', 'tight'];

const view = (id: string, degrees: number): fc.Arbitrary<CameraProfile['views'][number]> =>
  fc.record({
    id: fc.constant(id),
    horizontalDeg: fc.double({ min: degrees * 0.8, max: degrees, noNaN: true }),
    projection: fc.constantFrom(...PROJECTIONS),
    fromSphere: fc.constant(false),
  });

const rule = fc.record({
  recordings: some(RECORDINGS.slice(0, 4)).map((list) => [...new Set(['video' as const, ...list])]),
  resolutions: some(SIZES.map(({ id }) => id)),
  frameRates: some([24, 25, 30, 50, 60, 100], 3),
  views: some(VIEW_IDS),
  stabilizations: some(STABILIZATIONS, 3),
  colours: some(COLOURS).map((list) => [...new Set(['standard' as const, ...list])]),
  encodings: fc.constantFrom(
    [{ codec: 'hevc' as const, bitDepth: 10 as const, bitRatesMbps: [50, 90] }],
    [
      { codec: 'hevc' as const, bitDepth: 8 as const, bitRatesMbps: [40] },
      { codec: 'avc' as const, bitDepth: 8 as const, bitRatesMbps: [60] },
    ],
  ),
});

const limit = fc.record({
  says: fc.constant('not together'),
  where: fc.record(
    {
      resolutions: some(SIZES.map(({ id }) => id)),
      frameRateAbove: fc.constantFrom(25, 30, 60),
      views: some(VIEW_IDS),
      stabilizations: some(STABILIZATIONS.slice(1)),
    },
    { requiredKeys: ['frameRateAbove', 'stabilizations'] },
  ),
});

/** A camera's modes to compare with another's, whatever their order. */
export function plainModes(camera: CameraProfile): string[] {
  return modesOf(camera)
    .map((mode) => JSON.stringify({ ...mode, index: 0, motionGroup: 0, frameGroup: 0, fileGroup: 0 }))
    .sort();
}

const crop = fc.double({ min: 0, max: 0.25, noNaN: true });

export const anyProfile: fc.Arbitrary<CameraProfile> = fc
  .record({
    fNumber: fc.constantFrom(1.8, 2.5, 2.8, 4),
    base: fc.constantFrom(50, 100, 200),
    auto: fc.boolean(),
    views: fc.tuple(view('broad', 150), view('mid', 105), view('tight', 60)),
    crops: fc.tuple(crop, crop, crop, crop),
    rules: fc.array(rule, { minLength: 1, maxLength: 3 }),
    limits: fc.array(limit, { maxLength: 2 }),
  })
  .map(({ fNumber, base, auto, views, crops, rules, limits }) =>
    CameraProfileSchema.parse({
      kind: 'lynxeye/camera',
      version: FILE_VERSION,
      id: 'random',
      name: 'Random camera',
      fNumber,
      focalMm: 4,
      blurCircleMm: 0.004,
      nearLimitM: 0.3,
      iso: {
        standard: { base, max: 3200 },
        flat: { base, max: 3200 },
        log: { base: 2 * base, max: 3200 },
        steps: [100, 400, 800, 3200],
      },
      highlightGuardStops: { standard: 0.5, flat: 0.7, log: 1.4 },
      shutter: { shortestSeconds: 1 / 4000, auto },
      presetSlots: 2,
      resolutions: SIZES,
      views,
      stabilizations: {
        standard: { cropPerSide: crops[0] },
        strong: { cropPerSide: crops[1] },
        levelHold: { cropPerSide: crops[2] },
        rollHold: { cropPerSide: crops[3], swingDeg: 15 },
      },
      rules,
      limits,
    }),
  );
