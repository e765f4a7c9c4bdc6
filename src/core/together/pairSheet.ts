import { PAIR_ASKS } from '../vocabulary/pairs';
import type { PairAsks } from '../vocabulary/pairs';
import { matchSheetOf } from './matchSheet';
import type { MatchItem } from './matchSheet';
import { quarterTurnSeconds, turnForBlurDegPerS, WHIP_BLUR_PCT } from '../motion/whip';
import { pctWidthPerDegree } from '../optics/projection';
import type { Brief } from '../brief/brief';
import type { Settings } from '../records/settings';
import type { Pair } from '../records/shot';
import type { Solution } from '../answer/solve';

/**
 * Two shots that join: what both halves must share, what each must do, and whether they do. Degrees, seconds, per cent
 * of the frame's width.
 */
export interface PairSheet {
  /** What must be equal, the first half's value first. */
  match: MatchItem[];
  /** The view must be equal for the picture to flow on. */
  view: { same: boolean; ids: [string, string]; degrees: [number, number] };
  halves: [PairHalf, PairHalf];
  demands: PairDemand[];
  joins: boolean;
}

export interface PairHalf {
  settings: Settings;
  /** Turning for the wanted blur at this shutter and view, and a quarter turn at that rate. */
  turnDegPerS: number;
  quarterTurnSeconds: number;
  /** Blur that the turning planned for this half gives. */
  plannedBlurPct: number;
}

/** Something a kind of pair asks of each half. */
export interface PairDemand {
  what: PairAsks;
  held: [boolean, boolean];
}

/** A planned blur this near to the wanted one gives it. */
const NEAR_ENOUGH = 0.95;
/** As many frames a second as a low rate has at most. */
export const LOW_FPS = 30;
/** A view from which a sky joins badly: its horizon bends. */
const MID_VIEW_DEG = 95;
const SAME_VIEW_DEG = 3;
const ANGLE_SLACK_DEG = 12;

export function pairSheet(pair: Pair, first: Solution, second: Solution): PairSheet {
  const wanted = wantedBlurPct(pair);
  const figures: [PairHalf, PairHalf] = [halfOf(first, wanted), halfOf(second, wanted)];
  const { playback } = first.space.brief;
  const match = matchSheetOf([first.settings, second.settings], playback);
  const [a, b] = [first.candidate.mode.view, second.candidate.mode.view];
  const view = {
    same: a.projection === b.projection && Math.abs(a.horizontalDeg - b.horizontalDeg) <= SAME_VIEW_DEG,
    ids: [a.id, b.id] as [string, string],
    degrees: [a.horizontalDeg, b.horizontalDeg] as [number, number],
  };
  const demands = PAIR_ASKS[pair.kind].map((what): PairDemand => ({
    what,
    held: [holds(what, first, figures[0], wanted), holds(what, second, figures[1], wanted)],
  }));
  // A cut on the same place or a fast whip forgives an automatic white balance least of all, so nothing is forgiven.
  const joins =
    view.same && match.every(({ same }) => same) && demands.every(({ held }) => held.every(Boolean));
  return { match, view, halves: figures, demands, joins };
}

/** A whip wants its blur; a fall as well; elsewhere a little is enough. */
export function wantedBlurPct({ blurPct }: Pick<Pair, 'blurPct'>): number {
  return blurPct ?? WHIP_BLUR_PCT;
}

export function halfOf({ settings, candidate, space, exposure }: Solution, wanted: number): PairHalf {
  const { horizontalDeg, projection } = candidate.mode.view;
  // The shutter in use at the bright end: the shortest blurs least.
  const seconds = 2 ** exposure.brightLog;
  const turnDegPerS = turnForBlurDegPerS(wanted, seconds, horizontalDeg, projection);
  return {
    settings,
    turnDegPerS,
    quarterTurnSeconds: quarterTurnSeconds(turnDegPerS),
    plannedBlurPct: space.brief.motion.panDegPerS * pctWidthPerDegree(horizontalDeg, projection) * seconds,
  };
}

function holds(what: PairDemand['what'], half: Solution, figures: PairHalf, wanted: number): boolean {
  const { settings, candidate, space } = half;
  switch (what) {
    case 'blur':
      return figures.plannedBlurPct >= NEAR_ENOUGH * wanted;
    case 'angle180':
      return settings.shutterMode === 'fixed' && Math.abs(settings.shutterAngleDeg - 180) <= ANGLE_SLACK_DEG;
    case 'stabilizationOff':
      return settings.stabilization === 'off';
    case 'lowFrameRate':
      return settings.frameRate <= LOW_FPS;
    case 'filterOn':
      return settings.filter.stops > 0;
    case 'widest':
      return candidate.mode.view.id === widestView(space.brief);
    case 'straightView':
      return (
        candidate.mode.view.projection === 'straight' || candidate.mode.view.horizontalDeg <= MID_VIEW_DEG
      );
    case 'fixedShutter':
      return settings.shutterMode === 'fixed';
  }
}

export function widestView({ camera }: Brief): string | undefined {
  return [...camera.views].sort((a, b) => b.horizontalDeg - a.horizontalDeg)[0]?.id;
}

export function straightView({ camera }: Brief): string | undefined {
  const straight = camera.views.filter(
    ({ projection, focalMm }) => projection === 'straight' && focalMm === undefined,
  );
  const mid = camera.views.filter(({ horizontalDeg }) => horizontalDeg <= MID_VIEW_DEG);
  return [...straight, ...mid].sort((a, b) => b.horizontalDeg - a.horizontalDeg)[0]?.id;
}
