import type { Found } from '../records/clipReport';
import type { FindingCode } from '../vocabulary/findings';
import { bitRate, clippedSound, cutOff, frameRate, silent, size, stutter, wind } from './fileLooks';
import { oneChange } from './oneChange';
import { drift, flicker, noise, over, shake, smear, soft, strobing, tilt, under } from './pictureLooks';
import type { PlannedShot } from './planned';
import type { Detector, ClipMeasures, Detected } from './seen';

/** The findings of a clip, worst first: by how far past its limit. `planned`: the shot it was filmed for, where known. */
export function findingsOf(measured: ClipMeasures, planned: PlannedShot | null): Found[] {
  return LOOKS.flatMap((look) => look(measured, planned) ?? [])
    .sort((one, other) => worseBy(other) - worseBy(one))
    .map(({ cure, change, ...seen }) => ({
      ...seen,
      change:
        change ??
        (planned && cure ? oneChange(planned, cure.measured(planned.brief, planned), cure.term) : null),
    }));
}

/** How bad, in octaves past the limit; a limit that must be reached, and one of nothing, count by how far it is. */
function worseBy({ code, value, limit }: Detected): number {
  const { first } = RANKS;
  const rank = first.includes(code) ? 3 : 0;
  if (limit === 0 || value * limit <= 0) return rank + Math.min(3, Math.abs(value - limit));
  return rank + Math.min(4, Math.abs(Math.log2(Math.abs(value / limit))));
}

/** What cannot be mended in any edit comes first. */
const RANKS = { first: ['cutOff', 'frameRate', 'size', 'stutter'] as readonly FindingCode[] };

const LOOKS: readonly Detector[] = [
  cutOff,
  frameRate,
  size,
  stutter,
  over,
  under,
  smear,
  flicker,
  tilt,
  shake,
  soft,
  strobing,
  noise,
  drift,
  bitRate,
  clippedSound,
  wind,
  silent,
];
