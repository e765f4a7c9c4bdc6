import { outingTaken, shotsTaken } from '@/core/changes/change';
import type { Change } from '@/core/changes/change';
import type { DayPart } from '@/core/day/schedule';
import type { Outing } from '@/core/records/outing';
import { OutingSchema } from '@/core/records/outing';
import { ShotSchema } from '@/core/records/shot';
import type { ShotInput } from '@/core/records/shot';
import type { ShotRecord } from '@/core/records/shotRecord';
import { FILE_VERSION } from '@/core/schema/versions';

/** Days made for tests. */
const AT = '2026-07-01T06:00:00Z';
/** The one day of a made outing, and its date. */
export const MADE_DAY = 'd';
export const MADE_DATE = '2026-07-01';

/** A shot as it is kept, under its id as its name unless it has one. */
export function recordOf(id: string, more: Partial<ShotInput> = {}): ShotRecord {
  return {
    id,
    createdAt: AT,
    updatedAt: AT,
    demo: false,
    ticked: [],
    shot: ShotSchema.parse({ kind: 'lynxeye/shot', version: FILE_VERSION, name: id, ...more }),
  };
}

/** An outing of one day with these entries; `air` is the day's. */
export function outingOf(
  entries: readonly object[],
  { air, gear = [], zone = 'UTC' }: { air?: object; gear?: readonly object[]; zone?: string } = {},
): Outing {
  return OutingSchema.parse({
    kind: 'lynxeye/outing',
    version: FILE_VERSION,
    id: 'o',
    createdAt: AT,
    updatedAt: AT,
    name: 'A day',
    zone,
    days: [{ id: MADE_DAY, date: MADE_DATE, ...(air ? { air } : {}), entries }],
    gear,
  });
}

/** Outing and shots with these changes taken, by someone in UTC; they fit their schemas. */
export function withChanges(
  outing: Outing,
  shots: ReadonlyMap<string, ShotRecord>,
  parts: readonly DayPart[],
  changes: readonly Change[],
): { outing: Outing; shots: ReadonlyMap<string, ShotRecord> } {
  const after = shotsTaken(parts, changes);
  const taken = outingTaken(outing, changes, {
    dayId: MADE_DAY,
    newId: () => 'new',
    breakName: 'Break',
    clockAt: (atMs) => new Date(atMs).toISOString().slice(11, 16),
  });
  return {
    outing: OutingSchema.parse(taken),
    shots: new Map(
      [...shots].map(([id, one]) => [id, { ...one, shot: after.get(id)?.(one.shot) ?? one.shot }]),
    ),
  };
}
