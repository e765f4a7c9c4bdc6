import type { Brief } from '../brief/brief';
import { heldBySettings } from '../inspect/planned';
import { expose } from '../loss/exposure';
import type { Exposure, IsoWindow, Sensor, ShutterSetting } from '../loss/exposure';
import { atPace } from '../loss/movement';
import type { MotionFigures } from '../loss/movement';
import { schoolOf } from '../loss/schools';
import { EXPOSURE_TERMS, exposureSum, MOTION_TERMS, movementSum, scoreOf } from '../loss/table';
import type { Weights } from '../loss/table';
import type { Aim } from '../vocabulary/schools';
import type { FilterSetting } from '../filters/kit';
import type { Settings } from '../records/settings';
import { figuresOf, lossOf } from '../search/candidate';
import { search } from '../search/search';
import { spaceFor } from '../search/space';
import { underPins } from '../search/workings';

/** One way of filming a part, ready to be lived through in any light, shake and pace. */
export interface Way {
  settings: Settings;
  sensor: Sensor;
  shutter: ShutterSetting;
  filter: FilterSetting;
  iso: IsoWindow;
  figures: MotionFigures;
  aim: Aim | null;
  weights: Weights;
  /** Loss of what no light, shake or pace changes. */
  base: number;
}

/** Plans that differ in one thing share all their other ways. */
const known = new WeakMap<Brief, Map<string, Way | null>>();

/** `null`: the brief cannot be filmed so. */
export function wayOf(brief: Brief, settings: Settings): Way | null {
  const key = JSON.stringify(settings);
  const ways = known.get(brief) ?? new Map<string, Way | null>();
  known.set(brief, ways);
  let way = ways.get(key);
  if (way === undefined) ways.set(key, (way = workedOut(brief, settings)));
  return way;
}

function workedOut(brief: Brief, settings: Settings): Way | null {
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
    figures: figuresOf(space, candidate.mode),
    aim,
    weights,
    base: scoreOf(loss, weights) - varying,
  };
}

/** How it was: light EV100, shake and pace in octaves against the planned. */
interface Lived {
  evMin: number;
  evMax: number;
  shake: number;
  speed: number;
}

export interface Outcome {
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
export function outcomeOn(way: Way, lived: Lived, glass: FilterSetting = way.filter): Outcome {
  const { sensor, shutter, iso, weights, aim } = way;
  const light = { evMin: lived.evMin, evMax: lived.evMax, spreadStops: 0, pulseHz: null };
  const exposure: Exposure = expose(sensor, light, shutter, glass.stops, iso);
  const figures = atPace(way.figures, lived);
  const { brightLog, darkLog } = exposure;
  const loss =
    movementSum(weights, { figures, aim, brightLog, darkLog, longestLog: shutter.longestLog }) +
    exposureSum(weights, { sensor, light, shutter, filter: glass, iso, exposure }, way.base, Infinity);
  return {
    over: exposure.overStops > sensor.guardStops,
    under: exposure.underStops > UNDER_BORNE,
    smear: figures.steady && darkLog - figures.shakeFloorLog > SMEAR_SEEN,
    loss,
  };
}
