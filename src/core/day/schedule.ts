import type { CameraProfile } from '../camera/profile';
import { habitsOf } from '../vocabulary/mounts';
import { briefOf } from '../brief/brief';
import type { Brief } from '../brief/brief';
import type { Outing, OutingDay, ShotEntry } from '../records/outing';
import { inOrder } from '../records/entries';
import { isSecondHalf, partCount, shotOfPart, titleOfPart } from '../records/secondAngles';
import type { PartTitle } from '../records/secondAngles';
import type { Shot } from '../records/shot';
import type { ShotRecord } from '../records/shotRecord';
import type { Span } from '../light/sun/day';
import { item, last } from '../units/items';

/**
 * A day with everything at its instant: each camera of each shot is a part of its own. Instants are milliseconds since
 * 1970. The clock on the wall is the caller's: it turns a date and a time into an instant.
 */
export type WallClock = (date: string, time: string) => number;

/** One camera filming one shot, in one stretch or several. */
export interface DayPart {
  /** Names the part within the day: entry and camera of the shot. */
  id: string;
  entryId: string;
  shotId: string;
  /** Which camera of the shot; the second half of a pair comes last. */
  part: number;
  /** What it is called, by its shot's name and by what it is to a shot of several parts; `null` where there is none. */
  title: { shot: string | null; part: PartTitle | null };
  camera: CameraProfile;
  shot: Shot;
  brief: Brief;
  stretches: readonly Span[];
  fromMs: number;
  toMs: number;
}

/** Time in which nothing is filmed by plan. */
export interface Pause extends Span {
  id: string;
  kind: 'break' | 'travel';
  name: string;
  outOfReach: readonly string[];
}

export interface Schedule {
  date: string;
  fromMs: number;
  toMs: number;
  parts: readonly DayPart[];
  pauses: readonly Pause[];
  /** Entries whose shot is no longer kept. */
  missing: readonly string[];
  air: OutingDay['air'];
}

const MINUTE_MS = 60_000;

export function scheduleOf(
  { days, mainsHz }: Pick<Outing, 'days' | 'mainsHz'>,
  dayId: string,
  shots: ReadonlyMap<string, ShotRecord>,
  clock: WallClock,
): Schedule {
  const day = days.find(({ id }) => id === dayId) ?? item(days, 0);
  const parts: DayPart[] = [];
  const pauses: Pause[] = [];
  const missing: string[] = [];
  for (const entry of inOrder(day.entries)) {
    const fromMs = clock(day.date, entry.at);
    if (entry.what === 'shot') {
      const record = shots.get(entry.shotId);
      if (record) parts.push(...partsOf(entry, record.shot, fromMs, mainsHz));
      else missing.push(entry.id);
    } else
      pauses.push({
        id: entry.id,
        kind: entry.what,
        name: entry.name,
        fromMs,
        toMs: fromMs + entry.minutes * MINUTE_MS,
        outOfReach: entry.what === 'break' ? entry.outOfReach : [],
      });
  }
  return {
    date: day.date,
    fromMs: clock(day.date, '00:00'),
    toMs: clock(day.date, '00:00') + 86_400_000,
    parts,
    pauses,
    missing,
    air: day.air,
  };
}

/** A part begun so much later than planned, ms; what is carried to it is as planned. */
export function begunLater(part: DayPart, byMs: number): DayPart {
  if (byMs === 0) return part;
  const later = ({ fromMs, toMs }: Span): Span => ({ fromMs: fromMs + byMs, toMs: toMs + byMs });
  return { ...part, ...later(part), stretches: part.stretches.map(later) };
}

/** A part planned so much later, ms: light that follows the sun goes with it. */
export function plannedLater(part: DayPart, byMs: number): DayPart {
  const shot = shiftedTo(part.shot, part.fromMs + byMs);
  const { mainsHz } = part.brief.limits;
  return { ...begunLater(part, byMs), shot, brief: briefOf(shot, { mainsHz }).brief };
}

/** What an entry takes of the day, seconds: recording and the pauses in it, both halves of a pair. */
export function entrySeconds(entry: ShotEntry, shot: Shot): number {
  const parts = partsOf(entry, shot, 0);
  return Math.max(...parts.map(({ toMs }) => toMs)) / 1000;
}

function partsOf(entry: ShotEntry, kept: Shot, fromMs: number, mainsHz?: 50 | 60): DayPart[] {
  const parts: DayPart[] = [];
  const whole = lastingAs(kept, entry);
  for (let part = 0; part < partCount(whole); part += 1) {
    // A second half follows the first; other cameras run with it.
    const starts = isSecondHalf(whole, part) ? item(parts, 0).toMs : fromMs;
    const shot = shiftedTo(shotOfPart(whole, part), starts);
    const { brief } = briefOf(shot, { mainsHz });
    const stretches = stretchesOf(entry.pauses, starts, brief.limits.recordSeconds);
    parts.push({
      id: `${entry.id}/${part}`,
      entryId: entry.id,
      shotId: entry.shotId,
      part,
      title: { shot: whole.name ?? null, part: partCount(whole) === 1 ? null : titleOfPart(whole, part) },
      camera: brief.camera,
      shot,
      brief,
      stretches,
      fromMs: starts,
      toMs: last(stretches).toMs,
    });
  }
  return parts;
}

/** A shot as long as its entry says; as long as it says itself where the entry says nothing. */
export function lastingAs(shot: Shot, { recordSeconds }: Pick<ShotEntry, 'recordSeconds'>): Shot {
  return recordSeconds === undefined ? shot : { ...shot, limits: { ...shot.limits, recordSeconds } };
}

/** Recording time cut at the pauses; each pause counts from the start of the recording, by time recorded. */
function stretchesOf(pauses: ShotEntry['pauses'], fromMs: number, recordSeconds: number): Span[] {
  const stretches: Span[] = [];
  let at = fromMs;
  let recorded = 0;
  for (const pause of [...pauses].sort((a, b) => a.afterMinutes - b.afterMinutes)) {
    const until = Math.min(recordSeconds, pause.afterMinutes * 60);
    if (until <= recorded || until >= recordSeconds) continue;
    const toMs = at + (until - recorded) * 1000;
    stretches.push({ fromMs: at, toMs });
    at = toMs + pause.minutes * MINUTE_MS;
    recorded = until;
  }
  return [...stretches, { fromMs: at, toMs: at + (recordSeconds - recorded) * 1000 }];
}

/** Light that follows the sun goes with the shot to its time of the day; other light stays as told. */
export function shiftedTo(shot: Shot, fromMs: number): Shot {
  const { light } = shot;
  if (light?.kind !== 'sun') return shot;
  const by = fromMs - Date.parse(light.from);
  if (by === 0) return shot;
  const moved = (iso: string): string => shiftedIso(iso, by);
  return { ...shot, light: { ...light, from: moved(light.from), to: moved(light.to) } };
}

/** An instant moved, written at the offset it had: "2026-10-03T10:10:00+02:00". */
export function shiftedIso(iso: string, byMs: number): string {
  const offset = /(Z|[+-]\d\d:\d\d)$/.exec(iso)?.[1] ?? 'Z';
  const minutes =
    offset === 'Z'
      ? 0
      : (offset.startsWith('-') ? -1 : 1) * (Number(offset.slice(1, 3)) * 60 + Number(offset.slice(4)));
  const there = new Date(Date.parse(iso) + byMs + minutes * MINUTE_MS);
  return `${there.toISOString().slice(0, 19)}${offset}`;
}

/** How fast air goes past a camera, m/s: with the ride, unless it stands or sits behind glass. */
export function airSpeedMps({ mount, motion }: Brief): number {
  if (mount.kind === 'vehicleInside' || habitsOf(mount.kind, mount.place).stands) return 0;
  return motion.travelMps;
}

/** The cameras of a day, in the order they first film. */
export function camerasOf(parts: readonly DayPart[]): CameraProfile[] {
  const seen = new Map<string, CameraProfile>();
  for (const { camera } of parts) if (!seen.has(camera.id)) seen.set(camera.id, camera);
  return [...seen.values()];
}

/** A camera's parts, in time. */
export function partsOfCamera<P extends DayPart>(parts: readonly P[], cameraId: string): P[] {
  return parts.filter(({ camera }) => camera.id === cameraId).sort((a, b) => a.fromMs - b.fromMs);
}

/** A gap of this long without travel is a break, whether or not anybody called it so, minutes (start). */
const SELF_BREAK_MINUTES = 10;

/** When a camera can be touched in a gap between two of its recordings; `null` where it cannot. */
export function chanceIn(pauses: readonly Pause[], cameraId: string, gap: Span): Span | null {
  const within = (span: Span): Span => ({
    fromMs: Math.max(span.fromMs, gap.fromMs),
    toMs: Math.min(span.toMs, gap.toMs),
  });
  const inGap = pauses.filter((pause) => within(pause).toMs > within(pause).fromMs);
  const touched = inGap.find(({ kind, outOfReach }) => kind === 'break' && !outOfReach.includes(cameraId));
  if (touched) return within(touched);
  if (inGap.length > 0) return null;
  return gap.toMs - gap.fromMs >= SELF_BREAK_MINUTES * MINUTE_MS ? gap : null;
}
