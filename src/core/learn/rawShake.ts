import type { Brief } from '../brief/brief';
import { solve } from '../answer/solve';
import { heldBySettings } from '../inspect/planned';
import type { Plane } from '../inspect/plane';
import { blurOf, pulsingOf } from '../inspect/sharpness';
import { happenedTake } from '../preview/happened';
import { Renderer } from '../preview/render';
import { sceneOf } from '../preview/scene';
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

/** Octaves to either side of the usual that are tried, and the steps between. */
const REACH = 2;
const STEP = 0.5;
/** Known no better than this, octaves, it is not told: the whole of what is tried spreads by 1.2. */
const TOLD_TO = 0.9;
const WIDTH = 192;
const PICTURES = 28;
const SEEDS = [3, 11];
/** Pulsing of a clip and of its drawing agree to this share (start): another place, another codec. */
const AGREES_TO = 0.2;
/** Less than this, per cent, is the rounding of the pictures and tells no shake. */
export const PULSING_TOLD_PCT = 2;

/** `null`: nothing fits the shot any more, nothing that is drawn pulses so, or all of it does. */
export function rawShakeOf(brief: Brief, settings: Settings, pulsingPct: number): RawShake | null {
  const usual = brief.motion.shakeDegPerSRms;
  if (usual <= 0 || pulsingPct < PULSING_TOLD_PCT) return null;
  let [sum, first, second] = [0, 0, 0];
  for (let octaves = -REACH; octaves <= REACH; octaves += STEP)
    for (const seed of SEEDS) {
      const drawn = pulsingAt(brief, settings, usual * 2 ** octaves, seed);
      if (drawn === null) return null;
      const off = Math.log2(Math.max(0.1, drawn) / pulsingPct) / Math.log2(1 + AGREES_TO);
      const weight = Math.exp(-0.5 * off * off);
      sum += weight;
      first += weight * octaves;
      second += weight * octaves * octaves;
    }
  if (sum < 1e-6) return null;
  const octaves = first / sum;
  // Between two steps it is not known.
  const spread = Math.hypot(Math.sqrt(Math.max(0, second / sum - octaves ** 2)), STEP / 4);
  return spread > TOLD_TO ? null : { degPerSRms: usual * 2 ** octaves, spread };
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
