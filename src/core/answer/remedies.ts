import type { Exposure } from '../loss/exposure';
import type { TermId } from '../vocabulary/terms';
import type { RemedyCode } from '../loss/remedies';
import type { Loss } from '../loss/table';
import { schoolOf } from '../loss/schools';
import type { School } from '../loss/schools';
import type { Brief } from '../brief/brief';
import { withFilters } from '../filters/bag';
import type { Pins } from '../records/settings';
import { exposureOf, lossOf } from '../search/candidate';
import type { Candidate } from '../search/candidate';
import { changesFrom } from '../search/judged';
import { search } from '../search/search';
import { spaceFor } from '../search/space';
import type { Space } from '../search/space';
import { underLight, underPins } from '../search/workings';

/**
 * What helps when the light does not fit the window. Each way is applied to the brief and solved again: what it is said to
 * leave is what the new answer leaves. Only ways that this camera has, and only those that help.
 */
export type Remedy = { overStops: number; underStops: number } & (
  | { code: 'addFilter'; stops: number }
  | { code: 'letShutterRun'; toSeconds: number }
  | { code: 'raiseCeiling'; iso: number }
  | { code: 'splitRun'; atEv: number }
  | ({ code: 'exposeForBright' | 'exposeForDark' } & Price)
  | ({ code: 'takeAllIn'; seconds: number; runs: boolean; filterStops: number; isoMax: number } & Price)
  | { code: 'logColour'; guardStops: number }
);

/** What a way costs on the answer's scale beside what it mends, and for what most; `null`: nothing worth a word. */
interface Price {
  by: number;
  worst: TermId | null;
}

/** What an answer leaves outside its window, stops: white past the guard of its colour, and dark. */
interface Missed {
  white: number;
  dark: number;
}

/** A way that leaves less by no more than this is not worth a word, stops. */
const WORTH_STOPS = 0.1;
/** Two shots for one are worth it only for more than that (start). */
const WORTH_A_CUT_STOPS = 0.5;
/** Left this small, an end of the light counts as mended, stops. */
const MENDED_STOPS = 0.05;
/** How much more one end counts when the shot is exposed for it. */
const FOR_ONE_END = 8;
/** Filters that are made, stops. */
const STRONGEST_FILTER_STOPS = 10;

export function remediesFor(
  space: Space,
  candidate: Candidate,
  exposure: Exposure,
  codes: readonly RemedyCode[],
): Remedy[] {
  const now = missedBy(exposure, candidate);
  const loss = lossOf(space, candidate);
  return codes
    .map((code) => WAYS[code]({ space, candidate, exposure, now, loss }))
    .filter((remedy) => remedy !== null);
}

interface Asked {
  space: Space;
  candidate: Candidate;
  exposure: Exposure;
  now: Missed;
  loss: Loss;
}

const WAYS: Record<RemedyCode, (asked: Asked) => Remedy | null> = {
  addFilter: ({ space, candidate, exposure, now }) => {
    const stops = Math.ceil(candidate.filter.stops + now.white - MENDED_STOPS);
    const { brief } = space;
    if (now.white <= MENDED_STOPS || brief.pins.filter || stops > STRONGEST_FILTER_STOPS) return null;
    if (space.filters.some((filter) => Math.abs(filter.stops - stops) < WORTH_STOPS)) return null;
    const left = tried(space, withFilters(brief, [{ id: ADDED_FILTER, kind: 'nd', stops }]), now);
    return left && left.under <= exposure.underStops + WORTH_STOPS
      ? { code: 'addFilter', stops, ...left.stops }
      : null;
  },

  letShutterRun: ({ space, candidate, now }) => {
    const { shutter, filter, iso, mode } = candidate;
    if (shutter.spanStops > 0 || !space.brief.camera.shutter.auto) return null;
    const left = tried(
      space,
      pinned(space.brief, {
        frameRate: mode.frameRate,
        shutterSeconds: shutter.longestSeconds,
        shutterMode: 'auto',
        iso: { min: iso.min, max: iso.max },
        filter: { ids: [...filter.ids], stops: filter.stops },
      }),
      now,
    );
    return left && { code: 'letShutterRun', toSeconds: 2 ** left.exposure.brightLog, ...left.stops };
  },

  raiseCeiling: ({ space, candidate, exposure, now }) => {
    const { brief } = space;
    const { camera, limits } = brief;
    const range = camera.iso[candidate.colour.id] ?? camera.iso.standard;
    const wanted = candidate.iso.max * 2 ** exposure.underStops;
    const steps = camera.iso.steps.filter((step) => step <= range.max);
    const iso = steps.find((step) => step >= wanted * 0.99) ?? steps.at(-1);
    if (now.dark <= MENDED_STOPS || iso === undefined || iso <= limits.isoCeiling) return null;
    const raised = { ...brief, limits: { ...limits, isoCeiling: iso } };
    const left = tried(space, pinned(raised, shutterAndFilter(candidate)), now);
    return left && { code: 'raiseCeiling', iso, ...left.stops };
  },

  logColour: ({ space, candidate, now }) => {
    const { brief } = space;
    if (candidate.colour.id === 'log' || brief.pins.colour || !brief.camera.iso.log) return null;
    const { frameRate, shutterSeconds, shutterMode } = shutterAndFilter(candidate);
    const pins = { frameRate, shutterSeconds, shutterMode, colour: 'log' as const };
    const left = tried(space, pinned(brief, pins), now);
    const guardStops = brief.camera.highlightGuardStops.log;
    // What log bears is not white.
    return (
      left && {
        code: 'logColour',
        guardStops,
        underStops: left.under,
        overStops: Math.max(0, left.over - guardStops),
      }
    );
  },

  splitRun: ({ space, now }) => {
    const { brief, light } = space;
    const atEv = Math.round(5 * (light.evMin + light.evMax)) / 10;
    if (atEv <= light.evMin || atEv >= light.evMax) return null;
    const halves = [
      { ...light, evMax: atEv },
      { ...light, evMin: atEv },
    ].map((half) => tried(space, underLight(brief, half), now));
    const [dark, bright] = halves;
    if (!dark || !bright) return null;
    const left = Math.max(...[dark, bright].map(missedIn));
    return now.white + now.dark - left < WORTH_A_CUT_STOPS
      ? null
      : {
          code: 'splitRun',
          atEv,
          overStops: Math.max(dark.over, bright.over),
          underStops: Math.max(dark.under, bright.under),
        };
  },

  exposeForBright: (asked) => {
    if (asked.now.white <= MENDED_STOPS) return null;
    const left = forOneEnd(asked, 'over');
    return left && missedBy(left.exposure, left.candidate).white <= MENDED_STOPS
      ? forOneEndAs('exposeForBright', asked, left)
      : null;
  },

  exposeForDark: (asked) => {
    if (asked.now.dark <= MENDED_STOPS) return null;
    const left = forOneEnd(asked, 'under');
    return left && left.under <= MENDED_STOPS ? forOneEndAs('exposeForDark', asked, left) : null;
  },
};

/** Stands for a filter that is not in the bag. */
const ADDED_FILTER = 'added';

function missedBy({ overStops, underStops }: Exposure, { colour }: Candidate): Missed {
  return { white: Math.max(0, overStops - colour.sensor.guardStops), dark: underStops };
}

interface Left {
  candidate: Candidate;
  exposure: Exposure;
  over: number;
  under: number;
  stops: { overStops: number; underStops: number };
}

/** Another brief, solved; `null` where it has no answer. */
function solved(brief: Brief, school: School): Left | null {
  const made = spaceFor(brief, school);
  const found = made.ok ? search(made.space) : null;
  if (!made.ok || !found) return null;
  const exposure = exposureOf(made.space, found.candidate);
  const { overStops, underStops } = exposure;
  return {
    candidate: found.candidate,
    exposure,
    over: overStops,
    under: underStops,
    stops: { overStops, underStops },
  };
}

/** The same, but `null` where it leaves hardly less than now. */
function tried({ school }: Space, brief: Brief, now: Missed): Left | null {
  const left = solved(brief, school);
  if (!left) return null;
  return missedIn(left) < now.white + now.dark - WORTH_STOPS ? left : null;
}

/** All that an answer leaves outside its window, stops. */
function missedIn({ exposure, candidate }: Left): number {
  const { white, dark } = missedBy(exposure, candidate);
  return white + dark;
}

/** What is exposed for one end and leaves nothing of the other out takes the whole run in; its price is told either way. */
function forOneEndAs(
  code: 'exposeForBright' | 'exposeForDark',
  { space, loss }: Asked,
  { candidate, exposure, stops }: Left,
): Remedy {
  const [worst] = changesFrom(space, loss, lossOf(space, candidate)).costs.filter(
    ({ term }) => term !== 'over' && term !== 'under',
  );
  const price: Price = { by: worst?.by ?? 0, worst: worst?.term ?? null };
  const { white, dark } = missedBy(exposure, candidate);
  const { shutter, filter, iso } = candidate;
  return white + dark > MENDED_STOPS
    ? { code, ...price, ...stops }
    : {
        code: 'takeAllIn',
        ...price,
        ...stops,
        seconds: shutter.longestSeconds,
        runs: shutter.spanStops > 0,
        filterStops: filter.stops,
        isoMax: iso.max,
      };
}

/** The answer's frame, exposed as if one end of the light counted above all. */
function forOneEnd({ space: { brief, school }, candidate }: Asked, end: 'over' | 'under'): Left | null {
  const { mode, colour } = candidate;
  const { weights } = school;
  return solved(
    pinned(brief, {
      frameRate: mode.frameRate,
      resolution: { width: mode.resolution.width, height: mode.resolution.height },
      view: { id: mode.view.id },
      stabilization: mode.stabilization,
      colour: colour.id,
    }),
    { ...schoolOf(brief.look, school.id), weights: { ...weights, [end]: FOR_ONE_END * weights[end] } },
  );
}

function pinned(brief: Brief, pins: Pins): Brief {
  return underPins(brief, { ...brief.pins, ...pins });
}

function shutterAndFilter({ mode, shutter, filter }: Candidate): Pins {
  return {
    frameRate: mode.frameRate,
    shutterSeconds: shutter.longestSeconds,
    shutterMode: shutter.spanStops > 0 ? 'auto' : 'fixed',
    filter: { ids: [...filter.ids], stops: filter.stops },
  };
}
