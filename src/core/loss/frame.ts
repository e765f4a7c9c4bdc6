import type { Encoding, Mode } from '../camera/modeTable';
import { widthInShape } from '../optics/crop';
import { angularSizeDeg, viewThatFitsDeg } from '../optics/framing';
import { PROJECTIONS, viewAfterCropDeg } from '../optics/projection';
import type { Projection } from '../optics/projection';
import { habitsOf } from '../vocabulary/mounts';
import { shakeSwingDeg } from '../motion/shake';
import type { Brief } from '../brief/brief';

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

/** What a shot demands of any frame: worked out once, asked of every mode. Degrees. */
export interface Demands {
  /** View that the ride wants at least, and beyond which edges bend. */
  rideViewDeg: number;
  bentFromDeg: number;
  /** View in which the subject fits, by how the lens draws; 0 without a subject. */
  subjectViewDeg: Readonly<Record<Projection, number>>;
  subjectDeg: number | null;
  /** Swing to either side that wants holding. */
  swingDeg: number;
}

export function demandsOf(brief: Brief): Demands {
  const { subject, shakeDegPerSRms } = brief.motion;
  const { width, height } = brief.playback.deliver;
  const habits = habitsOf(brief.mount.kind, brief.mount.place);
  return {
    rideViewDeg: habits.leastViewDeg,
    bentFromDeg: habits.mostViewDeg,
    subjectViewDeg: subject
      ? (Object.fromEntries(
          PROJECTIONS.map((projection) => [projection, viewThatFitsDeg(subject, projection, width, height)]),
        ) as Record<Projection, number>)
      : NO_SUBJECT,
    subjectDeg: subject ? angularSizeDeg(subject.sizeM, subject.distanceM) : null,
    swingDeg: shakeSwingDeg(shakeDegPerSRms),
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

/** Off level, degrees, up to which a level hold rights the picture (start). */
const LEVEL_HOLD_DEG = 45;

/** Degrees off level that a mode rights by itself: level hold within its reach, full-roll hold and a sphere anything. */
export function tiltHeldDeg({ stabilization, view }: Pick<Mode, 'stabilization' | 'view'>): number {
  if (stabilization === 'rollHold' || view.fromSphere) return 180;
  return stabilization === 'levelHold' ? LEVEL_HOLD_DEG : 0;
}
