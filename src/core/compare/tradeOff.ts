import { knownLight } from '../light/lightRange';
import type { FilterSetting } from '../filters/kit';
import { flickerSafeShutters } from '../light/flicker';
import { THIRD_STOP_SHUTTERS } from '../units/stops';
import { figuresOf, lossOf } from '../search/candidate';
import type { Candidate } from '../search/candidate';
import { expose, shutterSetting } from '../loss/exposure';
import type { ExposureFacts, IsoWindow } from '../loss/exposure';

import { bestFilter } from '../search/exposurePlans';
import type { Space } from '../search/space';
import { TERMS, weighedSum } from '../loss/table';
import { noise } from '../loss/terms/noise';
import { over } from '../loss/terms/over';
import { under } from '../loss/terms/under';
import type { Loss } from '../loss/table';

/** What each fixed shutter would cost in the chosen mode, its filter and ISO chosen anew. Seconds; weighted loss. */
export interface ShutterPlace {
  seconds: number;
  loss: Loss;
  score: number;
  filter: FilterSetting;
  iso: IsoWindow;
}

/** A shutter worth knowing on the way. */
export interface ShutterMark {
  seconds: number;
  what:
    | { code: 'angle'; degrees: number }
    | { code: 'shakeFloor' }
    | { code: 'flickerSafe' }
    | { code: 'filter'; from: FilterSetting; to: FilterSetting };
}

interface ShutterTradeOff {
  /** From the shortest shutter to the longest. */
  places: ShutterPlace[];
  marks: ShutterMark[];
}

/** Safe shutters shown, the longest first; the shorter ones crowd together. */
const MOST_SAFE = 4;

export function shutterTradeOff(space: Space, { mode, encoding, colour }: Candidate): ShutterTradeOff {
  const { camera } = space.brief;
  const natural = 1 / (2 * mode.frameRate);
  const safe =
    space.light.pulseHz === null
      ? []
      : flickerSafeShutters(space.light.pulseHz, mode.frameRate)
          .filter((seconds) => seconds >= camera.shutter.shortestSeconds)
          .slice(0, MOST_SAFE);
  const ladder = [...THIRD_STOP_SHUTTERS, natural, ...safe]
    .filter((seconds) => seconds >= camera.shutter.shortestSeconds && seconds * mode.frameRate <= 1 + 1e-9)
    .sort((a, b) => a - b)
    .filter((seconds, at, all) => at === 0 || seconds / (all[at - 1] ?? 0) > 1.001);
  // A pinned filter or ISO stays; the exposure of each shutter is otherwise chosen freely.
  const places = ladder.flatMap((seconds): ShutterPlace[] => {
    const plan = bestFilter(space, colour, shutterSetting(seconds, seconds));
    if (!plan) return [];
    const { shutter, filter, iso } = plan;
    const loss = weighed(space, lossOf(space, { mode, encoding, colour, shutter, filter, iso }));
    return [{ seconds, loss, score: TERMS.reduce((sum, term) => sum + loss[term], 0), filter, iso }];
  });
  const [shortest, longest] = [places[0]?.seconds ?? 0, places.at(-1)?.seconds ?? 0];
  const floor = 2 ** figuresOf(space, mode).shakeFloorLog;
  const marks: ShutterMark[] = [
    { seconds: natural, what: { code: 'angle', degrees: 180 } },
    ...(floor > shortest && floor < longest
      ? [{ seconds: floor, what: { code: 'shakeFloor' } as const }]
      : []),
    ...safe.map((seconds): ShutterMark => ({ seconds, what: { code: 'flickerSafe' } })),
    ...places.slice(1).flatMap((place, at): ShutterMark[] => {
      const before = places[at];
      if (!before || before.filter.stops === place.filter.stops) return [];
      return [
        {
          seconds: Math.sqrt(before.seconds * place.seconds),
          what: { code: 'filter', from: before.filter, to: place.filter },
        },
      ];
    }),
  ];
  return { places, marks };
}

function weighed({ school }: Space, loss: Loss): Loss {
  const weighted = { ...loss };
  for (const term of TERMS) weighted[term] *= school.weights[term];
  return weighted;
}

/** What each filter gives over a span of light under the chosen shutter and ISO: weighted loss of its exposure. */
export interface FilterOverLight {
  filter: FilterSetting;
  /** Light, EV100, that its window holds. */
  windowEvMin: number;
  windowEvMax: number;
  /** Beside `evs`. */
  loss: number[];
}

export interface LightTradeOff {
  evs: number[];
  filters: FilterOverLight[];
}

/** What a single light tells of. */
const LIT_TERMS = [over, under, noise];
/** Light shown beyond the run's on either side, stops, and between two figures. */
const BEYOND_STOPS = 3;
const LIGHT_STEP = 0.25;

export function lightTradeOff(space: Space, { colour, shutter, iso }: Candidate): LightTradeOff {
  const { light, school } = space;
  const { sensor } = colour;
  const from = Math.floor(light.evMin - BEYOND_STOPS);
  const to = Math.ceil(light.evMax + BEYOND_STOPS);
  const evs = Array.from(
    { length: Math.round((to - from) / LIGHT_STEP) + 1 },
    (_, at) => from + at * LIGHT_STEP,
  );
  const filters = space.filters.map((filter): FilterOverLight => {
    // One light after the other, each known: what the charts show is where losses begin.
    const factsAt = (ev: number): ExposureFacts => {
      const known = knownLight(ev);
      return {
        sensor,
        light: known,
        shutter,
        filter,
        iso,
        exposure: expose(sensor, known, shutter, filter.stops, iso),
      };
    };
    const { windowEvMin, windowEvMax } = factsAt(from).exposure;
    return {
      filter,
      windowEvMin,
      windowEvMax,
      loss: evs.map((ev) => weighedSum(LIT_TERMS, school.weights, factsAt(ev))),
    };
  });
  return { evs, filters };
}
