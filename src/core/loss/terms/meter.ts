import { start } from '../../units/estimate';
import type { ExposureFacts } from '../exposure';
import type { TermOf } from '../term';
import { faceOffset } from '../picture';
import type { PictureLight } from '../picture';
import { darkLoss } from './under';
import { whiteLoss } from './over';

const slopes = {
  guarded: start(0.5, 'stops that a guard of the brightest parts may take: shade is lifted in the edit'),
  unsure: start(
    0.5,
    'half of what a mean would be off comes back differently from camera to camera; a test picture shows it',
  ),
};

/** What an automatic exposure makes of snow, sand, a wood or a stage. */
export const meter: TermOf<'meter', ExposureFacts> = {
  id: 'meter',
  owner: 'exposure',
  seen: 'the meter makes pale surroundings grey and dark ones pale',
  formula:
    'where shutter or ISO may move: the stops that the offset lies over what fills the frame asks for, as white, or further below than guarded, as dark; what is not known of the meter × unsure',
  slopes,
  noteFrom: 0.8,
  remedies: [],
  loss: ({ sensor, shutter, iso }) => (shutter.spanStops > 0 || iso.spanStops > 0 ? sensor.meterLoss : 0),
};

/** Of an offset that stands beyond what is right for the frame, or further below it than any guard, stops. */
export function meterLossOf(picture: PictureLight, offsetStops: number, guardStops: number): number {
  const { meterStops, meterOffStops } = picture;
  const right = Math.max(meterStops, faceOffset(picture));
  const unsure = darkLoss(0, meterOffStops) + whiteLoss(0, guardStops, meterOffStops);
  return (
    slopes.unsure.value * unsure +
    darkLoss(right - slopes.guarded.value - offsetStops, 0) +
    whiteLoss(offsetStops - right, guardStops, 0)
  );
}
