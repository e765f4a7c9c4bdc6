/** What a microphone hears of a made-up run: steps or strokes that every camera there hears alike, and what only it hears. */
interface Heard {
  seconds: number;
  sampleRate: number;
  /** When it begins by the time that all cameras of the run share, seconds. */
  fromSeconds: number;
  /** Of the run, and of this camera's own noise. */
  seed: number;
  ownSeed: number;
  /** Level of wind at the microphone, 0…1. */
  wind: number;
}

const STROKES_HZ = 0.9;
/** A stroke dies away to a third in this time, seconds. */
const STROKE_SECONDS = 0.06;
const LEVELS = { stroke: 0.3, around: 0.012, own: 0.006 } as const;
/** Wind at a microphone lies below this, Hz. Source: Nelke & Vary 2014. */
const WIND_BELOW_HZ = 60;
const GUSTS_HZ = 0.7;

/** One channel, −1…1. */
export function soundtrack({ seconds, sampleRate, fromSeconds, seed, ownSeed, wind }: Heard): Float32Array {
  const first = Math.round(fromSeconds * sampleRate);
  const samples = new Float32Array(Math.round(seconds * sampleRate));
  const slowly = (2 * Math.PI * WIND_BELOW_HZ) / sampleRate;
  let [blown, blownTwice] = [0, 0];
  for (let at = 0; at < samples.length; at++) {
    const time = (first + at) / sampleRate;
    const since = (time * STROKES_HZ - Math.floor(time * STROKES_HZ)) / STROKES_HZ;
    const scraped = noiseAt(seed, first + at);
    const own = noiseAt(ownSeed, at);
    blown += slowly * (own - blown);
    blownTwice += slowly * (blown - blownTwice);
    const gust = 0.5 - 0.5 * Math.cos(2 * Math.PI * GUSTS_HZ * time);
    const value =
      scraped * (LEVELS.around + LEVELS.stroke * Math.exp(-since / STROKE_SECONDS)) +
      LEVELS.own * own +
      wind * gust * (blownTwice / slowly);
    samples[at] = Math.max(-1, Math.min(1, value));
  }
  return samples;
}

/** −1…1, the same for the same place. Source: Wang 2007 (32-bit mix of integers). */
function noiseAt(seed: number, place: number): number {
  let mixed = Math.imul(place ^ (seed * 0x9e3779b1), 0x85ebca6b);
  mixed ^= mixed >>> 13;
  mixed = Math.imul(mixed, 0xc2b2ae35);
  mixed ^= mixed >>> 16;
  return (mixed >>> 0) / 2 ** 31 - 1;
}
