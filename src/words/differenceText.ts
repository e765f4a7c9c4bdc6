import type { Difference, PathStep } from '@/core/merge/differences';
import { WHOLE } from '@/core/merge/differences';
import { trimmed } from '@/core/units/format';
import * as messages from '@/language/words/difference';
import { viewLabel } from './labels';

const FIELDS: Readonly<Record<string, string>> = messages.field;

/** What a key of a record is called. */
export function fieldText(key: string): string {
  return FIELDS[key] ?? viewLabel(key);
}

/** "motion, speed of travel, m/s: 6 → 8" */
export function differenceText({ path, from, to }: Difference): string {
  const what = path.reduce<string>((outer, step) => {
    const inner = stepText(step);
    return inner === null ? outer : outer === '' ? inner : messages.within({ outer, inner });
  }, '');
  const last = path.at(-1);
  if (last && 'item' in last) return from === undefined ? messages.added({ what }) : messages.gone({ what });
  const whole = last && WHOLE.has(last.key);
  const [old, now] = [valueText(from), valueText(to)];
  if (whole || old === null || now === null || old === now)
    return messages.changed({
      what,
      from: from === undefined ? messages.none : '…',
      to: to === undefined ? messages.none : messages.something,
    });
  return messages.changed({ what, from: old, to: now });
}

/** A list is told by its items: "3 Oct" for a day, "10:10" for what is done on it. */
function stepText(step: PathStep): string | null {
  if ('key' in step) {
    // A shot lies in its record, a thing in its item: the reader knows already that it is one.
    return ['shot', 'thing', 'days', 'entries'].includes(step.key) ? null : fieldText(step.key);
  }
  const { item } = step;
  const name = ['name', 'date', 'at', 'cameraId', 'slot', 'id'].find((key) => item[key] !== undefined);
  return name === undefined ? null : String(item[name]);
}

/** `null`: it cannot be told in a word or two. */
function valueText(value: unknown): string | null {
  if (value === undefined || value === null || value === '') return messages.none;
  if (typeof value === 'number') return trimmed(value, 4);
  if (typeof value === 'boolean') return value ? messages.yes : messages.no;
  if (typeof value === 'string') return /^[a-z]+[A-Za-z]*$/.test(value) ? viewLabel(value) : value;
  if (!Array.isArray(value)) return null;
  const each = value.map(valueText);
  const short = each.filter((one) => one !== null);
  return short.length === each.length && short.length <= 6
    ? short.join(', ') || messages.none
    : messages.items({ count: value.length });
}
