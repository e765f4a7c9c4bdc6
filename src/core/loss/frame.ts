import type { Encoding, Mode } from '../camera/modeTable';
import { widthInShape } from '../optics/crop';
import { drawnShare, viewThatFitsDeg, wantedShare } from '../optics/framing';
import type { Way } from '../optics/framing';
import { PROJECTIONS, viewAfterCropDeg } from '../optics/projection';
import type { Lens, Projection } from '../optics/projection';
import { STABILIZATIONS } from '../vocabulary/modes';
import type { Activity } from '../vocabulary/activities';
import { habitsOf } from '../vocabulary/mounts';
import { shakeSwingDeg } from '../motion/shake';
import type { Brief } from '../brief/brief';
import { talksToCamera } from '../brief/usual';

/** What is left of a mode's picture, and what a shot demands of it: what the terms owned by rate, frame and file are told. */

export interface RateFacts {
  brief: Brief;
  frameRate: number;
}

export interface FrameFacts {
  brief: Brief;
  demands: Demands;
  mode: Mode;
  frame: DeliveredFrame;
  steadiedInEdit: boolean;
}

export interface FileFacts {
  brief: Brief;
  mode: Mode;
  encoding: Encoding;
}

/** Swing in degrees below which there is nothing to hold (start). */
export const IDLE_SWING_DEG = 0.1;
/** No edit gives up more than this share of the width on each side. */
const MOST_EDIT_CROP = 0.2;

/** What is left of a mode's frame once it is steadied in the edit and cut to the delivered shape. */
interface DeliveredFrame {
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

/** The lens as it draws the delivered frame. */
export function drawnBy(
  { view }: Pick<Mode, 'view'>,
  { horizontalDeg }: Pick<DeliveredFrame, 'horizontalDeg'>,
): Lens {
  return { horizontalDeg, projection: view.projection };
}

/** What a shot demands of any frame: worked out once, asked of every mode. Degrees. */
export interface Demands {
  /** View that the ride wants at least, 0 where the subject alone decides, and beyond which edges bend. */
  rideViewDeg: number;
  bentFromDeg: number;
  /** View in which the subject fits, by how the lens draws; 0 without a subject. */
  subjectViewDeg: Readonly<Record<Projection, number>>;
  /** What it should fill of the frame's height at least, 0…1; `null` without a subject. */
  subjectShare: number | null;
  /** Swing to either side that wants holding. */
  swingDeg: number;
  /** Share of the frame that moves with the camera, and so stands still in it. */
  ridesAlong: number;
  /** So much of it does that a hold, which follows the world outside, makes the rest swim. */
  swims: boolean;
}

/** From here on what rides along is what is looked at (start). */
const SWIMS_FROM = 1 / 3;

/** Jumps and climbs are what is done: a subject wants room above it rather than beside it. */
const GOES_UP: ReadonlySet<Activity> = new Set(['climbing', 'skating']);

/** So much of a subject's way is watched at once, seconds (start). */
const WATCHED_SECONDS = 0.5;

/** Where the subject goes while it is watched: up where jumps are what is done, else across. */
function wayOf({ motion: { subject }, mount: { activity } }: Brief): Way {
  const wayM = (subject?.speedMps ?? 0) * WATCHED_SECONDS;
  return GOES_UP.has(activity)
    ? { upM: Math.min(wayM, (subject?.sizeM ?? 0) / 2), acrossM: 0 }
    : { upM: 0, acrossM: wayM };
}

/** What of the frame's height the subject of a shot fills in a view; `null` without one. */
export function shareFilled(
  { motion: { subject }, playback: { deliver } }: Brief,
  lens: Lens,
): number | null {
  return subject ? drawnShare(subject, lens, deliver.width, deliver.height) : null;
}

export function demandsOf(brief: Brief): Demands {
  const { subject, shakeDegPerSRms } = brief.motion;
  const { width, height } = brief.playback.deliver;
  const habits = habitsOf(brief.mount.kind, brief.mount.place);
  return {
    rideViewDeg: subject && habits.aimed ? 0 : habits.leastViewDeg,
    bentFromDeg: habits.mostViewDeg,
    subjectViewDeg: subject
      ? (Object.fromEntries(
          PROJECTIONS.map((projection) => [
            projection,
            viewThatFitsDeg(subject, wayOf(brief), projection, width, height),
          ]),
        ) as Record<Projection, number>)
      : NO_SUBJECT,
    subjectShare: subject ? wantedShare(subject, talksToCamera(subject)) : null,
    swingDeg: shakeSwingDeg(shakeDegPerSRms),
    ridesAlong: habits.ridesAlong,
    swims: habits.ridesAlong > SWIMS_FROM,
  };
}

const NO_SUBJECT = Object.fromEntries(PROJECTIONS.map((projection) => [projection, 0])) as Readonly<
  Record<Projection, number>
>;

/** The view that ride and subject want at least of this lens, degrees. */
export function leastViewDeg({ rideViewDeg, subjectViewDeg }: Demands, { view }: Pick<Mode, 'view'>): number {
  return Math.max(rideViewDeg, subjectViewDeg[view.projection]);
}

/** The view beyond which this lens bends more than the shot bears, degrees: never under what it must show. */
export function mostViewDeg(demands: Demands, mode: Pick<Mode, 'view'>): number {
  return Math.max(demands.bentFromDeg, leastViewDeg(demands, mode));
}

/** Whether a weaker hold of the same camera takes up the whole swing of a shot, and rights what the stronger one would. */
export function weakerHoldSuffices({
  brief,
  demands,
  mode,
}: Pick<FrameFacts, 'brief' | 'demands' | 'mode'>): boolean {
  const { views, stabilizations } = brief.camera;
  if (mode.stabilization === 'off' || mode.view.fromSphere) return false;
  const lens = views.find(({ id }) => id === mode.view.id);
  const off = Math.abs(brief.mount.tiltDeg);
  return HOLDS.some((hold) => {
    const given = stabilizations[hold];
    if (!lens || !given || given.cropPerSide >= mode.cropPerSide) return false;
    const rights = off <= TILT_UNSEEN_DEG || off <= tiltHeldDeg({ stabilization: hold, view: mode.view });
    return rights && (given.swingDeg ?? given.cropPerSide * lens.horizontalDeg) >= demands.swingDeg;
  });
}

const HOLDS = STABILIZATIONS.filter((one) => one !== 'off');

/** A horizon off by less is not seen without a ruler, degrees (start). */
export const TILT_UNSEEN_DEG = 1.5;

/** Off level, degrees, up to which a level hold rights the picture (start). */
const LEVEL_HOLD_DEG = 45;

/** Degrees off level that a mode rights by itself: level hold within its reach, full-roll hold and a sphere anything. */
export function tiltHeldDeg({ stabilization, view }: Pick<Mode, 'stabilization' | 'view'>): number {
  if (stabilization === 'rollHold' || view.fromSphere) return 180;
  return stabilization === 'levelHold' ? LEVEL_HOLD_DEG : 0;
}
