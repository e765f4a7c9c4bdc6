import { solve } from '../answer/solve';
import type { Brief } from '../brief/brief';
import { cardSeconds, writtenMbps } from '../camera/card';
import { modePowerW } from '../camera/modeTable';
import { cellWh, coldShare, USUAL_CELL } from '../camera/power';
import { heldBySettings } from '../inspect/planned';
import { schoolOf } from '../loss/schools';
import { takeOf } from '../preview/takeOf';
import { solvedWith } from '../search/judged';
import { settingsOf } from '../search/settingsOf';
import { item } from '../units/items';
import { READY_SCHOOLS } from '../vocabulary/schools';
import type { SchoolId } from '../vocabulary/schools';
import { AS_GOOD, choiceOf, countedOnLoss, FILM_SECONDS, LEAST_CHOICES, MOST_CHOICES } from './drill';
import type { DrillQuestion } from './drill';

/** Answers to "how long" lie this many octaves apart. */
const OCTAVES_APART = 0.5;

/** How long does it film at its settings, until the card is full or the cell empty in this cold? */
export function askLasts(
  brief: Brief,
  { cardGb, airC }: { cardGb: number; airC: number },
  before: number,
): DrillQuestion | null {
  const outcome = solve(brief);
  if (!outcome.solved) return null;
  const { space, settings, candidate } = outcome.solution;
  if (candidate.mode.recording === 'loop') return null;
  const wh = cellWh(USUAL_CELL) * coldShare(airC);
  const powerW = modePowerW(brief.camera, candidate.mode);
  const written = writtenMbps(settings.bitRateMbps, brief.camera);
  const lasts = Math.min(cardSeconds(written, cardGb) / 60, (wh / powerW) * 60);
  const choices = Array.from({ length: MOST_CHOICES }, (_, at) => (at - before) * OCTAVES_APART).map(
    (offStops) => {
      // What is to be picked is never longer than the truth: minutes are cut, not rounded.
      const minutes = Math.floor(lasts * 2 ** offStops);
      const loss = offStops === 0 ? 0 : countedOnLoss(minutes, lasts);
      return { answer: { minutes }, offStops, loss, worse: [], film: null, window: null };
    },
  );
  const shortest = item(choices, 0).answer.minutes;
  if (shortest < 2) return null;
  return {
    light: space.light,
    given: { kind: 'lasts', settings, cardGb, cellWh: cellWh(USUAL_CELL), powerW, airC },
    choices,
    best: before,
  };
}

/** Whose settings are these? A school that one takes for theirs would lose so much by them over its own best. */
export function askSchool(brief: Brief, at: number, turn: number): DrillQuestion | null {
  const filmed = READY_SCHOOLS.flatMap((id) => {
    const school = schoolOf(brief.look, id);
    const way = solvedWith(brief, brief.pins, school);
    return way ? [{ id, school, way }] : [];
  });
  const shown = filmed[at];
  if (!shown) return null;
  const { space, candidate } = shown.way;
  const settings = settingsOf(space, candidate);
  const pins = heldBySettings(brief, settings);
  const taken = filmed.flatMap(({ id, school, way }) => {
    if (id === shown.id) return [{ id, choice: choiceOf({ school: id }, null, shown.way, shown.way) }];
    const theirs = solvedWith(brief, pins, school);
    // Who would film it nearly so too cannot be told from whose settings these are.
    if (!theirs || theirs.score - way.score < TELLS) return [];
    return [{ id, choice: choiceOf({ school: id }, null, theirs, way) }];
  });
  const chosen = among(taken, shown.id, turn);
  if (chosen.length < LEAST_CHOICES) return null;
  return {
    light: space.light,
    given: {
      kind: 'school',
      settings,
      take: takeOf(space, candidate, {
        slowdown: brief.playback.slowdown,
        moment: 'dark',
        filmSeconds: FILM_SECONDS,
      }),
    },
    choices: chosen.map(({ choice }) => ({ ...choice, film: null })),
    best: chosen.findIndex(({ id }) => id === shown.id),
  };
}

const TELLS = 4 * AS_GOOD;
const SCHOOLS_SHOWN = 4;

/** The right one and some others, in the usual order of the schools. */
function among<T extends { id: SchoolId }>(taken: readonly T[], right: SchoolId, turn: number): T[] {
  const others = taken.filter(({ id }) => id !== right);
  const from = others.length === 0 ? 0 : turn % others.length;
  const kept = new Set(
    [...others.slice(from), ...others.slice(0, from)].slice(0, SCHOOLS_SHOWN - 1).map(({ id }) => id),
  );
  return taken.filter(({ id }) => id === right || kept.has(id));
}
