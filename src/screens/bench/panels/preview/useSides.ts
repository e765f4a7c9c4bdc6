import * as messages from '@/language/bench/preview';
import { useMemo } from 'react';
import type { Solution } from '@/core/answer/solve';
import { motionSheet } from '@/core/compare/motionSheet';
import { solveVariant, variantsOf } from '@/core/compare/variants';
import type { Variant } from '@/core/compare/variants';
import type { LightMoment, PreviewTake } from '@/core/preview/take';
import { takeOf } from '@/core/preview/takeOf';
import type { Candidate } from '@/core/search/candidate';
import { settingsOf } from '@/core/search/settingsOf';
import type { Space } from '@/core/search/space';
import type { Scenery } from '@/core/vocabulary/activities';
import { motionLines } from '@/words/motionText';
import { variantKey, variantText } from '@/words/variantText';
import type { Side } from './SideFigures';

const FILM_SECONDS = 2;
/** Looked at first, where the answer differs from it. */
const FIRST_VARIANTS = ['angle-180', 'short', 'school-film', 'school-crisp'];
export const NO_VARIANT = 'none';

/** The answer and the way of filming beside it that was asked for, or the first that is worth a look. */
export function useSides(
  solution: Solution,
  wanted: string | null,
): {
  choices: { value: string; label: string }[];
  chosen: string;
  /** What was asked for, and whether the camera can film it. */
  variant: Variant | null;
  films: boolean;
  sides: Side[];
} {
  const { space, candidate } = solution;
  const { brief } = space;
  const variants = useMemo(() => variantsOf(solution), [solution]);
  const keys = variants.map(variantKey);
  const usual = FIRST_VARIANTS.find((key) => keys.includes(key)) ?? keys[0] ?? NO_VARIANT;
  const chosen = wanted !== null && (wanted === NO_VARIANT || keys.includes(wanted)) ? wanted : usual;
  const variant = variants.find((one) => variantKey(one) === chosen) ?? null;
  const beside = useMemo(() => (variant ? solveVariant(solution, variant) : null), [solution, variant]);
  const choices = useMemo(
    () => [
      ...variants.map((one) => ({ value: variantKey(one), label: variantText(one, brief.filters) })),
      { value: NO_VARIANT, label: messages.nothing },
    ],
    [variants, brief.filters],
  );
  const sides = useMemo(
    () => [
      sideOf(messages.theAnswer, space, candidate),
      ...(beside && variant
        ? [sideOf(variantText(variant, brief.filters), beside.space, beside.candidate)]
        : []),
    ],
    [space, candidate, beside, variant, brief.filters],
  );
  return { choices, chosen, variant, films: beside !== null, sides };
}

function sideOf(name: string, space: Space, candidate: Candidate): Side {
  const sheet = motionSheet(space, candidate);
  return { name, settings: settingsOf(space, candidate), sheet, lines: motionLines(sheet), space, candidate };
}

/** What is to be drawn of the sides; the same as before while a new answer has the same pictures. */
export function useTakes(
  sides: readonly Side[],
  look: { slowdown: number; moment: LightMoment; scene: Scenery | 'fits' },
): PreviewTake[] {
  const { slowdown, moment, scene } = look;
  // Written out, so that a new answer with the same pictures draws nothing again.
  const wish = useMemo(
    () =>
      JSON.stringify(
        sides.map((side) =>
          takeOf(side.space, side.candidate, {
            slowdown,
            moment,
            filmSeconds: FILM_SECONDS,
            ...(scene === 'fits' ? {} : { scene }),
          }),
        ),
      ),
    [sides, slowdown, moment, scene],
  );
  return useMemo(() => JSON.parse(wish) as PreviewTake[], [wish]);
}
