import { secondsOfAngle } from '../playback/shutterAngle';
import { flickerSafeShutters } from '../light/flicker';
import type { Mode } from '../camera/modeTable';
import type { CameraProfile } from '../camera/profile';
import type { Brief } from '../brief/brief';
import { cadenceOf } from '../playback/cadence';
import { nearlyEqual, THIRD_STOP_SHUTTERS } from '../units/stops';
import { shutterSetting } from '../loss/exposure';
import type { ShutterSetting } from '../loss/exposure';
import type { Obstacle } from './obstacle';
import type { Workings } from './workings';

/** The shutters that may be chosen at each frame rate: pins and camera applied; or why there are none. */
export function shuttersFor(
  brief: Brief,
  shared: Workings,
  modes: readonly Mode[],
): Map<number, readonly ShutterSetting[]> | Obstacle {
  const { camera, pins } = brief;
  const shortest = camera.shutter.shortestSeconds;
  const wantsAuto = pins.shutterMode === 'auto' || pins.shutterFloorSeconds !== undefined;
  if (runsItself(brief) && pins.shutterMode === 'fixed')
    return { code: 'noManualShutter', recording: pins.recording ?? 'video' };
  if (wantsAuto && !camera.shutter.auto) return { code: 'noAutoShutter' };
  if ((pins.shutterFloorSeconds ?? Infinity) < shortest * (1 - 1e-9))
    return {
      code: 'shutterTooShort',
      shutterSeconds: pins.shutterFloorSeconds ?? 0,
      shortestSeconds: shortest,
    };
  const frameRates = [...new Set(modes.map((mode) => mode.frameRate))];
  const offered = new Map<number, readonly ShutterSetting[]>();
  let tooLong: number | null = null;
  let tooShort: number | null = null;
  let underTheFloor: number | null = null;
  for (const fps of frameRates) {
    if (!shutterIsPinned(brief)) {
      offered.set(fps, ofKind(brief, ladderSettings(brief, shared, fps)));
      continue;
    }
    const times = pinnedTimes(brief, fps);
    if ('code' in times) return times;
    const fitting = times.filter((seconds) => seconds <= (1 / fps) * (1 + 1e-9));
    const possible = fitting.filter((seconds) => seconds >= shortest * (1 - 1e-9));
    if (fitting.length === 0) tooLong = times[0] ?? null;
    else if (possible.length === 0) tooShort = fitting[0] ?? null;
    else underTheFloor = possible[0] ?? null;
    offered.set(fps, ofKind(brief, bothKinds(brief, possible)));
  }
  if ([...offered.values()].some((settings) => settings.length > 0)) return offered;
  if (tooShort !== null)
    return { code: 'shutterTooShort', shutterSeconds: tooShort, shortestSeconds: shortest };
  // Times that fit and still give nothing: an automatic shutter whose shortest is not below them.
  if (underTheFloor !== null)
    return {
      code: 'shutterFloorAbove',
      shutterSeconds: underTheFloor,
      floorSeconds: pins.shutterFloorSeconds ?? shortest,
    };
  return { code: 'shutterLongerThanFrame', shutterSeconds: tooLong ?? 0, frameRates };
}

/** The pinned time at this frame rate; none where time and angle do not go together at it. */
function pinnedTimes(brief: Brief, fps: number): readonly number[] | Obstacle {
  const { shutterSeconds, shutterAngleDeg } = brief.pins;
  if (shutterAngleDeg === undefined) return shutterSeconds === undefined ? [] : [shutterSeconds];
  const fromAngle = secondsOfAngle(shutterAngleDeg, fps);
  if (shutterSeconds === undefined) return [fromAngle];
  if (Math.abs(fromAngle / shutterSeconds - 1) < 1e-4) return [shutterSeconds];
  return brief.pins.frameRate === undefined
    ? []
    : { code: 'angleDisagrees', shutterSeconds, shutterAngleDeg };
}

interface BothKinds {
  fixed: readonly ShutterSetting[];
  auto: readonly ShutterSetting[];
  both: readonly ShutterSetting[];
}

/** What a camera offers at a frame rate under these lamps does not change from shot to shot. */
const ladders = new WeakMap<CameraProfile, Map<string, BothKinds>>();

function ladderSettings(brief: Brief, { light }: Workings, fps: number): BothKinds {
  const { camera, pins, playback } = brief;
  const { shownFps } = cadenceOf(fps, playback.timelineFps, playback.slowdown);
  const { pulseHz } = light;
  let ofCamera = ladders.get(camera);
  if (!ofCamera) ladders.set(camera, (ofCamera = new Map<string, BothKinds>()));
  const key = `${fps} ${shownFps} ${pulseHz ?? 0}`;
  const known = pins.shutterFloorSeconds === undefined ? ofCamera.get(key) : undefined;
  if (known) return known;
  const times = ladderFor(fps, shownFps, camera.shutter.shortestSeconds, pulseHz);
  const fresh = bothKinds(brief, times, slowestFor(times, fps, shownFps, pulseHz));
  // A pinned floor belongs to the shot, not to the camera.
  if (pins.shutterFloorSeconds === undefined) ofCamera.set(key, fresh);
  return fresh;
}

/** Each time as a fixed shutter; these, or all, as the longest of an automatic one. */
function bothKinds({ camera, pins }: Brief, times: readonly number[], slowest = times): BothKinds {
  const floor = pins.shutterFloorSeconds ?? camera.shutter.shortestSeconds;
  const fixed = times.map((seconds) => shutterSetting(seconds, seconds));
  const auto = camera.shutter.auto
    ? slowest.filter((seconds) => seconds > floor).map((seconds) => shutterSetting(floor, seconds))
    : [];
  return { fixed, auto, both: [...fixed, ...auto] };
}

/** Third stops, the exact 180° of the frames captured and shown, and under lamps the flicker-safe times; shortest first. */
function ladderFor(
  fps: number,
  shownFps: number,
  shortestSeconds: number,
  pulseHz: number | null,
): readonly number[] {
  const safe = pulseHz === null ? [] : flickerSafeShutters(pulseHz, fps);
  return [...THIRD_STOP_SHUTTERS, 1 / (2 * fps), 1 / (2 * shownFps), ...safe]
    .filter((seconds) => seconds <= (1 / fps) * (1 + 1e-9) && seconds >= shortestSeconds * (1 - 1e-9))
    .sort((a, b) => a - b)
    .filter((seconds, index, all) => index === 0 || !nearlyEqual(seconds, all[index - 1] ?? 0));
}

/**
 * The longest times worth giving an automatic shutter, which stops well before them in most light: the whole frame,
 * captured or shown, and about whole stops down from it; under lamps the safe ones.
 */
function slowestFor(
  times: readonly number[],
  fps: number,
  shownFps: number,
  pulseHz: number | null,
): readonly number[] {
  const whole = (seconds: number, rate: number): boolean => {
    const stops = -Math.log2(seconds * rate);
    return Math.abs(stops - Math.round(stops)) < 1 / 6;
  };
  return times.filter(
    (seconds) =>
      whole(seconds, fps) ||
      whole(seconds, shownFps) ||
      (pulseHz !== null && Math.abs(seconds * pulseHz - Math.round(seconds * pulseHz)) < 1e-6),
  );
}

/** The kind of shutter that pins ask for; fixed where the camera has no automatic. */
function ofKind(brief: Brief, { fixed, auto, both }: BothKinds): readonly ShutterSetting[] {
  const wanted = brief.camera.shutter.auto ? shutterModeFor(brief) : 'fixed';
  return wanted === 'fixed' ? fixed : wanted === 'auto' ? auto : both;
}

/** High dynamic range and low-light priority leave no shutter to set. */
function runsItself({ pins }: Brief): boolean {
  return pins.recording === 'hdr' || pins.recording === 'lowLight';
}

/** A pinned time means that very time, unless the person pins the automatic as well. */
function shutterModeFor(brief: Brief): 'fixed' | 'auto' | undefined {
  const { pins } = brief;
  if (runsItself(brief)) return 'auto';
  if (pins.shutterMode) return pins.shutterMode;
  if (pins.shutterFloorSeconds !== undefined) return 'auto';
  return shutterIsPinned(brief) ? 'fixed' : undefined;
}

/** Whether the person holds the shutter at a time or an angle. */
function shutterIsPinned({ pins }: Brief): boolean {
  return pins.shutterSeconds !== undefined || pins.shutterAngleDeg !== undefined;
}
