import type { Clip } from '../records/clip';
import type { FindingCode } from '../vocabulary/findings';
import type { LogEntry } from '../records/logEntry';
import type { Verdict } from '../vocabulary/verdicts';
import type { Outing } from '../records/outing';
import type { Shot } from '../records/shot';

/**
 * One recording as it is remembered: what was written when it was recorded, what came back of it, or both. The measures
 * stay with their clips and are found here, so that there is one of each.
 */
export interface Recording {
  id: string;
  /** When it began, milliseconds; of a clip whose file does not say, noon of its day. */
  atMs: number;
  entry: LogEntry | null;
  /** The main camera's first, each in the order they were filmed. */
  clips: readonly Clip[];
  /** `null`: it was not planned. */
  shotId: string | null;
  /** The clock that it is told by, where an outing says. */
  zone: string | null;
  cameraIds: readonly string[];
  findings: readonly FindingCode[];
  verdicts: readonly Verdict[];
}

/** Clips belong to what was written of the same shot not further from it than this. */
const SAME_DAY_MS = 18 * 3_600_000;

/** Every recording, the latest first. */
export function logbookOf(
  log: readonly LogEntry[],
  clips: readonly Clip[],
  outings: readonly Outing[],
): Recording[] {
  const plans = plansOf(outings);
  const entries = new Map<string, Timed[]>();
  for (const entry of log) {
    const own = { entry, atMs: Date.parse(entry.at) };
    const others = entries.get(entry.shotId);
    if (others) others.push(own);
    else entries.set(entry.shotId, [own]);
  }
  const came = new Map<LogEntry, Clip[]>();
  const alone = new Map<string, Clip[]>();
  for (const clip of [...clips].sort(byStart)) {
    const { shotId = null } = plans.get(placeOf(clip)) ?? {};
    const atMs = startOf(clip, plans);
    const near = nearestOf(shotId === null ? [] : (entries.get(shotId) ?? []), atMs);
    if (near) came.set(near, [...(came.get(near) ?? []), clip]);
    else {
      const key = clip.entryId === null ? clip.id : placeOf(clip);
      alone.set(key, [...(alone.get(key) ?? []), clip]);
    }
  }
  return [
    ...log.map((entry) => recordingOf(entry, came.get(entry) ?? [], plans)),
    ...[...alone.values()].map((few) => recordingOf(null, few, plans)),
  ].sort((one, other) => other.atMs - one.atMs);
}

interface Plan {
  shotId: string | null;
  zone: string;
  noonMs: number;
}

/** Of every entry, and of every day for what was not planned. */
function plansOf(outings: readonly Outing[]): ReadonlyMap<string, Plan> {
  return new Map(
    outings.flatMap(({ id, zone, days }) =>
      days.flatMap((day): [string, Plan][] => {
        const noonMs = Date.parse(`${day.date}T12:00:00Z`);
        return [
          [`${id} ${day.id} `, { shotId: null, zone, noonMs }],
          ...day.entries.flatMap((entry): [string, Plan][] =>
            entry.what === 'shot'
              ? [[`${id} ${day.id} ${entry.id}`, { shotId: entry.shotId, zone, noonMs }]]
              : [],
          ),
        ];
      }),
    ),
  );
}

function placeOf({ outingId, dayId, entryId }: Clip): string {
  return `${outingId} ${dayId} ${entryId ?? ''}`;
}

function startOf(clip: Clip, plans: ReadonlyMap<string, Plan>): number {
  return clip.startAt === null ? (plans.get(placeOf(clip))?.noonMs ?? 0) : Date.parse(clip.startAt);
}

/** The main camera first, and each in the order it was filmed. */
function byStart(one: Clip, other: Clip): number {
  return one.part - other.part || (one.startAt ?? '').localeCompare(other.startAt ?? '');
}

interface Timed {
  entry: LogEntry;
  atMs: number;
}

function nearestOf(entries: readonly Timed[], atMs: number): LogEntry | null {
  const off = (one: Timed): number => Math.abs(one.atMs - atMs);
  const nearest = entries.reduce<Timed | null>(
    (best, one) => (best === null || off(one) < off(best) ? one : best),
    null,
  );
  return nearest && off(nearest) <= SAME_DAY_MS ? nearest.entry : null;
}

function recordingOf(
  entry: LogEntry | null,
  clips: readonly Clip[],
  plans: ReadonlyMap<string, Plan>,
): Recording {
  const [first] = clips;
  const plan = first && plans.get(placeOf(first));
  const named = entry ? cameraIdOf(entry.shot) : undefined;
  const cameras = [...clips.map(({ cameraId }) => cameraId ?? undefined), entry?.clip?.cameraId];
  const known = cameras.filter((id) => id !== undefined);
  return {
    id: entry?.id ?? first?.id ?? '',
    atMs: entry ? Date.parse(entry.at) : first ? startOf(first, plans) : 0,
    entry,
    clips,
    shotId: entry?.shotId ?? plan?.shotId ?? null,
    zone: plan?.zone ?? null,
    cameraIds: [...new Set(named === undefined ? known : [named, ...known])],
    findings: [...new Set(clips.flatMap(({ measured }) => measured.findings.map(({ code }) => code)))],
    verdicts: [...new Set([...(entry?.verdicts ?? []), ...clips.flatMap(({ verdicts }) => verdicts)])],
  };
}

function cameraIdOf({ camera }: Shot): string {
  return camera && 'profile' in camera ? camera.profile.id : (camera?.archetype ?? 'main');
}

/** What of the log is asked for; what is `null` is not asked. Dates as `2026-10-03`, by the clock that it is told by. */
export interface LogWish {
  shotId: string | null;
  cameraId: string | null;
  finding: FindingCode | null;
  verdict: Verdict | null;
  from: string | null;
  to: string | null;
}

export const ALL_OF_THE_LOG: LogWish = {
  shotId: null,
  cameraId: null,
  finding: null,
  verdict: null,
  from: null,
  to: null,
};

/** `dateOf`: the date of a recording by its clock. */
export function wishedFor(
  book: readonly Recording[],
  { shotId, cameraId, finding, verdict, from, to }: LogWish,
  dateOf: (recording: Recording) => string,
): Recording[] {
  return book.filter((one) => {
    if (shotId !== null && one.shotId !== shotId) return false;
    if (cameraId !== null && !one.cameraIds.includes(cameraId)) return false;
    if (finding !== null && !one.findings.includes(finding)) return false;
    if (verdict !== null && !one.verdicts.includes(verdict)) return false;
    if (from === null && to === null) return true;
    const date = dateOf(one);
    return (from === null || date >= from) && (to === null || date <= to);
  });
}
