import { secondsOf } from '../units/data';
import type { RecordingMode } from '../vocabulary/modes';
import { largestOf, modesOf, richestOf } from '../camera/modeTable';
import type { Mode } from '../camera/modeTable';
import type { Brief } from '../brief/brief';
import { loopOf } from '../playback/timeLapse';
import type { Loop } from '../playback/timeLapse';

/** The loop of a shot's camera. `null`: it records none. */
export function loopPlan(brief: Brief): (Loop & { mode: Mode; chapterSeconds: number }) | null {
  const mode = largestOf(modesOf(brief.camera).filter(({ recording }) => recording === LOOP));
  if (!mode) return null;
  const { minutes, leadSeconds, eventSeconds } = brief.loop;
  const { bitRateMbps } = richestOf(mode.encodings);
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
