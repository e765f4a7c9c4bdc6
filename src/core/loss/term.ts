import type { Estimate } from '../units/estimate';
import type { RemedyCode } from './remedies';

/**
 * A term of the loss: one way in which a viewer sees a picture go wrong, on one scale on which 1 is just noticeable to
 * an ordinary viewer. Each term is one module in `terms/`, and the table lists them; search, bounds, charts, words and
 * the page `docs/loss.md` draw on the table.
 */
export interface TermOf<Id extends string, Facts> {
  id: Id;
  /** What must be known before the term can be told: the rate, the frame, the file, the colour, the movement or the exposure. */
  owner: Owner;
  /** What is seen, in a line. */
  seen: string;
  /** The formula in words and figures of `slopes`. */
  formula: string;
  slopes: Readonly<Record<string, Estimate>>;
  /** Loss from which a warning is worth a line; `null`: it never warns by itself. */
  noteFrom: number | null;
  /** What to try against it, the likeliest first. */
  remedies: readonly RemedyCode[];
  /** Never negative. */
  loss: (facts: Facts) => number;
}

type Owner = 'rate' | 'frame' | 'file' | 'colour' | 'motion' | 'exposure';
