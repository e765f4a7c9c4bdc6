import { start } from '../../units/estimate';
import { cadenceOf } from '../../playback/cadence';
import type { RateFacts } from '../frame';
import type { TermOf } from '../term';

const slopes = {
  uneven: start(
    3,
    'steps that differ from each other hitch at every pan; the more frames there are to choose from, the less',
  ),
  dropped: start(
    0.35,
    'frames never shown cost light, data, power and size, and shorten the blur that is seen',
  ),
};

/**
 * Of several speeds the worst counts, but what a slower one needs is not wasted on a faster one.
 */
export const cadence: TermOf<'cadence', RateFacts> = {
  id: 'cadence',
  owner: 'rate',
  seen: 'pans hitch, since the rates do not divide; or frames are filmed and never shown',
  formula:
    'share of a step by which steps differ (one standard deviation) × uneven, at the worst speed; octaves of frames never shown × dropped',
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

/** Steps of so many frames, whole numbers by turns: their standard deviation as a share of the mean, weighed. */
function jerkiness(frameRate: number, timelineFps: number, slowdown: number): number {
  const { uneven, framesPerTimelineFrame, repeats } = cadenceOf(frameRate, timelineFps, slowdown);
  if (!uneven) return 0;
  const step = repeats ? 1 / framesPerTimelineFrame : framesPerTimelineFrame;
  const longer = step - Math.floor(step);
  return (slopes.uneven.value * Math.sqrt(longer * (1 - longer))) / step;
}
