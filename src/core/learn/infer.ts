import { figureId } from '../records/figures';
import type { Figure } from '../records/learned';
import { item } from '../units/items';
import type { Evidence } from './evidence';
import { DAY_SPREADS, spreadOf, WILD_SHARE } from './figures';
import { gaussianOf, sumOf } from './gaussian';
import type { Gaussian, Piece } from './gaussian';
import { tilted } from './tilted';

/**
 * The figures given everything that came back, together, for a dark clip may be a dark glass or a dark wood. Every figure
 * is normal before; every piece of evidence is turned, again and again, into the normal one that says the same of its sum
 * of figures in the light of all the others. Sources: Minka 2001 (expectation propagation); Jylänki, Vanhatalo & Vehtari
 * 2011 (with heavy tails); all pieces at once, so that their order does not matter. An approximation: what it calls 90 %
 * is held to 85–95 % by simulated seasons.
 */
export interface Inferred {
  figure: Figure;
  usual: number;
  /** Against the usual, natural scale. */
  off: number;
  spread: number;
  /** Where its evidence comes from: recordings and days. */
  from: ReadonlySet<string>;
}

const SWEEPS = 24;
/** No figure moves by more than this share of its spread any more. */
const SETTLED = 4e-3;
/** A piece is asked again once what the others say has moved by this share of its spread. */
const STALE = 4e-3;
/** Of each step so much is taken: whole steps may swing to and fro. */
const STEP = 0.7;
/** What is wild may lie so many spreads of its figures apart. */
const WILD_REACH = 8;

interface Site extends Piece {
  evidence: Evidence;
  /** What the others said when it was last asked, and what it should say to that. */
  asked: { mean: number; variance: number; precision: number; shift: number };
  /** Density of what is wild. */
  wild: number;
  /** A bound so far off that it says nothing. */
  idle: boolean;
}

export function infer(evidence: readonly Evidence[]): Inferred[] {
  const ordered = inOneOrder(evidence);
  const figures = figuresOf(ordered);
  const priors = [...figures.values()].map(({ figure }) => spreadOf(figure));
  const { sites, days } = sitesOf(ordered, [...figures.keys()], priors);
  const asked = sites.filter(({ idle }) => !idle);
  let state = gaussianOf(asked, priors, days);
  for (let sweep = 0; sweep < SWEEPS; sweep++) {
    for (const site of asked) improve(site, state);
    const before = state;
    state = gaussianOf(asked, priors, days);
    if (farthest(before, state) < SETTLED) break;
  }
  return [...figures.values()].map(({ figure, usual, from }, at) => ({
    figure,
    usual,
    off: item(state.mean, at),
    spread: Math.sqrt(item(item(state.covariance, at), at)),
    from,
  }));
}

/** A piece of evidence and the ids of the figures that it speaks of. */
interface Named {
  one: Evidence;
  ids: readonly string[];
}

/** However they came: sums of many numbers depend on their order in the last digit. */
function inOneOrder(evidence: readonly Evidence[]): Named[] {
  return evidence
    .map((one) => ({ one, ids: one.of.map(({ figure }) => figureId(figure)) }))
    .sort(
      (a, b) =>
        inTurn(a.one.id, b.one.id) ||
        inTurn(a.ids[0] ?? '', b.ids[0] ?? '') ||
        inTurn(a.one.says, b.one.says) ||
        a.one.at - b.one.at ||
        a.one.error - b.one.error,
    );
}

function inTurn(one: string, other: string): number {
  return one < other ? -1 : one > other ? 1 : 0;
}

interface Told {
  figure: Figure;
  usual: number;
  from: Set<string>;
}

/** Every figure that anything speaks of, by its id; what is usual for it is what the last that names it says. */
function figuresOf(evidence: readonly Named[]): Map<string, Told> {
  const figures = new Map<string, Told>();
  for (const { one, ids } of evidence)
    one.of.forEach(({ figure, usual }, at) => {
      const key = ids[at] ?? '';
      const told = figures.get(key) ?? { figure, usual, from: new Set() };
      told.figure = figure;
      told.usual = usual;
      told.from.add(one.id);
      figures.set(key, told);
    });
  return new Map([...figures].sort(([a], [b]) => inTurn(a, b)));
}

function sitesOf(
  evidence: readonly Named[],
  figures: readonly string[],
  priors: readonly number[],
): { sites: Site[]; days: { spread: number; rows: number[] }[] } {
  const place = new Map(figures.map((id, at) => [id, at]));
  const dayPlace = new Map<string, number>();
  const days: { spread: number; rows: number[] }[] = [];
  const sites = evidence.map(({ one, ids }): Site => {
    const at = ids.map((id) => place.get(id) ?? 0);
    const times = one.of.map((part) => part.times);
    let day = -1;
    if (one.day) {
      const key = `${one.day.kind} ${one.day.date}`;
      day = dayPlace.get(key) ?? days.length;
      dayPlace.set(key, day);
      days[day] ??= { spread: DAY_SPREADS[one.day.kind].value, rows: [] };
    }
    const rows = days[day]?.rows ?? [];
    for (const row of at) if (!rows.includes(row)) rows.push(row);
    const reach = Math.hypot(...at.map((figure, part) => item(priors, figure) * item(times, part)));
    return {
      evidence: one,
      at,
      times,
      day,
      within: at.map((row) => rows.indexOf(row)),
      precision: 0,
      shift: 0,
      asked: { mean: NaN, variance: NaN, precision: 0, shift: 0 },
      wild: WILD_SHARE.value / (WILD_REACH * reach),
      idle: saysNothing(one, Math.hypot(reach, days[day]?.spread ?? 0)),
    };
  });
  return { sites, days };
}

/** A bound is past all doubt so many spreads of its sum, and so many of its error, away. */
const PAST_DOUBT = 4;

function saysNothing({ says, at, error }: Evidence, spread: number): boolean {
  if (says === 'is') return false;
  return (says === 'below' ? at : -at) > PAST_DOUBT * (spread + error);
}

/** How far a figure moved, mean or spread, in its spreads. */
function farthest(before: Gaussian, after: Gaussian): number {
  return after.mean.reduce((most, mean, at) => {
    const [old, fresh] = [before, after].map(({ covariance }) => Math.sqrt(item(item(covariance, at), at)));
    const moved = Math.max(Math.abs(mean - item(before.mean, at)), Math.abs((old ?? 0) - (fresh ?? 0)));
    return Math.max(most, moved / (fresh ?? 1));
  }, 0);
}

/** Makes one piece say in the light of the others what it says. */
function improve(site: Site, state: Gaussian): void {
  const { mean: middle, variance } = sumOf(site, state);
  const left = 1 / variance - site.precision;
  // Where the others alone say nothing there is nothing to hold it against.
  if (left <= 1e-9) return;
  const without = { mean: (middle / variance - site.shift) / left, variance: 1 / left };
  const { asked } = site;
  const fresh =
    Math.abs(without.mean - asked.mean) < STALE * Math.sqrt(without.variance) &&
    Math.abs(without.variance / asked.variance - 1) < STALE;
  if (!fresh) {
    const told = tilted(without, site.evidence, site.wild);
    const precision = Math.max(0, 1 / told.variance - left);
    // In place: thousands of pieces are asked many times.
    asked.mean = without.mean;
    asked.variance = without.variance;
    asked.precision = precision;
    asked.shift = told.mean * (left + precision) - without.mean * left;
  }
  site.precision += STEP * (asked.precision - site.precision);
  site.shift += STEP * (asked.shift - site.shift);
}
