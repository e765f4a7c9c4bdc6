import { TERM_IDS } from '../vocabulary/terms';
import type { TermId } from '../vocabulary/terms';
import type { ExposureFacts } from './exposure';
import type { MotionFacts } from './movement';
import type { TermOf } from './term';
import { angle } from './terms/angle';
import { bitRate } from './terms/bitRate';
import { cadence } from './terms/cadence';
import { card } from './terms/card';
import { colour } from './terms/colour';
import { contrast } from './terms/contrast';
import { drift } from './terms/drift';
import { editCrop } from './terms/editCrop';
import { filter } from './terms/filter';
import { flicker } from './terms/flicker';
import { glare } from './terms/glare';
import { meter } from './terms/meter';
import { noise } from './terms/noise';
import { over } from './terms/over';
import { resolution } from './terms/resolution';
import { smear } from './terms/smear';
import { steadiness } from './terms/steadiness';
import { strobing } from './terms/strobing';
import { stutter } from './terms/stutter';
import { subjectBlur } from './terms/subjectBlur';
import { tilt } from './terms/tilt';
import { under } from './terms/under';
import { viewNarrow } from './terms/viewNarrow';
import { viewWide } from './terms/viewWide';
import { whiteBalance } from './terms/whiteBalance';

/**
 * The table of losses: every term once, by what must be known to tell it. A score is the weighted sum of the terms and
 * of what the school's wishes cost where they yield (`wishes.ts`). Search, bounds, charts, words and the page
 * `docs/loss.md` draw on it; a new term is a module in `terms/`, its lines here, and its cases.
 */
export const EXPOSURE_TERMS = [over, under, noise, meter, drift, filter, glare] as const;
export const MOTION_TERMS = [angle, smear, subjectBlur, strobing, flicker] as const;
export const RATE_TERMS = [stutter, cadence] as const;
export const FRAME_TERMS = [resolution, viewNarrow, viewWide, steadiness, tilt, editCrop] as const;
export const FILE_TERMS = [bitRate, card] as const;
export const COLOUR_TERMS = [colour, contrast, whiteBalance] as const;

/** In the order of the charts. */
export const TERM_TABLE = [
  ...EXPOSURE_TERMS,
  ...MOTION_TERMS,
  ...RATE_TERMS,
  ...FRAME_TERMS,
  ...FILE_TERMS,
  ...COLOUR_TERMS,
] as const;

/** A term, or what the school wishes for and does not get. */
export type Term = TermId;
export type Loss = Record<Term, number>;
export type Weights = Record<Term, number>;

export const TERMS: readonly Term[] = TERM_IDS;

export const EVEN_WEIGHTS = Object.fromEntries(TERMS.map((id) => [id, 1])) as Weights;

/** The weighted sum of a full set of terms: the score, lower is better. */
export function scoreOf(loss: Loss, weights: Weights): number {
  let sum = 0;
  for (const term of TERMS) sum += weights[term] * loss[term];
  return sum;
}

/** The weighted sum of the terms of one owner. */
export function weighedSum<Facts>(
  terms: readonly TermOf<Term, Facts>[],
  weights: Weights,
  facts: Facts,
): number {
  let sum = 0;
  for (const { id, loss } of terms) sum += weights[id] * loss(facts);
  return sum;
}

/*
 * The sums that the search asks for most, written out: a walk over the list costs it a quarter of its time. The exhaustive
 * search walks the list, and the tests hold the two together.
 */

/** The weighted terms of movement. */
export function movementSum(weights: Weights, facts: MotionFacts): number {
  return (
    weights.angle * angle.loss(facts) +
    weights.smear * smear.loss(facts) +
    weights.subjectBlur * subjectBlur.loss(facts) +
    weights.strobing * strobing.loss(facts) +
    weights.flicker * flicker.loss(facts)
  );
}

/** What is lost before exposure, and its weighted terms; left off as soon as they reach `beat`. */
export function exposureSum(weights: Weights, facts: ExposureFacts, before: number, beat: number): number {
  let sum =
    before +
    weights.filter * filter.loss(facts) +
    weights.glare * facts.filter.glare +
    weights.over * over.loss(facts);
  if (sum < beat) sum += weights.under * under.loss(facts);
  if (sum < beat) sum += weights.noise * noise.loss(facts);
  if (sum < beat) sum += weights.meter * meter.loss(facts);
  if (sum < beat) sum += weights.drift * drift.loss(facts);
  return sum;
}

/** Of the widest ISO window, what no other undercuts: the part that falls with the stops of the filter. */
export function lessBehindGlass(weights: Weights, facts: ExposureFacts): number {
  return weights.over * over.loss(facts);
}

/** The part that rises with them. */
export function moreBehindGlass(weights: Weights, facts: ExposureFacts): number {
  return weights.under * under.loss(facts) + weights.filter * filter.loss(facts);
}

/** Writes the terms of one owner, each by itself, unweighted. */
export function putLosses<Id extends Term, Facts>(
  into: Loss,
  terms: readonly TermOf<Id, Facts>[],
  facts: Facts,
): void {
  for (const { id, loss } of terms) into[id] = loss(facts);
}

/** Every term at nothing: to be filled. */
export const NO_LOSS = Object.fromEntries(TERMS.map((id) => [id, 0])) as Readonly<Loss>;

/** Loss from which a term is worth a warning. */
export function worthAWarning(id: Term, loss: Loss): boolean {
  const from = TERM_TABLE.find((term) => term.id === id)?.noteFrom;
  return from !== undefined && from !== null && loss[id] > 0 && loss[id] >= from;
}
