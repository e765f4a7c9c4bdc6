import { secondsOfAngle } from '../playback/shutterAngle';
import { PAIR_ASKS } from '../vocabulary/pairs';
import type { PairAsks } from '../vocabulary/pairs';
import { matchSheetOf } from './matchSheet';
import type { MatchItem } from './matchSheet';
import { quarterTurnSeconds, turnForBlurDegPerS, WHIP_BLUR_PCT } from '../motion/whip';
import { pctWidthPerDegree } from '../optics/projection';
import type { Brief } from '../brief/brief';
import type { Pins, Settings } from '../records/settings';
import type { Pair } from '../records/shot';
import { modesOf } from '../camera/modeTable';
import { solve } from '../answer/solve';
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
const LOW_FPS = 30;
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

function halfOf({ settings, candidate, space, exposure }: Solution, wanted: number): PairHalf {
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

function widestView({ camera }: Brief): string | undefined {
  return [...camera.views].sort((a, b) => b.horizontalDeg - a.horizontalDeg)[0]?.id;
}

function straightView({ camera }: Brief): string | undefined {
  const straight = camera.views.filter(
    ({ projection, focalMm }) => projection === 'straight' && focalMm === undefined,
  );
  const mid = camera.views.filter(({ horizontalDeg }) => horizontalDeg <= MID_VIEW_DEG);
  return [...straight, ...mid].sort((a, b) => b.horizontalDeg - a.horizontalDeg)[0]?.id;
}

/** Pins that make both halves alike and give the kind what it asks; and the turning for the wanted blur. */
export interface PairPlan {
  pins: [Pins, Pins];
  turnDegPerS: [number, number];
}

/**
 * Sets both halves alike: from all pins a kind asks for, those are let go one by one, the least needed first, until both
 * cameras can. `null` where not even a shared shutter is possible.
 */
export function planPair(pair: Pair, briefs: readonly [Brief, Brief]): PairPlan | null {
  const [first] = briefs;
  const { timelineFps, slowdown } = first.playback;
  const offered = briefs.map((brief) => new Set(modesOf(brief.camera).map(({ frameRate }) => frameRate)));
  const shared = [...(offered[0] ?? [])].filter((fps) => offered[1]?.has(fps));
  const wanted = timelineFps * slowdown;
  const frameRate = shared.sort((a, b) => Math.abs(a - wanted) - Math.abs(b - wanted))[0];
  if (frameRate === undefined) return null;
  const demands = PAIR_ASKS[pair.kind];
  const view = demands.includes('widest')
    ? widestView(first)
    : demands.includes('straightView')
      ? straightView(first)
      : undefined;
  const alone = solve(first);
  const usual = alone.solved ? alone.solution.settings : null;
  const viewId = view ?? usual?.view.id;
  const angle =
    demands.includes('angle180') || !usual || usual.shutterMode === 'auto'
      ? 180
      : Math.min(180, usual.shutterAngleDeg);
  const whiteBalance = usual && typeof usual.whiteBalance === 'number' ? usual.whiteBalance : 5600;
  const need: Pins = {
    frameRate,
    shutterMode: 'fixed',
    shutterSeconds: secondsOfAngle(angle, frameRate),
    whiteBalance,
    exposureOffsetStops: 0,
    ...(usual ? { colour: usual.colour } : {}),
  };
  const wishes: Pins[] = [
    {
      ...(viewId ? { view: { id: viewId } } : {}),
      ...(pair.kind === 'whip' || pair.kind === 'shake' ? { stabilization: 'off' } : {}),
    },
    viewId ? { view: { id: viewId } } : {},
    {},
  ];
  for (const wish of wishes) {
    const pins: Pins = { ...need, ...wish };
    const solved = briefs.map((brief) => solve({ ...brief, pins }));
    const [a, b] = solved;
    if (!a?.solved || !b?.solved) continue;
    const turns = [a.solution, b.solution].map((half) => halfOf(half, wantedBlurPct(pair)).turnDegPerS);
    return { pins: [pins, pins], turnDegPerS: [turns[0] ?? 0, turns[1] ?? 0] };
  }
  return null;
}
