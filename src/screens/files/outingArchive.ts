import { logbookOf } from '@/core/inspect/logbook';
import type { Outing } from '@/core/records/outing';
import { cameBackFrom } from '@/core/records/outingFile';
import type { Came } from '@/core/records/outingFile';
import type { Shot } from '@/core/records/shot';
import type { ShotRecord } from '@/core/records/shotRecord';
import { EVERYTHING, outingFiles, zipped } from '@/formats/outing/archive';
import type { ArchiveFiles } from '@/formats/outing/archive';
import type { Repository } from '@/store/repository';
import { logCsv } from '@/formats/outing/logCsv';
import { cardPicture } from './cardPicture';
import { fileName } from './fileName';
import { workedDays } from '../data/workedDay';
import { dayPartName, shotName } from '@/words/shotName';

async function filesOf(
  outing: Outing,
  shots: ReadonlyMap<string, ShotRecord>,
  kept: Came,
): Promise<ArchiveFiles> {
  const came = cameBackFrom(outing, kept);
  const days = await workedDays(outing, shots);
  const pictures: { name: string; png: Uint8Array }[] = [];
  for (const day of days)
    for (const part of day.parts) {
      const answer = part.answer?.carried;
      if (answer)
        pictures.push({
          name: `${day.date}-${fileName(dayPartName(part))}-${fileName(part.id)}`,
          png: await cardPicture(part, answer, outing.zone),
        });
    }
  return outingFiles(fileName(outing.name), outing, [...shots.values()], days, pictures, {
    ...came,
    sheet: cameBackCsv(outing, shots, came),
  });
}

export async function outingZip(
  outing: Outing,
  shots: ReadonlyMap<string, ShotRecord>,
  kept: Came,
): Promise<Blob> {
  return zipped(await filesOf(outing, shots, kept));
}

/** What came back of an outing, as a sheet. */
export function cameBackCsv(outing: Outing, shots: ReadonlyMap<string, ShotRecord>, came: Came): string {
  const names = new Map([...shots].flatMap(([, { shot }]) => camerasOf(shot)));
  return logCsv(logbookOf(came.log, came.clips, [outing]), {
    nameOf: ({ entry, shotId }) => entry?.shotName ?? shotName(shots.get(shotId ?? '')?.shot),
    zoneOf: () => outing.zone,
    cameraNameOf: (id) => names.get(id) ?? id,
  });
}

function camerasOf(shot: Shot): [string, string][] {
  return [shot, ...(shot.secondAngles ?? [])].flatMap(({ camera }): [string, string][] =>
    camera && 'profile' in camera ? [[camera.profile.id, camera.profile.name]] : [],
  );
}

/** Everything kept, and every outing as its own files beside it. */
export async function everythingZip(repository: Repository): Promise<Blob> {
  const backup = await repository.backup();
  const shots = new Map(backup.shots.map((shot) => [shot.id, shot]));
  let files: ArchiveFiles = { [EVERYTHING]: new TextEncoder().encode(JSON.stringify(backup, null, 2)) };
  for (const outing of backup.outings) {
    const ids = new Set(
      outing.days.flatMap(({ entries }) =>
        entries.flatMap((one) => (one.what === 'shot' ? [one.shotId] : [])),
      ),
    );
    files = {
      ...files,
      ...(await filesOf(outing, new Map([...shots].filter(([id]) => ids.has(id))), backup)),
    };
  }
  return zipped(files);
}
