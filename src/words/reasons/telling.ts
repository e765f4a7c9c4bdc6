import type { Brief } from '@/core/brief/brief';
import type { Filter } from '@/core/filters/kit';
import type { Learned } from '@/core/records/learned';
import type { Light } from '@/core/records/shot';
import type { Reason } from '@/core/answer/reason';
import { namesOfBrief } from '../learnedNames';
import type { Names } from '../learnedText';

/** What the words need beside the figures: how the light was told, the kit, and figures of the person's own. */
export interface Telling {
  light: Light;
  kit: readonly Filter[];
  learned: readonly Learned[];
  names: Names;
}

export function tellingOf(brief: Brief): Telling {
  return { light: brief.light, kit: brief.filters, learned: brief.learned, names: namesOfBrief(brief) };
}

/** The reason of one setting. */
export type ReasonOf<S extends Reason['setting']> = Extract<Reason, { setting: S }>;
