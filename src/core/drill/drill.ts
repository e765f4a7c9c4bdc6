import type { LightRange } from '../light/lightRange';
import type { Brief } from '../brief/brief';
import type { Exposure } from '../loss/exposure';
import { LOST_CLIP } from '../rehearse/simulated';
import { takeOf } from '../preview/takeOf';
import type { LightMoment, PreviewTake } from '../preview/take';
import type { DrillSource } from '../records/practised';
import type { DrillKind } from '../vocabulary/drills';
import type { Settings } from '../records/settings';
import { exposureOf } from '../search/candidate';
import { changesFrom } from '../search/judged';
import type { Judged, TermChange } from '../search/judged';
import { settingsOf } from '../search/settingsOf';
import { start } from '../units/estimate';
import type { SchoolId } from '../vocabulary/schools';

/** What can be answered; seconds, EV100, frames a second. */
export type DrillAnswer =
  | { ev: number }
  | { filter: Settings['filter'] }
  | { shutterSeconds: number }
  | { frameRate: number }
  | { view: Settings['view'] }
  | { minutes: number }
  | { school: SchoolId };

/** One thing that can be answered, and all that would come of it. */
export interface DrillChoice {
  answer: DrillAnswer;
  /** Over the best, under the eyes that the drill is judged with. */
  loss: number;
  /** How far it lies off the best, stops or octaves; `null` where there is no such distance. */
  offStops: number | null;
  /** What gets worse by it, the worst first. */
  worse: TermChange[];
  /** What would have come back, and the settings it was filmed at; `null` where nothing of it is seen. */
  film: { take: PreviewTake; settings: Settings } | null;
  /** What camera and filter would hold, EV100, and what of the light sticks out. */
  window: Pick<Exposure, 'windowEvMin' | 'windowEvMax' | 'underStops' | 'overStops'> | null;
}

/** What the person is told beside the shot. */
export type DrillGiven =
  /** A picture filmed at this setting without a filter. */
  | { kind: 'light'; take: PreviewTake; shutterSeconds: number; iso: number; fNumber: number }
  /** The exposure that is right; then the shutter is another. */
  | { kind: 'stops'; settings: Settings; thenSeconds: number }
  | { kind: 'filter' | 'shutter' | 'rate' | 'view'; settings: Settings }
  /** A card, a cell and the cold, at these settings. */
  | { kind: 'lasts'; settings: Settings; cardGb: number; cellWh: number; powerW: number; airC: number }
  /** Settings that one school gives to this shot. */
  | { kind: 'school'; settings: Settings; take: PreviewTake };

/** One drill as plain data: a shot, what is asked of it, and what every answer would do. */
export interface Drill {
  kind: DrillKind;
  from: DrillSource;
  /** Of the shot or the log entry. */
  id: string | null;
  name: string | null;
  brief: Brief;
  light: LightRange;
  given: DrillGiven;
  choices: DrillChoice[];
  /** Index of what loses least. */
  best: number;
}

/** What a kind makes of a brief; `null` where it asks nothing there. */
export type DrillQuestion = Pick<Drill, 'light' | 'given' | 'choices' | 'best'>;

export const FILM_SECONDS = 1;
/** Where one would not choose between so few there is nothing to ask. */
export const LEAST_CHOICES = 3;
export const MOST_CHOICES = 6;
/** An answer that loses less than this over the best is as good: what differs so little asks nothing. */
export const AS_GOOD = 0.05;

/** A way of filming as what comes back from it, beside the best. */
export function choiceOf(
  answer: DrillAnswer,
  offStops: number | null,
  way: Judged,
  best: Judged,
): DrillChoice {
  const { space, candidate } = way;
  const worse = changesFrom(space, best.loss, way.loss).costs;
  const { windowEvMin, windowEvMax, underStops, overStops } = exposureOf(space, candidate);
  return {
    answer,
    loss: Math.max(0, way.score - best.score),
    offStops,
    worse,
    film: {
      take: takeOf(space, candidate, {
        slowdown: space.brief.playback.slowdown,
        moment: momentOf(worse),
        filmSeconds: FILM_SECONDS,
      }),
      settings: settingsOf(space, candidate),
    },
    window: { windowEvMin, windowEvMax, underStops, overStops },
  };
}

/** The end of the light at which it is seen what gets worse. */
function momentOf(worse: readonly TermChange[]): LightMoment {
  const term = worse[0]?.term;
  return term === 'over' || term === 'strobing' || term === 'angle' ? 'bright' : 'dark';
}

/** So many of a list in order, round the one that matters, which stands at any place of them. */
export function roundAbout<T>(list: readonly T[], at: number, before: number, most = MOST_CHOICES): T[] {
  const from = Math.max(0, Math.min(at - before, list.length - most));
  return list.slice(from, from + most);
}

/** Of an octave that a card or cell is changed earlier than it needs to be. */
const CHANGED_EARLY = start(0.5, 'a stop that was not needed, and what is missed in it');

/**
 * What it costs to count on so many minutes where it lasts only so many: of a run longer than that the end is lost, as in
 * a day that is rehearsed; sooner than needed is a stop for nothing.
 */
export function countedOnLoss(minutes: number, lasts: number): number {
  return minutes > lasts
    ? LOST_CLIP * (1 - lasts / minutes)
    : CHANGED_EARLY.value * Math.log2(lasts / minutes);
}
