/**
 * Where a quick look looks: windows of some seconds spread over a clip, in the order in which they tell most. The middle
 * first, then near the beginning and the end, where exposure settles and a recording breaks off, then between. Seconds.
 */
export interface Window {
  fromSeconds: number;
  toSeconds: number;
}

/** Long enough for shake, flicker and pulsing to be told. */
export const WINDOW_SECONDS = 2.5;
/** Clips up to this are looked at whole. */
const WHOLE_UP_TO_SECONDS = 8;
const MOST_WINDOWS = 33;

/** The whole clip as one, where it is short or it is asked for. */
export function windowsOf(durationSeconds: number, how: 'quick' | 'whole'): Window[] {
  if (how === 'whole' || durationSeconds <= WHOLE_UP_TO_SECONDS)
    return [{ fromSeconds: 0, toSeconds: durationSeconds }];
  const room = durationSeconds - WINDOW_SECONDS;
  const taken: Window[] = [];
  for (const share of shares()) {
    const fromSeconds = share * room;
    const apart = taken.every((one) => Math.abs(one.fromSeconds - fromSeconds) >= WINDOW_SECONDS);
    if (apart) taken.push({ fromSeconds, toSeconds: fromSeconds + WINDOW_SECONDS });
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
