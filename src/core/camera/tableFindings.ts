import type { Stabilization } from '../vocabulary/modes';
import { encodingBitsPerPixel } from './card';
import { viewAfterCropDeg } from '../optics/projection';
import { combinationKey, combinationsOf, limitCovers, modesOf } from './modeTable';
import type { Combination, Mode } from './modeTable';
import type { CameraProfile } from './profile';

/**
 * What looks wrong in a mode table that its schema allows. Findings are advice, never a refusal: a real camera may be
 * odd. `path` points into the profile.
 */
export type Finding = { path: string } & (
  | { code: 'overlap'; rule: number; earlier: number; count: number; example: Combination }
  | { code: 'limitIdle'; says: string }
  | { code: 'ruleEmpty'; rule: number }
  | { code: 'neverOffered'; what: 'resolution' | 'view' | 'stabilization'; id: string }
  | { code: 'gap'; frameRate: number; missing: string; larger: string; smaller: string; count: number }
  | {
      code: 'cropEnlarges';
      stabilization: Stabilization;
      resolutionId: string;
      leftPx: number;
      neededPx: number;
    }
  | { code: 'cropLeavesLittle'; stabilization: Stabilization; viewId: string; leftDeg: number }
  | { code: 'bitRateTooLow'; rule: number; bitRateMbps: number; resolutionId: string; bitsPerPixel: number }
  | { code: 'logInEightBit'; rule: number }
);

/** AVC-equivalent bits a pixel and frame below which no picture of moving things is of use (start). */
const USELESS_BITS_PER_PIXEL = 0.03;
/** A view narrower than this after its crop has lost its point (start), as a share of what it was. */
const CROP_LEAVES_AT_LEAST = 0.5;

export function tableFindingsOf(profile: CameraProfile): Finding[] {
  const modes = modesOf(profile);
  return [
    ...overlaps(profile),
    ...idleLimits(profile),
    ...neverOffered(profile, modes),
    ...gaps(profile, modes),
    ...crops(profile, modes),
    ...rates(profile),
  ];
}

/** Combinations that an earlier rule already describes: the later one's colours and bit rates go unused. */
function overlaps({ rules }: CameraProfile): Finding[] {
  const owner = new Map<string, number>();
  const found: Finding[] = [];
  rules.forEach((rule, index) => {
    const by = new Map<number, Combination[]>();
    for (const wish of combinationsOf(rule)) {
      const key = combinationKey(wish);
      const earlier = owner.get(key);
      if (earlier === undefined) owner.set(key, index);
      else if (earlier !== index) by.set(earlier, [...(by.get(earlier) ?? []), wish]);
    }
    for (const [earlier, doubled] of by) {
      const [example] = doubled;
      if (example)
        found.push({
          path: `rules[${index}]`,
          code: 'overlap',
          rule: index,
          earlier,
          count: doubled.length,
          example,
        });
    }
  });
  return found;
}

/** Limits that take nothing away, and rules of which limits leave nothing. */
function idleLimits(profile: CameraProfile): Finding[] {
  const named = profile.rules.map((rule) => [...combinationsOf(rule)]);
  const idle = profile.limits.flatMap((limit, index): Finding[] =>
    named.some((wishes) => wishes.some((wish) => limitCovers(limit, wish)))
      ? []
      : [{ path: `limits[${index}]`, code: 'limitIdle', says: limit.says }],
  );
  const empty = named.flatMap((wishes, rule): Finding[] =>
    wishes.every((wish) => profile.limits.some((limit) => limitCovers(limit, wish)))
      ? [{ path: `rules[${rule}]`, code: 'ruleEmpty', rule }]
      : [],
  );
  return [...idle, ...empty];
}

function neverOffered(profile: CameraProfile, modes: readonly Mode[]): Finding[] {
  const list = (
    what: 'resolution' | 'view' | 'stabilization',
    ids: readonly string[],
    offered: (mode: Mode) => string,
  ): Finding[] => {
    const seen = new Set(modes.map(offered));
    return ids.flatMap((id, index): Finding[] =>
      seen.has(id)
        ? []
        : [
            {
              path: what === 'stabilization' ? `stabilizations.${id}` : `${what}s[${index}]`,
              code: 'neverOffered',
              what,
              id,
            },
          ],
    );
  };
  return [
    ...list(
      'resolution',
      profile.resolutions.map(({ id }) => id),
      ({ resolution }) => resolution.id,
    ),
    ...list(
      'view',
      profile.views.map(({ id }) => id),
      ({ view }) => view.id,
    ),
    ...list('stabilization', Object.keys(profile.stabilizations), ({ stabilization }) => stabilization),
  ];
}

/** A frame rate there at a larger and at a smaller size of the same shape, but not between: usually a slip. */
function gaps({ resolutions }: CameraProfile, modes: readonly Mode[]): Finding[] {
  const video = modes.filter(({ recording }) => recording === 'video');
  const found = new Map<string, Extract<Finding, { code: 'gap' }>>();
  const shapes = new Map<string, typeof resolutions>();
  for (const one of resolutions) {
    const shape = (one.width / one.height).toFixed(2);
    shapes.set(shape, [...(shapes.get(shape) ?? []), one]);
  }
  const lines = new Map<string, Set<string>>();
  for (const { frameRate, view, stabilization, resolution } of video) {
    const key = `${frameRate}|${view.id}|${stabilization}`;
    lines.set(key, (lines.get(key) ?? new Set()).add(resolution.id));
  }
  for (const sizes of shapes.values()) {
    const sorted = [...sizes].sort((a, b) => b.width - a.width);
    for (const [key, offered] of lines)
      sorted.forEach((size, at) => {
        const larger = sorted.slice(0, at).findLast(({ id }) => offered.has(id));
        const smaller = sorted.slice(at + 1).find(({ id }) => offered.has(id));
        if (offered.has(size.id) || !larger || !smaller) return;
        const frameRate = Number(key.split('|')[0]);
        const name = `${size.id}|${frameRate}`;
        const known = found.get(name);
        if (known) known.count++;
        else
          found.set(name, {
            path: `resolutions[${resolutions.indexOf(size)}]`,
            code: 'gap',
            frameRate,
            missing: size.id,
            larger: larger.id,
            smaller: smaller.id,
            count: 1,
          });
      });
  }
  return [...found.values()];
}

function crops(profile: CameraProfile, modes: readonly Mode[]): Finding[] {
  const found: Finding[] = [];
  for (const [name, means] of Object.entries(profile.stabilizations)) {
    if (!means) continue;
    const stabilization = name as Stabilization;
    const keeps = 1 - 2 * means.cropPerSide;
    const path = `stabilizations.${stabilization}.cropPerSide`;
    const held = modes.filter((mode) => mode.stabilization === stabilization && !mode.view.fromSphere);
    const { sensor } = profile;
    const largest = held.map(({ resolution }) => resolution).sort((a, b) => b.width - a.width)[0];
    if (sensor && largest && largest.width > sensor.widthPx * keeps * 1.001)
      found.push({
        path,
        code: 'cropEnlarges',
        stabilization,
        resolutionId: largest.id,
        leftPx: Math.round(sensor.widthPx * keeps),
        neededPx: largest.width,
      });
    for (const view of profile.views) {
      if (view.fromSphere || !held.some((mode) => mode.view.id === view.id)) continue;
      const leftDeg = viewAfterCropDeg(view.horizontalDeg, keeps, view.projection);
      if (leftDeg < CROP_LEAVES_AT_LEAST * view.horizontalDeg)
        found.push({ path, code: 'cropLeavesLittle', stabilization, viewId: view.id, leftDeg });
    }
  }
  return found;
}

function rates(profile: CameraProfile): Finding[] {
  return profile.rules.flatMap((rule, index) => {
    const found: Finding[] = [];
    const fastest = Math.max(...rule.frameRates);
    const filmed = rule.recordings.some((one) => one !== 'timeLapse' && one !== 'movingTimeLapse');
    const sizes = profile.resolutions.filter(({ id }) => rule.resolutions.includes(id));
    const [largest] = [...sizes].sort((a, b) => b.width * b.height - a.width * a.height);
    for (const [place, { codec, bitRatesMbps, bitDepth }] of rule.encodings.entries()) {
      const bitRateMbps = Math.max(...bitRatesMbps);
      if (!largest || !filmed) continue;
      const mode = { resolution: largest, frameRate: fastest };
      const bitsPerPixel = encodingBitsPerPixel(mode, { codec, bitRateMbps });
      if (bitsPerPixel < USELESS_BITS_PER_PIXEL)
        found.push({
          path: `rules[${index}].encodings[${place}]`,
          code: 'bitRateTooLow',
          rule: index,
          bitRateMbps,
          resolutionId: largest.id,
          bitsPerPixel,
        });
      if (
        rule.colours.includes('log') &&
        bitDepth === 8 &&
        !rule.encodings.some((one) => one.bitDepth === 10)
      )
        found.push({ path: `rules[${index}].colours`, code: 'logInEightBit', rule: index });
    }
    return found;
  });
}
