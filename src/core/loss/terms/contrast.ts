import { start } from '../../units/estimate';
import { expectedExcess } from '../../units/expected';
import type { Colour } from '../../vocabulary/modes';
import { skyAboveStops } from '../picture';
import type { PictureLight } from '../picture';
import type { TermOf } from '../term';

const slopes = {
  perStop: start(
    0.3,
    'a sky that goes white over ground that is right is forgiven more than a run that is: it was bright to the eye as well',
  ),
  spread: start(0.5, 'stops: no two clouds are alike'),
};
const [PER_STOP, SPREAD] = [slopes.perStop.value, slopes.spread.value];

interface ContrastFacts {
  picture: PictureLight;
  colour: Colour;
}

/** What one picture holds beside its ground: a sky brighter than the colour keeps. */
export const contrast: TermOf<'contrast', ContrastFacts> = {
  id: 'contrast',
  owner: 'colour',
  seen: 'the sky in the picture turns white over ground, or a face, that is right',
  formula:
    'expected stops of the sky above what the colour keeps over middle grey, within spread, × perStop × the root of its share of the frame',
  slopes,
  noteFrom: null,
  remedies: [],
  loss: ({ picture, colour }) =>
    picture.skyShare === 0
      ? 0
      : PER_STOP * Math.sqrt(picture.skyShare) * expectedExcess(skyAboveStops(picture, colour), SPREAD),
};
