import { start } from '../../units/estimate';
import type { ShutterAim } from '../../vocabulary/schools';
import { aimLogOf } from '../movement';
import type { MotionFacts } from '../movement';
import type { TermOf } from '../term';

const slopes = {
  short: start(0.25, 'a stop under the aim is crisper movement, which sport is used to'),
  choppyFrom: start(2, 'two stops under it each frame stands for itself'),
  choppy: start(0.05, 'from there movement turns choppy'),
  most: start(
    1.5,
    'past that each frame stands for itself whatever the shutter: shorter still changes the light, not the look',
  ),
  long: start(
    0.8,
    'longer than half the time between two pictures no film or television ever looked: movement smears and drags',
  ),
  unused: start(
    0.02,
    'what an automatic shutter may take but does not in this light: so that its longest errs towards the aim',
  ),
};
const [SHORT, CHOPPY_FROM, CHOPPY, MOST, LONG, UNUSED] = [
  slopes.short.value,
  slopes.choppyFrom.value,
  slopes.choppy.value,
  slopes.most.value,
  slopes.long.value,
  slopes.unused.value,
];

/** Distance of the shutter angle shown from the school's aim, in the mean of both ends of the light. */
export const angle: TermOf<'angle', MotionFacts> = {
  id: 'angle',
  owner: 'motion',
  seen: 'movement choppier or smoother than what the school calls natural',
  formula:
    'stops shorter than the aim × short, past choppyFrom × choppy more, at most `most`; stops longer × long; in the mean of both ends of the light',
  slopes,
  noteFrom: null,
  remedies: [],
  loss: ({ figures, aim, brightLog, darkLog, darkWeight, longestLog }) => {
    if (aim === null) return 0;
    const aimLog = aimLogOf(aim, figures);
    const dark = distance(aim, darkLog - aimLog);
    const used =
      brightLog === darkLog
        ? dark
        : (1 - darkWeight / 2) * distance(aim, brightLog - aimLog) + (darkWeight / 2) * dark;
    return longestLog === darkLog ? used : used + UNUSED * distance(aim, longestLog - aimLog);
  },
};

/** Of a shutter so many stops longer than the aim; negative: shorter. */
function distance({ withinStops }: ShutterAim, stops: number): number {
  if (stops > 0) return LONG * Math.max(0, stops - withinStops);
  const short = Math.max(0, -stops - withinStops);
  return Math.min(MOST, SHORT * short + CHOPPY * Math.max(0, short - CHOPPY_FROM));
}
