import { briefOf } from '../brief/brief';
import type { Brief } from '../brief/brief';
import { proposedVerdicts } from '../inspect/verdicts';
import { logbookOf } from '../inspect/logbook';
import type { Recording } from '../inspect/logbook';
import type { WallClock } from '../day/schedule';
import type { Clip } from '../records/clip';
import type { LogEntry } from '../records/logEntry';
import type { CutReason, Verdict } from '../vocabulary/verdicts';
import type { MeasuredRecord } from '../records/measured';
import type { Outing, OutingDay } from '../records/outing';
import { shotOfPart } from '../records/secondAngles';
import type { Settings } from '../records/settings';
import type { Shot } from '../records/shot';
import type { ShotRecord } from '../records/shotRecord';
import { omit } from '../units/omit';

/** All that is kept of what was filmed. */
export interface Kept {
  shots: readonly ShotRecord[];
  outings: readonly Outing[];
  log: readonly LogEntry[];
  clips: readonly Clip[];
  measured: readonly MeasuredRecord[];
}

/** One clip, or one recording of which no clip came: what it was filmed for and at, and what came of it. */
export interface FilmedTake {
  id: string;
  atMs: number;
  /** By which takes of one day stand together: "2026-10-03". */
  date: string;
  /** Of that day, by the clock there. */
  hour: number;
  brief: Brief;
  settings: Settings;
  /** How long it ran, and all pieces of its recording together; `null`: nobody knows. */
  seconds: number | null;
  recordingSeconds: number | null;
  pictures: Clip['measured']['pictures'];
  bitRateMbps: number | null;
  rawShake: Clip['rawShake'];
  /** The person's, or where they gave none what was found in the whole of it; `null`: nobody judged. */
  verdicts: ReadonlySet<Verdict> | null;
  cutReason: CutReason | null;
  /** The day of an outing that it belongs to. */
  day: PlannedDay | null;
}

/** Everything that was filmed at settings that are known, each by itself. */
export function takesOf({ shots, outings, log, clips }: Kept, clock: ClockIn): FilmedTake[] {
  const all = outings.flatMap((outing) => outing.days.map((day) => ({ outing, day })));
  const planned = new Map<string, PlannedDay[]>();
  for (const one of all)
    for (const entry of one.day.entries)
      if (entry.what === 'shot') planned.set(entry.shotId, [...(planned.get(entry.shotId) ?? []), one]);
  const around: Around = {
    kept: new Map(shots.map(({ id, shot }) => [id, shot])),
    days: new Map(all.map((one) => [`${one.outing.id} ${one.day.id}`, one])),
    planned,
    clock,
  };
  return logbookOf(log, clips, outings).flatMap((recording) => {
    const its = recording.clips.flatMap((clip) => takeOfClip(clip, recording, around) ?? []);
    if (its.length > 0) return its;
    return recording.entry ? [takeOfEntry(recording.entry, recording, around)] : [];
  });
}

/** Instants of the clock times of a zone. */
export type ClockIn = (zone: string) => WallClock;

interface PlannedDay {
  outing: Outing;
  day: OutingDay;
}

interface Around {
  kept: ReadonlyMap<string, Shot>;
  days: ReadonlyMap<string, PlannedDay>;
  /** Days on which a shot stands in the plan, by the shot. */
  planned: ReadonlyMap<string, readonly PlannedDay[]>;
  clock: ClockIn;
}

function takeOfClip(
  clip: Clip,
  { entry, shotId, atMs }: Recording,
  { kept, days, clock }: Around,
): FilmedTake | null {
  const shot = entry?.shot ?? (shotId === null ? undefined : kept.get(shotId));
  const settings = clip.filmed ?? (clip.part === 0 ? entry?.settings : undefined);
  // What was filmed off the plan says nothing of the figures behind the plan.
  if (!shot || !settings) return null;
  const { measured, looked } = clip;
  const startMs = clip.startAt === null ? atMs : Date.parse(clip.startAt);
  const { brief } = briefOf(usualShot(shotOfPart(shot, clip.part)));
  const day = days.get(`${clip.outingId} ${clip.dayId}`) ?? null;
  return {
    id: clip.id,
    atMs: startMs,
    ...whenOf(startMs, day, shot, clock),
    brief,
    settings,
    seconds: measured.container.durationSeconds,
    recordingSeconds: clip.piece?.totalSeconds ?? measured.container.durationSeconds,
    pictures: measured.pictures,
    bitRateMbps: measured.container.bitRateMbps,
    rawShake: clip.rawShake,
    verdicts: verdictsOf(
      clip.part === 0 ? [...clip.verdicts, ...(entry?.verdicts ?? [])] : clip.verdicts,
      looked === 'whole' && measured.pictures
        ? () => proposedVerdicts({ findings: measured.findings, pictures: measured.pictures }, brief.mount)
        : null,
    ),
    cutReason: clip.cutReason ?? (clip.part === 0 ? entry?.cutReason : undefined) ?? null,
    day,
  };
}

function takeOfEntry(entry: LogEntry, { atMs }: Recording, { planned, clock }: Around): FilmedTake {
  const { brief } = briefOf(usualShot(shotOfPart(entry.shot, 0)));
  // The day on which it stands in the plan, by the clock there, tells how warm it was; of several the first is meant.
  const day =
    planned
      .get(entry.shotId)
      ?.find(({ outing, day: { date } }) => dateOn(clock(outing.zone), atMs) === date) ?? null;
  return {
    id: entry.id,
    atMs,
    ...whenOf(atMs, day, entry.shot, clock),
    brief,
    settings: entry.settings,
    seconds: entry.clip?.seconds ?? null,
    recordingSeconds: entry.clip?.seconds ?? null,
    pictures: null,
    bitRateMbps: null,
    rawShake: null,
    verdicts: verdictsOf(entry.verdicts, null),
    cutReason: entry.cutReason ?? null,
    day,
  };
}

/** What is learned is held against what is usual, not against what was learned before. */
function usualShot(shot: Shot): Shot {
  return shot.learned ? omit(shot, 'learned') : shot;
}

/** Filmed in no plan, by the clock where the shot's sun stands; where that is not known either, by the universal one. */
function whenOf(
  atMs: number,
  day: FilmedTake['day'],
  { light }: Shot,
  clock: ClockIn,
): Pick<FilmedTake, 'date' | 'hour'> {
  const zone = day?.outing.zone ?? (light?.kind === 'sun' ? light.zone : undefined) ?? 'UTC';
  const date = day?.day.date ?? dateOn(clock(zone), atMs);
  const midnightMs = clock(zone)(date, '00:00');
  return { date, hour: Math.min(24, Math.max(0, (atMs - midnightMs) / 3_600_000)) };
}

/** The date that a clock on the wall shows at an instant: no zone is a whole day from the universal date. */
function dateOn(clock: WallClock, atMs: number): string {
  const dates = [1, 0, -1].map((days) => new Date(atMs + days * 86_400_000).toISOString().slice(0, 10));
  return dates.find((date) => clock(date, '00:00') <= atMs) ?? new Date(atMs).toISOString().slice(0, 10);
}

function verdictsOf(
  given: readonly Verdict[],
  found: (() => readonly Verdict[]) | null,
): ReadonlySet<Verdict> | null {
  if (given.length > 0) return new Set(given);
  return found ? new Set(found()) : null;
}
