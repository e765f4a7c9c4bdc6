import { sourced, start } from '../../units/estimate';
import { cadenceOf, STUTTER_BROKEN_FPS, STUTTER_SEEN_FPS } from '../../playback/cadence';
import type { RateFacts } from '../frame';
import type { TermOf } from '../term';

const slopes = {
  perOctave: start(0.5, 'repeats of all but enough different frames on a fast timeline are felt, not seen'),
  seen: start(3, `below ${STUTTER_SEEN_FPS} different frames a second the repeats are seen by anybody`),
  broken: sourced(
    2,
    `below ${STUTTER_BROKEN_FPS} a second the eye no longer joins the pictures to a movement (apparent motion fades)`,
  ),
};

/** Fewer different frames seen than the timeline shows, at the slowest the clip is played. */
export const stutter: TermOf<'stutter', RateFacts> = {
  id: 'stutter',
  owner: 'rate',
  seen: 'slowed movement goes in steps, since frames repeat',
  formula: `octaves of different frames seen short of the timeline × perOctave, short of ${STUTTER_SEEN_FPS} × seen more; broken below ${STUTTER_BROKEN_FPS}`,
  slopes,
  noteFrom: 0.15,
  remedies: [],
  loss: ({ brief, frameRate }) => {
    const { timelineFps, slowdown } = brief.playback;
    const { seenFps, repeats } = cadenceOf(frameRate, timelineFps, slowdown);
    if (!repeats) return 0;
    return (
      slopes.perOctave.value * Math.log2(timelineFps / seenFps) +
      slopes.seen.value * Math.max(0, Math.log2(STUTTER_SEEN_FPS / seenFps)) +
      (seenFps < STUTTER_BROKEN_FPS ? slopes.broken.value : 0)
    );
  },
};
