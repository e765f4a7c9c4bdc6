import { modesOf } from '@/core/camera/modeTable';
import type { WorkedDay, WorkedPart } from '@/core/day/workedDay';
import type { ClipFacts, Known, PlannedTake } from '@/core/inspect/matching';
import { isTimeLapse } from '@/core/records/filmedAs';
import type { Clip } from '@/core/records/clip';
import type { Wanted } from '@/workers/clips';

/** A day told as what clips are matched to: what each camera was to film, when, how long and how. */
export function takesOf({ parts }: WorkedDay): PlannedTake[] {
  return parts.map((part) => {
    const settings = part.answer?.carried?.settings;
    return {
      id: part.id,
      cameraId: part.camera.id,
      fromMs: part.fromMs,
      seconds: plannedSeconds(part),
      filmed:
        settings && !isTimeLapse(part.shot)
          ? { frameRate: settings.frameRate, width: settings.resolution.width }
          : null,
    };
  });
}

export function plannedSeconds({ stretches }: WorkedPart): number {
  return stretches.reduce((sum, { fromMs, toMs }) => sum + (toMs - fromMs) / 1000, 0);
}

/** What each camera of the day can film, for telling whose clips are whose. */
export function filmsOf({ cameras }: WorkedDay): Known['films'] {
  return Object.fromEntries(
    cameras.map(({ id, profile }) => {
      const modes = modesOf(profile).map(({ frameRate, resolution }) => ({
        frameRate,
        width: resolution.width,
      }));
      const once = new Map(modes.map((mode) => [`${mode.frameRate} ${mode.width}`, mode]));
      return [id, [...once.values()]];
    }),
  );
}

/** Folder and the letters that a name begins with: cameras count their clips behind them. */
export function groupOf(file: Pick<File, 'name' | 'webkitRelativePath'>): string {
  const folder = file.webkitRelativePath.split('/').slice(0, -1).join('/');
  const letters = /^[^\d]*/.exec(file.name)?.[0] ?? '';
  return `${folder}/${letters.toUpperCase()}`;
}

export function factsOfClip({ id, group, measured: { container } }: Clip): ClipFacts {
  return {
    id,
    group,
    startMs: container.createdAt === null ? null : Date.parse(container.createdAt),
    seconds: container.durationSeconds,
    frameRate: container.nominalFps,
    width: container.width,
    height: container.height,
  };
}

/** The shot that a clip is held against; `null`: none. */
export function wantedOf(part: WorkedPart | undefined): Wanted | null {
  if (!part) return null;
  const settings = part.answer?.carried?.settings ?? null;
  return { brief: part.brief, settings, recordSeconds: plannedSeconds(part) };
}

export function partOf(
  day: WorkedDay,
  { entryId, part }: Pick<Clip, 'entryId' | 'part'>,
): WorkedPart | undefined {
  return entryId === null ? undefined : day.partsOf(entryId).find((one) => one.part === part);
}
