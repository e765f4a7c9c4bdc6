import { sourced, start } from '../../units/estimate';
import type { Colour, Grade } from '../../vocabulary/modes';
import { miredOf } from '../../light/kelvin';
import type { LightColour } from '../../light/kelvin';
import type { TermOf } from '../term';

const slopes = {
  free: start(15, 'mired: a third of it is just noticed side by side, all of it from one clip to the next'),
  plain: sourced(
    1 / 25,
    'from there to forty mired, which is plainly wrong, there is one that is just noticed',
  ),
  oneStroke: start(0.4, 'a cast that stays is taken out of the whole clip with one stroke'),
  chased: start(1.5, 'a cast that wanders has to be chased through the clip'),
  logForgives: start(0.5, 'a log picture under a full grade keeps what white balance would have cut off'),
  goldLost: start(40, 'mired: an automatic takes the gold out of a low sun, for which one went there'),
};
const [FREE, PLAIN, ONE_STROKE, CHASED, LOG_FORGIVES, GOLD_LOST] = [
  slopes.free.value,
  slopes.plain.value,
  slopes.oneStroke.value,
  slopes.chased.value,
  slopes.logForgives.value,
  slopes.goldLost.value,
];

interface WhiteBalanceFacts {
  grade: Grade;
  colour: Colour;
  light: LightColour;
  whiteBalance: 'auto' | number;
}

/** A lock by how far the light goes from it; an automatic by how far it wanders. */
export const whiteBalance: TermOf<'whiteBalance', WhiteBalanceFacts> = {
  id: 'whiteBalance',
  owner: 'colour',
  seen: 'the picture has a cast, or its colour wanders within the shot',
  formula:
    'mired past free × plain: of a lock to the furthest end of the light and as far as that is not known (graded × oneStroke), of an automatic its wandering (graded × chased; goldLost more under a low sun); log fully graded × logForgives',
  slopes,
  noteFrom: 0.5,
  remedies: [],
  loss: ({ grade, colour, light, whiteBalance: chosen }) => {
    const graded = grade !== 'none';
    const mired =
      chosen === 'auto'
        ? light.wanderMired * (graded ? CHASED : 1) + (light.from === 'lowSun' ? GOLD_LOST : 0)
        : furthest(light, chosen) + light.offMired * (graded ? ONE_STROKE : 1);
    return Math.max(0, mired - FREE) * PLAIN * (grade === 'full' && colour === 'log' ? LOG_FORGIVES : 1);
  },
};

/** From a lock to the end of the light that lies furthest from it, mired; a low sun is to stay as warm as it is. */
function furthest({ warmK, coolK, lockK, from }: LightColour, chosenK: number): number {
  if (from === 'lowSun') return Math.abs(miredOf(chosenK) - miredOf(lockK));
  const chosen = miredOf(chosenK);
  return Math.max(Math.abs(miredOf(warmK) - chosen), Math.abs(miredOf(coolK) - chosen));
}

/** The lock or the automatic, whichever loses less; the lock where both do alike. */
export function bestWhiteBalance(facts: Omit<WhiteBalanceFacts, 'whiteBalance'>): 'auto' | number {
  const { lockK } = facts.light;
  const { loss } = whiteBalance;
  return loss({ ...facts, whiteBalance: 'auto' }) < loss({ ...facts, whiteBalance: lockK }) ? 'auto' : lockK;
}
