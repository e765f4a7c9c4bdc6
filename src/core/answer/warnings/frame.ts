import { lensFocusing } from '../../camera/lenses';
import { deliveredFrame, drawnBy, leastViewDeg, shareFilled } from '../../loss/frame';
import { worthAWarning } from '../../loss/table';
import { viewThatFitsDeg } from '../../optics/framing';
import { straightenKeeps } from '../../optics/crop';
import { blurDiscDeg, sharpRangeM } from '../../optics/focus';
import { pctWidthPerDegree } from '../../optics/projection';
import { seamCleanFromM, seamDoublesDeg, seamIn } from '../../optics/sphere';
import { paneAt } from '../../filters/mirrored';
import type { Pane } from '../../filters/mirrored';
import { severityOf, warning } from './warning';
import type { JudgedAnswer } from './warning';

/** The picture as it is delivered. Degrees, metres, pixels. */

/** Blur disc in pixels of the delivered picture from which a face looks soft (start). */
const SOFT_FROM_PX = 3;
/** Loss of steadiness from which the swing is worth a line. */
const SHAKES_FROM = 0.5;

const frameOf = ({ space, candidate }: JudgedAnswer): ReturnType<typeof deliveredFrame> =>
  deliveredFrame(space.brief, candidate.mode, space.school.steadiedInEdit);

interface Narrow {
  viewDeg: number;
  leastDeg: number;
  /** Who does not fit, and how: cut, without room above and below, or running out at the side. */
  what: 'ride' | 'cut' | 'noRoom' | 'aside';
  /** What of the frame's height the subject fills, 0…1; 0 without one. */
  filled: number;
  /** Whether this camera could show more in what is left to choose. */
  widerLeft: boolean;
}

const viewNarrow = warning<'viewNarrow', Narrow>('viewNarrow', (seen) => {
  if (!worthAWarning('viewNarrow', seen.loss)) return null;
  const { brief, demands } = seen.space;
  const { mode } = seen.candidate;
  const frame = frameOf(seen);
  const filled = shareFilled(brief, drawnBy(mode, frame)) ?? 0;
  const forSubject = demands.subjectViewDeg[mode.view.projection] > demands.rideViewDeg;
  return {
    severity: severityOf(seen.loss.viewNarrow),
    viewDeg: frame.horizontalDeg,
    leastDeg: leastViewDeg(demands, mode),
    what: !forSubject
      ? 'ride'
      : filled > 1
        ? 'cut'
        : standsFree(seen, frame.horizontalDeg)
          ? 'aside'
          : 'noRoom',
    filled,
    widerLeft: widerLeft(seen),
  };
});

/** Whether the subject had room enough if it stood still and straight ahead. */
function standsFree({ space: { brief }, candidate: { mode } }: JudgedAnswer, viewDeg: number): boolean {
  const { subject } = brief.motion;
  const { width, height } = brief.playback.deliver;
  const still = { upM: 0, acrossM: 0 };
  return (
    subject === null ||
    viewThatFitsDeg({ ...subject, sideM: 0 }, still, mode.view.projection, width, height) <= viewDeg
  );
}

/** Whether some mode that the pins leave shows more. */
function widerLeft({ space: { modes }, candidate: { mode } }: JudgedAnswer): boolean {
  return modes.some(({ view }) => view.horizontalDeg > mode.view.horizontalDeg + WIDER_DEG);
}
const WIDER_DEG = 1;

interface SoftSubject {
  distanceM: number;
  nearLimitM: number;
  sharpFromM: number;
  blurPx: number;
  tooNear: boolean;
}

const faceNear = warning<'faceNear', SoftSubject>('faceNear', (seen) => {
  const { brief } = seen.space;
  const distanceM = brief.motion.subject?.distanceM;
  if (distanceM === undefined) return null;
  const { view } = seen.candidate.mode;
  const lens = lensFocusing(brief.camera, view.id);
  const perDegree = pctWidthPerDegree(frameOf(seen).horizontalDeg, view.projection) / 100;
  const blurPx = blurDiscDeg(lens, distanceM) * perDegree * brief.playback.deliver.width;
  if (distanceM >= lens.nearLimitM && blurPx < SOFT_FROM_PX) return null;
  const sharpFromM = sharpRangeM(lens, distanceM).fromM;
  return {
    severity: blurPx >= SOFT_FROM_PX ? 'caution' : 'note',
    distanceM,
    nearLimitM: lens.nearLimitM,
    sharpFromM,
    blurPx,
    tooNear: distanceM < Math.max(lens.nearLimitM, sharpFromM),
  };
});

const tilt = warning<'tilt', { tiltDeg: number; keeps: number }>('tilt', ({ space, candidate, loss }) => {
  if (!worthAWarning('tilt', loss)) return null;
  const { tiltDeg } = space.brief.mount;
  const { width, height } = candidate.mode.resolution;
  return { severity: severityOf(loss.tilt), tiltDeg, keeps: straightenKeeps(tiltDeg, width, height) };
});

/** The smallest change that takes the swing away: a hold that this camera has, a wider view, or what carries it. */
type AgainstSwing = 'hold' | 'wider' | 'mount' | 'cabin';

const margin = warning<'margin', { swingDeg: number; heldDeg: number; way: AgainstSwing }>(
  'margin',
  (seen) => {
    const { demands } = seen.space;
    const heldDeg = frameOf(seen).swingDeg;
    if (demands.swingDeg <= heldDeg || seen.loss.steadiness < SHAKES_FROM) return null;
    return {
      severity: severityOf(seen.loss.steadiness),
      swingDeg: demands.swingDeg,
      heldDeg,
      way: againstSwing(seen),
    };
  },
);

function againstSwing(seen: JudgedAnswer): AgainstSwing {
  const { demands, school, modes } = seen.space;
  const { mode } = seen.candidate;
  if (demands.swims) return 'cabin';
  const unheld = school.wishes.stabilization?.among.includes('off') ?? false;
  if (!unheld && modes.some(({ swingDeg }) => swingDeg > mode.swingDeg)) return 'hold';
  return widerLeft(seen) ? 'wider' : 'mount';
}

const resolution = warning<'resolution', { widthPx: number; neededPx: number }>('resolution', (seen) => {
  const { widthPx } = frameOf(seen);
  const neededPx = seen.space.brief.playback.deliver.width;
  return widthPx < neededPx ? { severity: severityOf(seen.loss.resolution), widthPx, neededPx } : null;
});

/** Doubling at the seam of a sphere that nobody sees, pixels of the delivered picture (start). */
const SEAM_SEEN_PX = 2;

interface SeamInPicture {
  offDeg: number;
  nearestM: number;
  doublesPx: number;
  cleanFromM: number;
}

const seam = warning<'seam', SeamInPicture>('seam', (seen) => {
  const { view } = seen.candidate.mode;
  if (!view.fromSphere) return null;
  const { mount, motion, playback } = seen.space.brief;
  const { horizontalDeg } = frameOf(seen);
  const { offDeg, inFrame } = seamIn(mount.cutDeg, horizontalDeg);
  if (!inFrame) return null;
  const nearestM = Math.min(motion.nearestM, motion.subject?.distanceM ?? Infinity);
  const pxPerDegree = (pctWidthPerDegree(horizontalDeg, 'straight') / 100) * playback.deliver.width;
  const doublesPx = seamDoublesDeg(nearestM) * pxPerDegree;
  return {
    severity: doublesPx >= SEAM_SEEN_PX ? 'caution' : 'note',
    offDeg,
    nearestM,
    doublesPx,
    cleanFromM: seamCleanFromM(SEAM_SEEN_PX / pxPerDegree),
  };
});

const reflection = warning<'reflection', Pane & { worn: boolean; inTheBag: boolean }>(
  'reflection',
  ({ space, candidate }) => {
    const { mount, filters } = space.brief;
    if (mount.glassDeg === null) return null;
    const polarizers = filters.filter(({ kind }) => kind === 'polarizer').map(({ id }) => id);
    return {
      severity: 'note',
      ...paneAt(mount.glassDeg),
      worn: polarizers.some((id) => candidate.filter.ids.includes(id)),
      inTheBag: polarizers.length > 0,
    };
  },
);

export const FRAME_WARNINGS = [viewNarrow, faceNear, tilt, margin, resolution, seam, reflection] as const;
