import { start } from '../../units/estimate';
import { expectedExcess } from '../../units/expected';
import type { ExposureFacts } from '../exposure';
import type { TermOf } from '../term';

const slopes = {
  wholeGuard: start(
    0.75,
    'the highlight guard is for lamps, foam and cloud edges; with it used up faces and ground stand half a stop too bright, which is nearly noticed. Where a colour keeps more of the lights, the edit brings more of it back',
  ),
  pastGuard: start(
    1.8,
    'past the guard half a stop is plainly seen: sky and snow turn to paper and nothing brings them back',
  ),
  lostFrom: start(2, 'two stops past the guard faces and ground go white as well, not only the sky'),
  lost: start(1, 'from there each stop takes subject, not background'),
  otherEnd: start(
    0.5,
    'white at the dark end too leaves no part of the run that is right: counted half as much again',
  ),
};
const [WHOLE_GUARD, PAST_GUARD, LOST_FROM, LOST, OTHER_END] = [
  slopes.wholeGuard.value,
  slopes.pastGuard.value,
  slopes.lostFrom.value,
  slopes.lost.value,
  slopes.otherEnd.value,
];

/** A guard narrower than this counts as this wide, stops. */
const LEAST_GUARD = 0.2;

/** Light above the window. */
export const over: TermOf<'over', ExposureFacts> = {
  id: 'over',
  owner: 'exposure',
  seen: 'the bright end of the light lies above the window: sky, snow and foam turn white',
  formula:
    'expected stops above the window ÷ guard × wholeGuard, those past the guard × pastGuard more, those lostFrom past it × lost more; each end by its share of the run, the dark one × otherEnd',
  slopes,
  noteFrom: 0.02,
  remedies: ['addFilter', 'letShutterRun', 'logColour', 'splitRun', 'exposeForBright'],
  loss: ({ light, exposure, sensor }) => {
    const { aroundStops, evMax, evMin, brightWeight, darkWeight } = light;
    const bright = whiteLoss(evMax - exposure.windowEvMax, sensor.guardStops, aroundStops);
    if (bright === 0) return 0;
    // The dark end is never brighter.
    const dark = whiteLoss(evMin - exposure.windowEvMax, sensor.guardStops, aroundStops);
    return brightWeight * bright + OTHER_END * darkWeight * dark;
  },
};

/** Of one end of the light, so many stops above the window (negative: inside), known to within a spread. */
export function whiteLoss(stops: number, guardStops: number, spreadStops: number): number {
  return (
    (WHOLE_GUARD / Math.max(LEAST_GUARD, guardStops)) * expectedExcess(stops, spreadStops) +
    PAST_GUARD * expectedExcess(stops - guardStops, spreadStops) +
    LOST * expectedExcess(stops - guardStops - LOST_FROM, spreadStops)
  );
}
