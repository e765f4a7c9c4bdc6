import type { Brief } from '../brief/brief';
import { solve } from '../answer/solve';
import { heldBySettings } from '../inspect/planned';
import type { Plane } from '../inspect/plane';
import { blurOf, pulsingOf } from '../inspect/sharpness';
import { meanOf, rmsOf } from '../inspect/series';
import { happenedTake } from '../preview/happened';
import { Renderer } from '../preview/render';
import { sceneOf } from '../preview/scene';
import { item } from '../units/items';
import type { Settings } from '../records/settings';

/**
 * The shake that was in a clip before a hold took it out. Its movement is gone, its smear is not: the same shot is drawn
 * at several shakes, and those count whose sharpness pulses as that of the clip did. log2 of deg/s. Sources: work by
 * simulation where no likelihood can be written, Beaumont, Zhang & Balding 2002; weights of a normal kernel.
 */
export interface RawShake {
  degPerSRms: number;
  /** One standard deviation, log2. */
  spread: number;
}

/** Octaves from the usual that are drawn; between them pulsing is taken to grow evenly, and is looked up so finely. */
const DRAWN_AT = [-1, 0, 1, 2];
const FINE = 0.1;
/** Known no better than this, octaves, it is not told: the whole of what is tried spreads by 0.9. */
const TOLD_TO = 0.75;
const WIDTH = 128;
/** Two seconds and more: sharpness is held against its median of one. */
const PICTURES = 60;
const SEEDS = [3, 11];
/** Pulsing of a clip and of its drawing agree to this share (start): another place, another codec. */
const AGREES_TO = 0.25;
/** Sharp throughout, it still pulses by the noise of its measure, per cent. */
const LEAST_PCT = 0.5;
/** Less than this, per cent, is the rounding of the pictures and tells no shake. */
const PULSING_TOLD_PCT = 2;

/** `null`: nothing fits the shot any more, nothing that is drawn pulses so, or all of it does. */
export function rawShakeOf(brief: Brief, settings: Settings, pulsingPct: number): RawShake | null {
  const usual = brief.motion.shakeDegPerSRms;
  if (usual <= 0 || pulsingPct < PULSING_TOLD_PCT) return null;
  const tried: { octaves: number; drawn: number; swings: number }[] = [];
  for (const octaves of DRAWN_AT) {
    const drawn = SEEDS.map((seed) => pulsingAt(brief, settings, usual * 2 ** octaves, seed));
    const told = drawn.flatMap((pct) => (pct === null ? [] : [Math.log2(Math.max(LEAST_PCT, pct))]));
    if (told.length < SEEDS.length) return null;
    tried.push({ octaves, drawn: meanOf(told), swings: rmsOf(told.map((one) => one - meanOf(told))) });
  }
  // A second of shaking is not like the next: how much it differs is seen among the drawn, and the clip is one of such.
  const swings = rmsOf(tried.map((one) => one.swings)) * Math.sqrt(SEEDS.length / (SEEDS.length - 1));
  const width = Math.hypot(Math.log2(1 + AGREES_TO), swings * Math.sqrt(1 + 1 / SEEDS.length));
  const last = item(DRAWN_AT, DRAWN_AT.length - 1);
  let [sum, first, second] = [0, 0, 0];
  for (let octaves = item(DRAWN_AT, 0); octaves <= last + 1e-9; octaves += FINE) {
    const weight = Math.exp(-0.5 * ((drawnAt(tried, octaves) - Math.log2(pulsingPct)) / width) ** 2);
    sum += weight;
    first += weight * octaves;
    second += weight * octaves * octaves;
  }
  if (sum < 1e-6) return null;
  const octaves = first / sum;
  const spread = Math.hypot(Math.sqrt(Math.max(0, second / sum - octaves ** 2)), FINE);
  return spread > TOLD_TO ? null : { degPerSRms: usual * 2 ** octaves, spread };
}

/** More shake never pulses less: where a drawing says so it is the chance of its shaking. */
function drawnAt(tried: readonly { octaves: number; drawn: number }[], octaves: number): number {
  const above = tried.findIndex((one) => one.octaves >= octaves - 1e-9);
  const [low, high] = [item(tried, Math.max(0, above - 1)), item(tried, Math.max(0, above))];
  const share = high.octaves === low.octaves ? 0 : (octaves - low.octaves) / (high.octaves - low.octaves);
  return low.drawn + share * (Math.max(low.drawn, high.drawn) - low.drawn);
}

/** Per cent, of a few pictures drawn small. */
function pulsingAt(brief: Brief, settings: Settings, shakeDegPerSRms: number, seed: number): number | null {
  const shaken = { ...brief, motion: { ...brief.motion, shakeDegPerSRms } };
  const outcome = solve({ ...shaken, pins: heldBySettings(brief, settings) });
  if (!outcome.solved) return null;
  const { space, candidate } = outcome.solution;
  const take = happenedTake(space, candidate, { seconds: PICTURES / settings.frameRate, seed });
  const { movement, heightM, scene, captureFps } = take;
  const renderer = new Renderer(take, sceneOf(scene, movement.sideDistanceM, heightM), WIDTH);
  const blurs: number[] = [];
  for (let number = 0; number < PICTURES; number++) {
    const { rgba, width, height } = renderer.picture({ number, atSeconds: number / captureFps });
    const blur = blurOf(lumaOf(rgba, width, height));
    if (blur !== null) blurs.push(blur);
  }
  return blurs.length < PICTURES / 2 ? null : 100 * pulsingOf(blurs, captureFps);
}

/** Source: ITU-R BT.709. */
function lumaOf(rgba: ArrayLike<number>, width: number, height: number): Plane {
  const luma = new Float32Array(width * height);
  for (let at = 0; at < luma.length; at++)
    luma[at] =
      (0.2126 * (rgba[4 * at] ?? 0) + 0.7152 * (rgba[4 * at + 1] ?? 0) + 0.0722 * (rgba[4 * at + 2] ?? 0)) /
      255;
  return { width, height, luma };
}
