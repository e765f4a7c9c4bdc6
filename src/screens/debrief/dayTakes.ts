import { usableGb } from '@/core/camera/card';
import { modesOf } from '@/core/camera/modeTable';
import { outsOf } from '@/core/day/daySheet';
import type { RunOut } from '@/core/day/daySheet';
import type { WorkedDay, WorkedPart } from '@/core/day/workedDay';
import { endedBy } from '@/core/inspect/ended';
import type { Ending } from '@/core/inspect/ended';
import { troubleIn } from '@/core/inspect/trouble';
import type { CamerasKnown } from '@/core/inspect/matching';
import type { PlannedTake } from '@/core/inspect/matchPath';
import type { ClipFacts } from '@/core/inspect/recordings';
import { isTimeLapse } from '@/core/records/filmedAs';
import { meanOf } from '@/core/inspect/series';
import type { Clip, Curves } from '@/core/records/clip';
import type { Outing, OutingDay } from '@/core/records/outing';
import type { Repository } from '@/store/repository';
import type { HeldAgainst } from '@/workers/clips';

/** A day that clips come back from. */
export interface Debriefed {
  repository: Repository;
  outing: Outing;
  day: OutingDay;
  worked: WorkedDay;
  /** As they are kept now. */
  kept: readonly Clip[];
}

/** A day told as what clips are matched to: what each camera was to film, when, how long and how. */
export function plannedTakes({ parts }: WorkedDay): PlannedTake[] {
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
export function filmsOf({ cameras }: WorkedDay): CamerasKnown['films'] {
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

/** The shot that a clip is held against; `null`: none. Of a recording in pieces the last is held to what is left of its length. */
export function wantedOf(
  part: WorkedPart | undefined,
  { piece, measured }: Clip,
  earlier: readonly Clip[] = [],
): HeldAgainst | null {
  if (!part) return null;
  const settings = part.answer?.carried?.settings ?? null;
  const before = piece ? piece.totalSeconds - measured.container.durationSeconds : 0;
  const goesOn = piece !== null && piece.number < piece.of;
  const { fromMs, brief } = part;
  return {
    brief,
    settings,
    recordSeconds: goesOn ? null : plannedSeconds(part) - before,
    trouble: troubleIn(
      brief.light,
      { fromMs: fromMs + 1000 * before, seconds: measured.container.durationSeconds },
      earlier,
    ),
  };
}

export function partOf(
  day: WorkedDay,
  { entryId, part }: Pick<Clip, 'entryId' | 'part'>,
): WorkedPart | undefined {
  return entryId === null ? undefined : day.partsOf(entryId).find((one) => one.part === part);
}

/** Why a clip ended, as far as the day's plan and its own last second tell. */
export function endingOf(clip: Clip, clips: readonly Clip[], day: WorkedDay): Ending {
  const { piece, curves, measured } = clip;
  const { durationSeconds } = measured.container;
  const part = partOf(day, clip);
  const camera = day.cameras.find(({ id }) => id === clip.cameraId);
  const out = (what: RunOut['what']): RunOut | undefined =>
    camera?.sheet && part
      ? outsOf(camera.sheet.budget).find((one) => one.what === what && one.partId === part.id)
      : undefined;
  const secondsTo = (one: RunOut | undefined): number | null =>
    one && part ? (one.atMs - part.fromMs) / 1000 : null;
  const untilFlat = secondsTo(out('power'));
  const untilHot = secondsTo(out('heat'));
  const cardGb = camera?.gear?.cards[0]?.capacityGb ?? part?.brief.limits.cardGb;
  const before = clips.filter(
    (one) => one.cameraId === clip.cameraId && (one.startAt ?? '') <= (clip.startAt ?? ''),
  );
  return endedBy({
    seconds: piece?.totalSeconds ?? durationSeconds,
    plannedSeconds: part ? plannedSeconds(part) : null,
    card:
      cardGb === undefined
        ? null
        : {
            filledGb: before.reduce((sum, one) => sum + one.measured.file.bytes / 1e9, 0),
            usableGb: usableGb(cardGb),
          },
    cell: untilFlat === null ? null : { drawnWh: durationSeconds, givesWh: untilFlat },
    heatMinutes: untilHot === null ? null : untilHot / 60,
    goesOn: piece !== null && piece.number < piece.of,
    lastSecondMoves: curves && lastSecond(curves),
  });
}

/** Movement of the last second over that of the rest; `null`: it was not looked at. */
function lastSecond({ speedPctWidthPerS, stepSeconds }: Curves): number | null {
  const points = Math.max(1, Math.round(1 / Math.max(0.01, stepSeconds)));
  const known = (some: readonly (number | null)[]): number[] => some.filter((value) => value !== null);
  const last = known(speedPctWidthPerS.slice(-points));
  const rest = known(speedPctWidthPerS.slice(0, -points));
  return last.length === 0 || rest.length === 0 ? null : meanOf(last) / Math.max(1, meanOf(rest));
}
