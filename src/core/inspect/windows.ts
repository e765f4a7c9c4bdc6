import type { Container } from '../records/clipReport';
import { clamp } from '../units/stops';

/**
 * Where a quick look looks: windows of some seconds spread over a clip, in the order in which they tell most. The middle
 * first, then near the beginning and the end, where exposure settles and a recording breaks off, then between. Seconds.
 */
export interface LookWindow {
  fromSeconds: number;
  toSeconds: number;
}

/** As long as there is room for, and never too short for shake and pulsing to be told. */
const WINDOW = { shareOfClip: 1 / 25, least: 1.3, most: 2.5 };
/** What takes longer to decode than 1080p at 60 frames a second is looked at in shorter windows. Pixels a second. */
const HEAVY = 1920 * 1080 * 60;
/** Clips up to this are looked at whole. */
const WHOLE_UP_TO_SECONDS = 8;
const MOST_WINDOWS = 33;

/** A quick look over a clip, the whole of it, or a test clip that somebody waits for. */
export type LookHow = 'quick' | 'whole' | 'test';

/**
 * The whole clip as one, where it is short or it is asked for. `trouble`: where something is expected, seconds; there it is
 * looked at right after the middle.
 */
export function windowsOf(
  {
    durationSeconds,
    width,
    height,
    frameRate,
  }: Pick<Container, 'durationSeconds' | 'width' | 'height' | 'frameRate'>,
  how: LookHow,
  trouble: readonly number[] = [],
): LookWindow[] {
  const lighter = Math.min(1, HEAVY / Math.max(1, width * height * frameRate));
  // A test clip is told within seconds, whatever it takes to decode.
  const short = durationSeconds <= WHOLE_UP_TO_SECONDS && (how === 'quick' || lighter === 1);
  if (how === 'whole' || short) return [{ fromSeconds: 0, toSeconds: durationSeconds }];
  const each = clamp(lighter * durationSeconds * WINDOW.shareOfClip, WINDOW.least, WINDOW.most);
  const room = durationSeconds - each;
  const taken: LookWindow[] = [];
  const troubled = trouble.map((atSeconds) => clamp((atSeconds - each / 2) / room, 0, 1));
  for (const share of [0.5, ...troubled, ...shares()]) {
    const fromSeconds = share * room;
    const apart = taken.every((one) => Math.abs(one.fromSeconds - fromSeconds) > each);
    if (apart && fromSeconds >= 0) taken.push({ fromSeconds, toSeconds: fromSeconds + each });
  }
  return taken;
}

/** Halves, ends, and then each gap halved again. Source: van der Corput 1935 (the order of the halves). */
function shares(): number[] {
  const list = [0.5, 0, 1];
  for (let number = 2; list.length < MOST_WINDOWS; number++) {
    let [share, part] = [0, 0.5];
    for (let left = number; left > 0; left >>= 1, part /= 2) share += (left & 1) * part;
    list.push(share);
  }
  return list;
}
