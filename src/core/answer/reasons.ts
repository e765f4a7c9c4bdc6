import { meterReads } from '../loss/picture';
import { offsetIn } from '../search/settingsOf';
import { flickerResidual } from '../light/flicker';
import { avcRateOf, cardUse, plainBitsPerPixel, writtenMbps } from '../camera/card';
import { ev100OfSetting } from '../light/exposureValue';
import { pixelsPerSightDegree } from '../playback/screens';
import type { SettingKey } from '../records/settings';
import { nearlyEqual } from '../units/stops';
import { deliveredFrame, drawnBy, leastViewDeg, mostViewDeg, shareFilled } from '../loss/frame';
import type { Candidate } from '../search/candidate';
import { yieldedWishes } from './kept';
import { neighboursOf, sizeForcedBy } from './neighbours';
import type { NeighbourSetting } from './neighbours';
import type { PinnedBy, Reason, ShutterCause } from './reason';
import type { Solution } from './solve';

/** Those of a solution, once they were asked for. */
const known = new WeakMap<Solution, readonly Reason[]>();

/** One reason for each setting, in the order of the tiles; worked out once a solution. */
export function reasonsOf(solution: Solution): readonly Reason[] {
  const told = known.get(solution);
  if (told) return told;
  const reasons = plainReasonsOf(solution).map((reason): Reason => ({
    ...reason,
    beside: NEIGHBOURED.has(reason.setting) ? neighboursOf(solution, reason.setting as NeighbourSetting) : [],
  }));
  known.set(solution, reasons);
  return reasons;
}

/** Settings whose next value to either side is told. */
const NEIGHBOURED: ReadonlySet<string> = new Set<NeighbourSetting>([
  'frameRate',
  'shutterSeconds',
  'filter',
  'iso',
  'resolution',
  'view',
  'stabilization',
]);

type PlainReason = DistributedOmit<Reason, 'beside'>;
type DistributedOmit<T, K extends PropertyKey> = T extends unknown ? Omit<T, K> : never;

function plainReasonsOf(solution: Solution): PlainReason[] {
  const { space, candidate, settings } = solution;
  const { pins, held } = space.brief;
  const pinned = (key: SettingKey): PinnedBy => (key in held ? 'day' : key in pins ? 'person' : false);
  const graded = space.brief.look.grade !== 'none';
  return [
    frameRateReason(solution, pinned('frameRate')),
    shutterReason(solution, pinned('shutterSeconds') || pinned('shutterAngleDeg')),
    filterReason(solution, pinned('filter')),
    isoReason(solution, pinned('iso')),
    ...frameReasons(solution, pinned),
    {
      setting: 'whiteBalance',
      pinned: pinned('whiteBalance'),
      auto: settings.whiteBalance === 'auto',
      graded: space.brief.look.grade !== 'none',
      light: space.workings.lightColour,
    },
    {
      setting: 'colour',
      pinned: pinned('colour'),
      grade: space.brief.look.grade,
      baseIso: candidate.colour.sensor.baseIso,
      guardStops: candidate.colour.sensor.guardStops,
    },
    {
      setting: 'exposureOffsetStops',
      pinned: pinned('exposureOffsetStops'),
      stops: settings.exposureOffsetStops,
      floats: candidate.shutter.spanStops > 0 || candidate.iso.spanStops > 0,
      evMax: space.light.evMax,
      cause: offsetIn(space).cause,
      surroundings: space.brief.surroundings,
      ...meterReads(space.brief.surroundings),
      faceStops: space.workings.picture.faceStops,
    },
    { setting: 'codec', pinned: pinned('codec'), codec: settings.codec },
    {
      setting: 'bitDepth',
      pinned: pinned('bitDepth'),
      bitDepth: settings.bitDepth,
      log: settings.colour === 'log',
    },
    { setting: 'recording', pinned: pinned('recording'), recording: settings.recording },
    { setting: 'sharpening', pinned: pinned('sharpening'), graded },
    { setting: 'noiseReduction', pinned: pinned('noiseReduction'), graded },
  ];
}

function frameRateReason({ space, candidate, motion }: Solution, pinned: PinnedBy): PlainReason {
  const { timelineFps, slowdown } = space.brief.playback;
  return {
    setting: 'frameRate',
    pinned,
    timelineFps,
    slowdown,
    neededFps: timelineFps * slowdown,
    captureFps: candidate.mode.frameRate,
    seenFps: motion.seenFps,
  };
}

function shutterReason(solution: Solution, pinned: PinnedBy): PlainReason {
  const { space, candidate, figures, motion, schools } = solution;
  const seconds = candidate.shutter.longestSeconds;
  const natural = 1 / (2 * figures.shownFps);
  const floor = 2 ** figures.shakeFloorLog;
  const against =
    space.school.id === 'weigh'
      ? schools.flatMap(({ way, gains, costs }) =>
          way.code === 'school' &&
          (way.school === 'film' || way.school === 'crisp' || way.school === 'handsOff')
            ? [{ school: way.school, gains, costs }]
            : [],
        )
      : [];
  return {
    setting: 'shutterSeconds',
    pinned,
    cause: causeOf(pinned, candidate.shutter.spanStops > 0, seconds, natural, floor),
    seconds,
    floorSeconds: candidate.shutter.shortestSeconds,
    naturalSeconds: natural,
    shakeFloorSeconds: floor,
    smearPct: motion.shakeSmearPctWidth,
    captureFps: candidate.mode.frameRate,
    shownFps: figures.shownFps,
    school: space.school.id,
    against,
    yielded: yieldedWishes(space, candidate, solution.score),
    pulseLeft: space.light.pulseHz === null ? null : flickerResidual(space.light.pulseHz, seconds),
  };
}

function causeOf(
  pinned: PinnedBy,
  running: boolean,
  seconds: number,
  natural: number,
  floor: number,
): ShutterCause {
  if (pinned) return 'pinned';
  if (running) return 'running';
  if (nearlyEqual(seconds, natural) || Math.abs(Math.log2(seconds / natural)) < 0.1) return 'natural';
  if (seconds > natural) return 'slower';
  // The floor is the reason only of what stands at it.
  return Math.abs(Math.log2(seconds / floor)) < 0.4 && seconds <= floor * 1.1 ? 'shakeFloor' : 'traded';
}

function filterReason({ space, candidate, exposure }: Solution, pinned: PinnedBy): PlainReason {
  const { shutter, filter, iso } = candidate;
  const wantsEv = ev100OfSetting(candidate.colour.sensor.fNumber, shutter.longestSeconds, iso.min);
  return {
    setting: 'filter',
    pinned,
    ids: filter.ids,
    filterStops: filter.stops,
    evMax: space.light.evMax,
    fNumber: candidate.colour.sensor.fNumber,
    seconds: shutter.longestSeconds,
    isoMin: iso.min,
    wantsEv,
    excessStops: space.light.evMax - wantsEv,
    guardStops: candidate.colour.sensor.guardStops,
    auto: shutter.spanStops > 0,
    brightSeconds: 2 ** exposure.brightLog,
  };
}

function isoReason({ space, candidate, exposure }: Solution, pinned: PinnedBy): PlainReason {
  const { iso } = candidate;
  return {
    setting: 'iso',
    pinned,
    min: iso.min,
    max: iso.max,
    baseIso: candidate.colour.sensor.baseIso,
    ceiling: space.brief.limits.isoCeiling,
    evMin: space.light.evMin,
    isoWanted: iso.min * 2 ** isoStopsWanted(candidate, exposure.turn - space.light.evMin),
    underStops: exposure.underStops,
  };
}

/** Stops of ISO above the window's low end that the dark end asks for; an automatic shutter takes up what is too much light. */
function isoStopsWanted({ shutter }: Candidate, missing: number): number {
  return shutter.spanStops === 0 ? missing : Math.max(missing, Math.min(0, missing + shutter.spanStops));
}

function frameReasons(solution: Solution, pinned: (key: SettingKey) => PinnedBy): PlainReason[] {
  const { space, candidate, motion } = solution;
  const { brief, demands, school } = space;
  const { mode, encoding } = candidate;
  const frame = deliveredFrame(brief, mode, school.steadiedInEdit);
  return [
    {
      setting: 'resolution',
      pinned: pinned('resolution'),
      width: mode.resolution.width,
      height: mode.resolution.height,
      deliveredWidth: brief.playback.deliver.width,
      usableWidth: frame.widthPx,
      editKeeps: frame.editKeeps,
      screen: brief.playback.screen,
      sightPxPerDegree: pixelsPerSightDegree(
        Math.min(frame.widthPx, brief.playback.deliver.width),
        brief.playback.screen,
      ),
      forcedBy: sizeForcedBy(solution),
      stabilization: mode.stabilization,
      frameRate: mode.frameRate,
    },
    {
      setting: 'view',
      pinned: pinned('view'),
      horizontalDeg: frame.horizontalDeg,
      filmedDeg: mode.view.horizontalDeg,
      leastDeg: leastViewDeg(demands, mode),
      mostDeg: mostViewDeg(demands, mode),
      filled: shareFilled(brief, drawnBy(mode, frame)),
      ofRide: demands.rideViewDeg > 0,
      wantedShare: demands.subjectShare,
      fromSphere: mode.view.fromSphere,
    },
    {
      setting: 'bitRateMbps',
      pinned: pinned('bitRateMbps'),
      codec: encoding.codec,
      bitRateMbps: encoding.bitRateMbps,
      bitsPerPixel: plainBitsPerPixel(mode, encoding.bitRateMbps),
      avcRateMbps: avcRateOf(encoding),
      cardShare: cardUse(
        writtenMbps(encoding.bitRateMbps, brief.camera),
        brief.limits.recordSeconds,
        brief.limits.cardGb,
      ),
      recordSeconds: brief.limits.recordSeconds,
    },
    {
      setting: 'stabilization',
      pinned: pinned('stabilization'),
      swingDeg: demands.swingDeg,
      heldDeg: frame.swingDeg,
      tiltDeg: brief.mount.tiltDeg,
      school: school.id,
      steadiedInEdit: school.steadiedInEdit,
      swims: demands.swims,
      smearPct: motion.shakeSmearPctWidth,
    },
  ];
}
