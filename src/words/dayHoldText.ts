import * as messages from '@/language/words/dayHold';
import type { DayHold } from '@/core/day/dayHold';
import type { Filter } from '@/core/filters/kit';
import type { SettingKey } from '@/core/records/settings';
import { settingText } from './settingText';
import type { FilterNotation } from './settingText';

/** Why a day holds one setting of a shot, and what the shot would take by itself. */
export interface HeldText {
  why: string;
  /** "alone it would take ND4". */
  alone: string;
  /** What taking that is called: "Take ND4". */
  take: string;
}

/** `null`: the day holds nothing of this setting. `nameOf` names another part of the day. */
export function heldText(
  { filter, setup, alone }: DayHold,
  setting: SettingKey,
  nameOf: (partId: string) => string,
  kit: readonly Filter[],
  notation: FilterNotation,
): HeldText | null {
  const why =
    setting === 'filter'
      ? filter && filterWhy(filter, nameOf)
      : setup?.settings.includes(setting)
        ? setupWhy(setup.withPartIds.map(nameOf))
        : null;
  if (why === null) return null;
  const value = settingText(setting, alone, kit, notation);
  return { why, alone: messages.aloneItWouldTake({ value }), take: messages.takeValue({ value }) };
}

function filterWhy(
  { why, withPartId }: NonNullable<DayHold['filter']>,
  nameOf: (id: string) => string,
): string {
  if (withPartId === null) return why === 'noBreak' ? messages.noBreak : messages.notWorth;
  const name = nameOf(withPartId);
  return why === 'noBreak' ? messages.noBreakWith({ name }) : messages.notWorthWith({ name });
}

function setupWhy(names: readonly string[]): string {
  const [first, ...others] = names;
  return first === undefined
    ? messages.setupShared
    : messages.setupSharedWith({ name: first, others: others.length });
}
