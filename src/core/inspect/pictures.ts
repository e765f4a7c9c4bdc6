import type { Pictures } from '../records/clipReport';
import { exposureSteps, stopsFromGrey } from './exposure';
import { flickerIn } from './flicker';
import type { Flicker } from './flicker';
import type { FrameMeasured } from './frameMeter';
import type { HorizonLine } from './horizon';
import { noiseDecibels } from './grain';
import type { Grain } from './grain';
import { repeatsIn } from './repeats';
import type { Repeats } from './repeats';
import { correlationOf, meanOf, medianOf, quantileOf, rmsOf } from './series';
import { shakeIn } from './shake';
import type { Rates } from './shake';
import { pulsingOf } from './sharpness';

/** Of the pairs of pictures in a stretch, so many must tell how they moved. */
const TOLD_SHARE = 0.6;
/** Of the pictures looked at, so many must show a horizon. */
const HORIZON_SHARE = 0.4;

/**
 * What the pictures of a clip come to, from stretches of pictures that follow each other: the whole clip, or windows spread
 * over it. `pctPerDegree`: per cent of the width that a degree takes, where the view is known. `null`: no pictures.
 */
export function picturesOf(
  stretches: readonly (readonly FrameMeasured[])[],
  planeWidth: number,
  { pctPerDegree, blockedPct = null }: { pctPerDegree?: number | undefined; blockedPct?: number | null } = {},
): Pictures | null {
  const all = stretches.flat();
  if (all.length === 0) return null;
  const told = stretches
    .filter((stretch) => stretch.length > 1)
    .map((stretch) => stretchOf(stretch, planeWidth));
  const middles = all.map(({ linear }) => stopsFromGrey(linear));
  const horizons = all.flatMap(({ horizon }) => (horizon === undefined ? [] : [horizon]));
  const grains = all.flatMap(({ grain }) => (grain ? [grain] : []));
  const steps = told.map(({ frames, fps }) =>
    exposureSteps(
      frames.map(({ linear }) => stopsFromGrey(linear)),
      fps,
    ),
  );
  return {
    clippedPct: sharesOf(all, 'clipped'),
    crushedPct: sharesOf(all, 'crushed'),
    middleStops: { median: medianOf(middles), min: quantileOf(middles, 0), max: quantileOf(middles, 1) },
    exposureSteps: steps.reduce((sum, count) => sum + count, 0),
    ...blurIn(told, all),
    ...repeatedIn(told),
    movement: movementIn(told, pctPerDegree),
    ...tiltIn(horizons),
    flicker: strongest(told),
    noiseDb: decibelsOf(grains, 'all'),
    noiseDarkDb: decibelsOf(grains, 'dark'),
    noiseMiddleDb: decibelsOf(grains, 'middle'),
    blockedPct,
    blocking: middleOf(grains.map(({ blocking }) => blocking)),
  };
}

/** The middle of what each picture says; the more it swings about that, the less sure it is. */
function tiltIn(horizons: readonly (HorizonLine | null)[]): Pick<Pictures, 'tiltDeg' | 'tiltConfidence'> {
  const lines = horizons.filter((horizon) => horizon !== null);
  if (lines.length === 0 || lines.length < HORIZON_SHARE * horizons.length)
    return { tiltDeg: null, tiltConfidence: 0 };
  const tiltDeg = medianOf(lines.map((line) => line.tiltDeg));
  const swings = rmsOf(lines.map((line) => line.tiltDeg - tiltDeg));
  // Of a median of that many. Source: Laplace 1818 (the error of a median is √(π/2) that of a mean).
  const errorDeg = (Math.sqrt(Math.PI / 2) * swings) / Math.sqrt(lines.length);
  const held = medianOf(lines.map(({ confidence }) => confidence)) * (lines.length / horizons.length);
  return { tiltDeg, tiltConfidence: held / (1 + (errorDeg / SURE_TO_DEG) ** 2) };
}
/** A tilt known to this is half as sure as one known outright. */
const SURE_TO_DEG = 1.5;

interface Stretch {
  frames: readonly FrameMeasured[];
  fps: number;
  repeats: Repeats | null;
  /** Without repeats. */
  fresh: readonly FrameMeasured[];
  freshFps: number;
  /** Per cent of the width a second, and degrees; `null`: too few pictures told how they moved. */
  rates: Rates | null;
  confidence: number;
  /** How fast the picture moves around a frame, and how blurred that is. */
  speeds: readonly { speed: number; blur: number }[];
}

function stretchOf(frames: readonly FrameMeasured[], planeWidth: number): Stretch {
  const seconds = (frames.at(-1)?.atSeconds ?? 0) - (frames[0]?.atSeconds ?? 0);
  const fps = seconds > 0 ? (frames.length - 1) / seconds : 1;
  const moves = frames.map(({ since }) => since?.moved ?? null);
  const repeats = repeatsIn(
    frames.map(({ since }) => since?.difference ?? 0),
    moves.map((_, at) => turnsBack(moves[at - 1], moves[at + 1])),
  );
  const fresh = repeats ? frames.filter((_, at) => !repeats.repeated[at]) : frames;
  const told = moves.slice(1).filter((move) => move !== null);
  const enough = told.length >= TOLD_SHARE * (frames.length - 1);
  const rates = enough ? ratesOf(moves, repeats, fps, 100 / Math.max(1, planeWidth)) : null;
  const speeds = rates
    ? frames.flatMap(({ blur }, at) => {
        if (blur === null || at === 0 || at + 1 >= frames.length || repeats?.repeated[at]) return [];
        const across = ((rates.x[at] ?? 0) + (rates.x[at + 1] ?? 0)) / 2;
        const down = ((rates.y[at] ?? 0) + (rates.y[at + 1] ?? 0)) / 2;
        return [{ speed: Math.hypot(across, down), blur }];
      })
    : [];
  return {
    frames,
    fps,
    repeats,
    fresh,
    freshFps: (fps * fresh.length) / frames.length,
    rates,
    confidence: enough ? medianOf(told.map(({ confidence }) => confidence)) : 0,
    speeds,
  };
}

type Move = FrameMeasured['since'] extends infer Since
  ? Since extends { moved: infer Moved }
    ? Moved
    : never
  : never;

function turnsBack(before: Move | undefined, after: Move | undefined): boolean {
  return !!before && !!after && before.x * after.x + before.y * after.y < 0;
}

/** Rates from frame to frame: what moved over a repeat is spread over both, and what was not told takes its neighbour's. */
function ratesOf(moves: readonly Move[], repeats: Repeats | null, fps: number, pctPerPx: number): Rates {
  const count = moves.length;
  const rates: Rates = {
    x: new Float64Array(count),
    y: new Float64Array(count),
    rollDeg: new Float64Array(count),
  };
  let last: NonNullable<Move> | null = null;
  let from = 1;
  for (let at = 1; at < count; at++) {
    if (repeats?.repeated[at] && at + 1 < count) continue;
    const move: NonNullable<Move> | null = moves[at] ?? last;
    if (move) {
      const share = 1 / (at - from + 1);
      for (let place = from; place <= at; place++) {
        rates.x[place] = move.x * share * fps * pctPerPx;
        rates.y[place] = move.y * share * fps * pctPerPx;
        rates.rollDeg[place] = move.rollDeg * share * fps;
      }
      last = move;
    }
    from = at + 1;
  }
  for (const series of [rates.x, rates.y, rates.rollDeg]) series[0] = series[1] ?? 0;
  return rates;
}

function blurIn(
  some: readonly Stretch[],
  frames: readonly FrameMeasured[],
): Pick<Pictures, 'blur' | 'pulsingPct'> {
  const blurs = frames.flatMap(({ blur }) => (blur === null ? [] : [blur]));
  if (blurs.length === 0) return { blur: null, pulsingPct: null };
  const pulsing = some.flatMap((stretch) => {
    const own = stretch.fresh.flatMap(({ blur }) => (blur === null ? [] : [blur]));
    return own.length < 8 ? [] : [{ value: pulsingOf(own, stretch.freshFps), weight: own.length }];
  });
  const pairs = some.flatMap(({ speeds }) => speeds);
  return {
    blur: {
      median: medianOf(blurs),
      nearMedian: middleOf(frames.map(({ zones }) => zones?.near ?? null)),
      aroundMedian: middleOf(frames.map(({ zones }) => zones?.around ?? null)),
      followsMovement:
        pairs.length < 8
          ? null
          : correlationOf(
              pairs.map(({ speed }) => speed),
              pairs.map(({ blur }) => blur),
            ),
    },
    pulsingPct: pulsing.length === 0 ? null : 100 * rootMean(pulsing),
  };
}

function repeatedIn(some: readonly Stretch[]): Pick<Pictures, 'repeatedPct' | 'repeatPattern'> {
  const found = some.flatMap((stretch) =>
    stretch.repeats ? [{ repeats: stretch.repeats, weight: stretch.frames.length }] : [],
  );
  if (found.length === 0) return { repeatedPct: null, repeatPattern: null };
  const weight = found.reduce((sum, one) => sum + one.weight, 0);
  const patterns = found.map(({ repeats }) => repeats.pattern);
  const [pattern = null] = patterns;
  return {
    repeatedPct:
      (100 * found.reduce((sum, { repeats, weight: own }) => sum + repeats.share * own, 0)) / weight,
    repeatPattern: patterns.every((one) => one === pattern) ? pattern : null,
  };
}

function movementIn(stretches: readonly Stretch[], pctPerDegree: number | undefined): Pictures['movement'] {
  const shaken = stretches.flatMap(({ rates, fps, confidence, frames }) => {
    const shake = rates && shakeIn(rates, fps);
    return shake ? [{ shake, confidence, weight: frames.length }] : [];
  });
  if (shaken.length === 0) return null;
  const rms = rootMean(shaken.map(({ shake, weight }) => ({ value: shake.shiftRms, weight })));
  const bands = shaken.flatMap(({ shake }) => shake.strongestHz ?? []);
  return {
    shakePctWidthPerSRms: rms,
    ...(pctPerDegree === undefined ? {} : { shakeDegPerSRms: rms / pctPerDegree }),
    strongestHz: bands.length === 0 ? null : medianOf(bands),
    speedPctWidthPerS: medianOf(
      stretches.flatMap(({ rates }) =>
        rates ? Array.from(rates.x, (x, at) => Math.hypot(x, rates.y[at] ?? 0)) : [],
      ),
    ),
    rollDegPerSRms: rootMean(shaken.map(({ shake, weight }) => ({ value: shake.rollDegPerSRms, weight }))),
    confidence: meanOf(shaken.map(({ confidence }) => confidence)),
  };
}

/** Where frames repeat by a rule, of those that are new: held ones would mirror a rate about that of the new. */
function strongest(stretches: readonly Stretch[]): Flicker | null {
  return stretches
    .map(({ frames, fps, fresh, freshFps, repeats }) => {
      const [taken, rate] = repeats?.pattern == null ? [frames, fps] : [fresh, freshFps];
      return flickerIn(
        taken.flatMap(({ since }) => (since ? [since.gains] : [])),
        rate,
      );
    })
    .reduce((best, one) => ((one?.pct ?? 0) > (best?.pct ?? 0) ? one : best), null);
}

function sharesOf(
  frames: readonly FrameMeasured[],
  key: 'clipped' | 'crushed',
): { median: number; worst: number; worstAtSeconds: number } {
  const worst = frames.reduce((most, frame) => (frame[key] > most[key] ? frame : most));
  return {
    median: 100 * medianOf(frames.map((frame) => frame[key])),
    worst: 100 * worst[key],
    worstAtSeconds: worst.atSeconds,
  };
}

function decibelsOf(grains: readonly Grain[], key: 'all' | 'dark' | 'middle'): number | null {
  const middle = middleOf(grains.map((grain) => grain[key]));
  return middle === null ? null : noiseDecibels(middle);
}

function middleOf(values: readonly (number | null)[]): number | null {
  const known = values.filter((value) => value !== null);
  return known.length === 0 ? null : medianOf(known);
}

function rootMean(values: readonly { value: number; weight: number }[]): number {
  const weight = values.reduce((sum, one) => sum + one.weight, 0);
  return Math.sqrt(values.reduce((sum, one) => sum + one.weight * one.value ** 2, 0) / weight);
}
