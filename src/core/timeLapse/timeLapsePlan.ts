import { gigabytesOf } from '../units/data';
import { shutterAngleDeg } from '../playback/shutterAngle';
import { timeLapseOf, movingTimeLapse } from '../playback/timeLapse';
import type { MovingTimeLapse, TimeLapse } from '../playback/timeLapse';
import { USUAL_INTERVAL_SECONDS } from '../vocabulary/timeLapses';
import { modesOf, richestOf } from '../camera/modeTable';
import type { Encoding, Mode } from '../camera/modeTable';
import { wearable } from '../filters/bag';
import { filterSettings, stackOf } from '../filters/kit';
import type { FilterSetting } from '../filters/kit';
import { flickerResidual } from '../light/flicker';
import { paceOf } from '../motion/motionMap';
import { shakeFloorSeconds } from '../motion/shake';
import type { Brief } from '../brief/brief';
import { expose, isoWindow, shutterSetting } from '../loss/exposure';
import type { Exposure, ExposureFacts, IsoWindow, Sensor, ShutterSetting } from '../loss/exposure';
import { deliveredFrame } from '../loss/frame';
import { movementOf, subjectPace } from '../loss/movement';
import { schoolOf } from '../loss/schools';
import { FRAME_TERMS, NO_LOSS, scoreOf, weighedSum } from '../loss/table';
import type { Loss } from '../loss/table';
import { filter as glass } from '../loss/terms/filter';
import { noise } from '../loss/terms/noise';
import { over } from '../loss/terms/over';
import { under } from '../loss/terms/under';
import { encodingsKept, keepsPin } from '../search/allowedModes';
import { MODE_PINS } from '../search/obstacle';
import type { Obstacle } from '../search/obstacle';
import { workingsOf } from '../search/workings';
import { clamp, LONG_SHUTTERS, nearlyEqual, THIRD_STOP_SHUTTERS } from '../units/stops';
import {
  CRISP_SECONDS,
  DRAG_PRICE,
  FOLLOWS_PRICE,
  LONGER_PRICE,
  longestOpenSeconds,
  NAMED_LOOK_PRICE,
  PULSE_PRICE,
  SMEAR_PRICE,
  trailSeconds,
} from './lapseWish';

/**
 * A time-lapse worked out for a shot. Exposure comes first, by the same losses as any shot's; how long each picture is open
 * is a wish with a price (`lapseWish.ts`), and yields. Shutter, filter and ISO are chosen together, by looking at all of
 * them: there are few.
 */
export interface TimeLapsePlan extends TimeLapse {
  mode: Mode;
  encoding: Encoding;
  intervalSeconds: number;
  shutter: ShutterSetting;
  /** The longest that a picture is open. */
  shutterSeconds: number;
  /** Of the interval, as an angle of the sped-up film. */
  shutterAngleDeg: number;
  filter: FilterSetting;
  iso: IsoWindow;
  exposure: Exposure;
  /** What of the light is lost at either end. */
  overStops: number;
  underStops: number;
  /** What the look wants of the shutter, seconds; `null`: nothing, or of a moving one only that it is short. */
  wishSeconds: number | null;
  /** Of stars: how long they stay points. */
  trailSeconds: number | null;
  loss: Loss;
  score: number;
  gigabytes: number;
  moving: MovingTimeLapse | null;
}

/** Whether a brief asks for one. */
export function isLapseBrief({ pins }: Pick<Brief, 'pins'>): boolean {
  return pins.recording === 'timeLapse' || pins.recording === 'movingTimeLapse';
}

type LapseRecording = 'timeLapse' | 'movingTimeLapse';

function lapseRecording({ timeLapse }: Brief): LapseRecording {
  return timeLapse.moving ? 'movingTimeLapse' : 'timeLapse';
}

/** The interval of a shot: its own, by its speed where the camera moves, or the usual one for what changes; seconds. */
function intervalOf({ timeLapse, playback }: Brief): number {
  const { change, intervalSeconds, moving, speedUp } = timeLapse;
  // A moving one takes its pictures as often as its speed asks for.
  if (moving) return speedUp / playback.timelineFps;
  return intervalSeconds ?? USUAL_INTERVAL_SECONDS[change];
}

type PlanOr = { ok: true; plan: TimeLapsePlan } | { ok: false; obstacle: Obstacle };

/** Only `filters` are tried: all that the pins leave of the kit, unless some are named. */
export function timeLapsePlan(brief: Brief, filters?: readonly FilterSetting[]): PlanOr {
  const no = (obstacle: Obstacle): PlanOr => ({ ok: false, obstacle });
  const mode = modeFor(brief);
  if ('code' in mode) return no(mode);
  const encoding = richestOf(encodingsKept(brief, mode));
  const glasses = filters ?? filtersFor(brief);
  if ('code' in glasses) return no(glasses);
  const windows = isoWindowsFor(brief);
  if ('code' in windows) return no(windows);
  const intervalSeconds = intervalOf(brief);
  const asked = askedOf(brief, mode, intervalSeconds);
  const shutters = shuttersFor(brief, asked, intervalSeconds);
  if ('code' in shutters) return no(shutters);
  const best = bestExposed(brief, asked, { shutters, glasses, windows });
  // An empty list of named filters leaves nothing to choose.
  if (!best) return no({ code: 'filterNotInKit', ids: brief.pins.filter?.ids ?? [], kit: [] });
  const { timelineFps } = brief.playback;
  const { recordSeconds } = brief.limits;
  const timeLapse = timeLapseOf(intervalSeconds, recordSeconds, timelineFps);
  const { typicalPctPerS } = paceOf(mode.view, movementOf(brief));
  return {
    ok: true,
    plan: {
      ...timeLapse,
      ...best,
      mode,
      encoding,
      intervalSeconds,
      shutterSeconds: best.shutter.longestSeconds,
      shutterAngleDeg: shutterAngleDeg(1 / intervalSeconds, best.shutter.longestSeconds),
      overStops: best.exposure.overStops,
      underStops: best.exposure.underStops,
      wishSeconds: asked.wishSeconds,
      trailSeconds: asked.trailSeconds,
      gigabytes: gigabytesOf(encoding.bitRateMbps, timeLapse.clipSeconds),
      moving: brief.timeLapse.moving
        ? movingTimeLapse(brief.timeLapse.speedUp, recordSeconds, timelineFps, typicalPctPerS)
        : null,
    },
  };
}

/** Of the modes that record so and keep the pins, the one whose frame serves best; of stars the widest; then the largest. */
function modeFor(brief: Brief): Mode | Obstacle {
  const { camera, pins } = brief;
  if (pins.view && !camera.views.some(({ id }) => id === pins.view?.id))
    return { code: 'noSuchView', viewId: pins.view.id, offered: camera.views.map(({ id }) => id) };
  const recording = lapseRecording(brief);
  const held = MODE_PINS.filter((pin) => pin !== 'recording' && pins[pin] !== undefined);
  const modes = modesOf(camera).filter(
    (mode) => mode.recording === recording && held.every((pin) => keepsPin(brief, mode, pin)),
  );
  const { demands } = workingsOf(brief);
  const { weights } = schoolOf(brief.look);
  const framed = (mode: Mode): number => {
    if (brief.timeLapse.change === 'stars') return -mode.view.horizontalDeg;
    const frame = deliveredFrame(brief, mode, false);
    return weighedSum(FRAME_TERMS, weights, { brief, demands, mode, frame, steadiedInEdit: false });
  };
  const judged = modes
    .map((mode) => ({ mode, loss: framed(mode) }))
    .sort(
      (a, b) =>
        (Math.abs(a.loss - b.loss) > SAME_FRAME ? a.loss - b.loss : 0) ||
        b.mode.resolution.width - a.mode.resolution.width ||
        richestOf(b.mode.encodings).bitRateMbps - richestOf(a.mode.encodings).bitRateMbps,
    );
  return judged[0]?.mode ?? { code: 'noSuchMode', pins: [...held, 'recording'] };
}

/** Frames whose losses differ by less serve alike. */
const SAME_FRAME = 0.02;

function filtersFor(brief: Brief): readonly FilterSetting[] | Obstacle {
  const { pins, camera, filters } = brief;
  const worn = wearable(brief);
  if (!pins.filter) return filterSettings(worn);
  const stack = stackOf(worn, pins.filter.ids, pins.filter.stops);
  if (stack) return stack;
  if (camera.takesFilters === false && pins.filter.ids.length > 0) return { code: 'takesNoFilter' };
  return pins.filter.ids.every((id) => filters.some((one) => one.id === id))
    ? { code: 'filterStops', ids: pins.filter.ids, stops: pins.filter.stops ?? 0 }
    : { code: 'filterNotInKit', ids: pins.filter.ids, kit: filters.map(({ id }) => id) };
}

/** One ISO, any that the ceiling leaves, or from the lowest up to it. */
function isoWindowsFor({ camera, pins, limits }: Brief): readonly IsoWindow[] | Obstacle {
  const range = camera.iso[pins.colour ?? 'standard'] ?? camera.iso.standard;
  const { base } = range;
  const max = Math.min(range.max, limits.isoCeiling);
  if (max < base) return { code: 'ceilingBelowBase', ceiling: limits.isoCeiling, base };
  if (pins.iso) {
    const { min, max: most } = pins.iso;
    return min >= base && most <= max
      ? [isoWindow(min, most)]
      : { code: 'isoOutside', min, max: most, base, cameraMax: range.max, ceiling: limits.isoCeiling };
  }
  const steps = camera.iso.steps.filter((step) => step >= base && step <= max);
  const some = steps.length > 0 ? steps : [base];
  return [
    ...some.map((step) => isoWindow(step, step)),
    ...some.filter((step) => step > base).map((step) => isoWindow(base, step)),
  ];
}

/** What the pictures are to look like: what it wants of the shutter, and what is paid for missing it. */
interface Asked {
  wishSeconds: number | null;
  /** For each stop shorter than wished, and longer. */
  shorterPrice: number;
  longerPrice: number;
  trailSeconds: number | null;
  /** A camera that moves, or light that goes, has to be followed from picture to picture. */
  follows: boolean;
}

function askedOf(brief: Brief, mode: Mode, intervalSeconds: number): Asked {
  const { change, look, blurPct, moving } = brief.timeLapse;
  const follows = moving || change === 'sunset';
  const { view } = mode;
  if (moving) {
    const floor = shakeFloorSeconds(brief.motion.shakeDegPerSRms, view.horizontalDeg, view.projection);
    const wishSeconds = Math.min(CRISP_SECONDS * 2, floor);
    return { wishSeconds, shorterPrice: 0, longerPrice: SMEAR_PRICE.value, trailSeconds: null, follows };
  }
  const named = { longerPrice: NAMED_LOOK_PRICE.value, shorterPrice: NAMED_LOOK_PRICE.value };
  const stars = change === 'stars' ? trailSeconds(view, brief.playback.deliver.width) : null;
  switch (look) {
    case 'half':
      return {
        wishSeconds: stars === null ? intervalSeconds / 2 : null,
        shorterPrice: DRAG_PRICE[change].value,
        longerPrice: LONGER_PRICE.value,
        trailSeconds: stars,
        follows,
      };
    case 'blur':
      return {
        ...named,
        wishSeconds: Math.min(
          blurPct / Math.max(pacePctPerS(brief, view), LEAST_PACE),
          longestOpenSeconds(intervalSeconds),
        ),
        trailSeconds: stars,
        follows,
      };
    case 'crisp':
      return { ...named, shorterPrice: 0, wishSeconds: CRISP_SECONDS, trailSeconds: stars, follows };
  }
}

/** What hardly moves at all, per cent of the width a second (start). */
const LEAST_PACE = 0.05;

function shuttersFor(
  brief: Brief,
  asked: Asked,
  intervalSeconds: number,
): readonly ShutterSetting[] | Obstacle {
  const { camera, pins } = brief;
  const shortest = Math.max(camera.shutter.shortestSeconds, pins.shutterFloorSeconds ?? 0);
  const most = longestOpenSeconds(intervalSeconds);
  const longest = asked.trailSeconds === null ? most : Math.min(most, asked.trailSeconds);
  const wantsAuto = pins.shutterMode === 'auto' || pins.shutterFloorSeconds !== undefined;
  if (wantsAuto && !camera.shutter.auto) return { code: 'noAutoShutter' };
  const pinned =
    pins.shutterSeconds ??
    (pins.shutterAngleDeg === undefined ? undefined : (pins.shutterAngleDeg / 360) * intervalSeconds);
  if (pinned !== undefined && pinned > Math.max(most, intervalSeconds * (1 - 1e-9)))
    return { code: 'shutterLongerThanInterval', shutterSeconds: pinned, intervalSeconds };
  if (pinned !== undefined && pinned < shortest)
    return { code: 'shutterTooShort', shutterSeconds: pinned, shortestSeconds: shortest };
  const wish = asked.wishSeconds === null ? [] : [clamp(asked.wishSeconds, shortest, longest)];
  const times =
    pinned === undefined
      ? [...THIRD_STOP_SHUTTERS, ...LONG_SHUTTERS, ...wish, longest]
          .filter((seconds) => seconds >= shortest && seconds <= longest)
          .sort((a, b) => a - b)
          .filter((seconds, at, all) => at === 0 || !nearlyEqual(seconds, all[at - 1] ?? 0))
      : [pinned];
  const fixed = times.map((seconds) => shutterSetting(seconds, seconds));
  if (!camera.shutter.auto || pins.shutterMode === 'fixed' || (pinned !== undefined && !wantsAuto))
    return fixed;
  // Of those that lose alike the one that may stay open nearest to what is wished.
  const wished = Math.log2(wish[0] ?? longest);
  const off = (seconds: number): number => Math.abs(Math.log2(seconds) - wished);
  const running = times
    .filter((seconds) => seconds > shortest)
    .sort((a, b) => off(a) - off(b))
    .map((seconds) => shutterSetting(shortest, seconds));
  return wantsAuto || asked.follows ? running : [...fixed, ...running];
}

interface Choices {
  shutters: readonly ShutterSetting[];
  glasses: readonly FilterSetting[];
  windows: readonly IsoWindow[];
}

type Exposed = Pick<TimeLapsePlan, 'shutter' | 'filter' | 'iso' | 'exposure' | 'loss' | 'score'>;

function bestExposed(brief: Brief, asked: Asked, { shutters, glasses, windows }: Choices): Exposed | null {
  const { light: told } = workingsOf(brief);
  // There is time for a picture to judge it by: what is not known of the light is read on the spot, and only its way is not.
  const light = { ...told, aroundStops: told.wanderStops };
  const { weights } = schoolOf(brief.look);
  const sensor = sensorOf(brief);
  let best: Exposed | null = null;
  for (const shutter of shutters) {
    // What a shutter that stands loses of its look it loses behind every glass.
    const least = shutter.spanStops > 0 ? 0 : missedLook(asked, shutter.longestLog, shutter.longestLog);
    if (best && least >= best.score) continue;
    for (const filter of glasses)
      for (const iso of windows) {
        // An exposure that is followed begins at the lowest ISO.
        if (shutter.spanStops > 0 && iso.min > (windows[0]?.min ?? iso.min)) continue;
        const exposure = expose(sensor, light, shutter, filter.stops, iso);
        const loss = lossOf(asked, { sensor, light, shutter, filter, iso, exposure });
        const score = scoreOf(loss, weights);
        if (!best || score < best.score - 1e-9) best = { shutter, filter, iso, exposure, loss, score };
      }
  }
  return best;
}

function sensorOf({ camera, pins }: Brief): Sensor {
  const colour = pins.colour ?? 'standard';
  const { base } = camera.iso[colour] ?? camera.iso.standard;
  return {
    fNumber: camera.fNumber,
    fNumberLog: 2 * Math.log2(camera.fNumber),
    baseIso: base,
    baseLog: Math.log2(base / 100),
    referenceLog: Math.log2(camera.iso.standard.base / 100),
    guardStops: camera.highlightGuardStops[colour],
    noiseStops: camera.noiseStops,
    meterLoss: 0,
    runs: camera.shutter.auto,
  };
}

function lossOf(asked: Asked, facts: ExposureFacts): Loss {
  const { shutter, iso, light, exposure } = facts;
  const ends = [exposure.brightLog, exposure.darkLog];
  const { pulseHz } = light;
  return {
    ...NO_LOSS,
    over: over.loss(facts),
    under: under.loss(facts),
    noise: noise.loss(facts),
    filter: glass.loss(facts),
    drift: !asked.follows && shutter.spanStops + iso.spanStops > 0 ? FOLLOWS_PRICE.value : 0,
    flicker:
      pulseHz === null
        ? 0
        : PULSE_PRICE.value * Math.max(...ends.map((log) => flickerResidual(pulseHz, 2 ** log))),
    wish: missedLook(asked, exposure.brightLog, exposure.darkLog),
  };
}

/** What the look loses between the bright end and the dark one, whose shutters are given as log2 of seconds. */
function missedLook(
  { wishSeconds, shorterPrice, longerPrice }: Asked,
  brightLog: number,
  darkLog: number,
): number {
  if (wishSeconds === null) return 0;
  const wished = Math.log2(wishSeconds);
  const at = (log: number): number =>
    log < wished ? shorterPrice * (wished - log) : longerPrice * (log - wished);
  return (at(brightLog) + at(darkLog)) / 2;
}

/** How fast the fastest of subject and surroundings crosses the frame, per cent of the width a second. */
export function pacePctPerS(brief: Brief, view: Mode['view']): number {
  return Math.max(paceOf(view, movementOf(brief)).typicalPctPerS, subjectPace(brief, view));
}
