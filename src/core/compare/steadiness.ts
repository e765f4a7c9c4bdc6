import { STABILIZATIONS } from '../vocabulary/modes';
import type { Stabilization } from '../vocabulary/modes';
import type { MountKind } from '../vocabulary/mounts';
import { modesOf } from '../camera/modeTable';
import { shownAngleDeg } from '../together/matchSheet';
import { blurToAddOfFrameStep } from '../motion/flow';
import { shakeFloorSeconds, shakeSwingDeg } from '../motion/shake';
import { MOST_STRAIGHTENED_DEG, straightenKeeps } from '../optics/crop';
import type { Brief } from '../brief/brief';
import { briefOnMount } from '../brief/otherMount';
import type { Candidate } from '../search/candidate';
import { changesFrom, judgedBy } from '../search/judged';
import type { Judged, TermChange } from '../search/judged';
import { deliveredFrame, tiltHeldDeg } from '../loss/frame';
import { refusalFor } from '../answer/refusal';
import { settingsOf } from '../search/settingsOf';
import type { Settings } from '../records/settings';
import { spaceFor } from '../search/space';
import type { Space } from '../search/space';
import type { Loss } from '../loss/table';

/**
 * The decision before the shutter: every way to hold this shot steady, each solved whole, with what it holds, what it
 * costs, and how short the shutter then must be. Angles in degrees, to either side.
 */
export interface SteadyWay {
  means: SteadyMeans;
  settings: Settings;
  score: number;
  /** Swing of the shake, and what this way takes up of it. */
  swingDeg: number;
  heldDeg: number;
  /** Off level that it rights: 0 none, 180 all: full-roll hold or a sphere. */
  tiltHeldDeg: number;
  /** Share of the width that is left after every crop, straightening included. */
  keeps: number;
  /** Pixels across the delivered shape that are left to make the picture from. */
  widthPx: number;
  shakeFloorSeconds: number;
  /** Fastest frame rate at which the camera offers it at all. */
  fastestFps: number;
  /** Blur to add in the edit to look like 180°, of a frame step. */
  blurToAdd: number;
  /** The pins that had to give way for it. */
  gaveWay: string[];
  gains: TermChange[];
  costs: TermChange[];
}

export type SteadyMeans =
  | { kind: 'inCamera'; stabilization: Stabilization }
  | { kind: 'inEdit' }
  | { kind: 'physical'; mount: MountKind };

/** Mounts that carry a camera more steadily, offered where they are not the mount already. */
const STEADIER_MOUNTS: readonly MountKind[] = ['handle', 'tripod'];
/** Off level below which nothing is righted, degrees. */
const LEVEL_ENOUGH_DEG = 1.5;

export function steadyWays(space: Space, loss: Loss): SteadyWay[] {
  const { brief, school } = space;
  const offered = new Set(modesOf(brief.camera).map(({ stabilization }) => stabilization));
  const inCamera = STABILIZATIONS.filter((one) => offered.has(one)).map((stabilization) =>
    wayOf(
      space,
      loss,
      { kind: 'inCamera', stabilization },
      { ...brief, pins: { ...brief.pins, stabilization } },
    ),
  );
  const loose = { ...brief.pins };
  delete loose.stabilization;
  const inEdit = wayOf(
    space,
    loss,
    { kind: 'inEdit' },
    { ...brief, pins: loose, look: { ...brief.look, school: 'post' } },
  );
  const physical = STEADIER_MOUNTS.filter((kind) => kind !== brief.mount.kind).map((kind) => {
    const carried = { ...briefOnMount(brief, kind), pins: loose };
    if (carried.motion.shakeDegPerSRms >= brief.motion.shakeDegPerSRms) return null;
    return wayOf(space, loss, { kind: 'physical', mount: kind }, carried);
  });
  return [...inCamera, ...(school.id === 'post' ? [] : [inEdit]), ...physical].filter((way) => way !== null);
}

function wayOf(space: Space, loss: Loss, means: SteadyMeans, other: Brief): SteadyWay | null {
  const { school } = other.look;
  let judged = judgedBy(space, other, school);
  let gaveWay: string[] = [];
  if (!judged) {
    // The pins stand against it: take the nearest that works.
    const made = spaceFor(other);
    const nearest = made.ok ? undefined : refusalFor(other, made.obstacle).nearest.find(keepsMeans(means));
    if (!nearest) return null;
    gaveWay = nearest.gaveWay;
    judged = judgedBy(space, { ...other, pins: nearest.pins }, school);
  }
  return judged && described(space, loss, means, judged, gaveWay);
}

function keepsMeans(means: SteadyMeans): (way: { settings: Settings }) => boolean {
  return ({ settings }) => means.kind !== 'inCamera' || settings.stabilization === means.stabilization;
}

function described(
  space: Space,
  loss: Loss,
  means: SteadyMeans,
  judged: Judged,
  gaveWay: string[],
): SteadyWay {
  const { brief } = judged.space;
  const { mode } = judged.candidate;
  const left = pixelsLeft(judged.space, judged.candidate);
  const settings = settingsOf(judged.space, judged.candidate);
  const frame = deliveredFrame(brief, mode, judged.space.school.steadiedInEdit);
  const { shakeDegPerSRms } = brief.motion;
  const fastestFps = modesOf(brief.camera)
    .filter((one) => one.stabilization === mode.stabilization && one.recording === mode.recording)
    .reduce((most, one) => Math.max(most, one.frameRate), 0);
  return {
    means,
    settings,
    score: judged.score,
    swingDeg: shakeSwingDeg(shakeDegPerSRms),
    heldDeg: frame.swingDeg,
    tiltHeldDeg: tiltHeldDeg(mode),
    ...left,
    shakeFloorSeconds: shakeFloorSeconds(shakeDegPerSRms, mode.view.horizontalDeg, mode.view.projection),
    fastestFps,
    blurToAdd: blurToAddOfFrameStep(shownAngleDeg(settings, brief.playback)),
    gaveWay,
    ...changesFrom(space, loss, judged.loss),
  };
}

/**
 * What is left of the camera's pixels for the delivered shape after the crop of a hold, of the edit's steadying and of
 * straightening what is still crooked. A hold crops the sensor, so where its size is known that counts, never more
 * than the file holds.
 */
function pixelsLeft(space: Space, candidate: Candidate): { widthPx: number; keeps: number } {
  const { brief, school } = space;
  const { mode } = candidate;
  const frame = deliveredFrame(brief, mode, school.steadiedInEdit);
  const { width } = mode.resolution;
  const sensorPx = brief.camera.sensor?.widthPx ?? width;
  const fromSensor = mode.view.fromSphere ? Infinity : sensorPx * (1 - 2 * mode.cropPerSide);
  const shape = frame.widthPx / width;
  const tilt = Math.abs(brief.mount.tiltDeg);
  const { deliver } = brief.playback;
  const straight =
    tilt <= LEVEL_ENOUGH_DEG || tilt <= tiltHeldDeg(mode)
      ? 1
      : straightenKeeps(Math.min(MOST_STRAIGHTENED_DEG, tilt), deliver.width, deliver.height);
  return {
    widthPx: Math.min(width, fromSensor) * shape * straight,
    keeps: (1 - 2 * mode.cropPerSide) * frame.editKeeps * straight,
  };
}

/** A way to right a crooked mount, and the pixels it leaves across the delivered shape. */
export interface TiltRemedy {
  remedy: 'levelHold' | 'rollHold' | 'straighten';
  /** `null`: the camera has no such hold. */
  way: SteadyWay | null;
  widthPx: number;
  rights: boolean;
}

/** Level hold, full-roll hold and straightening in the edit, compared on a mount that is off level. */
export function tiltRemedies(space: Space, chosen: Candidate, ways: readonly SteadyWay[]): TiltRemedy[] {
  const tilt = Math.abs(space.brief.mount.tiltDeg);
  const held = (stabilization: 'levelHold' | 'rollHold'): TiltRemedy => {
    const way =
      ways.find(({ means }) => means.kind === 'inCamera' && means.stabilization === stabilization) ?? null;
    return {
      remedy: stabilization,
      way,
      widthPx: way?.widthPx ?? 0,
      rights: tilt <= (way?.tiltHeldDeg ?? 0),
    };
  };
  // Straightened in the edit, a frame is held as the answer holds it, but not levelled by the camera.
  const plain = ways
    .filter(({ means, tiltHeldDeg: holds }) => means.kind === 'inCamera' && holds === 0)
    .sort((a, b) => a.score - b.score)[0];
  const own = tiltHeldDeg(chosen.mode) === 0 ? pixelsLeft(space, chosen).widthPx : null;
  return [
    held('levelHold'),
    held('rollHold'),
    {
      remedy: 'straighten',
      way: plain ?? null,
      widthPx: own ?? plain?.widthPx ?? 0,
      rights: tilt <= MOST_STRAIGHTENED_DEG,
    },
  ];
}
