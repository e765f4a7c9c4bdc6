import type { LightRange } from '../light/lightRange';
import type { Brief } from '../brief/brief';
import { heldBySettings } from '../inspect/planned';
import { expose } from '../loss/exposure';
import type { Exposure, IsoWindow, Sensor, ShutterSetting } from '../loss/exposure';
import { atPace } from '../loss/movement';
import type { MotionFigures } from '../loss/movement';
import { schoolOf } from '../loss/schools';
import { EXPOSURE_TERMS, exposureSum, MOTION_TERMS, movementSum, scoreOf } from '../loss/table';
import type { Weights } from '../loss/table';
import type { ShutterAim } from '../vocabulary/schools';
import type { FilterSetting } from '../filters/kit';
import type { Settings } from '../records/settings';
import { figuresOf, lossOf } from '../search/candidate';
import { search } from '../search/search';
import { spaceFor } from '../search/space';
import { underPins } from '../search/workings';

/** One way of filming a part, ready to be lived through in any light, shake and pace. */
export interface FilmingOption {
  settings: Settings;
  sensor: Sensor;
  shutter: ShutterSetting;
  filter: FilterSetting;
  iso: IsoWindow;
  /** As planned: how it wanders, and what its ends weigh. */
  light: LightRange;
  figures: MotionFigures;
  aim: ShutterAim | null;
  weights: Weights;
  /** Loss of what no light, shake or pace changes. */
  base: number;
}

/** Plans that differ in one thing share all their other ways. */
const known = new WeakMap<Brief, Map<string, FilmingOption | null>>();

/** `null`: the brief cannot be filmed so. */
export function wayOf(brief: Brief, settings: Settings): FilmingOption | null {
  const key = JSON.stringify(settings);
  const options = known.get(brief) ?? new Map<string, FilmingOption | null>();
  known.set(brief, options);
  let option = options.get(key);
  if (option === undefined) options.set(key, (option = workedOut(brief, settings)));
  return option;
}

function workedOut(brief: Brief, settings: Settings): FilmingOption | null {
  const made = spaceFor(underPins(brief, heldBySettings(brief, settings)), schoolOf(brief.look));
  const found = made.ok ? search(made.space) : null;
  if (!made.ok || !found) return null;
  const { space } = made;
  const { candidate } = found;
  const { weights, aim } = space.school;
  const loss = lossOf(space, candidate);
  const varying = [...EXPOSURE_TERMS, ...MOTION_TERMS].reduce(
    (sum, { id }) => sum + weights[id] * loss[id],
    0,
  );
  return {
    settings,
    sensor: candidate.colour.sensor,
    shutter: candidate.shutter,
    filter: candidate.filter,
    iso: candidate.iso,
    light: space.light,
    figures: figuresOf(space, candidate.mode),
    aim,
    weights,
    base: scoreOf(loss, weights) - varying,
  };
}

/** How it was: light EV100, shake and pace in octaves against the planned. */
interface SimulatedConditions {
  evMin: number;
  evMax: number;
  shake: number;
  speed: number;
}

export interface DrawOutcome {
  over: boolean;
  under: boolean;
  smear: boolean;
  loss: number;
}

/** A dark end so far below the window is forgiven, stops (start): shade lifts a stop in the edit. */
const UNDER_BORNE = 1;
/** Smear is noticed from its shake floor on by so many octaves: there its loss is 1. */
const SMEAR_SEEN = 1;

/** What comes of a part filmed so. `glass`: another filter than planned was on. */
export function outcomeOn(
  option: FilmingOption,
  conditions: SimulatedConditions,
  glass: FilterSetting = option.filter,
): DrawOutcome {
  const { sensor, shutter, iso, weights, aim } = option;
  const { evMin, evMax } = conditions;
  const light = { ...option.light, evMin, evMax, spreadStops: 0, aroundStops: option.light.wanderStops };
  const exposure: Exposure = expose(sensor, light, shutter, glass.stops, iso);
  const figures = atPace(option.figures, conditions);
  const { brightLog, darkLog } = exposure;
  const loss =
    movementSum(weights, {
      figures,
      aim,
      brightLog,
      darkLog,
      darkWeight: light.darkWeight,
      longestLog: shutter.longestLog,
    }) +
    exposureSum(weights, { sensor, light, shutter, filter: glass, iso, exposure }, option.base, Infinity);
  return {
    over: exposure.overStops > sensor.guardStops,
    under: exposure.underStops > UNDER_BORNE,
    smear: figures.steady && darkLog - figures.shakeFloorLog > SMEAR_SEEN,
    loss,
  };
}
