import type { Brief } from '../brief/brief';
import { takeOf } from '../preview/takeOf';
import type { LightMoment, PreviewTake } from '../preview/take';
import type { EyeAnswer } from '../records/ownEye';
import type { Settings } from '../records/settings';
import { settingsOf } from '../search/settingsOf';
import { nextPair } from './course';
import { differencesByTerm, PAIR_LIMITS } from './pairs';
import type { EyePair } from './pairs';

/** Two pictures to choose between, as plain data that goes from a worker to a screen. */
export interface EyeQuestion {
  /** Loss of the second less that of the first, as an answer keeps it. */
  differences: EyeAnswer['differences'];
  plain: boolean;
  takes: [PreviewTake, PreviewTake];
  settings: [Settings, Settings];
  shot: Pick<Brief, 'mount' | 'playback' | 'filters'>;
  /** Pairs that were not asked yet, this one among them. */
  left: number;
}

const FILM_SECONDS = 2;

/** What is to be asked next after these answers; `null`: all was asked. */
export function questionAfter(pairs: readonly EyePair[], answers: readonly EyeAnswer[]): EyeQuestion | null {
  const next = nextPair(pairs, answers);
  if (!next) return null;
  const { pair, turned } = next;
  const { space, plain } = pair;
  const { brief } = space;
  const differences = differencesByTerm(turned ? pair.differences.map((by) => -by) : pair.differences);
  const [first, second] = turned ? [pair.sides[1], pair.sides[0]] : pair.sides;
  const wish = {
    slowdown: brief.playback.slowdown,
    moment: momentOf(differences),
    filmSeconds: FILM_SECONDS,
  };
  return {
    differences,
    plain,
    takes: [takeOf(space, first, wish), takeOf(space, second, wish)],
    settings: [settingsOf(space, first), settingsOf(space, second)],
    shot: { mount: brief.mount, playback: brief.playback, filters: brief.filters },
    left: pairs.length - answers.length,
  };
}

/** Where in the run's light the trade is seen: white at its bright end, the rest at its dark one, both through all of it. */
function momentOf(differences: EyeAnswer['differences']): LightMoment {
  const seen = (term: keyof EyeAnswer['differences']): boolean =>
    Math.abs(differences[term] ?? 0) >= PAIR_LIMITS.part.value;
  const bright = seen('over') || seen('strobing');
  const dark = seen('under') || seen('noise') || seen('smear') || seen('subjectBlur');
  if (bright && dark) return 'run';
  return bright ? 'bright' : 'dark';
}
