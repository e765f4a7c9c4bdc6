import { SPREADS, USUAL_LATENESS } from '../learn/figures';
import { DAY_LIGHT_STOPS } from '../light/lightRange';
import { figureAt } from '../records/figures';
import type { Learned } from '../records/learned';
import { start } from '../units/estimate';

/**
 * What is not known of a day before it comes: spreads as one standard deviation, in octaves where not said, and chances
 * of what people do. What is learned of a figure brings its own spread in place of the one here.
 */
export interface Unknowns {
  /** Of all light of the day, stops; of the light of each shot beyond that, its own spread times this. */
  dayLightStops: number;
  lightTimes: number;
  /** Cloud by hour, times what its forecast may be off. */
  cloudTimes: number;
  shake: number;
  speed: number;
  airC: number;
  power: number;
  heat: number;
  bitRate: number;
  /** Minutes an hour that a day falls behind, and their spread; each stretch slips by this spread of octaves beside. */
  late: { minutesAnHour: number; spread: number; octaves: number };
  slips: Slips;
}

/** Chances that a person slips, for each time that it could happen. */
export interface Slips {
  forgottenFilter: number;
  wrongSetup: number;
  startedLate: number;
  wetLens: number;
}
export type Slip = keyof Slips;

const USUAL_SLIPS = {
  forgottenFilter: start(0.04, 'one change in twenty-five is forgotten with cold hands'),
  wrongSetup: start(0.02, 'a slot more or less: one in fifty'),
  startedLate: start(0.03, 'the first seconds of one clip in thirty are not there'),
  wetLens: start(0.08, 'on water one run in twelve ends behind a drop'),
};

export const USUAL_UNKNOWNS: Unknowns = {
  dayLightStops: DAY_LIGHT_STOPS,
  lightTimes: 1,
  cloudTimes: 1,
  shake: SPREADS.shake.value,
  speed: start(0.25, 'a pace is told to a sixth').value,
  airC: start(2.5, 'a low and a high of the forecast are off by some degrees').value,
  power: SPREADS.power.value,
  heat: SPREADS.heat.value,
  bitRate: SPREADS.bitRate.value,
  late: {
    minutesAnHour: USUAL_LATENESS,
    spread: SPREADS.lateness.value,
    octaves: start(0.5, 'one stretch takes half as long again as the next').value,
  },
  slips: {
    forgottenFilter: USUAL_SLIPS.forgottenFilter.value,
    wrongSetup: USUAL_SLIPS.wrongSetup.value,
    startedLate: USUAL_SLIPS.startedLate.value,
    wetLens: USUAL_SLIPS.wetLens.value,
  },
};

/** What days of one rate differ by, minutes an hour (start): one car, one cloud, one friend. */
const DAYS_DIFFER = 3;

/** What is not known to this person: their own slips, and how late their days run where they took that over. */
export function unknownsOf(slips: Slips, learned: readonly Learned[]): Unknowns {
  const own = learned.find(({ figure }) => figure.of === 'lateness');
  if (!own) return { ...USUAL_UNKNOWNS, slips };
  const { octaves } = USUAL_UNKNOWNS.late;
  const late = {
    minutesAnHour: figureAt(own, own.off),
    spread: Math.hypot(own.spread, DAYS_DIFFER),
    octaves,
  };
  return { ...USUAL_UNKNOWNS, slips, late };
}

/** A day of which everything is known. */
export const NOTHING_UNKNOWN: Unknowns = {
  dayLightStops: 0,
  lightTimes: 0,
  cloudTimes: 0,
  shake: 0,
  speed: 0,
  airC: 0,
  power: 0,
  heat: 0,
  bitRate: 0,
  late: { minutesAnHour: 0, spread: 0, octaves: 0 },
  slips: { forgottenFilter: 0, wrongSetup: 0, startedLate: 0, wetLens: 0 },
};
