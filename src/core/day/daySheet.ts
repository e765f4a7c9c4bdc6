import type { CameraProfile } from '../camera/profile';
import { evRangeOf } from '../light/lightRange';
import type { Span } from '../light/sun/day';
import type { Gear } from '../records/outing';
import type { Settings } from '../records/settings';
import { windowOfSettings } from '../records/settingsWindow';
import { item } from '../units/items';
import { cameraBudget } from './budget';
import type { CameraBudget } from './budget';
import type { Cut } from './levels';
import { dayHoldOf } from './dayHold';
import type { DayHold } from './dayHold';
import { filterKey } from './partAnswer';
import type { PartAnswer } from './partAnswer';
import { partWorkOf } from './partWork';
import type { Memo } from './partWork';
import { camerasOf, chanceIn, partsOfCamera } from './schedule';
import type { DayPart, Schedule } from './schedule';
import type { PresetChoice } from './presets';
import { storedIn } from './storedSetups';
import type { Preset } from './storedSetups';
import { planFilterChanges } from './filterChanges';
import type { FilterChangePlan, FilterChangeStage } from './filterChanges';

/**
 * A whole day worked out: for every camera which filter it wears when, which set-ups are stored in it, and what it has
 * left; for every part the settings it is carried with.
 */
export interface DaySheet {
  /** By the id of the part. */
  parts: ReadonlyMap<string, PartSheet>;
  cameras: readonly CameraSheet[];
  /** The first thing of the day to run out; `null`: everything lasts. */
  firstOut: RunOut | null;
}

export type Resource = 'card' | 'power' | 'heat';

export interface RunOut extends Cut {
  cameraId: string;
  what: Resource;
}

export interface PartSheet {
  partId: string;
  /** By itself, whatever the rest of the day wants; `null`: no answer. */
  own: PartAnswer | null;
  /** As the day carries it: under the filter it wears then, from the set-up that serves it. */
  carried: PartAnswer | null;
  /** What of that the day decided; `null`: nothing. */
  held: DayHold | null;
  /** Place in its camera's set-ups; `null` where the camera stores none. */
  preset: number | null;
  /** What of its light is lost at either end as carried, stops. */
  overStops: number;
  underStops: number;
}

export interface FilterSwap {
  /** Before this part. */
  partId: string;
  window: Span;
  from: readonly string[];
  to: readonly string[];
}

export interface CameraSheet {
  cameraId: string;
  partIds: readonly string[];
  /** `null`: pinned filters leave no way, or no part has an answer. */
  filterChangePlan: FilterChangePlan | null;
  filterChanges: readonly FilterSwap[];
  presets: readonly Preset[];
  /** How well they serve; `null`: the camera stores none, or too few to serve all. */
  presetChoice: PresetChoice | null;
  budget: CameraBudget;
}

/** Works a day out. `shared` answers are kept in the memo from one call to the next. */
export function daySheet(day: Schedule, gear: readonly Gear[], memo: Memo = new Map()): DaySheet {
  const sheets = camerasOf(day.parts).map((camera) =>
    cameraSheet(camera, partsOfCamera(day.parts, camera.id), day, gear, memo),
  );
  const parts = new Map(sheets.flatMap(({ parts: own }) => own.map((part) => [part.partId, part] as const)));
  const cameras = sheets.map(({ camera }) => camera);
  return { parts, cameras, firstOut: firstOutOf(cameras.map(({ budget }) => budget)) };
}

/** Everything of a camera that runs out, the soonest first. */
export function outsOf({ cameraId, card, power, heat }: CameraBudget): RunOut[] {
  const outs: [Resource, Cut | null][] = [
    ['card', card.out],
    ['power', power.out],
    ['heat', heat.out],
  ];
  return outs
    .flatMap(([what, cut]) => (cut ? [{ cameraId, what, ...cut }] : []))
    .sort((a, b) => a.atMs - b.atMs);
}

function firstOutOf(budgets: readonly CameraBudget[]): RunOut | null {
  return budgets
    .flatMap(outsOf)
    .reduce<RunOut | null>((first, one) => (first && first.atMs <= one.atMs ? first : one), null);
}

function cameraSheet(
  camera: CameraProfile,
  parts: readonly DayPart[],
  day: Schedule,
  gear: readonly Gear[],
  memo: Memo,
): { parts: PartSheet[]; camera: CameraSheet } {
  const works = parts.map((part) => partWorkOf(part, memo));
  const asked = parts.flatMap((part, at) => {
    const work = item(works, at);
    return work.own ? [{ part, work, own: work.own }] : [];
  });
  const chances = asked.map(({ part }, at) => chanceBefore(asked, at, part, camera, day));
  const stages = asked.map(({ work }, at): FilterChangeStage => ({
    reachable: chances[at] !== null,
    loss: new Map([...work.byFilter].map(([key, { loss }]) => [key, loss])),
  }));
  const filterChangePlan = asked.length > 0 ? planFilterChanges(stages) : null;
  const worn = asked.map(({ work, own }, at) => {
    const key = filterChangePlan?.chosen.filters[at];
    return (key === undefined ? undefined : work.byFilter.get(key)) ?? own;
  });
  const filterChanges = asked.flatMap(({ part }, at): FilterSwap[] => {
    const [from, to] = [worn[at - 1], worn[at]];
    if (!from || !to || filterKey(from.settings.filter) === filterKey(to.settings.filter)) return [];
    const window = chances[at] ?? { fromMs: part.fromMs, toMs: part.fromMs };
    return [{ partId: part.id, window, from: from.settings.filter.ids, to: to.settings.filter.ids }];
  });
  const stored = storedIn(
    camera,
    asked.map(({ part, work }, at) => ({ part, work, answer: item(worn, at) })),
  );
  const carried = new Map(asked.map(({ part }, at) => [part.id, item(stored.answers, at)]));
  const row = asked.map(({ part, own }, at) => ({
    partId: part.id,
    own,
    worn: item(worn, at),
    carried: item(stored.answers, at),
    reachable: chances[at] !== null,
  }));
  const budget = cameraBudget(
    camera,
    asked.map(({ part }, at) => ({ part, answer: item(stored.answers, at) })),
    day,
    gear.find(({ cameraId }) => cameraId === camera.id),
  );
  return {
    parts: parts.map((part, at): PartSheet => {
      const answer = carried.get(part.id) ?? null;
      const preset = stored.presets.findIndex(({ partIds }) => partIds.includes(part.id));
      return {
        partId: part.id,
        own: item(works, at).own,
        carried: answer,
        held: dayHoldOf(
          row,
          row.findIndex(({ partId }) => partId === part.id),
          stored.presets,
          camera.presetSlots,
        ),
        preset: preset < 0 ? null : preset,
        ...lostLight(part, answer?.settings),
      };
    }),
    camera: {
      cameraId: camera.id,
      partIds: parts.map(({ id }) => id),
      filterChangePlan,
      filterChanges,
      presets: stored.presets,
      presetChoice: stored.choice,
      budget,
    },
  };
}

/** When the camera can be touched before this part; the first is got ready at home. */
function chanceBefore(
  asked: readonly { part: DayPart }[],
  at: number,
  part: DayPart,
  camera: CameraProfile,
  day: Schedule,
): Span | null {
  const before = asked[at - 1];
  if (!before) return { fromMs: part.fromMs, toMs: part.fromMs };
  return chanceIn(day.pauses, camera.id, { fromMs: before.part.toMs, toMs: part.fromMs });
}

/** The window is that of the open file's answers; the bright end bears the camera's guard before it goes white. */
function lostLight(part: DayPart, settings: Settings | undefined): { overStops: number; underStops: number } {
  if (!settings) return { overStops: 0, underStops: 0 };
  const { camera, brief } = part;
  const { evMin, evMax } = evRangeOf(brief.light);
  const window = windowOfSettings(settings, camera.fNumber);
  return {
    overStops: Math.max(0, evMax - window.evMax - camera.highlightGuardStops[settings.colour]),
    underStops: Math.max(0, window.evMin - evMin),
  };
}
