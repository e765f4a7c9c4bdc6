import { start } from '../../units/estimate';
import { expectedExcess } from '../../units/expected';
import type { ExposureFacts } from '../exposure';
import type { TermOf } from '../term';

const slopes = {
  perStop: start(
    1,
    'a dark shade is forgiven sooner than a white sky, and lifts a stop in the edit; always dearer than noise, so that ISO is spent first',
  ),
  crushedFrom: start(0.75, 'past three quarters of a stop the lift shows: shade turns grey and blotched'),
  crushed: start(0.7, 'from there the lift itself is seen'),
  blackFrom: start(2.5, 'two and a half stops down middle grey is nearly black: nothing is told apart'),
  black: start(1.2, 'from there the picture is lost, whatever it was for'),
  otherEnd: start(
    0.5,
    'dark at the bright end too means a run dark from end to end: counted half as much again',
  ),
};
const [PER_STOP, CRUSHED_FROM, CRUSHED, BLACK_FROM, BLACK, OTHER_END] = [
  slopes.perStop.value,
  slopes.crushedFrom.value,
  slopes.crushed.value,
  slopes.blackFrom.value,
  slopes.black.value,
  slopes.otherEnd.value,
];

/** Light below the window. */
export const under: TermOf<'under', ExposureFacts> = {
  id: 'under',
  owner: 'exposure',
  seen: 'the dark end of the light lies below the window: shade closes up, then the picture is black',
  formula:
    'expected stops below the window × perStop, those past crushedFrom × crushed more, those past blackFrom × black more; each end by its share of the run, the bright one × otherEnd',
  slopes,
  noteFrom: 0.04,
  remedies: ['raiseCeiling', 'letShutterRun', 'splitRun', 'exposeForDark'],
  loss: ({ light, exposure }) => {
    const { aroundStops, evMax, evMin, brightWeight, darkWeight } = light;
    const dark = darkLoss(exposure.windowEvMin - evMin, aroundStops);
    if (dark === 0) return 0;
    // The bright end is never darker.
    const bright = darkLoss(exposure.windowEvMin - evMax, aroundStops);
    return darkWeight * dark + OTHER_END * brightWeight * bright;
  },
};

/** Of one end of the light, so many stops below the window (negative: inside), known to within a spread. */
export function darkLoss(stops: number, spreadStops: number): number {
  return (
    PER_STOP * expectedExcess(stops, spreadStops) +
    CRUSHED * expectedExcess(stops - CRUSHED_FROM, spreadStops) +
    BLACK * expectedExcess(stops - BLACK_FROM, spreadStops)
  );
}
