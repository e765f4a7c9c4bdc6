import type { Solution } from '../answer/solve';
import { cardSeconds, writtenMbps } from '../camera/card';
import { lensFocusing } from '../camera/lenses';
import { modePowerW } from '../camera/modeTable';
import { cellWh, coldShare, USUAL_CELL } from '../camera/power';
import { sunOnCameraC, temperatureAfter } from '../day/heat';
import { depthStops, viewBehindPortDeg } from '../light/underwater';
import { meterReads, MIDDLE_GREY_PCT } from '../loss/picture';
import { trailSeconds } from '../timeLapse/lapseWish';
import { ev100OfSetting } from '../light/exposureValue';
import { luxOfEv } from '../light/face';
import { flickerBeatHz, flickerResidual, pulseHzOfMains } from '../light/flicker';
import { peakShakeSmearPct, shakeFloorSeconds, shakeSwingDeg } from '../motion/shake';
import { hyperfocalM } from '../optics/focus';
import { angularSizeDeg } from '../optics/framing';
import { pctWidthPerDegree, viewAfterCropDeg } from '../optics/projection';
import type { Projection } from '../optics/projection';
import { secondsOfAngle, shutterAngleDeg } from '../playback/shutterAngle';
import { gigabytesOf } from '../units/data';
import { clamp } from '../units/stops';
import type { ReasonPage } from '../vocabulary/reasonPages';

/**
 * The formulas that the answers stand on, each worked out by the very function that the solver calls. Units stand in the
 * names of the inputs.
 */
export const FORMULA_INPUTS = {
  timelineFps: input(12, 60, ({ space }) => space.brief.playback.timelineFps),
  slowdown: input(1, 10, ({ space }) => space.brief.playback.slowdown),
  frameRate: input(10, 240, ({ settings }) => settings.frameRate),
  otherRate: input(10, 240, ({ settings }) => 2 * settings.frameRate),
  shutterSeconds: input(1 / 4000, 1 / 12, ({ settings }) => settings.shutterSeconds, true),
  crossingDegPerS: input(1, 400, ({ figures }) => figures.worstPctPerS / figures.pctPerDegree, true),
  shakeDegPerS: input(1, 120, ({ space }) => space.brief.motion.shakeDegPerSRms, true),
  viewDeg: input(20, 150, ({ settings }) => settings.view.horizontalDeg),
  keepsPct: input(40, 100, () => 80),
  fNumber: input(1.4, 8, ({ space }) => space.brief.camera.fNumber, true),
  iso: input(100, 6400, ({ settings }) => settings.iso.min, true),
  ev: input(-2, 17, ({ space }) => space.light.evMax),
  mainsHz: input(50, 60, ({ space }) => space.brief.limits.mainsHz),
  sizeM: input(0.1, 4, ({ space }) => space.brief.motion.subject?.sizeM ?? 1.8, true),
  distanceM: input(0.3, 60, ({ space }) => space.brief.motion.subject?.distanceM ?? 4, true),
  bitRateMbps: input(5, 200, ({ settings }) => settings.bitRateMbps, true),
  minutes: input(1, 240, ({ space }) => space.brief.limits.recordSeconds / 60, true),
  cardGb: input(16, 1000, ({ space }) => space.brief.limits.cardGb, true),
  powerW: input(0.5, 8, ({ space, candidate }) => modePowerW(space.brief.camera, candidate.mode)),
  airC: input(-20, 40, () => 10),
  airSpeedMps: input(0, 30, ({ space }) => space.brief.motion.travelMps),
  windMps: input(0, 20, ({ space }) => space.brief.sound.windMps),
  reflectancePct: input(3, 90, ({ space }) => meterReads(space.brief.surroundings).reflectancePct, true),
  depthM: input(0, 30, ({ space }) =>
    space.brief.light.kind === 'underwater' ? space.brief.light.depthM : 5,
  ),
  readoutMs: input(1, 40, ({ space }) => 1000 * (space.brief.camera.readoutSeconds ?? USUAL_READOUT_SECONDS)),
  takesPct: input(0, 95, () => 80),
} as const;
export type InputId = keyof typeof FORMULA_INPUTS;

export interface FormulaInput {
  min: number;
  max: number;
  /** Steps are ratios. */
  ratio: boolean;
  /** What it is on a shot, within the ends. */
  of: (solution: Solution) => number;
}

/** A camera of this kind that does not say reads its sensor in such a time (start). */
const USUAL_READOUT_SECONDS = 0.012;

function input(min: number, max: number, of: (solution: Solution) => number, ratio = false): FormulaInput {
  return { min, max, ratio, of: (solution) => clamp(of(solution), min, max) };
}

/** How a figure or formula is known. */
export const KNOWN_BY = ['physics', 'standard', 'start', 'learned'] as const;
export type KnownBy = (typeof KNOWN_BY)[number];

export type ResultUnit =
  | 'fps'
  | 'seconds'
  | 'degrees'
  | 'pct'
  | 'ev'
  | 'stops'
  | 'lux'
  | 'share'
  | 'hz'
  | 'metres'
  | 'gigabytes'
  | 'minutes'
  | 'celsius'
  | 'mps';

export interface Formula {
  page: ReasonPage;
  standing: KnownBy;
  /** The first is what the drawing runs over. */
  inputs: readonly InputId[];
  unit: ResultUnit;
  of: (values: readonly number[], solution: Solution) => number;
}

const projectionOf = ({ candidate }: Solution): Projection => candidate.mode.view.projection;
const at = (values: readonly number[], index: number): number => values[index] ?? 0;

export const FORMULAS = {
  neededRate: {
    page: 'playback',
    standing: 'physics',
    inputs: ['slowdown', 'timelineFps'],
    unit: 'fps',
    of: (v) => at(v, 0) * at(v, 1),
  },
  step: {
    page: 'playback',
    standing: 'physics',
    inputs: ['frameRate', 'crossingDegPerS', 'viewDeg'],
    unit: 'pct',
    of: (v, solution) => (at(v, 1) * pctWidthPerDegree(at(v, 2), projectionOf(solution))) / at(v, 0),
  },
  smear: {
    page: 'steadiness',
    standing: 'physics',
    inputs: ['shutterSeconds', 'shakeDegPerS', 'viewDeg'],
    unit: 'pct',
    of: (v, solution) => peakShakeSmearPct(at(v, 1), at(v, 0), at(v, 2), projectionOf(solution)),
  },
  shakeFloor: {
    page: 'steadiness',
    standing: 'start',
    inputs: ['shakeDegPerS', 'viewDeg'],
    unit: 'seconds',
    of: (v, solution) => shakeFloorSeconds(at(v, 0), at(v, 1), projectionOf(solution)),
  },
  swing: {
    page: 'steadiness',
    standing: 'start',
    inputs: ['shakeDegPerS'],
    unit: 'degrees',
    of: (v) => shakeSwingDeg(at(v, 0)),
  },
  angle: {
    page: 'shutter',
    standing: 'standard',
    inputs: ['shutterSeconds', 'frameRate'],
    unit: 'degrees',
    of: (v) => shutterAngleDeg(at(v, 1), at(v, 0)),
  },
  blur: {
    page: 'shutter',
    standing: 'physics',
    inputs: ['shutterSeconds', 'crossingDegPerS', 'viewDeg'],
    unit: 'pct',
    of: (v, solution) => at(v, 0) * at(v, 1) * pctWidthPerDegree(at(v, 2), projectionOf(solution)),
  },
  skew: {
    page: 'rolling',
    standing: 'physics',
    inputs: ['readoutMs', 'crossingDegPerS'],
    unit: 'degrees',
    of: (v) => (at(v, 0) / 1000) * at(v, 1),
  },
  gimbalSmear: {
    page: 'gimbals',
    standing: 'physics',
    inputs: ['takesPct', 'shutterSeconds', 'shakeDegPerS', 'viewDeg'],
    unit: 'pct',
    of: (v, solution) =>
      (1 - at(v, 0) / 100) * peakShakeSmearPct(at(v, 2), at(v, 1), at(v, 3), projectionOf(solution)),
  },
  meterOff: {
    page: 'meter',
    standing: 'standard',
    inputs: ['reflectancePct'],
    unit: 'stops',
    of: (v) => Math.log2(at(v, 0) / MIDDLE_GREY_PCT),
  },
  depthLight: {
    page: 'underWater',
    standing: 'start',
    inputs: ['depthM'],
    unit: 'stops',
    of: (v, { space: { brief } }) =>
      depthStops(at(v, 0), brief.light.kind === 'underwater' ? brief.light.water : 'lake'),
  },
  portView: {
    page: 'underWater',
    standing: 'physics',
    inputs: ['viewDeg'],
    unit: 'degrees',
    of: (v) => viewBehindPortDeg(at(v, 0)),
  },
  trail: {
    page: 'timeLapse',
    standing: 'start',
    inputs: ['viewDeg'],
    unit: 'seconds',
    of: (v, solution) =>
      trailSeconds(
        { horizontalDeg: at(v, 0), projection: projectionOf(solution) },
        solution.space.brief.playback.deliver.width,
      ),
  },
  exposureValue: {
    page: 'light',
    standing: 'standard',
    inputs: ['shutterSeconds', 'fNumber', 'iso'],
    unit: 'ev',
    of: (v) => ev100OfSetting(at(v, 1), at(v, 0), at(v, 2)),
  },
  filterNeeded: {
    page: 'light',
    standing: 'physics',
    inputs: ['ev', 'shutterSeconds', 'fNumber', 'iso'],
    unit: 'stops',
    of: (v) => at(v, 0) - ev100OfSetting(at(v, 2), at(v, 1), at(v, 3)),
  },
  lux: {
    page: 'light',
    standing: 'standard',
    inputs: ['ev'],
    unit: 'lux',
    of: (v) => luxOfEv(at(v, 0)),
  },
  pulseLeft: {
    page: 'flicker',
    standing: 'physics',
    inputs: ['shutterSeconds', 'mainsHz'],
    unit: 'share',
    of: (v) => flickerResidual(pulseHzOfMains(at(v, 1)), at(v, 0)),
  },
  beat: {
    page: 'flicker',
    standing: 'physics',
    inputs: ['frameRate', 'mainsHz'],
    unit: 'hz',
    of: (v) => flickerBeatHz(pulseHzOfMains(at(v, 1)), at(v, 0)),
  },
  angularSize: {
    page: 'view',
    standing: 'physics',
    inputs: ['distanceM', 'sizeM'],
    unit: 'degrees',
    of: (v) => angularSizeDeg(at(v, 1), at(v, 0)),
  },
  viewLeft: {
    page: 'view',
    standing: 'physics',
    inputs: ['keepsPct', 'viewDeg'],
    unit: 'degrees',
    of: (v, solution) => viewAfterCropDeg(at(v, 1), at(v, 0) / 100, projectionOf(solution)),
  },
  hyperfocal: {
    page: 'view',
    standing: 'physics',
    inputs: ['fNumber'],
    unit: 'metres',
    of: (v, { space, settings }) => {
      const { focalMm, blurCircleMm } = lensFocusing(space.brief.camera, settings.view.id);
      return hyperfocalM(focalMm, at(v, 0), blurCircleMm);
    },
  },
  gigabytes: {
    page: 'card',
    standing: 'physics',
    inputs: ['minutes', 'bitRateMbps'],
    unit: 'gigabytes',
    of: (v) => gigabytesOf(at(v, 1), at(v, 0) * 60),
  },
  cardLasts: {
    page: 'card',
    standing: 'start',
    inputs: ['bitRateMbps', 'cardGb'],
    unit: 'minutes',
    of: (v, { space }) => cardSeconds(writtenMbps(at(v, 0), space.brief.camera), at(v, 1)) / 60,
  },
  cellLasts: {
    page: 'power',
    standing: 'start',
    inputs: ['airC', 'powerW'],
    unit: 'minutes',
    of: (v) => ((cellWh(USUAL_CELL) * coldShare(at(v, 0))) / at(v, 1)) * 60,
  },
  warmth: {
    page: 'power',
    standing: 'start',
    inputs: ['minutes', 'powerW', 'airSpeedMps', 'airC'],
    unit: 'celsius',
    of: (v, { space }) =>
      temperatureAfter(
        at(v, 3),
        space.brief.camera.heat,
        { airC: at(v, 3), sunC: sunOnCameraC(space.light.evMax), powerW: at(v, 1), airSpeedMps: at(v, 2) },
        at(v, 0),
      ),
  },
  sameAngle: {
    page: 'cameras',
    standing: 'standard',
    inputs: ['otherRate', 'shutterSeconds', 'frameRate'],
    unit: 'seconds',
    of: (v) => secondsOfAngle(shutterAngleDeg(at(v, 2), at(v, 1)), at(v, 0)),
  },
  stream: {
    page: 'sound',
    standing: 'physics',
    inputs: ['airSpeedMps', 'windMps'],
    unit: 'mps',
    of: (v) => at(v, 0) + at(v, 1),
  },
} as const satisfies Record<string, Formula>;
export type FormulaId = keyof typeof FORMULAS;
export const FORMULA_IDS = Object.keys(FORMULAS) as FormulaId[];

export function formulasOn(page: ReasonPage): FormulaId[] {
  return FORMULA_IDS.filter((id) => FORMULAS[id].page === page);
}

/** What the inputs of a formula are on a shot. */
export function valuesOn(id: FormulaId, solution: Solution): number[] {
  return FORMULAS[id].inputs.map((name) => FORMULA_INPUTS[name].of(solution));
}

/** A value of an input at a share of the way between its ends, and back. */
export function valueAt({ min, max, ratio }: FormulaInput, share: number): number {
  return ratio ? min * (max / min) ** share : min + (max - min) * share;
}
export function shareAt({ min, max, ratio }: FormulaInput, value: number): number {
  return ratio ? Math.log(value / min) / Math.log(max / min) : (value - min) / (max - min);
}

/** The result over the whole first input, the others as they are. */
export function formulaCurve(
  id: FormulaId,
  values: readonly number[],
  solution: Solution,
  count: number,
): { share: number; result: number }[] {
  const { inputs, of }: Formula = FORMULAS[id];
  const [first] = inputs;
  if (!first) return [];
  return Array.from({ length: count }, (_, index) => {
    const share = index / (count - 1);
    return { share, result: of([valueAt(FORMULA_INPUTS[first], share), ...values.slice(1)], solution) };
  });
}
