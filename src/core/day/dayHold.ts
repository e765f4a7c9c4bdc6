import { pinsOf } from '../compare/variants';
import type { Pins, SettingKey, Settings } from '../records/settings';
import { filterKey } from './partAnswer';
import type { PartAnswer } from './partAnswer';

/**
 * What a day decides of a shot that it would not take by itself: the filter its camera wears then, the set-up that
 * serves it. The shot under these pins has the answer that the day carries, to the last setting.
 */
export interface DayHold {
  /** Beside the person's own. */
  pins: Pins;
  /** What it would be filmed with, were it alone. */
  alone: Settings;
  /** What that saves the rest of the day costs this shot, loss. */
  addedLoss: number;
  filter: FilterHold | null;
  setup: SetupHold | null;
}

interface FilterHold {
  /** Its filter cannot be changed there, or a change gains too little. */
  why: 'noBreak' | 'notWorth';
  /** The shot before or after that wears the same; `null` where no neighbour does. */
  withPartId: string | null;
}

interface SetupHold {
  /** Settings that the shared set-up decides otherwise. */
  settings: readonly SettingKey[];
  /** The others that it serves. */
  withPartIds: readonly string[];
  slots: number;
}

/** One part in the row of its camera's parts. */
export interface PartInRow {
  partId: string;
  own: PartAnswer;
  /** Under the filter it wears, before set-ups are shared. */
  worn: PartAnswer;
  carried: PartAnswer;
  /** Whether the camera can be touched just before. */
  reachable: boolean;
}

/** `null`: the day carries it as it would be filmed alone. A time-lapse follows its own plan and is held by none. */
export function dayHoldOf(
  row: readonly PartInRow[],
  at: number,
  presets: readonly { partIds: readonly string[] }[],
  slots: number,
): DayHold | null {
  const placed = row[at];
  if (!placed || placed.carried.intervalSeconds !== null) return null;
  const { partId, own, worn, carried } = placed;
  const filter =
    filterKey(own.settings.filter) === filterKey(worn.settings.filter) ? null : filterHold(row, at);
  const shared = otherSettings(worn.settings, carried.settings);
  const preset = presets.find(({ partIds }) => partIds.includes(partId));
  const setup =
    shared.length === 0
      ? null
      : { settings: shared, withPartIds: (preset?.partIds ?? []).filter((id) => id !== partId), slots };
  if (!filter && !setup) return null;
  const { ids } = carried.settings.filter;
  return {
    pins: setup ? { ...pinsOf(carried.settings), filter: { ids: [...ids] } } : { filter: { ids: [...ids] } },
    alone: own.settings,
    addedLoss: carried.loss - own.loss,
    filter,
    setup,
  };
}

function filterHold(row: readonly PartInRow[], at: number): FilterHold {
  const [before, here, after] = [row[at - 1], row[at], row[at + 1]];
  const wearsTheSame = (other: PartInRow | undefined): boolean =>
    other !== undefined &&
    here !== undefined &&
    filterKey(other.worn.settings.filter) === filterKey(here.worn.settings.filter);
  const tiedBefore = before !== undefined && here?.reachable === false;
  const tiedAfter = after !== undefined && !after.reachable;
  const neighbours = tiedAfter && !tiedBefore ? [after, before] : [before, after];
  return {
    why: tiedBefore || tiedAfter ? 'noBreak' : 'notWorth',
    withPartId: neighbours.find(wearsTheSame)?.partId ?? null,
  };
}

function otherSettings(a: Settings, b: Settings): SettingKey[] {
  const keys = [...new Set([...Object.keys(a), ...Object.keys(b)])] as SettingKey[];
  return keys.filter((key) => key !== 'filter' && JSON.stringify(a[key]) !== JSON.stringify(b[key]));
}
