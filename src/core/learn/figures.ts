import { sourced, start } from '../units/estimate';
import type { Estimate } from '../units/estimate';
import { DAY_LIGHT_STOPS } from '../light/lightRange';
import { SKY_HABITS } from '../vocabulary/outdoors';
import type { Figure, FigureKind } from '../records/learned';

/**
 * How far each figure may be off before anything came back: one standard deviation in its natural scale. That is stops or
 * log2, so that half and double are equally far; minutes an hour for lateness.
 */
export const SPREADS: Record<Exclude<FigureKind, 'sky'>, Estimate> = {
  scene: start(0.5, "a scene's name covers a stop from end to end of what it is used for"),
  shade: start(0.5, 'leaves and walls let through half as much or twice as much from place to place'),
  shake: start(0.5, 'of two riders on one path one shakes half as much again as the other'),
  filter: start(0.15, 'a glass is sold by a round number'),
  power: start(Math.log2(1.15), 'firmware, screen and radio move the draw by a seventh'),
  heat: start(Math.log2(1.25), 'a case, a mount and the way it stands in the air change it by a quarter'),
  bitRate: start(Math.log2(1.1), 'a rate is held on the mean of a scene'),
  iso: start(0.7, 'what one calls noise the other calls grain'),
  guard: start(0.3, 'curves roll off sooner or later by a third of a stop'),
  lateness: start(4, 'some days run to the minute, and some lose ten of every hour'),
};

/** How late a day runs where nobody knows better, minutes an hour (start): straps, wet gloves, somebody waits. */
export const USUAL_LATENESS = 4;

export function spreadOf(figure: Figure): number {
  return figure.of === 'sky' ? SKY_HABITS[figure.sky].errorStops : SPREADS[figure.of].value;
}

/** What the recordings of one day are off by together. */
export const DAY_SPREADS = {
  light: start(DAY_LIGHT_STOPS, 'the air of a day is clearer or hazier than its name'),
  shake: start(0.2, 'one day one is stiff, tired or bold'),
  draw: start(0.07, 'cold hands leave the screen on'),
  bits: start(0.05, 'wet leaves or plain snow fill all frames of a day'),
  eye: start(0.3, 'one evening one is stricter than the other'),
} as const satisfies Record<string, Estimate>;
export type DayKind = keyof typeof DAY_SPREADS;

/** How far one piece of evidence may be off by itself, in the natural scale of its figure. */
export const ERRORS = {
  middle: start(0.45, 'what fills a picture is half a stop lighter or darker than mid grey'),
  end: start(0.5, 'where white begins to be seen is told by how much of the picture it takes'),
  movement: start(0.3, 'a swing of ten seconds stands for the run'),
  sensor: start(0.2, 'a phone beside the camera rides a little otherwise, and a minute stands for the run'),
  smear: start(0.4, 'where smear begins to be seen differs by a third from eye to eye'),
  bitRate: start(0.1, 'a short clip holds its rate to a fourteenth'),
  cells: start(0.15, 'the last cell is told by five bars'),
  card: start(0.08, 'files beside the clips take some of it'),
  heat: start(0.2, 'how warm it was at the start is not known'),
  noise: start(0.5, 'grain is seen or not by where one looks'),
  late: start(10, 'minutes: a start may wait for one car or one cloud'),
} as const satisfies Record<string, Estimate>;

/** Degrees of freedom of the error's tails. Source: Lange, Little & Taylor 1989 (four, where it is not estimated). */
export const TAILS = sourced(4, 'one odd clip in twenty must not carry a figure away');

/** So many clips are not what they are taken for: matched to another shot, a sleeve before the lens (start). */
export const WILD_SHARE = start(0.06, 'one of sixteen');
