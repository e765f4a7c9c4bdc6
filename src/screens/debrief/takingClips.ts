import * as messages from '@/language/debrief';
import { recordingsIn } from '@/core/inspect/recordings';
import type { DayMatch } from '@/core/inspect/matching';
import type { Clip } from '@/core/records/clip';
import type { WorkedDay } from '@/core/day/workedDay';
import type { Repository } from '@/store/repository';
import { isoIn } from '@/formats/clock';
import { faultText } from '@/words/faultText';
import { judgeClip, lookAtClip, matchClips } from '@/workers/clips';
import { soundsBeside } from '../files/clipFiles';
import { putLook, refuse, useClipFiles } from './clipFiles';
import { factsOfClip, filmsOf, partOf, plannedTakes, wantedOf } from './dayTakes';
import type { Debriefed } from './dayTakes';
import { allOpened } from './openingClips';
import { whyText } from '@/words/whyText';

/** Takes files in: opens each, finds its shot, keeps what its container says, and then looks at one after the other. */
export async function takeClips(given: readonly File[], on: Debriefed): Promise<void> {
  const { repository } = on;
  const beside = soundsBeside(given);
  const sounds = new Set(beside.values());
  const files = given.filter((file) => !sounds.has(file));
  const fresh = (await allOpened(files, beside, on)).filter((clip) => clip !== null);
  if (fresh.length === 0) return;
  const placed = placedBy(await matched([...on.kept, ...fresh], on), [...on.kept, ...fresh], on);
  const others = placed.filter((clip) => moved(clip, on.kept));
  await repository.keepClips([
    ...placed.filter((clip) => fresh.some(({ id }) => id === clip.id)),
    ...(await Promise.all(
      others.map(async (clip) => ({
        ...clip,
        filmed: partOf(on.worked, clip)?.answer?.carried?.settings ?? null,
        measured: await judgeClip(clip, wantedOf(partOf(on.worked, clip), clip)),
      })),
    )),
  ]);
  await lookAtAll(
    placed.filter(({ id }) => fresh.some((one) => one.id === id)),
    'quick',
    on,
  );
}

interface Placed {
  match: DayMatch;
  /** By clip: the first piece of its recording, and which piece it is. */
  pieces: ReadonlyMap<string, { firstId: string; piece: Clip['piece'] }>;
}

/** Pieces of one recording are matched as the one that they are. */
async function matched(clips: readonly Clip[], { worked, outing }: Debriefed): Promise<Placed> {
  const pieces = new Map<string, { firstId: string; piece: Clip['piece'] }>();
  const recordings = recordingsIn(clips.map(factsOfClip)).map((facts) => {
    const [first] = facts;
    const totalSeconds = facts.reduce((sum, { seconds }) => sum + seconds, 0);
    facts.forEach(({ id }, at) =>
      pieces.set(id, {
        firstId: first?.id ?? id,
        piece: facts.length === 1 ? null : { number: at + 1, of: facts.length, totalSeconds },
      }),
    );
    return first ? [{ ...first, seconds: totalSeconds }] : [];
  });
  const { fromMs } = worked;
  // Local time read as if it were universal, less what it is.
  const zoneAheadMs = Date.parse(`${isoIn(fromMs, outing.zone).slice(0, 19)}Z`) - fromMs;
  const known = { films: filmsOf(worked), zoneAheadMs };
  return { match: await matchClips(recordings.flat(), plannedTakes(worked), known), pieces };
}

/** Clips where the match puts them; what a hand put somewhere stays there. */
function placedBy({ match, pieces }: Placed, clips: readonly Clip[], { worked }: Debriefed): Clip[] {
  const found = new Map(match.clips.map((one) => [one.clipId, one]));
  return clips.map((clip): Clip => {
    const recording = pieces.get(clip.id);
    const one = found.get(recording?.firstId ?? clip.id);
    if (clip.byHand || !one) return clip;
    const part = one.takeId === null ? undefined : worked.part(one.takeId);
    const other = one.otherTakeId === null ? undefined : worked.part(one.otherTakeId);
    const ahead = match.clockAheadSeconds[one.cameraId] ?? 0;
    const { createdAt } = clip.measured.container;
    return {
      ...clip,
      cameraId: one.cameraId,
      entryId: part?.entryId ?? null,
      part: part?.part ?? 0,
      doubt: one.doubt,
      piece: recording?.piece ?? null,
      other: other ? { entryId: other.entryId, part: other.part } : null,
      startAt: createdAt === null ? null : new Date(Date.parse(createdAt) - 1000 * ahead).toISOString(),
    };
  });
}

function moved(clip: Clip, before: readonly Clip[]): boolean {
  const old = before.find(({ id }) => id === clip.id);
  return (
    old !== undefined &&
    (old.entryId !== clip.entryId ||
      old.part !== clip.part ||
      old.piece?.of !== clip.piece?.of ||
      old.startAt !== clip.startAt)
  );
}

/** Clips whose shot is likeliest to have failed come first; those of no shot last. */
function worstFirst(clips: readonly Clip[], worked: WorkedDay): Clip[] {
  const risk = (clip: Clip): number => {
    const part = partOf(worked, clip);
    const answer = part?.answer;
    return part
      ? 1 + (answer ? answer.overStops + answer.underStops + (answer.carried?.loss ?? 0) / 10 : 0)
      : 0;
  };
  return [...clips].sort((one, other) => risk(other) - risk(one));
}

/** Looks at clips one after the other, the likely worst first; each is kept as soon as it is known. */
export async function lookAtAll(
  clips: readonly Clip[],
  how: 'quick' | 'whole',
  { repository, worked }: Pick<Debriefed, 'repository' | 'worked'>,
): Promise<void> {
  const queue = worstFirst(clips, worked);
  useClipFiles.setState(({ waiting }) => ({ waiting: [...waiting, ...queue.map(({ id }) => id)] }));
  for (const { id } of queue) {
    const { files, waiting } = useClipFiles.getState();
    const file = files.get(id);
    // Taken off the list meanwhile: it is no longer wanted.
    if (!waiting.includes(id) || !file) continue;
    useClipFiles.setState({ waiting: waiting.filter((one) => one !== id) });
    const clip = await repository.queries.one('clips', id);
    if (clip) await lookAtOne(clip, file, how, { repository, worked });
  }
}

async function lookAtOne(
  clip: Clip,
  file: File,
  how: 'quick' | 'whole',
  { repository, worked }: Pick<Debriefed, 'repository' | 'worked'>,
): Promise<void> {
  const part = partOf(worked, clip);
  const wanted = wantedOf(part, clip, part ? await earlierOf(part.shotId, clip, repository) : []);
  // A word of progress may still be on its way when the look has ended.
  let ended = false;
  const beside = useClipFiles.getState().sounds.get(clip.id) ?? null;
  const { container, file: kept } = clip.measured;
  // A clip of the sample outing, drawn again, may be another file than the one that was measured.
  const known = kept.bytes === file.size ? { container, cutShort: clip.cutShort } : null;
  const { done, stop } = lookAtClip({ file, beside, known }, file.name, how, wanted, (share) => {
    if (!ended) putLook(clip.id, { share, stop });
  });
  putLook(clip.id, { share: 0, stop });
  try {
    const read = await done;
    if (read === null) return;
    if (!read.ok) {
      refuse(file.name, read.faults.map(faultText).join('; '));
      return;
    }
    await repository.changeClip(clip.id, messages.measureAClip, (before) => ({ ...before, ...read.value }));
  } catch (error) {
    refuse(file.name, whyText(error));
  } finally {
    ended = true;
    putLook(clip.id, null);
  }
}

/** What came back of the same shot before. */
async function earlierOf(shotId: string, { id }: Clip, { queries }: Repository): Promise<Clip[]> {
  return (await queries.clipsOfShot(shotId)).filter((one) => one.id !== id);
}

/** Puts a clip to another shot by hand, or to none, and holds what was measured against that. */
export async function moveClip(
  clip: Clip,
  to: { entryId: string; part: number } | null,
  { repository, worked }: Pick<Debriefed, 'repository' | 'worked'>,
): Promise<void> {
  const part = to ? partOf(worked, to) : undefined;
  const measured = await judgeClip(clip, wantedOf(part, clip));
  await repository.changeClip(clip.id, messages.moveAClip, (before) => ({
    ...before,
    entryId: to?.entryId ?? null,
    part: to?.part ?? 0,
    cameraId: part?.camera.id ?? before.cameraId,
    doubt: 0,
    other: null,
    byHand: true,
    filmed: part?.answer?.carried?.settings ?? null,
    measured,
  }));
}
