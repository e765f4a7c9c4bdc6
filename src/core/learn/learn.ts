import { figureAt, figureId } from '../records/figures';
import type { Learned } from '../records/learned';
import type { WallClock } from '../day/schedule';
import { bitRateEvidence, heatEvidence, isoEvidence } from './cameraEvidence';
import { dayEvidence } from './dayEvidence';
import type { Evidence } from './evidence';
import { spreadOf } from './figures';
import { infer } from './infer';
import { lightEvidence } from './lightEvidence';
import { measuredShakeEvidence } from './measuredShake';
import { shakeEvidence } from './shakeEvidence';
import { takesOf } from './takes';
import type { ClockIn, Kept } from './takes';

/** A figure before anything came back and after. */
export interface CorrectedFigure extends Learned {
  /** Before: one standard deviation in its natural scale, about the usual. */
  spreadBefore: number;
}

/**
 * Every figure that anything kept speaks of, the best known first. The same records give the same figures in whatever
 * order they stand. `clock`: instants of a zone's clock times.
 */
export function learn(kept: Kept, clock: ClockIn): CorrectedFigure[] {
  return infer(evidenceIn(kept, clock))
    .map(({ figure, usual, off, spread, from }) => ({
      figure,
      usual,
      off,
      spread,
      from: from.size,
      spreadBefore: spreadOf(figure),
    }))
    .sort(
      (one, other) =>
        gained(other) - gained(one) || figureId(one.figure).localeCompare(figureId(other.figure)),
    );
}

function gained({ spread, spreadBefore }: CorrectedFigure): number {
  return spreadBefore / spread;
}

export function evidenceIn(kept: Kept, clock: ClockIn): Evidence[] {
  const clocks = new Map<string, WallClock>();
  const once: ClockIn = (zone) => {
    const its = clocks.get(zone) ?? remembered(clock(zone));
    clocks.set(zone, its);
    return its;
  };
  const takes = takesOf(kept, once);
  return [
    ...takes.flatMap((take) => [
      ...lightEvidence(take),
      ...shakeEvidence(take),
      ...bitRateEvidence(take),
      ...isoEvidence(take),
      ...heatEvidence(take),
    ]),
    ...kept.measured.flatMap(measuredShakeEvidence),
    ...dayEvidence(kept.outings, takes, kept.clips, once),
  ];
}

/** Many takes are of one day. */
function remembered(clock: WallClock): WallClock {
  const known = new Map<string, number>();
  return (date, time) => {
    const key = `${date} ${time}`;
    const atMs = known.get(key) ?? clock(date, time);
    known.set(key, atMs);
    return atMs;
  };
}

/** Ends of the interval that holds the truth in nine of ten cases, in the figure's own unit. */
export function ninetyOf(learned: Pick<Learned, 'figure' | 'usual' | 'off' | 'spread'>): [number, number] {
  const reach = NINETY * learned.spread;
  return [figureAt(learned, learned.off - reach), figureAt(learned, learned.off + reach)];
}
/** Of a normal, to either side. */
const NINETY = 1.645;
