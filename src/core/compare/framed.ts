import { lensFocusing, viewMagnification } from '../camera/lenses';
import type { Mode } from '../camera/modeTable';
import type { CameraProfile } from '../camera/profile';
import { habitsOf } from '../vocabulary/mounts';
import { blockedShare } from '../motion/obstruction';
import { blurDiscDeg, sharpRangeM } from '../optics/focus';
import { farthestShowsM, framingOf, nearestFitsM } from '../optics/framing';
import type { Framing, FrameShape, Subject } from '../optics/framing';
import { outwardStretch, pctWidthPerDegree, verticalDeg } from '../optics/projection';
import type { Brief } from '../brief/brief';
import { deliveredFrame, tiltHeldDeg } from '../loss/frame';
import { search } from '../search/search';
import { schoolOf } from '../loss/schools';
import { spaceFor } from '../search/space';
import type { Space } from '../search/space';

/** One view of one camera as it will be delivered, with everything that framing asks of it. Metres, degrees, pixels. */
export interface FramedView {
  camera: CameraProfile;
  viewId: string;
  shape: FrameShape;
  verticalDeg: number;
  /** Against the camera's standard view. */
  magnification: number;
  pxPerDegree: number;
  subject: Subject;
  framing: Framing;
  nearestFitsM: number | null;
  farthestShowsM: number;
  /** How much longer things are drawn outward at the subject's place. */
  outwardStretch: number;
  blurPx: number;
  sharp: { fromM: number; toM: number };
  nearLimitM: number;
  /** Share of the frame covered by what the mount puts in it. */
  blocked: number;
}

/** Where a subject stands when the brief has none: in the middle of what the mount usually sees. */
export function subjectOf({ motion, mount }: Brief): Subject {
  if (motion.subject) return motion.subject;
  const { from, to } = habitsOf(mount.kind, mount.place).subjectM;
  return { sizeM: 1.8, distanceM: Math.sqrt(from * to), sideM: 0 };
}

export function framedView(space: Space, mode: Mode): FramedView {
  const { brief, school } = space;
  const { camera, mount, playback } = brief;
  const { horizontalDeg } = deliveredFrame(brief, mode, school.steadiedInEdit);
  const { width, height } = playback.deliver;
  const { projection } = mode.view;
  const shape: FrameShape = {
    lens: { horizontalDeg, projection },
    widthPx: width,
    heightPx: height,
    pitchDeg: mount.pitchDeg,
    rollDeg: school.steadiedInEdit || Math.abs(mount.tiltDeg) <= tiltHeldDeg(mode) ? 0 : mount.tiltDeg,
  };
  const subject = subjectOf(brief);
  const pxPerDegree = (pctWidthPerDegree(horizontalDeg, projection) / 100) * width;
  const focusing = lensFocusing(camera, mode.view.id);
  const offAxisDeg = (Math.atan2(subject.sideM, subject.distanceM) * 180) / Math.PI;
  return {
    camera,
    viewId: mode.view.id,
    shape,
    verticalDeg: verticalDeg(shape.lens, width, height),
    magnification: viewMagnification(camera, mode.view.id),
    pxPerDegree,
    subject,
    framing: framingOf(shape, subject),
    nearestFitsM: nearestFitsM(shape, subject),
    farthestShowsM: farthestShowsM(shape, subject),
    outwardStretch: outwardStretch(shape.lens, offAxisDeg),
    blurPx: blurDiscDeg(focusing, subject.distanceM) * pxPerDegree,
    sharp: sharpRangeM(focusing, subject.distanceM),
    nearLimitM: focusing.nearLimitM,
    blocked: blockedShare(shape.lens, width, height, habitsOf(mount.kind, mount.place).inTheWay),
  };
}

/** The same shot through another view or camera, set as that camera would best be; `null` when it cannot film it. */
export function framedThrough(brief: Brief, camera: CameraProfile, viewId: string): FramedView | null {
  const pins =
    brief.camera.id === camera.id ? { ...brief.pins, view: { id: viewId } } : { view: { id: viewId } };
  for (const tried of [pins, { view: { id: viewId } }]) {
    const made = spaceFor({ ...brief, camera, pins: tried }, schoolOf(brief.look));
    const found = made.ok ? search(made.space) : null;
    if (made.ok && found) return framedView(made.space, found.candidate.mode);
  }
  return null;
}
