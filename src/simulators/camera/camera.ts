import { gigabytesOf } from '@/core/units/data';
import { modesOf } from '@/core/camera/modeTable';
import type { CameraProfile } from '@/core/camera/profile';
import { ev100OfSetting, isoOfEv100, secondsOfEv100 } from '@/core/light/exposureValue';
import { temperatureAfter } from '@/core/day/heat';
import { SOUND_MBPS, usableGb } from '@/core/camera/card';
import { cellWh, coldShare } from '@/core/camera/power';
import { modePowerW } from '@/core/camera/modeTable';
import type { Mode } from '@/core/camera/modeTable';
import type { Setup } from '@/formats/code/setupCode';

/**
 * A stand-in for a real camera: it reads a set-up, checks it against its own mode table, starts and stops, fills its
 * card, empties its cell, warms, and exposes by itself. Nothing in it is a device; its laws are those the plan uses, its
 * state is a value, and time passes only when `passed` says so.
 */
export interface CameraSimulator {
  profile: CameraProfile;
  setup: Setup | null;
  mode: Mode | null;
  /** Instant by its own clock, milliseconds; `null` until a set-up sets it. */
  clockMs: number | null;
  card: { capacityGb: number; usedGb: number };
  cell: { fullWh: number; leftWh: number };
  celsius: number;
  screenOn: boolean;
  /** Seconds until it starts by itself. */
  startsIn: number | null;
  running: Running | null;
  clips: readonly SimulatedClip[];
}

export interface Running {
  file: string;
  startedMs: number | null;
  seconds: number;
  gigabytes: number;
  shutterSeconds: number;
  iso: number;
  /** Stops that the picture is too bright (positive) or too dark. */
  offStops: number;
  worstOverStops: number;
  worstUnderStops: number;
}

const ENDS = ['stopped', 'cardFull', 'batteryFlat', 'tooHot'] as const;
export type SimulatedEnd = (typeof ENDS)[number];

export interface SimulatedClip {
  file: string;
  startedMs: number | null;
  seconds: number;
  gigabytes: number;
  chapters: number;
  end: SimulatedEnd;
  worstOverStops: number;
  worstUnderStops: number;
}

/** The world around it while time passes. */
export interface SimulatedWorld {
  airC: number;
  sunC: number;
  airSpeedMps: number;
  /** Light now, EV100. */
  ev: number;
  /** Stops of the filter in front of the lens. */
  filterStops: number;
  /** The offset that what fills the frame asks of its meter, stops; left out, a frame of middle grey. */
  meterStops?: number;
}

export function newCameraSimulator(
  profile: CameraProfile,
  gear: { capacityGb: number; ampereHours: number; volts: number },
  airC: number,
): CameraSimulator {
  const fullWh = cellWh(gear) * coldShare(airC);
  return {
    profile,
    setup: null,
    mode: null,
    clockMs: null,
    card: { capacityGb: gear.capacityGb, usedGb: 0 },
    cell: { fullWh, leftWh: fullWh },
    celsius: airC,
    screenOn: true,
    startsIn: null,
    running: null,
    clips: [],
  };
}

export type SetFault =
  | { code: 'otherCamera'; wanted: string; own: string }
  | { code: 'noMode' }
  | { code: 'colour'; colour: string }
  | { code: 'rate'; mbps: number; codec: string }
  | { code: 'shutter'; seconds: number; shortest: number }
  | { code: 'iso'; min: number; max: number }
  | { code: 'running' };

/** Takes a set-up in, if this camera can do it; else says what of it it cannot. */
export function takeSetup(
  camera: CameraSimulator,
  setup: Setup,
): { ok: true; camera: CameraSimulator } | { ok: false; fault: SetFault } {
  const { profile } = camera;
  const { settings } = setup;
  const no = (fault: SetFault): { ok: false; fault: SetFault } => ({ ok: false, fault });
  if (camera.running) return no({ code: 'running' });
  if (setup.cameraId !== profile.id)
    return no({ code: 'otherCamera', wanted: setup.cameraId, own: profile.id });
  const mode = modesOf(profile).find(
    (one) =>
      one.recording === settings.recording &&
      one.frameRate === settings.frameRate &&
      one.resolution.width === settings.resolution.width &&
      one.resolution.height === settings.resolution.height &&
      one.view.id === settings.view.id &&
      one.stabilization === settings.stabilization,
  );
  if (!mode) return no({ code: 'noMode' });
  if (!mode.colours.includes(settings.colour)) return no({ code: 'colour', colour: settings.colour });
  const { bitRateMbps, codec, bitDepth } = settings;
  if (
    !mode.encodings.some(
      (one) => one.bitRateMbps === bitRateMbps && one.codec === codec && one.bitDepth === bitDepth,
    )
  )
    return no({ code: 'rate', mbps: bitRateMbps, codec });
  const shortest = settings.shutterFloorSeconds ?? settings.shutterSeconds;
  if (
    shortest < profile.shutter.shortestSeconds * 0.999 ||
    (settings.shutterMode === 'auto' && !profile.shutter.auto)
  )
    return no({ code: 'shutter', seconds: shortest, shortest: profile.shutter.shortestSeconds });
  const range = profile.iso[settings.colour];
  if (!range || settings.iso.min < range.base || settings.iso.max > range.max)
    return no({ code: 'iso', ...settings.iso });
  return {
    ok: true,
    camera: {
      ...camera,
      setup,
      mode,
      clockMs: setup.clock === null ? camera.clockMs : Date.parse(setup.clock),
      startsIn: setup.startAfterSeconds,
    },
  };
}

/** Starts recording; a camera without a set-up, full, flat or hot stays as it is. */
export function started(camera: CameraSimulator): CameraSimulator {
  const { setup, profile, card, cell } = camera;
  if (camera.running || !setup || card.usedGb >= usableGb(card.capacityGb) || cell.leftWh <= 0) return camera;
  if (camera.celsius >= profile.heat.shutdownC) return camera;
  const number = String(camera.clips.length + 1).padStart(4, '0');
  return {
    ...camera,
    startsIn: null,
    running: {
      file: `${profile.id.slice(0, 6).toUpperCase()}_${number}.mp4`,
      startedMs: camera.clockMs,
      seconds: 0,
      gigabytes: 0,
      shutterSeconds: setup.settings.shutterSeconds,
      iso: setup.settings.iso.min,
      offStops: 0,
      worstOverStops: 0,
      worstUnderStops: 0,
    },
  };
}

export function simulationStopped(camera: CameraSimulator, end: SimulatedEnd = 'stopped'): CameraSimulator {
  const { running, profile } = camera;
  if (!running) return camera;
  const { file, startedMs, seconds, gigabytes, worstOverStops, worstUnderStops } = running;
  const bySize = Math.ceil(gigabytes / profile.chapter.gigabytes - 1e-9);
  const byTime = profile.chapter.minutes ? Math.ceil(seconds / 60 / profile.chapter.minutes - 1e-9) : 0;
  const chapters = Math.max(1, bySize, byTime);
  const clip: SimulatedClip = {
    file,
    startedMs,
    seconds,
    gigabytes,
    chapters,
    end,
    worstOverStops,
    worstUnderStops,
  };
  return { ...camera, running: null, clips: [...camera.clips, clip] };
}

/** Longest step of its own time, seconds: heat and exposure change little within it. */
const STEP_SECONDS = 2;

/** Lets time pass. It starts when its time has come, and stops at a full card, a flat cell or its shutdown. */
export function passed(camera: CameraSimulator, seconds: number, world: SimulatedWorld): CameraSimulator {
  let now = camera;
  for (let left = seconds; left > 1e-9; left -= STEP_SECONDS)
    now = step(now, Math.min(STEP_SECONDS, left), world);
  return now;
}

function step(before: CameraSimulator, seconds: number, world: SimulatedWorld): CameraSimulator {
  let camera = before;
  if (camera.startsIn !== null) {
    const startsIn = camera.startsIn - seconds;
    camera = startsIn <= 0 ? started({ ...camera, startsIn: 0 }) : { ...camera, startsIn };
  }
  const { profile, running, setup, mode } = camera;
  // Off until it has something to do.
  const idleW = setup ? profile.power.standbyW : 0;
  const powerW = running && mode ? recordingW(camera, mode) : idleW;
  // What it gives off in stand-by hardly warms it; a recording does.
  const load = {
    airC: world.airC,
    sunC: world.sunC,
    powerW: running ? powerW : 0,
    airSpeedMps: world.airSpeedMps,
  };
  const celsius = temperatureAfter(camera.celsius, profile.heat, load, seconds / 60);
  const leftWh = Math.max(0, camera.cell.leftWh - (powerW * seconds) / 3600);
  camera = {
    ...camera,
    celsius,
    cell: { ...camera.cell, leftWh },
    clockMs: camera.clockMs === null ? null : camera.clockMs + seconds * 1000,
    screenOn: celsius < profile.heat.screenOffC && leftWh > 0,
  };
  if (running && setup) {
    const share = setup.intervalSeconds === null ? 1 : 1 / (setup.intervalSeconds * setup.settings.frameRate);
    const mbps =
      setup.intervalSeconds === null
        ? setup.settings.bitRateMbps + SOUND_MBPS
        : setup.settings.bitRateMbps * share;
    const room = usableGb(camera.card.capacityGb) - camera.card.usedGb;
    const wrote = Math.min(room, gigabytesOf(mbps, seconds));
    const exposure = exposedBy(camera, world);
    camera = {
      ...camera,
      card: { ...camera.card, usedGb: camera.card.usedGb + wrote },
      running: {
        ...running,
        ...exposure,
        seconds: running.seconds + seconds,
        gigabytes: running.gigabytes + wrote,
        worstOverStops: Math.max(running.worstOverStops, exposure.offStops),
        worstUnderStops: Math.max(running.worstUnderStops, -exposure.offStops),
      },
    };
    if (wrote >= room - 1e-12) return simulationStopped(camera, 'cardFull');
  }
  if (camera.running && leftWh <= 0) return simulationStopped(camera, 'batteryFlat');
  if (camera.running && celsius >= profile.heat.shutdownC) return simulationStopped(camera, 'tooHot');
  return camera;
}

function recordingW({ profile, setup }: CameraSimulator, mode: Mode): number {
  return setup?.intervalSeconds === null ? modePowerW(profile, mode) : profile.power.baseW;
}

/** Its automatic: the shutter first shortens from its longest, ISO rises only when that is not enough. */
function exposedBy(
  { profile, setup }: CameraSimulator,
  { ev, filterStops, meterStops = 0 }: SimulatedWorld,
): Pick<Running, 'shutterSeconds' | 'iso' | 'offStops'> {
  if (!setup) return { shutterSeconds: 0, iso: 0, offStops: 0 };
  const { settings } = setup;
  const { shutterSeconds: longest, shutterFloorSeconds, shutterMode, iso, exposureOffsetStops } = settings;
  const shortest =
    shutterMode === 'auto' ? (shutterFloorSeconds ?? profile.shutter.shortestSeconds) : longest;
  // Where nothing moves there is no meter. EV100 = log2(N²/t) − log2(ISO/100), behind the filter, moved by the offset and
  // by what the meter is led to.
  const floats = shortest < longest || iso.min < iso.max;
  const led = floats ? exposureOffsetStops - meterStops : 0;
  const wanted = ev - filterStops - led;
  const ideal = secondsOfEv100(wanted, profile.fNumber, iso.min);
  const shutterSeconds = Math.min(longest, Math.max(shortest, ideal));
  const isoWanted = isoOfEv100(wanted, profile.fNumber, shutterSeconds);
  const isoSet = Math.min(iso.max, Math.max(iso.min, isoWanted));
  const exposedAt = ev100OfSetting(profile.fNumber, shutterSeconds, isoSet);
  return { shutterSeconds, iso: Math.round(isoSet), offStops: wanted - exposedAt };
}
