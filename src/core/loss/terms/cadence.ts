import { start } from '../../units/estimate';
import { cadenceOf } from '../../playback/cadence';
import type { RateFacts } from '../frame';
import type { TermOf } from '../term';

const slopes = {
  uneven: start(
    1.5,
    'frames dropped or repeated by turns hitch at every pan; the more frames there are to choose from, the less',
  ),
  dropped: start(0.15, 'frames never shown cost light, data and power, and shorten the blur that is seen'),
};

/**
 * Of several speeds the worst counts, but what a slower one needs is not wasted on a faster one.
 */
export const cadence: TermOf<'cadence', RateFacts> = {
  id: 'cadence',
  owner: 'rate',
  seen: 'pans hitch, since the rates do not divide; or frames are filmed and never shown',
  formula:
    'uneven ÷ frames captured for each shown, at the worst speed; octaves of frames never shown × dropped',
  slopes,
  noteFrom: 0,
  remedies: [],
  loss: ({ brief, frameRate }) => {
    const { timelineFps, slowdown, alsoSlowdowns } = brief.playback;
    const { framesPerTimelineFrame } = cadenceOf(frameRate, timelineFps, slowdown);
    let jerky = jerkiness(frameRate, timelineFps, slowdown);
    for (const other of alsoSlowdowns) jerky = Math.max(jerky, jerkiness(frameRate, timelineFps, other));
    return jerky + slopes.dropped.value * Math.max(0, Math.log2(framesPerTimelineFrame));
  },
};

function jerkiness(frameRate: number, timelineFps: number, slowdown: number): number {
  const { uneven, framesPerTimelineFrame } = cadenceOf(frameRate, timelineFps, slowdown);
  return uneven ? slopes.uneven.value / Math.max(1, framesPerTimelineFrame) : 0;
}
