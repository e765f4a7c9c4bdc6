import { backupOf } from '@/core/records/backup';
import { noRecords } from '@/core/records/kinds';
import type { Records } from '@/core/records/kinds';
import { cameBackFrom, outingFileOf } from '@/core/records/outingFile';
import type { Wanted } from './wanted';

/** What goes over, as a file of the open formats; measured clips are large, and go only when asked for. `null`: it is not here. */
export function parcelOf(
  wanted: Wanted,
  kept: Records,
  { clips, now }: { clips: boolean; now: string },
): string | null {
  const all: Records = clips ? kept : { ...kept, clips: [] };
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
