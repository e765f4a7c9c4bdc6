/**
 * Loss: what a viewer would see go wrong, on one scale on which 1 is just noticeable to an ordinary viewer. A score is
 * the weighted sum of these terms. Every slope is a starting estimate; each stands beside its formula in
 * `modeLoss.ts`, `shutterLoss.ts` and `exposureLoss.ts`.
 */
export const TERMS = [
  'over', // light above the window: white sky
  'under', // light below the window: crushed shade
  'noise', // ISO above base at the dark end
  'drift', // exposure wandering within the shot
  'filter', // what the filter does besides darkening, and its stops
  'angle', // distance of the shutter angle from the school's aim
  'smear', // shake inside one exposure, over the tolerance
  'subjectBlur', // the subject too blurred to read
  'strobing', // long steps with little blur
  'flicker', // lamp pulse left in the exposures
  'stutter', // too few frames for the slow motion
  'cadence', // frames dropped or repeated unevenly
  'resolution', // fewer pixels than the delivery needs
  'viewNarrow', // subject or ride does not fit
  'viewWide', // bent edges, or a subject lost in the frame
  'steadiness', // shake left between frames
  'tilt', // a crooked horizon
  'editCrop', // picture given up to steadying in the edit
  'bitRate', // bits per pixel short of the texture
  'card', // recording longer than the card
  'colour', // colour that the grade cannot use
] as const;

export type Term = (typeof TERMS)[number];
export type Loss = Record<Term, number>;
export type Weights = Record<Term, number>;

export const EVEN_WEIGHTS: Weights = {
  over: 1,
  under: 1,
  noise: 1,
  drift: 1,
  filter: 1,
  angle: 1,
  smear: 1,
  subjectBlur: 1,
  strobing: 1,
  flicker: 1,
  stutter: 1,
  cadence: 1,
  resolution: 1,
  viewNarrow: 1,
  viewWide: 1,
  steadiness: 1,
  tilt: 1,
  editCrop: 1,
  bitRate: 1,
  card: 1,
  colour: 1,
};

/** The weighted sum of a full set of terms: the score, lower is better. */
export function scoreOf(loss: Loss, weights: Weights): number {
  let sum = 0;
  for (const term of TERMS) sum += weights[term] * loss[term];
  return sum;
}
