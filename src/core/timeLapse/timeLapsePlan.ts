import { gigabytesOf, secondsOf } from '../units/data';
import { shutterAngleDeg } from '../playback/shutterAngle';
import { USUAL_INTERVAL_SECONDS } from '../vocabulary/timeLapses';
import type { RecordingMode } from '../vocabulary/modes';
import { modesOf } from '../camera/modeTable';
import type { Encoding, Mode } from '../camera/modeTable';
import { wearable } from '../filters/bag';
import { filterSettings } from '../filters/kit';
import type { FilterSetting } from '../filters/kit';
import { evRangeOf } from '../light/lightRange';
import { paceOf } from '../motion/motionMap';
import type { Brief } from '../brief/brief';
import { timeLapseShutterSeconds, loopOf, movingTimeLapse, timeLapseOf } from '../playback/timeLapse';
import type { TimeLapseLook, Loop, MovingTimeLapse, TimeLapse } from '../playback/timeLapse';
import { expose, isoWindow, shutterSetting } from '../loss/exposure';
import { movementOf, subjectPace } from '../loss/movement';

/** A time-lapse worked out for a shot: interval, shutter, the filter for it, clip, storage. */
export interface TimeLapsePlan extends TimeLapse {
  mode: Mode;
  intervalSeconds: number;
  shutterSeconds: number;
  /** Of the interval, as an angle of the sped-up film. */
  shutterAngleDeg: number;
  filter: FilterSetting;
  iso: number;
  /** What of the light is lost at either end under that filter. */
  overStops: number;
  underStops: number;
  gigabytes: number;
  moving: MovingTimeLapse | null;
}

interface TimeLapseWish {
  recording: 'timeLapse' | 'movingTimeLapse';
  intervalSeconds: number;
  look: TimeLapseLook;
  /** Of a moving time-lapse. */
  speedUp: number;
}

/** The usual wish for a shot: its interval by what changes, half of it for the shutter. */
export function usualTimeLapse(brief: Brief): TimeLapseWish {
  const { change, intervalSeconds, look, blurPct, speedUp, moving } = brief.timeLapse;
  const pctPerS = Math.max(pacePctPerS(brief), 0.05);
  return {
    recording: moving ? 'movingTimeLapse' : 'timeLapse',
    intervalSeconds: intervalSeconds ?? USUAL_INTERVAL_SECONDS[change],
    look: look === 'blur' ? { kind: 'blur', blurPct, pctPerS } : { kind: look },
    speedUp,
  };
}

/** `null`: the camera records none. Only `filters` are tried: all of the kit, unless some are named. */
export function timeLapsePlan(
  brief: Brief,
  wish: TimeLapseWish,
  filters: readonly FilterSetting[] = filterSettings(wearable(brief)),
): TimeLapsePlan | null {
  const mode = largest(modesOf(brief.camera).filter(({ recording }) => recording === wish.recording));
  if (!mode || filters.length === 0) return null;
  const { timelineFps } = brief.playback;
  const { recordSeconds } = brief.limits;
  // A moving one takes its pictures as often as its speed asks for.
  const moving =
    wish.recording === 'movingTimeLapse'
      ? movingTimeLapse(
          wish.speedUp,
          recordSeconds,
          timelineFps,
          paceOf(mode.view, movementOf(brief)).typicalPctPerS,
        )
      : null;
  const intervalSeconds = moving ? wish.speedUp / timelineFps : wish.intervalSeconds;
  const timeLapse = timeLapseOf(intervalSeconds, recordSeconds, timelineFps);
  const shutterSeconds = Math.max(
    brief.camera.shutter.shortestSeconds,
    timeLapseShutterSeconds(wish.look, intervalSeconds),
  );
  const iso = brief.camera.iso.standard.base;
  const sensor = { fNumberLog: 2 * Math.log2(brief.camera.fNumber) };
  const light = evRangeOf(brief.light);
  const shutter = shutterSetting(shutterSeconds, shutterSeconds);
  // A cover glass or a warm filter darkens by nothing: the least that still holds the brightest light is looked for.
  const tried = filters.map((filter) => ({
    filter,
    ...expose(sensor, light, shutter, filter.stops, isoWindow(iso, maxIso(brief))),
  }));
  const best = tried.reduce((found, one) => (lost(one) < lost(found) - 1e-9 ? one : found));
  return {
    ...timeLapse,
    mode,
    intervalSeconds,
    shutterSeconds,
    shutterAngleDeg: shutterAngleDeg(1 / intervalSeconds, shutterSeconds),
    filter: best.filter,
    iso,
    overStops: best.overStops,
    underStops: best.underStops,
    gigabytes: gigabytesOf(richest(mode).bitRateMbps, timeLapse.clipSeconds),
    moving,
  };
}

/** White sky weighs more than dark shade, and glass a little. */
function lost({
  overStops,
  underStops,
  filter,
}: {
  overStops: number;
  underStops: number;
  filter: FilterSetting;
}): number {
  return overStops + 0.6 * underStops + 0.01 * filter.stops;
}

/** A time-lapse has time for light: ISO is kept low, two stops at most. */
function maxIso({ camera, limits }: Brief): number {
  const { base, max } = camera.iso.standard;
  return Math.min(max, limits.isoCeiling, base * 4);
}

/** How fast the fastest of subject and surroundings crosses the frame, per cent of the width a second. */
export function pacePctPerS(brief: Brief): number {
  const view = largest(modesOf(brief.camera))?.view;
  if (!view) return 0;
  return Math.max(paceOf(view, movementOf(brief)).typicalPctPerS, subjectPace(brief, view));
}

/** The loop of a shot's camera. `null`: it records none. */
export function loopPlan(brief: Brief): (Loop & { mode: Mode; chapterSeconds: number }) | null {
  const mode = largest(modesOf(brief.camera).filter(({ recording }) => recording === LOOP));
  if (!mode) return null;
  const { minutes, leadSeconds, eventSeconds } = brief.loop;
  const { bitRateMbps } = richest(mode);
  const { gigabytes, minutes: byTime } = brief.camera.chapter;
  const bySize = secondsOf(gigabytes, bitRateMbps);
  // A loop is cut into five parts or more, so that it never drops most of itself at once.
  const chapterSeconds = Math.min(bySize, (byTime ?? Infinity) * 60, (minutes * 60) / 5);
  return {
    ...loopOf(minutes * 60, chapterSeconds, leadSeconds, eventSeconds, bitRateMbps),
    mode,
    chapterSeconds,
  };
}

const LOOP: RecordingMode = 'loop';

function largest(modes: readonly Mode[]): Mode | undefined {
  return modes.reduce<Mode | undefined>(
    (best, mode) => (best && best.resolution.width >= mode.resolution.width ? best : mode),
    undefined,
  );
}

function richest({ encodings }: Mode): Encoding {
  return encodings.reduce((best, one) => (one.bitRateMbps > best.bitRateMbps ? one : best));
}
