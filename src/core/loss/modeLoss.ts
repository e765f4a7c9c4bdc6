import type { Encoding, Mode } from '../camera/modeTable';
import { widthInShape, straightenKeeps } from '../optics/crop';
import { angularSizeDeg, LOST_BELOW_SHARE, viewThatFitsDeg } from '../optics/framing';
import { viewAfterCropDeg } from '../optics/projection';
import { cardUse, encodingBitsPerPixel } from '../camera/card';
import { habitsOf } from '../motion/mounts';
import { shakeSwingDeg } from '../motion/shake';
import type { Brief } from '../plan/defaults';
import type { Activity, Colour, Grade, Screen } from '../plan/words';
import type { Loss } from './terms';
import { cadenceOf, STUTTER_BROKEN_FPS, STUTTER_SEEN_FPS } from '../playback/cadence';

/**
 * The terms that follow from the mode alone, whatever the shutter, filter and ISO.
 * All slopes are starting estimates, chosen so that 1 is just noticeable.
 */

/** How much a shortfall of pixels shows, by screen. A hand-held phone hides half of it. */
const SCREEN_DEMAND: Record<Screen, number> = {
  phone: 0.5,
  laptop: 0.8,
  desktop: 1,
  tv: 1.3,
  projector: 1.3,
};
/** Pixels in reserve, as a multiple of the delivered width, beyond which more no longer shows. */
const RESERVE = 1.5;
/** AVC-equivalent bits per pixel and frame at which coding starts to show, by how fine and fast the texture is. */
const BITS_PER_PIXEL: Record<Activity, number> = {
  still: 0.08,
  walking: 0.12,
  running: 0.16,
  riding: 0.2,
  paddling: 0.22,
  climbing: 0.14,
  skating: 0.16,
  surfing: 0.22,
  driving: 0.16,
  flying: 0.16,
  playing: 0.14,
};
/** Colour against grade: a flat picture posted straight away looks dull, a standard one breaks when graded. */
const COLOUR_LOSS: Record<Grade, Record<Colour, number>> = {
  none: { standard: 0, flat: 0.6, log: 1.2 },
  light: { standard: 0, flat: 0.1, log: 0.4 },
  full: { standard: 0.8, flat: 0.3, log: 0 },
};
/** A tilt below this goes unseen, degrees. */
const TILT_UNSEEN_DEG = 1.5;
/** Swing in degrees below which there is nothing to hold (start). */
const IDLE_SWING_DEG = 0.1;
/** No edit gives up more than this share of the width on each side. */
const MOST_EDIT_CROP = 0.2;

/** What is left of a mode's frame once it is steadied in the edit and cut to the delivered shape. */
export interface DeliveredFrame {
  widthPx: number;
  horizontalDeg: number;
  /** Share of the width that the edit's steadying leaves. */
  editKeeps: number;
  /** Swing in degrees to either side that is taken up, in the camera or in the edit. */
  swingDeg: number;
}

export function deliveredFrame(brief: Brief, mode: Mode, steadiedInEdit: boolean): DeliveredFrame {
  const { deliver } = brief.playback;
  const { width, height } = mode.resolution;
  const whole = widthInShape(mode.resolution, deliver);
  if (mode.view.fromSphere) {
    // Flat view of angle H out of a sphere W wide: about W·H/360 pixels across its centre.
    const widthPx = Math.min(whole, (width * mode.view.horizontalDeg) / 360);
    const swingDeg = steadiedInEdit ? 90 : mode.swingDeg;
    return { widthPx, horizontalDeg: mode.view.horizontalDeg, editKeeps: 1, swingDeg };
  }
  if (!steadiedInEdit) {
    const keeps = whole / width;
    const horizontalDeg = viewAfterCropDeg(mode.view.horizontalDeg, keeps, mode.view.projection);
    return { widthPx: whole, horizontalDeg, editKeeps: 1, swingDeg: mode.swingDeg };
  }
  const crop = Math.min(
    MOST_EDIT_CROP,
    shakeSwingDeg(brief.motion.shakeDegPerSRms) / mode.view.horizontalDeg,
  );
  // The same swing costs as many pixels above and below; a taller frame has them to spare.
  const widthPx = widthInShape({ width: width * (1 - 2 * crop), height: height - 2 * crop * width }, deliver);
  return {
    widthPx,
    horizontalDeg: viewAfterCropDeg(mode.view.horizontalDeg, widthPx / width, mode.view.projection),
    editKeeps: widthPx / whole,
    swingDeg: mode.swingDeg + crop * mode.view.horizontalDeg,
  };
}

export type FrameTerms = Pick<
  Loss,
  'resolution' | 'viewNarrow' | 'viewWide' | 'steadiness' | 'tilt' | 'editCrop' | 'colour'
>;

export function frameTermsOf(
  brief: Brief,
  demands: Demands,
  mode: Mode,
  colour: Colour,
  steadiedInEdit: boolean,
): FrameTerms {
  const delivered = deliveredFrame(brief, mode, steadiedInEdit);
  return {
    resolution: resolutionLoss(brief, delivered),
    viewNarrow: viewNarrowLoss(demands, delivered),
    viewWide: viewWideLoss(demands, delivered),
    steadiness: steadinessLoss(demands, mode, delivered),
    tilt: tiltLoss(brief, mode, steadiedInEdit),
    editCrop: editCropLoss(delivered),
    colour: colourLoss(brief, colour),
  };
}

export function stutterLoss(brief: Brief, frameRate: number): number {
  const { timelineFps, slowdown } = brief.playback;
  const { seenFps, repeats } = cadenceOf(frameRate, timelineFps, slowdown);
  if (!repeats) return 0;
  return (
    0.5 * Math.log2(timelineFps / seenFps) +
    3 * Math.max(0, Math.log2(STUTTER_SEEN_FPS / seenFps)) +
    (seenFps < STUTTER_BROKEN_FPS ? 2 : 0)
  );
}

/**
 * Uneven steps show less the more frames there are to choose from; frames never shown cost light and data. Of several
 * speeds the worst counts, but what a slower one needs is not wasted on a faster one.
 */
export function cadenceLoss(brief: Brief, frameRate: number): number {
  const { timelineFps, slowdown, alsoSlowdowns } = brief.playback;
  const { framesPerTimelineFrame } = cadenceOf(frameRate, timelineFps, slowdown);
  let jerky = jerkiness(frameRate, timelineFps, slowdown);
  for (const other of alsoSlowdowns) jerky = Math.max(jerky, jerkiness(frameRate, timelineFps, other));
  return jerky + 0.15 * Math.max(0, Math.log2(framesPerTimelineFrame));
}

function jerkiness(frameRate: number, timelineFps: number, slowdown: number): number {
  const { uneven, framesPerTimelineFrame } = cadenceOf(frameRate, timelineFps, slowdown);
  return uneven ? 1.5 / Math.max(1, framesPerTimelineFrame) : 0;
}

/** Twice the missing octaves of width, plus a little for having no reserve; scaled by the screen. */
function resolutionLoss(brief: Brief, frame: DeliveredFrame): number {
  const needed = brief.playback.deliver.width;
  const short = Math.max(0, Math.log2(needed / frame.widthPx));
  const reserve = Math.max(0, Math.log2((RESERVE * needed) / frame.widthPx) - short);
  return SCREEN_DEMAND[brief.playback.screen] * (2 * short + 0.3 * reserve);
}

/** What a shot demands of any frame: worked out once, asked of every mode. Degrees. */
export interface Demands {
  /** Least view: the ride's, or the subject's where that asks for more. */
  leastViewDeg: number;
  /** View beyond which edges bend. */
  mostViewDeg: number;
  subjectDeg: number | null;
  /** Swing to either side that wants holding. */
  swingDeg: number;
}

export function demandsOf(brief: Brief): Demands {
  const { subject, shakeDegPerSRms } = brief.motion;
  const { width, height } = brief.playback.deliver;
  const habits = habitsOf(brief.mount.kind, brief.mount.place);
  const fits = subject ? viewThatFitsDeg(subject, width, height) : 0;
  const leastViewDeg = Math.max(habits.leastViewDeg, fits);
  return {
    leastViewDeg,
    mostViewDeg: Math.max(habits.mostViewDeg, leastViewDeg),
    subjectDeg: subject ? angularSizeDeg(subject.sizeM, subject.distanceM) : null,
    swingDeg: shakeSwingDeg(shakeDegPerSRms),
  };
}

function viewNarrowLoss(demands: Demands, frame: DeliveredFrame): number {
  const { leastViewDeg } = demands;
  return frame.horizontalDeg >= leastViewDeg ? 0 : 2 * Math.log2(leastViewDeg / frame.horizontalDeg);
}

/** Edges bent beyond the usual, and a subject smaller than one part in forty of the width. */
function viewWideLoss(demands: Demands, frame: DeliveredFrame): number {
  const { mostViewDeg, subjectDeg } = demands;
  const bent = frame.horizontalDeg <= mostViewDeg ? 0 : Math.log2(frame.horizontalDeg / mostViewDeg);
  const lostDeg = LOST_BELOW_SHARE * frame.horizontalDeg;
  return (
    1.5 * bent + (subjectDeg === null || subjectDeg >= lostDeg ? 0 : 2 * Math.log2(lostDeg / subjectDeg))
  );
}

/**
 * Octaves of the swing left over, counted from 0.5 % of the width, where it begins to be felt. A hold that has nothing to
 * do wanders by itself: a little loss.
 */
function steadinessLoss(demands: Demands, mode: Mode, frame: DeliveredFrame): number {
  const idle = mode.swingDeg > 0 && demands.swingDeg < IDLE_SWING_DEG ? 0.15 : 0;
  const left = demands.swingDeg - frame.swingDeg;
  return left <= 0 ? idle : idle + Math.log2(1 + (100 * left) / frame.horizontalDeg / 0.5);
}

/** Level hold straightens up to 45°, full-roll hold anything; in the edit it is straightened by a crop. */
function tiltLoss(brief: Brief, mode: Mode, steadiedInEdit: boolean): number {
  const tilt = Math.abs(brief.mount.tiltDeg);
  if (tilt <= TILT_UNSEEN_DEG || mode.view.fromSphere) return 0;
  if (mode.stabilization === 'rollHold' || (mode.stabilization === 'levelHold' && tilt <= 45)) return 0;
  if (steadiedInEdit) {
    const { width, height } = brief.playback.deliver;
    return 2 * -Math.log2(straightenKeeps(Math.min(tilt, 45), width, height));
  }
  return Math.min(3, 0.3 * (tilt - TILT_UNSEEN_DEG));
}

/** A fifth of the picture given up in the edit is just noticeable as a loss. */
function editCropLoss(frame: DeliveredFrame): number {
  return 5 * 0.2 * (1 - frame.editKeeps);
}

export function bitRateLoss(brief: Brief, mode: Mode, encoding: Encoding): number {
  const wanted = BITS_PER_PIXEL[brief.mount.activity];
  return Math.max(0, Math.log2(wanted / encodingBitsPerPixel(mode, encoding)));
}

/** A cut-off recording is a lost shot: at once well above noticeable, and more the more is missing. */
export function cardLoss(brief: Brief, encoding: Encoding): number {
  const use = cardUse(encoding.bitRateMbps, brief.limits.recordSeconds, brief.limits.cardGb);
  return use > 1 ? 3 + 4 * Math.log2(use) : 0;
}

function colourLoss(brief: Brief, colour: Colour): number {
  return COLOUR_LOSS[brief.look.grade][colour];
}
