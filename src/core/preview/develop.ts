/** A picture as it is shown. */
export interface Picture {
  width: number;
  height: number;
  rgba: Uint8ClampedArray<ArrayBuffer>;
}

/** Linear light gathered by each pixel: red, green, blue. */
interface Gathered {
  light: Float32Array;
  width: number;
  height: number;
}

export interface Exposed {
  /** How much brighter than right. */
  gain: number;
  isoStopsAboveBase: number;
  softness: number;
  /** Another one gives other noise. */
  seed: number;
}

/** Standard deviation of the noise at a full white, linear, at base ISO on the reference camera (start). */
export const NOISE_AT_BASE = 0.011;

/** Exposed, softened as the bit rate does, made noisy, brought under the highlights' shoulder, and written as sRGB. */
export function developed(
  { light, width, height }: Gathered,
  { gain, isoStopsAboveBase, softness, seed }: Exposed,
  { tone, perLinear }: ToneCurve,
): Picture {
  const pixels = width * height;
  if (softness > 0.02) soften(light, width, height, Math.min(1, softness));
  const rgba = new Uint8ClampedArray(4 * pixels);
  const noise = NOISE_AT_BASE * 2 ** (isoStopsAboveBase / 2);
  const top = tone.length - 1;
  let chance = (Math.imul(seed + 1, 2654435761) ^ 0x9e3779b9) | 1;
  for (let pixel = 0, from = 0, to = 0; pixel < pixels; pixel++, from += 3, to += 4) {
    // Photons come by chance: the spread grows as the root of the light. One draw near normal, of three even ones.
    chance ^= chance << 13;
    chance ^= chance >>> 17;
    chance ^= chance << 5;
    const even = ((chance & 1023) + ((chance >>> 10) & 1023) + ((chance >>> 20) & 1023)) / 1023;
    const grain = (even - 1.5) * 2 * noise;
    for (let part = 0; part < 3; part++) {
      const lit = gain * (light[from + part] ?? 0);
      const seen = (lit + grain * (Math.sqrt(lit) + 0.02)) * perLinear;
      rgba[to + part] = tone[seen <= 0 ? 0 : seen >= top ? top : (seen + 0.5) | 0] ?? 0;
    }
    rgba[to + 3] = 255;
  }
  return { width, height, rgba };
}

/** Mixes each pixel with the mean of its neighbours, as far as fine detail is lost: along the rows, then down. */
function soften(light: Float32Array, width: number, height: number, share: number): void {
  const third = share / 3;
  const keep = 1 - 2 * third;
  const mix = (begin: number, step: number, count: number): void => {
    let before = light[begin] ?? 0;
    for (let at = begin + step, left = count - 2; left > 0; left--, at += step) {
      const here = light[at] ?? 0;
      light[at] = keep * here + third * (before + (light[at + step] ?? 0));
      before = here;
    }
  };
  for (let row = 0; row < height; row++)
    for (let part = 0; part < 3; part++) mix(3 * row * width + part, 3, width);
  for (let column = 0; column < 3 * width; column++) mix(column, 3 * width, height);
}

/** From linear light to the sRGB value written, by table: sRGB is IEC 61966-2-1. */
export interface ToneCurve {
  tone: Uint8Array;
  /** Steps of the table for a linear 1. */
  perLinear: number;
}

const STEPS = 8192;

/** Linear up to a half; above, what the guard saves is bent under white. Without a guard it is cut off at white. */
export function toneCurveOf(guardStops: number): ToneCurve {
  const most = 2 ** Math.max(0, guardStops);
  const power = 2 * (most - 0.5);
  const bent = (linear: number): number =>
    linear <= 0.5 ? linear : 1 - 0.5 * (1 - (linear - 0.5) / (most - 0.5)) ** power;
  const tone = Uint8Array.from({ length: STEPS + 1 }, (_, at) => {
    const linear = bent((at / STEPS) * most);
    return Math.round(255 * (linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055));
  });
  return { tone, perLinear: STEPS / most };
}

/** Linear light of an sRGB value 0…255. */
export function decoded(value: number): number {
  const share = value / 255;
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
}
