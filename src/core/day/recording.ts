import { modePowerW, modesOf } from '../camera/modeTable';
import type { Mode } from '../camera/modeTable';
import { evRangeOf } from '../light/lightRange';
import type { Settings } from '../records/settings';
import { loopPlan } from '../timeLapse/loopPlan';
import { SOUND_MBPS, writtenMbps } from '../camera/card';
import { sunOnCameraC } from './heat';
import type { PartAnswer } from './partAnswer';
import { airSpeedMps } from './schedule';
import type { DayPart } from './schedule';

/** What a part asks of its camera while it records: bytes, watts, and how it is cooled. */
export interface RecordingLoad {
  bytesPerSecond: number;
  /** A loop takes no more of the card than this; `null`: as much as is recorded. */
  mostBytes: number | null;
  /** What the card must keep writing, megabytes a second. */
  writesMBps: number;
  /** Length of one file. */
  chapterSeconds: number;
  powerW: number;
  airSpeedMps: number;
  sunC: number;
}

export function recordingLoad(part: DayPart, { settings, intervalSeconds }: PartAnswer): RecordingLoad {
  const { brief, camera } = part;
  const loop = settings.recording === 'loop' ? loopPlan(brief) : null;
  // A time-lapse writes one frame an interval, at the rate of its film.
  const share = intervalSeconds === null ? 1 : 1 / (intervalSeconds * brief.playback.timelineFps);
  const written = writtenMbps(settings.bitRateMbps, camera);
  const mbps = intervalSeconds === null ? written + SOUND_MBPS : written * share;
  const bytesPerSecond = (mbps * 1e6) / 8;
  const { gigabytes, minutes } = camera.chapter;
  const bySize = (gigabytes * 1e9) / bytesPerSecond;
  const mode = modeOf(part, settings);
  return {
    bytesPerSecond,
    mostBytes: loop ? loop.gigabytes * 1e9 : null,
    writesMBps: (written * (intervalSeconds === null ? 1 : share)) / 8,
    chapterSeconds: Math.min(bySize, (minutes ?? Infinity) * 60, loop?.chapterSeconds ?? Infinity),
    // Between two pictures a camera stays awake, and takes pixels only for the picture.
    powerW: intervalSeconds === null && mode ? modePowerW(camera, mode) : camera.power.baseW,
    airSpeedMps: airSpeedMps(brief),
    sunC: sunOnCameraC(evRangeOf(brief.light).evMax),
  };
}

/** The mode of the table that settings name. */
function modeOf({ camera }: Pick<DayPart, 'camera'>, settings: Settings): Mode | undefined {
  return modesOf(camera).find(
    (mode) =>
      mode.recording === settings.recording &&
      mode.frameRate === settings.frameRate &&
      mode.resolution.width === settings.resolution.width &&
      mode.resolution.height === settings.resolution.height &&
      mode.view.id === settings.view.id &&
      mode.stabilization === settings.stabilization,
  );
}
