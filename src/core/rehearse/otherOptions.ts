import type { Brief } from '../brief/brief';
import { filterKey } from '../day/partAnswer';
import { partWorkOf } from '../day/partWork';
import type { Memo } from '../day/partWork';
import { asRange, evRangeOf } from '../light/lightRange';
import { schoolOf } from '../loss/schools';
import { search } from '../search/search';
import { settingsOf } from '../search/settingsOf';
import { spaceFor } from '../search/space';
import type { Settings } from '../records/settings';
import type { Plan, PlannedPart } from './plan';
import { wayOf } from './filmingOption';
import type { FilmingOption } from './filmingOption';

/** Light and shake that a plan may be made for in place of the likely, stops and octaves: for days that are otherwise. */
const OTHERWISE: readonly { stops: number; shake: number }[] = [
  { stops: 0.7, shake: 0 },
  { stops: -0.7, shake: 0 },
  { stops: 0, shake: 0.5 },
  { stops: 0.7, shake: 0.5 },
  { stops: -0.7, shake: 0.5 },
];

/**
 * Other ways of filming a part that may serve a day better that is not as likely: the best under each filter, and what would
 * be taken for light and shake that are otherwise. Where its filter cannot be changed, only those that wear the same.
 */
export function otherOptions({ part, option }: PlannedPart, { sheet }: Plan, memo: Memo): FilmingOption[] {
  if (!option) return [];
  const { brief } = part;
  const fixed = sheet.parts.get(part.id)?.held?.filter?.why === 'noBreak';
  const settings: Settings[] = [...partWorkOf(part, memo).byFilter.values()].map((one) => one.settings);
  for (const otherwise of OTHERWISE) {
    const made = spaceFor(briefAt(brief, otherwise), schoolOf(brief.look));
    const found = made.ok ? search(made.space) : null;
    if (made.ok && found) settings.push(settingsOf(made.space, found.candidate));
  }
  const once = new Map(
    settings
      .filter(({ filter }) => !fixed || filterKey(filter) === filterKey(option.settings.filter))
      .map((one) => [JSON.stringify(one), one]),
  );
  once.delete(JSON.stringify(option.settings));
  return [...once.values()].flatMap((one) => wayOf(brief, one) ?? []);
}

function briefAt(brief: Brief, { stops, shake }: { stops: number; shake: number }): Brief {
  const { evMin, evMax } = evRangeOf(brief.light);
  return {
    ...brief,
    light: asRange(brief.light, evMin + stops, evMax + stops),
    motion: { ...brief.motion, shakeDegPerSRms: brief.motion.shakeDegPerSRms * 2 ** shake },
  };
}
