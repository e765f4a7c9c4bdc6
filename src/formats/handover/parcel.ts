import { backupOf } from '@/core/records/backupTexts';
import { noRecords } from '@/core/records/kinds';
import { RECORD_TABLES } from '@/core/records/kinds';
import type { Records, RecordTable } from '@/core/records/kinds';
import { cameBackFrom, outingFileOf, strayShots } from '@/core/records/outingFile';
import type { WantedRecords } from './wanted';

/** The kinds of records that a parcel is made of: no others need be read for it. */
export const PARCEL_OF: Readonly<Record<WantedRecords['what'], readonly RecordTable[]>> = {
  outing: ['outings', 'shots', 'clips', 'log', 'measured', 'removed'],
  shot: ['shots', 'measured'],
  kit: ['kit', 'learned', 'prices', 'measured'],
  everything: RECORD_TABLES,
};

/** What goes over, as a file of the open formats; measured clips are large, and go only when asked for. `null`: it is not here. */
export function parcelOf(
  wanted: WantedRecords,
  kept: Partial<Records>,
  { clips, now }: { clips: boolean; now: string },
): string | null {
  const all: Records = { ...noRecords(), ...kept, ...(clips ? {} : { clips: [] }) };
  const file = (records: Partial<Records>): string =>
    JSON.stringify(backupOf({ ...noRecords(), ...records }, now));
  switch (wanted.what) {
    case 'outing': {
      const outing = all.outings.find(({ id }) => id === wanted.id);
      if (!outing) return null;
      const ids = new Set(
        outing.days.flatMap(({ entries }) =>
          entries.flatMap((one) => (one.what === 'shot' ? [one.shotId] : [])),
        ),
      );
      return JSON.stringify(
        outingFileOf(
          outing,
          all.shots.filter(({ id }) => ids.has(id)),
          cameBackFrom(outing, all),
        ),
      );
    }
    case 'shot': {
      const shots = all.shots.filter(({ id }) => id === wanted.id);
      const measured = all.measured.filter(({ of }) => 'shotId' in of && of.shotId === wanted.id);
      return shots.length > 0 ? file({ shots, measured }) : null;
    }
    case 'kit':
      return file({
        kit: all.kit,
        learned: all.learned,
        prices: all.prices,
        measured: all.measured.filter(({ of }) => 'kitId' in of),
      });
    case 'everything':
      return file(all);
  }
}

/** How many entries of what goes over name a shot that is no longer here, and so does not go with them. */
export function straysOf(wanted: WantedRecords, { outings = [], shots = [] }: Partial<Records>): number {
  const ids = new Set(shots.map(({ id }) => id));
  return outings
    .filter(({ id }) => wanted.what === 'everything' || ('id' in wanted && wanted.id === id))
    .reduce((sum, outing) => sum + strayShots(outing, ids).length, 0);
}
