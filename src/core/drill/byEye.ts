import { asRange } from '../light/lightRange';
import { solve } from '../answer/solve';
import type { Brief } from '../brief/brief';
import { heldBySettings } from '../inspect/planned';
import { ev100OfSetting } from '../light/exposureValue';
import { takeOf } from '../preview/takeOf';
import { solvedWith } from '../search/judged';
import { item } from '../units/items';
import { THIRD_STOP_SHUTTERS } from '../units/stops';
import { choiceOf, FILM_SECONDS, MOST_CHOICES } from './drill';
import type { DrillQuestion } from './drill';

/** No light beyond these is met on a run. */
const LIGHT_EV = { darkest: 5, brightest: 16.5 } as const;
/** The picture is filmed off the right exposure by this much at most: what is all white or black tells nothing. */
const OFF_STOPS = { darkest: -3, brightest: 2 } as const;

/**
 * Which light was it, by a picture filmed at a setting that is told? A guess is worth what the settings would lose that
 * are right for it. `off`: where between too dark and too bright the picture lies, 0 … 1.
 */
export function askLight(brief: Brief, ev: number, before: number, off: number): DrillQuestion | null {
  const lit = (guess: number): Brief => ({ ...brief, light: asRange(brief.light, guess, guess) });
  const { base } = brief.camera.iso.standard;
  const wish = { ...lit(ev), pins: { shutterMode: 'fixed', iso: { min: base, max: base } } as const };
  const outcome = solve(wish);
  if (!outcome.solved) return null;
  const { solution } = outcome;
  const { space, candidate } = solution;
  const best = { space, candidate, loss: solution.loss, score: solution.score };
  const choices = Array.from({ length: MOST_CHOICES }, (_, at) => ev - before + at).map((guess) => {
    if (guess === ev) return choiceOf({ ev }, 0, best, best);
    const thought = solve({ ...lit(guess), pins: wish.pins });
    const way = thought.solved
      ? solvedWith(lit(ev), heldBySettings(brief, thought.solution.settings), space.school)
      : null;
    return way && choiceOf({ ev: guess }, guess - ev, way, best);
  });
  const found = choices.filter((choice) => choice !== null);
  if (found.length < MOST_CHOICES) return null;
  const wanted = ev - (OFF_STOPS.darkest + off * (OFF_STOPS.brightest - OFF_STOPS.darkest));
  const { fNumber } = brief.camera;
  const seconds = THIRD_STOP_SHUTTERS.reduce((near, one) =>
    Math.abs(ev100OfSetting(fNumber, one, base) - wanted) <
    Math.abs(ev100OfSetting(fNumber, near, base) - wanted)
      ? one
      : near,
  );
  const take = takeOf(space, candidate, { slowdown: 1, moment: 'run', filmSeconds: FILM_SECONDS });
  return {
    light: space.light,
    given: {
      kind: 'light',
      take: {
        ...take,
        exposure: {
          ...take.exposure,
          filterStops: 0,
          isoMinLog: Math.log2(base / 100),
          isoSpanStops: 0,
          longestLog: Math.log2(seconds),
          shutterSpanStops: 0,
          offsetStops: 0,
        },
      },
      shutterSeconds: seconds,
      iso: base,
      fNumber,
    },
    choices: found,
    best: before,
  };
}

/** What is right in one light at one shutter; the shutter is another: which filter keeps the picture as bright? */
export function askStops(
  brief: Brief,
  from: { stops: number; seconds: number },
  byStops: number,
): DrillQuestion | null {
  const { base } = brief.camera.iso.standard;
  const { fNumber } = brief.camera;
  const ev = ev100OfSetting(fNumber, from.seconds, base) + from.stops;
  if (ev < LIGHT_EV.darkest || ev > LIGHT_EV.brightest) return null;
  const thenSeconds = from.seconds * 2 ** byStops;
  const lit: Brief = { ...brief, light: asRange(brief.light, ev, ev) };
  const same = { iso: { min: base, max: base }, shutterMode: 'fixed' } as const;
  const first = solve({
    ...lit,
    pins: { ...same, ...filterPin(brief, from.stops), shutterSeconds: from.seconds },
  });
  if (!first.solved) return null;
  const { school } = first.solution.space;
  const right = from.stops + byStops;
  const glasses = ndsOf(brief);
  const ways = [0, ...glasses.map(({ stops }) => stops)].flatMap((stops) => {
    const pins = { ...same, ...filterPin(brief, stops), shutterSeconds: thenSeconds };
    const way = solvedWith(lit, pins, school);
    return way ? [{ stops, way }] : [];
  });
  const best = ways.findIndex(({ stops }) => stops === right);
  if (best < 0 || ways.length <= glasses.length) return null;
  return {
    light: first.solution.space.light,
    given: { kind: 'stops', settings: first.solution.settings, thenSeconds },
    choices: ways.map(({ stops, way }) =>
      choiceOf(filterPin(brief, stops), stops - right, way, item(ways, best).way),
    ),
    best,
  };
}

function filterPin(brief: Brief, stops: number): { filter: { ids: string[]; stops: number } } {
  return {
    filter: { ids: ndsOf(brief).flatMap((one) => (one.stops === stops ? one.id : [])), stops },
  };
}

function ndsOf({ filters }: Brief): { id: string; stops: number }[] {
  return filters.flatMap((one) => (one.kind === 'nd' ? [one] : []));
}
