import { start } from '../../units/estimate';
import { expectedExcess } from '../../units/expected';
import type { ExposureFacts } from '../exposure';
import type { TermOf } from '../term';

const slopes = {
  perStop: start(
    0.8,
    'a dark shade is forgiven sooner than a white sky, and lifts a stop in the edit; always dearer than noise, so that ISO is spent first',
  ),
  crushedFrom: start(1, 'past a stop the lift shows: shade turns grey and blotched'),
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
    'expected stops below the window × perStop, those past crushedFrom × crushed more, those past blackFrom × black more; the bright end likewise × otherEnd',
  slopes,
  noteFrom: 0.04,
  remedies: ['raiseCeiling', 'letShutterRun', 'splitRun', 'exposeForDark'],
  loss: ({ light, exposure }) => {
    const { spreadStops, evMax, evMin } = light;
    const dark = darkLoss(exposure.windowEvMin - evMin, spreadStops);
    // The bright end is never darker.
    return dark === 0 ? 0 : dark + OTHER_END * darkLoss(exposure.windowEvMin - evMax, spreadStops);
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
