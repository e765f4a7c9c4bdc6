import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { CodedLuma } from '@/core/inspect/plane';
import { once } from '@/core/units/once';

/** Short clips with known faults: what is put in must come out. Luma as a share of the range until it is coded. */
export interface MadeClip {
  width: number;
  height: number;
  fps: number;
  seconds: number;
  seed: number;
  /** Middle and contrast of the texture. */
  middle: number;
  contrast: number;
  /** A line through the middle, brighter above, turned clockwise. */
  horizonDeg: number | null;
  /** Per cent of the width a second, to the right. */
  panPctPerS: number;
  /** One swing across and one down, together of so much rms; degrees for the roll. */
  shake: { hz: number; pctPerSRms: number; rollDegPerSRms: number };
  /** Shares of the picture that are white and black, at the top and at the bottom. */
  clipped: number;
  crushed: number;
  /** Only every so manyeth frame is new. */
  everyNth: number;
  /** Of the luma, per cent; stripes from top to bottom. */
  flicker: { hz: number; pct: number; bands: number } | null;
  /** Spread of the grain, share of the range. */
  grain: number;
  /** Smear across that comes and goes: pixels at its worst. */
  smear: { hz: number; px: number } | null;
  /** Blurred throughout, pixels to either side. */
  softPx: number;
  /** The light as a factor, at a time. */
  gainAt: (seconds: number) => number;
}

export const PLAIN_CLIP: MadeClip = {
  width: 320,
  height: 180,
  fps: 25,
  seconds: 4,
  seed: 1,
  middle: 0.45,
  contrast: 0.3,
  horizonDeg: null,
  panPctPerS: 0,
  shake: { hz: 2, pctPerSRms: 0, rollDegPerSRms: 0 },
  clipped: 0,
  crushed: 0,
  everyNth: 1,
  flicker: null,
  grain: 0.008,
  smear: null,
  softPx: 0,
  gainAt: () => 1,
};

const TILE = 512;
const MASK = TILE - 1;

/** Random tones smoothed at several sizes, so that there is something to follow at each; the same seed, the same tile. */
function tileOf(seed: number): Float32Array {
  const known = TILES.get(seed);
  if (known) return known;
  const random = xoroshiro128plus(seed);
  const tile = new Float32Array(TILE * TILE);
  for (const [size, weight] of [
    [64, 0.45],
    [16, 0.3],
    [6.4, 0.35],
  ] as const) {
    const cells = Math.round(TILE / size);
    const nodes = Float32Array.from({ length: cells * cells }, () => 2 * uniformFloat64(random) - 1);
    for (let y = 0; y < TILE; y++) {
      const v = (y * cells) / TILE;
      const above = Math.floor(v) * cells;
      const below = ((Math.floor(v) + 1) % cells) * cells;
      const fy = eased(v - Math.floor(v));
      for (let x = 0; x < TILE; x++) {
        const u = (x * cells) / TILE;
        const left = Math.floor(u);
        const right = (left + 1) % cells;
        const fx = eased(u - left);
        const tone =
          ((nodes[above + left] ?? 0) * (1 - fx) + (nodes[above + right] ?? 0) * fx) * (1 - fy) +
          ((nodes[below + left] ?? 0) * (1 - fx) + (nodes[below + right] ?? 0) * fx) * fy;
        tile[y * TILE + x] = (tile[y * TILE + x] ?? 0) + weight * tone;
      }
    }
  }
  TILES.set(seed, tile);
  return tile;
}

/** Made once: a megabyte each, and tests take few seeds. */
const TILES = new Map<number, Float32Array>();

function eased(share: number): number {
  return share * share * (3 - 2 * share);
}

/** One frame before it is coded, and when it is shown. */
export interface MadeFrame {
  atSeconds: number;
  luma: Float32Array;
}

export function* madeFrames(clip: MadeClip): Generator<MadeFrame> {
  const { width, height, fps, seconds } = clip;
  const tile = tileOf(clip.seed);
  const grains = grainTable();
  const noise = xoroshiro128plus(clip.seed + 77);
  const count = Math.round(fps * seconds);
  let luma: Float32Array = new Float32Array(width * height);
  for (let number = 0; number < count; number++) {
    if (number % clip.everyNth === 0) {
      luma = drawn(clip, tile, number / fps);
      const share = clip.grain;
      if (share > 0)
        for (let y = 0; y < height; y++) {
          let place = Math.floor(uniformFloat64(noise) * grains.length);
          for (let at = y * width; at < (y + 1) * width; at++) {
            luma[at] = (luma[at] ?? 0) + share * (grains[place] ?? 0);
            place = (place + 1) % grains.length;
          }
        }
      patched(clip, luma);
    }
    yield { atSeconds: number / fps, luma };
  }
}

/** Normal values. Source: Box & Muller 1958. */
const grainTable = once((): Float32Array => {
  const random = xoroshiro128plus(5);
  return Float32Array.from({ length: 65_521 }, () => {
    const far = Math.sqrt(-2 * Math.log(1 - uniformFloat64(random)));
    return far * Math.cos(2 * Math.PI * uniformFloat64(random));
  });
});

function drawn(clip: MadeClip, tile: Float32Array, at: number): Float32Array {
  const { width, height, shake, horizonDeg } = clip;
  const swing = 2 * Math.PI * shake.hz;
  // Each axis has half the square; a sine of rate r swings by r·√2/2πf.
  const reach = ((shake.pctPerSRms / Math.SQRT2) * Math.SQRT2 * width) / 100 / swing;
  const right = reach * Math.sin(swing * at) + (clip.panPctPerS * width * at) / 100;
  const down = reach * Math.sin(swing * at + 1.3);
  const roll = (((shake.rollDegPerSRms * Math.SQRT2) / swing) * Math.sin(swing * at + 0.5) * Math.PI) / 180;
  const [cos, sin] = [Math.cos(roll), Math.sin(roll)];
  const slope = Math.tan(((horizonDeg ?? 0) * Math.PI) / 180);
  const luma = new Float32Array(width * height);
  const contrast = clip.contrast * (horizonDeg === null ? 1 : 0.5);
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++) {
      const x = column - width / 2 - right;
      const y = row - height / 2 - down;
      const u = x * cos + y * sin;
      const v = y * cos - x * sin;
      // A slow turn of the grid keeps texture and pixels from falling into step.
      const p = 0.94 * u + 0.342 * v + 100_000;
      const q = -0.342 * u + 0.94 * v + 100_000;
      const i = Math.floor(p);
      const j = Math.floor(q);
      const fx = p - i;
      const fy = q - j;
      const above = (j & MASK) * TILE;
      const below = ((j + 1) & MASK) * TILE;
      const here = i & MASK;
      const next = (i + 1) & MASK;
      const tone =
        ((tile[above + here] ?? 0) * (1 - fx) + (tile[above + next] ?? 0) * fx) * (1 - fy) +
        ((tile[below + here] ?? 0) * (1 - fx) + (tile[below + next] ?? 0) * fx) * fy;
      const sky = horizonDeg === null ? 0 : Math.max(-0.5, Math.min(0.5, u * slope - v)) * 0.4;
      luma[row * width + column] = clip.middle + contrast * tone + sky;
    }
  if (clip.softPx > 0) blurred(luma, width, height, clip.softPx, true);
  if (clip.smear) {
    const px = clip.smear.px * Math.abs(Math.sin(Math.PI * clip.smear.hz * at));
    if (px >= 0.5) blurred(luma, width, height, px / 2, false);
  }
  const gain = clip.gainAt(at);
  for (let row = 0; row < height; row++) {
    const wave = clip.flicker
      ? (clip.flicker.pct / 100) *
        Math.sin(2 * Math.PI * (clip.flicker.hz * at + (clip.flicker.bands * row) / height))
      : 0;
    for (let place = row * width; place < (row + 1) * width; place++)
      luma[place] = (luma[place] ?? 0) * gain * (1 + wave);
  }
  return luma;
}

function patched({ width, height, clipped, crushed }: MadeClip, luma: Float32Array): void {
  luma.fill(1.05, 0, Math.round(clipped * width * height));
  luma.fill(-0.02, luma.length - Math.round(crushed * width * height));
}

/** Means over so many pixels to either side, along rows and, if asked, along columns too; parts of a pixel count in part. */
function blurred(luma: Float32Array, width: number, height: number, each: number, both: boolean): void {
  const along = (start: number, step: number, length: number): void => {
    const line = new Float32Array(length);
    for (let at = 0; at < length; at++) line[at] = luma[start + at * step] ?? 0;
    const whole = Math.floor(each);
    const part = each - whole;
    for (let at = 0; at < length; at++) {
      let sum = 0;
      for (let off = -whole - 1; off <= whole + 1; off++) {
        const value = line[Math.max(0, Math.min(length - 1, at + off))] ?? 0;
        sum += value * (Math.abs(off) === whole + 1 ? part : 1);
      }
      luma[start + at * step] = sum / (2 * each + 1);
    }
  };
  for (let row = 0; row < height; row++) along(row * width, 1, width);
  if (both) for (let column = 0; column < width; column++) along(column, width, height);
}

/** Eight-bit codes of a limited range, as cameras write them. */
export function coded({ width, height }: MadeClip, { luma }: MadeFrame): CodedLuma {
  const codes = new Uint8Array(luma.length);
  for (let at = 0; at < codes.length; at++)
    codes[at] = Math.max(1, Math.min(254, Math.round(16 + 219 * (luma[at] ?? 0))));
  return { width, height, stride: width, codes, black: 16, white: 235 };
}

/** The clip as an uncompressed file, its colour planes grey. */
export function y4mOf(clip: MadeClip, mono = false): Blob {
  const { width, height, fps } = clip;
  const grey = mono
    ? new Uint8Array(0)
    : new Uint8Array(2 * Math.ceil(width / 2) * Math.ceil(height / 2)).fill(128);
  const parts: BlobPart[] = [
    `YUV4MPEG2 W${width} H${height} F${fps}:1 Ip A1:1 C${mono ? 'mono' : '420jpeg'}\n`,
  ];
  for (const frame of madeFrames(clip))
    parts.push('FRAME\n', coded(clip, frame).codes as Uint8Array<ArrayBuffer>, grey);
  return new Blob(parts);
}
