import type { CameraProfile } from '../camera/profile';
import type { Gear } from '../records/outing';
import type { Span } from '../light/sun/day';
import { usableGb, USUAL_WRITE_MBPS, WRITE_SHARE } from '../camera/card';
import { airAtC, minutesUntil, temperatureAfter } from './heat';
import type { PartAnswer } from './partAnswer';
import { chanceIn } from './schedule';
import type { DayPart, Pause, Schedule } from './schedule';
import { bankUsableWh, cellWh, CHARGE_W, coldShare, USUAL_CELL } from '../camera/power';
import { recordingLoad } from './recording';
import type { RecordingLoad } from './recording';

/**
 * What one camera has left over a day: card, power and heat, each followed by itself, as if the other two held, so that
 * every limit is told and not only the first. Cards and cells are changed, and cells charged, only where the camera can
 * be touched. Bytes, watt hours, degrees Celsius; instants in milliseconds.
 */
export interface CameraBudget {
  cameraId: string;
  card: Level;
  power: Level;
  heat: HeatLevel;
  /** In the order of the day: what is done at the camera. */
  acts: readonly Act[];
  /** Cards that are too slow for what is written, with what they would have to keep. */
  slow: readonly { name: string; writesMBps: number; keepsMBps: number; partId: string }[];
  chapters: readonly Chapter[];
  /** Parts that begin before the one before them on this camera has ended; what overlaps is counted once. */
  clashes: readonly { partId: string; withId: string; atMs: number }[];
  /** What nobody told and was taken instead. */
  assumed: readonly ('card' | 'cell')[];
}

/** A level over the day and where it ran out. */
export interface Level {
  /** Share left, from 1 to 0, at the corners of its course. */
  course: readonly { atMs: number; share: number }[];
  /** `null`: it lasts. */
  out: Cut | null;
  /** What the whole day takes, and what there is: GB, or Wh. */
  needs: number;
  has: number;
}

export interface HeatLevel {
  course: readonly { atMs: number; celsius: number }[];
  hottestC: number;
  warn: Cut | null;
  screenOff: Cut | null;
  out: Cut | null;
}

/** An instant, and the part it fell into. */
export interface Cut {
  atMs: number;
  partId: string;
}

export type Act =
  | { what: 'card'; atMs: number; to: number; name: string }
  | { what: 'cell'; atMs: number; to: number }
  | { what: 'charge'; atMs: number; toMs: number; wattHours: number };

/** One file on a card. */
export interface Chapter {
  partId: string;
  card: number;
  fromMs: number;
  toMs: number;
  gigabytes: number;
}

/** A part with what it records and how. */
export interface Recorded {
  part: DayPart;
  answer: PartAnswer;
  /** What it asks of its camera where that is known otherwise. */
  load?: RecordingLoad;
}

interface Stretch extends Span {
  part: DayPart;
  load: RecordingLoad;
  /** Time before it in which the camera can be touched; `null`: none. The first of the day is always got ready. */
  chance: Span | null;
  first: boolean;
}

export function cameraBudget(
  camera: CameraProfile,
  recorded: readonly Recorded[],
  day: Pick<Schedule, 'pauses' | 'air' | 'fromMs'>,
  gear: Gear | undefined,
): CameraBudget {
  const { stretches, clashes } = stretchesOf(camera.id, recorded, day.pauses);
  const cards =
    gear && gear.cards.length > 0
      ? gear.cards
      : [
          {
            name: 'one card',
            capacityGb: Math.max(0, ...recorded.map(({ part }) => part.brief.limits.cardGb)),
            writeMBps: USUAL_WRITE_MBPS,
          },
        ];
  const acts: Act[] = [];
  const chapters: Chapter[] = [];
  const card = cardPass(stretches, cards, acts, chapters);
  const power = powerPass(stretches, gear, day, acts);
  return {
    cameraId: camera.id,
    card,
    power,
    heat: heatPass(camera, stretches, day),
    acts: acts.sort((a, b) => a.atMs - b.atMs),
    slow: slowCards(stretches, cards),
    chapters,
    clashes,
    assumed: [
      ...(gear && gear.cards.length > 0 ? [] : (['card'] as const)),
      ...(gear?.cells ? [] : (['cell'] as const)),
    ],
  };
}

function stretchesOf(
  cameraId: string,
  recorded: readonly Recorded[],
  pauses: readonly Pause[],
): { stretches: Stretch[]; clashes: CameraBudget['clashes'] } {
  const stretches: Stretch[] = [];
  const clashes: { partId: string; withId: string; atMs: number }[] = [];
  let before: { toMs: number; partId: string } | null = null;
  for (const one of [...recorded].sort((a, b) => a.part.fromMs - b.part.fromMs)) {
    const { part, answer, load = recordingLoad(part, answer) } = one;
    if (before && before.toMs > part.fromMs + 1)
      clashes.push({ partId: part.id, withId: before.partId, atMs: part.fromMs });
    for (const [index, span] of part.stretches.entries()) {
      // One camera films one thing at a time: what is under way goes on.
      const fromMs: number = Math.max(span.fromMs, before?.toMs ?? span.fromMs);
      if (fromMs >= span.toMs) continue;
      const gap: Span = { fromMs: before?.toMs ?? fromMs, toMs: fromMs };
      // A pause within a recording was made to reach the camera.
      const chance = before === null ? null : index > 0 ? gap : chanceIn(pauses, cameraId, gap);
      stretches.push({ fromMs, toMs: span.toMs, part, load, chance, first: before === null });
      before = { toMs: span.toMs, partId: part.id };
    }
  }
  return { stretches, clashes };
}

function seconds({ fromMs, toMs }: Span): number {
  return Math.max(0, toMs - fromMs) / 1000;
}

function bytesOf(stretch: Stretch): number {
  const bytes = seconds(stretch) * stretch.load.bytesPerSecond;
  return Math.min(bytes, stretch.load.mostBytes ?? bytes);
}

function cardPass(
  stretches: readonly Stretch[],
  cards: Gear['cards'],
  acts: Act[],
  chapters: Chapter[],
): Level {
  const room = (at: number): number => usableGb(cards[at]?.capacityGb ?? 0) * 1e9;
  const total = cards.reduce((sum, _, at) => sum + room(at), 0);
  const course: { atMs: number; share: number }[] = [];
  let spares = cards.map((_, at) => at).slice(1);
  let card = 0;
  let left = room(0);
  let out: Cut | null = null;
  let full = false;
  stretches.forEach((stretch, at) => {
    if (stretch.first || stretch.chance) {
      // Until the next chance this card must do; another goes in where this would not.
      const need = untilNextChance(stretches, at, bytesOf);
      const next = full || need > left ? betterCard(spares, room, need, full ? 0 : left) : undefined;
      if (next !== undefined) {
        spares = spares.filter((one) => one !== next);
        card = next;
        left = room(card);
        full = false;
        acts.push({
          what: 'card',
          atMs: stretch.chance?.fromMs ?? stretch.fromMs,
          to: card,
          name: cards[card]?.name ?? '',
        });
      }
    }
    const share = (): number =>
      total > 0 ? (left + spares.reduce((sum, spare) => sum + room(spare), 0)) / total : 0;
    course.push({ atMs: stretch.fromMs, share: share() });
    const need = bytesOf(stretch);
    const fits = Math.min(need, left);
    const runs =
      need > left && !full ? (left / stretch.load.bytesPerSecond) * 1000 : stretch.toMs - stretch.fromMs;
    if (need > left + 1 && !out) out = { atMs: stretch.fromMs + (full ? 0 : runs), partId: stretch.part.id };
    if (!full) chapters.push(...chaptersOf(stretch, card, Math.min(stretch.toMs, stretch.fromMs + runs)));
    if (need > left + 1) full = true;
    left = Math.max(0, left - fits);
    course.push({ atMs: Math.min(stretch.toMs, stretch.fromMs + runs), share: share() });
  });
  return {
    course,
    out,
    needs: stretches.reduce((sum, one) => sum + bytesOf(one), 0) / 1e9,
    has: total / 1e9,
  };
}

/** The first spare that holds what is needed, else the roomiest that holds more than is left; `undefined`: none. */
function betterCard(
  spares: readonly number[],
  room: (at: number) => number,
  need: number,
  left: number,
): number | undefined {
  const roomier = spares.filter((at) => room(at) > left);
  return roomier.find((at) => room(at) >= need) ?? roomier.sort((a, b) => room(b) - room(a))[0];
}

/** What is asked from this stretch up to the next at which the camera can be touched. */
function untilNextChance(
  stretches: readonly Stretch[],
  at: number,
  of: (stretch: Stretch) => number,
): number {
  let need = 0;
  for (let index = at; index < stretches.length; index += 1) {
    const stretch = stretches[index];
    if (!stretch || (index > at && stretch.chance)) break;
    need += of(stretch);
  }
  return need;
}

function chaptersOf({ part, load, fromMs }: Stretch, card: number, toMs: number): Chapter[] {
  const list: Chapter[] = [];
  const stepMs = load.chapterSeconds * 1000;
  for (let at = fromMs; at < toMs - 1 && list.length < 2000; at += stepMs) {
    const end = Math.min(toMs, at + stepMs);
    list.push({
      partId: part.id,
      card,
      fromMs: at,
      toMs: end,
      gigabytes: ((end - at) / 1000) * (load.bytesPerSecond / 1e9),
    });
  }
  return list;
}

function slowCards(stretches: readonly Stretch[], cards: Gear['cards']): CameraBudget['slow'] {
  return cards.flatMap(({ name, writeMBps }) => {
    const hardest = stretches.reduce<Stretch | null>(
      (most, one) => (most && most.load.writesMBps >= one.load.writesMBps ? most : one),
      null,
    );
    const keepsMBps = writeMBps * WRITE_SHARE;
    if (!hardest || hardest.load.writesMBps <= keepsMBps) return [];
    return [{ name, writesMBps: hardest.load.writesMBps, keepsMBps, partId: hardest.part.id }];
  });
}

function hourOf(atMs: number, { fromMs }: Pick<Schedule, 'fromMs'>): number {
  return (atMs - fromMs) / 3_600_000;
}

function powerPass(
  stretches: readonly Stretch[],
  gear: Gear | undefined,
  day: Pick<Schedule, 'air' | 'fromMs'>,
  acts: Act[],
): Level {
  const { count, ...cell } = gear?.cells ?? USUAL_CELL;
  const charging = gear?.charging ?? 'none';
  // In watt hours drawn warm: the cold makes each of them count for more.
  const full = cellWh(cell);
  let bank = charging === 'none' || !gear?.bank ? 0 : bankUsableWh(gear.bank.ampereHours);
  const bankFull = bank;
  const total = full * count + bank;
  const course: { atMs: number; share: number }[] = [];
  let inUse = 0;
  let left = full;
  let out: Cut | null = null;
  let needs = 0;
  const wants = (stretch: Stretch): number =>
    (stretch.load.powerW * seconds(stretch)) / 3600 / coldShare(airAtC(day.air, hourOf(stretch.fromMs, day)));
  const share = (): number => (left + full * (count - 1 - inUse) + bank) / total;
  stretches.forEach((stretch, at) => {
    const { chance } = stretch;
    if (chance && charging === 'breaks' && bank > 0) {
      const given = Math.min(bank, full - left, (CHARGE_W * seconds(chance)) / 3600);
      if (given > 0.05) {
        left += given;
        bank -= given;
        acts.push({ what: 'charge', atMs: chance.fromMs, toMs: chance.toMs, wattHours: given });
      }
    }
    const need = wants(stretch);
    needs += need;
    if (chance && inUse + 1 < count) {
      const fromBank = charging === 'recording' ? bank : 0;
      if (untilNextChance(stretches, at, wants) > left + fromBank && left < full) {
        inUse += 1;
        left = full;
        acts.push({ what: 'cell', atMs: chance.fromMs, to: inUse });
      }
    }
    course.push({ atMs: stretch.fromMs, share: share() });
    const fed = charging === 'recording' ? Math.min(bank, need) : 0;
    bank -= fed;
    const own = need - fed;
    if (own > left + 1e-9 && !out)
      out = {
        atMs: stretch.fromMs + ((fed + left) / need) * (stretch.toMs - stretch.fromMs),
        partId: stretch.part.id,
      };
    left = Math.max(0, left - own);
    course.push({ atMs: stretch.toMs, share: share() });
  });
  return { course, out, needs, has: full * count + bankFull };
}

/** The temperature is drawn at steps of this, minutes. */
const HEAT_STEP = 2;

function heatPass(
  { heat }: CameraProfile,
  stretches: readonly Stretch[],
  day: Pick<Schedule, 'air' | 'fromMs'>,
): HeatLevel {
  const course: { atMs: number; celsius: number }[] = [];
  const cuts: { warn: Cut | null; screenOff: Cut | null; out: Cut | null } = {
    warn: null,
    screenOff: null,
    out: null,
  };
  let celsius: number | null = null;
  let atMs = 0;
  for (const stretch of stretches) {
    const { load, part } = stretch;
    const airC = airAtC(day.air, hourOf(stretch.fromMs, day));
    const on = { airC, sunC: load.sunC, powerW: load.powerW, airSpeedMps: load.airSpeedMps };
    const idle = { ...on, powerW: 0, airSpeedMps: 0 };
    if (celsius === null) celsius = airC + load.sunC;
    else {
      const rested: number = celsius;
      const idleMinutes = (stretch.fromMs - atMs) / 60_000;
      const cooled = (minutes: number): number => temperatureAfter(rested, heat, idle, minutes);
      for (let at = HEAT_STEP; at < Math.min(idleMinutes, 6 * heat.tauMinutes); at += HEAT_STEP)
        course.push({ atMs: atMs + at * 60_000, celsius: cooled(at) });
      celsius = cooled(idleMinutes);
    }
    const limits = { warn: heat.warnC, screenOff: heat.screenOffC, out: heat.shutdownC };
    for (const what of ['warn', 'screenOff', 'out'] as const) {
      const after = minutesUntil(limits[what], celsius, heat, on);
      const cutMs = after === null ? Infinity : stretch.fromMs + after * 60_000;
      if (!cuts[what] && cutMs < stretch.toMs) cuts[what] = { atMs: cutMs, partId: part.id };
    }
    const minutes = (stretch.toMs - stretch.fromMs) / 60_000;
    const from = celsius;
    const off = minutesUntil(heat.shutdownC, from, heat, on);
    for (let at = 0; at < minutes; at += HEAT_STEP)
      course.push({ atMs: stretch.fromMs + at * 60_000, celsius: warmed(from, heat, on, idle, at, off) });
    celsius = warmed(from, heat, on, idle, minutes, off);
    if (off !== null && off < minutes)
      course.push({ atMs: stretch.fromMs + off * 60_000, celsius: heat.shutdownC });
    course.push({ atMs: stretch.toMs, celsius });
    atMs = stretch.toMs;
  }
  course.sort((a, b) => a.atMs - b.atMs);
  return { course, hottestC: Math.max(-Infinity, ...course.map((one) => one.celsius)), ...cuts };
}

type Load = Parameters<typeof temperatureAfter>[2];

/** It warms until it shuts itself off, and cools from there. */
function warmed(
  from: number,
  heat: CameraProfile['heat'],
  on: Load,
  idle: Load,
  minutes: number,
  off: number | null,
): number {
  if (off === null || minutes <= off) return temperatureAfter(from, heat, on, minutes);
  return temperatureAfter(heat.shutdownC, heat, idle, minutes - off);
}
