import * as messages from '@/language/words/finding';
import { toldTilt } from '@/core/inspect/pictureLooks';
import type { Clip } from '@/core/records/clip';
import { tenths, trimmed } from '@/core/units/format';

/** What was measured of a clip, in one line: what could be told, and no more. */
export function clipMeasures({ measured: { pictures, sound } }: Pick<Clip, 'measured'>): string {
  if (!pictures) return '';
  const { clippedPct, crushedPct, pulsingPct, repeatedPct, movement, flicker } = pictures;
  const tiltDeg = toldTilt(pictures);
  return [
    messages.measured.white({ value: trimmed(clippedPct.worst, 1) }),
    messages.measured.black({ value: trimmed(crushedPct.worst, 1) }),
    pulsingPct !== null && messages.measured.swings({ value: trimmed(pulsingPct, 1) }),
    !!repeatedPct && messages.measured.repeated({ value: trimmed(repeatedPct, 0) }),
    movement && messages.measured.shake({ value: trimmed(movement.shakePctWidthPerSRms, 0) }),
    tiltDeg !== null && messages.measured.tilt({ value: tenths(tiltDeg).replace('-', '−') }),
    flicker && messages.measured.flicker({ value: trimmed(flicker.hz, 1) }),
    !!sound && sound.windPct > 0 && messages.measured.wind({ value: trimmed(sound.windPct, 0) }),
  ]
    .filter((text) => typeof text === 'string')
    .join(' · ');
}
