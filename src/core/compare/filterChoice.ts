import { shutterAngleDeg } from '../playback/shutterAngle';
import { wearable } from '../filters/bag';
import { filterSettings } from '../filters/kit';
import type { Filter, FilterSetting } from '../filters/kit';
import type { Brief } from '../brief/brief';
import type { Pins } from '../records/settings';
import { exposureOf } from '../search/candidate';
import type { Candidate } from '../search/candidate';
import { changesFrom, judgedBy } from '../search/judged';
import type { TermChange } from '../search/judged';
import type { Space } from '../search/space';
import type { Loss } from '../loss/table';

/** One filter on this shot, its shutter held or left to run, everything else as the answer has it. */
export interface FilterTry {
  filter: FilterSetting;
  shutterMode: 'fixed' | 'auto';
  /** Longest shutter set, and what the camera takes at the bright end, seconds. */
  longestSeconds: number;
  brightSeconds: number;
  /** Shutter angle at both ends of the light, degrees. */
  darkAngleDeg: number;
  brightAngleDeg: number;
  iso: { min: number; max: number };
  overStops: number;
  underStops: number;
  guardStops: number;
  /** On the answer's own scale. */
  score: number;
  /** Against the answer. */
  gains: TermChange[];
  costs: TermChange[];
  /** It is the answer itself. */
  chosen: boolean;
}

/** Every filter of the kit with a held and with a running shutter, in the frame of the answer; the best first. */
export function filterTries(space: Space, chosen: Candidate, loss: Loss): FilterTry[] {
  const { brief } = space;
  const modes = brief.camera.shutter.auto ? (['fixed', 'auto'] as const) : (['fixed'] as const);
  const same = (filter: FilterSetting, shutterMode: FilterTry['shutterMode']): boolean =>
    filter.ids.join() === chosen.filter.ids.join() &&
    Math.abs(filter.stops - chosen.filter.stops) < 1e-6 &&
    (shutterMode === 'auto') === chosen.shutter.spanStops > 0;
  return (
    filterSettings(wearable(brief))
      .flatMap((filter) => modes.map((shutterMode) => tried(space, chosen, loss, filter, shutterMode)))
      .filter((one) => one !== null)
      .map((one) => ({ ...one, chosen: same(one.filter, one.shutterMode) }))
      .sort((a, b) => a.score - b.score || Number(b.chosen) - Number(a.chosen))
      // Of a variable filter's settings the best stands for all, and the answer's for itself.
      .filter(
        (one, at, all) =>
          one.chosen ||
          all.findIndex(
            (other) =>
              other.shutterMode === one.shutterMode && other.filter.ids.join() === one.filter.ids.join(),
          ) === at,
      )
  );
}

function tried(
  space: Space,
  chosen: Candidate,
  loss: Loss,
  filter: FilterSetting,
  shutterMode: FilterTry['shutterMode'],
): FilterTry | null {
  const judged = judgedBy(space, withFilter(space.brief, chosen, filter, shutterMode), space.school.id);
  if (!judged) return null;
  const { candidate, score } = judged;
  const exposure = exposureOf(judged.space, candidate);
  const fps = candidate.mode.frameRate;
  const brightSeconds = 2 ** exposure.brightLog;
  return {
    filter,
    shutterMode,
    longestSeconds: candidate.shutter.longestSeconds,
    brightSeconds,
    darkAngleDeg: shutterAngleDeg(fps, 2 ** exposure.darkLog),
    brightAngleDeg: shutterAngleDeg(fps, brightSeconds),
    iso: { min: candidate.iso.min, max: candidate.iso.max },
    overStops: exposure.overStops,
    underStops: exposure.underStops,
    guardStops: candidate.colour.sensor.guardStops,
    score,
    ...changesFrom(space, loss, judged.loss),
    chosen: false,
  };
}

/** The brief with the answer's frame held, this filter on, and the shutter held or running. */
function withFilter(
  brief: Brief,
  { mode }: Candidate,
  filter: FilterSetting,
  shutterMode: FilterTry['shutterMode'],
): Brief {
  const { shutterFloorSeconds, ...kept } = brief.pins;
  const pins: Pins = {
    ...kept,
    ...(shutterMode === 'auto' && shutterFloorSeconds !== undefined ? { shutterFloorSeconds } : {}),
    frameRate: mode.frameRate,
    resolution: { width: mode.resolution.width, height: mode.resolution.height },
    view: { id: mode.view.id },
    stabilization: mode.stabilization,
    filter: { ids: [...filter.ids], stops: filter.stops },
    shutterMode,
  };
  return { ...brief, pins };
}

/**
 * The best with a running shutter against the best with a held one; `null` where the camera has only one kind. Beside
 * them the usual argument among plain neutral filters: the best held one that spares the bright end, and the next
 * lighter with the shutter running.
 */
export interface RunOrHold {
  run: FilterTry;
  hold: FilterTry;
  plain: { lighter: FilterTry; held: FilterTry } | null;
}

export function runOrHold(tries: readonly FilterTry[], kit: readonly Filter[]): RunOrHold | null {
  const run = tries.find(({ shutterMode }) => shutterMode === 'auto');
  const hold = tries.find(({ shutterMode }) => shutterMode === 'fixed');
  if (!run || !hold) return null;
  const isPlain = ({ filter: { ids } }: FilterTry): boolean =>
    ids.length === 1 && kit.find(({ id }) => id === ids[0])?.kind === 'nd';
  const whiteOf = ({ overStops, guardStops }: FilterTry): number =>
    Math.max(0, overStops - guardStops - DISTINCT_STOPS);
  const held = tries
    .filter((one) => one.shutterMode === 'fixed' && isPlain(one))
    .sort((a, b) => whiteOf(a) - whiteOf(b) || a.score - b.score)[0];
  const lighter =
    held &&
    tries
      .filter(
        (one) =>
          one.shutterMode === 'auto' && isPlain(one) && one.filter.stops < held.filter.stops - DISTINCT_STOPS,
      )
      .sort((a, b) => b.filter.stops - a.filter.stops)[0];
  return { run, hold, plain: held && lighter ? { lighter, held } : null };
}

/** Two filters closer than this are the same choice, stops. */
const DISTINCT_STOPS = 0.05;
