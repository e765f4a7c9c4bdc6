import type { Codec, Colour, RecordingMode, Stabilization } from '../vocabulary/modes';
import { viewAfterCropDeg } from '../optics/projection';
import type { Projection } from '../optics/projection';
import type { CameraProfile, ProfileLimit, ProfileRule, ProfileView } from './profile';

/** One combination a camera offers. Angles in degrees, after the crop of its stabilization. */
export interface Mode {
  /** Place in the camera's table. */
  index: number;
  recording: RecordingMode;
  resolution: { id: string; width: number; height: number };
  frameRate: number;
  view: { id: string; horizontalDeg: number; projection: Projection; fromSphere: boolean };
  stabilization: Stabilization;
  /** Share of the width that the stabilization gives up on each side. */
  cropPerSide: number;
  /** Swing to either side, in degrees, that the stabilization takes up; 0 when off. */
  swingDeg: number;
  colours: readonly Colour[];
  encodings: readonly Encoding[];
  /** Modes with the same number move and blur alike: same frame rate, view after crop, and steadied or not. */
  motionGroup: number;
  /** Modes with the same number show the same frame: resolution, view after crop and stabilization, at any rate. */
  frameGroup: number;
  /** Modes with the same number write the same files: recording, resolution, rate and encodings. */
  fileGroup: number;
}

export interface Encoding {
  codec: Codec;
  bitDepth: 8 | 10;
  bitRateMbps: number;
}

/** One combination by the names that the profile gives its parts. */
export interface Combination {
  recording: RecordingMode;
  resolutionId: string;
  frameRate: number;
  viewId: string;
  stabilization: Stabilization;
}

const tables = new WeakMap<CameraProfile, readonly Mode[]>();

/** Every combination the camera offers, in the order of its rules; the first rule that names one describes it. */
export function modesOf(profile: CameraProfile): readonly Mode[] {
  const known = tables.get(profile);
  if (known) return known;
  const table = expand(profile);
  tables.set(profile, table);
  return table;
}

/** The widest of some modes, the first of those that are as wide. */
export function largestOf(modes: readonly Mode[]): Mode | undefined {
  return modes.reduce<Mode | undefined>(
    (best, mode) => (best && best.resolution.width >= mode.resolution.width ? best : mode),
    undefined,
  );
}

/** The encoding that writes most. */
export function richestOf(encodings: readonly Encoding[]): Encoding {
  return encodings.reduce((best, one) => (one.bitRateMbps > best.bitRateMbps ? one : best));
}

/** What to say about a combination that the rules would give and a limit takes away; undefined when none does. */
export function limitAgainst(profile: CameraProfile, wish: Combination): string | undefined {
  return profile.limits.find((limit) => limitCovers(limit, wish))?.says;
}

export function limitCovers({ where }: ProfileLimit, wish: Combination): boolean {
  return (
    (where.recordings?.includes(wish.recording) ?? true) &&
    (where.resolutions?.includes(wish.resolutionId) ?? true) &&
    (where.frameRateAbove === undefined || wish.frameRate > where.frameRateAbove) &&
    (where.views?.includes(wish.viewId) ?? true) &&
    (where.stabilizations?.includes(wish.stabilization) ?? true)
  );
}

/** Every combination that one rule names, before any limit. */
export function* combinationsOf(rule: ProfileRule): Generator<Combination> {
  for (const recording of rule.recordings)
    for (const resolutionId of rule.resolutions)
      for (const frameRate of rule.frameRates)
        for (const viewId of rule.views)
          for (const stabilization of rule.stabilizations)
            yield { recording, resolutionId, frameRate, viewId, stabilization };
}

/** How many combinations the rules name, those of several rules counted in each; weighed by what each costs. */
export function combinationCount(
  { rules }: Pick<CameraProfile, 'rules'>,
  cost: (rule: ProfileRule) => number = () => 1,
): number {
  return rules.reduce((sum, rule) => {
    const { recordings, resolutions, frameRates, views, stabilizations } = rule;
    const count =
      recordings.length * resolutions.length * frameRates.length * views.length * stabilizations.length;
    return sum + count * cost(rule);
  }, 0);
}

export function combinationKey(wish: Combination): string {
  return `${wish.recording}|${wish.resolutionId}|${wish.frameRate}|${wish.viewId}|${wish.stabilization}`;
}

/** Watts while recording in a mode: what the profile's sensor and codec draw, by pixels a second. */
export function modePowerW(
  { power }: Pick<CameraProfile, 'power'>,
  {
    resolution: { width, height },
    frameRate,
  }: { resolution: { width: number; height: number }; frameRate: number },
): number {
  const gigapixelsPerSecond = (width * height * frameRate) / 1e9;
  const own = power.measured?.find((one) => one.height === height && one.frameRate === frameRate);
  return (own?.factor ?? 1) * (power.baseW + power.perGigapixelPerSecondW * gigapixelsPerSecond);
}

function expand(profile: CameraProfile): Mode[] {
  const modes = new Map<string, Mode>();
  const groups = new Map<string, number>();
  const frames = new Map<string, number>();
  const files = new Map<string, number>();
  const resolutions = new Map(profile.resolutions.map((one) => [one.id, one]));
  const lenses = new Map(profile.views.map((one) => [one.id, one]));
  for (const [ruleIndex, rule] of profile.rules.entries()) {
    const encodings = rule.encodings.flatMap(({ codec, bitDepth, bitRatesMbps }) =>
      bitRatesMbps.map((bitRateMbps) => ({ codec, bitDepth, bitRateMbps })),
    );
    for (const wish of combinationsOf(rule)) {
      const { recording, frameRate, stabilization } = wish;
      const key = combinationKey(wish);
      if (modes.has(key) || limitAgainst(profile, wish) !== undefined) continue;
      const resolution = resolutions.get(wish.resolutionId);
      const lens = lenses.get(wish.viewId);
      if (!resolution || !lens) continue;
      const steady = steadied(profile, lens, stabilization);
      const groupKey = `${frameRate}|${steady.horizontalDeg}|${lens.projection}|${stabilization !== 'off'}`;
      const motionGroup = groups.get(groupKey) ?? groups.size;
      groups.set(groupKey, motionGroup);
      const frameKey = `${wish.resolutionId}|${wish.viewId}|${stabilization}`;
      const frameGroup = frames.get(frameKey) ?? frames.size;
      frames.set(frameKey, frameGroup);
      const fileKey = `${ruleIndex}|${recording}|${wish.resolutionId}|${frameRate}`;
      const fileGroup = files.get(fileKey) ?? files.size;
      files.set(fileKey, fileGroup);
      const { colours } = rule;
      const { id, projection, fromSphere } = lens;
      const view = { id, horizontalDeg: steady.horizontalDeg, projection, fromSphere };
      const { cropPerSide, swingDeg } = steady;
      const index = modes.size;
      modes.set(key, {
        index,
        recording,
        resolution,
        frameRate,
        view,
        stabilization,
        cropPerSide,
        swingDeg,
        colours,
        encodings,
        motionGroup,
        frameGroup,
        fileGroup,
      });
    }
  }
  return [...modes.values()];
}

function steadied(
  profile: CameraProfile,
  lens: ProfileView,
  stabilization: Stabilization,
): { horizontalDeg: number; cropPerSide: number; swingDeg: number } {
  const means = stabilization === 'off' ? undefined : profile.stabilizations[stabilization];
  if (!means) return { horizontalDeg: lens.horizontalDeg, cropPerSide: 0, swingDeg: 0 };
  const left = viewAfterCropDeg(lens.horizontalDeg, 1 - 2 * means.cropPerSide, lens.projection);
  return {
    // A hundredth of a degree is finer than any lens is known.
    horizontalDeg: Math.round(100 * left) / 100,
    cropPerSide: means.cropPerSide,
    swingDeg: means.swingDeg ?? means.cropPerSide * lens.horizontalDeg,
  };
}
