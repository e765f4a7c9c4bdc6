import { lensFocusing } from '../../camera/lenses';
import { deliveredFrame, leastViewDeg } from '../../loss/frame';
import { worthAWarning } from '../../loss/table';
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
/** A subject with this room around it asks for the view, where it fills half of it (start). */
const SUBJECT_ROOM = 1.4;
/** Loss of steadiness from which the swing is worth a line. */
const SHAKES_FROM = 0.5;

const frameOf = ({ space, candidate }: JudgedAnswer): ReturnType<typeof deliveredFrame> =>
  deliveredFrame(space.brief, candidate.mode, space.school.steadiedInEdit);

const viewNarrow = warning<'viewNarrow', { viewDeg: number; leastDeg: number; forSubject: boolean }>(
  'viewNarrow',
  (seen) => {
    if (!worthAWarning('viewNarrow', seen.loss)) return null;
    const { demands } = seen.space;
    const { horizontalDeg } = frameOf(seen);
    return {
      severity: severityOf(seen.loss.viewNarrow),
      viewDeg: horizontalDeg,
      leastDeg: leastViewDeg(demands, seen.candidate.mode),
      forSubject: demands.subjectDeg !== null && demands.subjectDeg * SUBJECT_ROOM >= horizontalDeg / 2,
    };
  },
);

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

const margin = warning<'margin', { swingDeg: number; heldDeg: number; steadiedInEdit: boolean }>(
  'margin',
  (seen) => {
    const { demands, school } = seen.space;
    const heldDeg = frameOf(seen).swingDeg;
    if (demands.swingDeg <= heldDeg || seen.loss.steadiness < SHAKES_FROM) return null;
    return {
      severity: severityOf(seen.loss.steadiness),
      swingDeg: demands.swingDeg,
      heldDeg,
      steadiedInEdit: school.steadiedInEdit,
    };
  },
);

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
