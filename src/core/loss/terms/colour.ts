import { start } from '../../units/estimate';
import type { Colour, Grade } from '../../vocabulary/modes';
import type { TermOf } from '../term';

const slopes = {
  flatUngraded: start(0.6, 'a flat picture posted straight away looks dull'),
  logUngraded: start(1.2, 'a log picture posted straight away looks broken'),
  flatLightly: start(0.1, 'a light grade brings a flat picture back with little work'),
  logLightly: start(0.4, 'a log picture asks for more than a light grade'),
  standardFully: start(
    1,
    'a standard picture breaks in banded skies when pushed; rate, light and noise may be worth it',
  ),
  flatFully: start(0.75, 'a flat picture bears half of a full grade'),
};
const LOSS: Readonly<Record<Grade, Readonly<Record<Colour, number>>>> = {
  none: { standard: 0, flat: slopes.flatUngraded.value, log: slopes.logUngraded.value },
  light: { standard: 0, flat: slopes.flatLightly.value, log: slopes.logLightly.value },
  full: { standard: slopes.standardFully.value, flat: slopes.flatFully.value, log: 0 },
};

interface ColourFacts {
  grade: Grade;
  colour: Colour;
}

/** Colour against the grade: a preference with a price, chosen together with everything else. */
export const colour: TermOf<'colour', ColourFacts> = {
  id: 'colour',
  owner: 'colour',
  seen: 'the picture looks dull as it is, or breaks when it is graded',
  formula: 'by grade and colour',
  slopes,
  noteFrom: null,
  remedies: [],
  loss: ({ grade, colour: chosen }) => LOSS[grade][chosen],
};
