import { cameraBudget } from './budget';
import { USUAL_WRITE_MBPS, WRITE_SHARE } from '../camera/card';
import { USUAL_CELL } from '../camera/power';
import type { Cut } from './levels';
import type { Recorded } from './stretches';
import { modesOf } from '../camera/modeTable';
import type { CameraProfile } from '../camera/profile';
import type { Gear } from '../records/outing';
import type { Pins } from '../records/settings';
import { item } from '../units/items';
import type { DaySheet, Memo, Resource } from './daySheet';
import { outsOf, workOf } from './daySheet';
import { airAtC, pausePlan } from './heat';
import { answerPinned } from './partAnswer';
import { isTimeLapse } from '../records/filmedAs';
import type { PartAnswer } from './partAnswer';
import { partsOfCamera } from './schedule';
import type { DayPart, Schedule } from './schedule';
import { recordingLoad } from './recording';

/**
 * What would keep a camera from running out: each tried on the day itself, and told only when the day then lasts. The
 * gentlest first.
 */
export type DayRemedy = {
  cameraId: string;
  what: Resource;
  addedLoss: number;
  /** What else of this camera still runs out, the soonest first. */
  leaves: readonly Resource[];
} & (
  | { how: 'bitRate'; mbps: number; pins: readonly PartPins[] }
  | { how: 'codec'; mbps: number; pins: readonly PartPins[] }
  | { how: 'frameRate'; fps: number; pins: readonly PartPins[] }
  | { how: 'resolution'; width: number; height: number; pins: readonly PartPins[] }
  | { how: 'card'; capacityGb: number; gear: Gear }
  | { how: 'spareCard'; capacityGb: number; gear: Gear; pause: NewPause | null }
  | { how: 'spareCell'; count: number; gear: Gear; pause: NewPause | null }
  | { how: 'charge'; charging: 'breaks' | 'recording'; ampereHours: number; gear: Gear }
  | { how: 'pauses'; entryId: string; pauses: readonly { afterMinutes: number; minutes: number }[] }
);

export interface PartPins {
  partId: string;
  pins: Pins;
}

/** A stop to be made within a recording, so that the camera can be reached. */
export interface NewPause {
  entryId: string;
  afterMinutes: number;
  minutes: number;
}

/** Sizes of card and bank that are sold (start). */
const CARDS_GB = [64, 128, 256, 512, 1024];
const BANKS_AH = [5, 10, 20];
/** A stop to change a card or a cell, and one to cool, minutes (start). */
const CHANGE_MINUTES = 5;
const COOL_MINUTES = [3, 5, 8, 12, 20];
/** It is made a little before the end, share of the time that is left. */
const EARLY = 0.92;

/** The remedies of a camera's shortage that work, the gentlest first. */
export function dayRemediesOf(
  day: Schedule,
  gear: readonly Gear[],
  sheet: DaySheet,
  out: { cameraId: string; what: Resource } & Cut,
  memo: Memo,
): DayRemedy[] {
  const parts = partsOfCamera(day.parts, out.cameraId);
  const first = parts[0];
  if (!first) return [];
  const recorded = parts.flatMap((part): Recorded[] => {
    const answer = sheet.parts.get(part.id)?.carried;
    return answer ? [{ part, answer }] : [];
  });
  const own = gear.find(({ cameraId }) => cameraId === out.cameraId);
  const bench: Bench = { day, camera: first.camera, recorded, gear: own, out, memo };
  const settings = [...byRate(bench), ...byMode(bench)];
  const things =
    out.what === 'card'
      ? cardRemedies(bench)
      : out.what === 'power'
        ? powerRemedies(bench)
        : heatRemedies(bench);
  return [...settings, ...things].sort((a, b) => effortOf(a) - effortOf(b));
}

/** Pictures lost, and the trouble of a change, on one scale (start). */
function effortOf(remedy: DayRemedy): number {
  const trouble: Record<DayRemedy['how'], number> = {
    codec: 0.05,
    bitRate: 0.1,
    card: 0.2,
    charge: 0.25,
    spareCard: 0.3,
    spareCell: 0.3,
    frameRate: 0.3,
    resolution: 0.4,
    pauses: 0.5,
  };
  return trouble[remedy.how] + remedy.addedLoss + ('pause' in remedy && remedy.pause ? 0.3 : 0);
}

interface Bench {
  day: Schedule;
  camera: CameraProfile;
  recorded: readonly Recorded[];
  gear: Gear | undefined;
  out: { cameraId: string; what: Resource } & Cut;
  memo: Memo;
}

/** What else then runs out, the soonest first; `null` where what was to be cured still does. */
function left(
  { day, camera, out }: Bench,
  recorded: readonly Recorded[],
  gear: Gear | undefined,
): readonly Resource[] | null {
  const outs = outsOf(cameraBudget(camera, recorded, day, gear)).map(({ what }) => what);
  return outs.includes(out.what) ? null : outs;
}

/** Every plain recording of the camera under more pins, where it can bear them; and what they cost. */
function pinned(
  { recorded, memo }: Bench,
  pinsFor: (one: Recorded) => Pins | null,
): { recorded: Recorded[]; pins: PartPins[]; addedLoss: number } {
  const pins: PartPins[] = [];
  let addedLoss = 0;
  const changed = recorded.map((one): Recorded => {
    const wanted = isTimeLapse(one.part.shot) ? null : pinsFor(one);
    if (!wanted) return one;
    const answer = answerPinned(workOf(one.part, memo).space, wanted);
    if (!answer) return one;
    pins.push({ partId: one.part.id, pins: wanted });
    addedLoss = Math.max(addedLoss, answer.loss - one.answer.loss);
    return { part: one.part, answer };
  });
  return { recorded: changed, pins, addedLoss: Math.max(0, addedLoss) };
}

/** Fewer bits: of the codec at hand, and of the leaner one. */
function byRate(bench: Bench): DayRemedy[] {
  const { camera, out, recorded } = bench;
  if (out.what !== 'card') return [];
  const rates = [
    ...new Set(modesOf(camera).flatMap(({ encodings }) => encodings.map(({ bitRateMbps }) => bitRateMbps))),
  ].sort((a, b) => b - a);
  const base = { cameraId: camera.id, what: out.what };
  const remedies: DayRemedy[] = [];
  for (const mbps of rates) {
    const tried = pinned(bench, ({ answer: { settings } }) =>
      settings.bitRateMbps > mbps ? { ...kept(settings), codec: settings.codec, bitRateMbps: mbps } : null,
    );
    const leaves = tried.pins.length === 0 ? null : left(bench, tried.recorded, bench.gear);
    if (!leaves) continue;
    remedies.push({ ...base, how: 'bitRate', mbps, leaves, pins: tried.pins, addedLoss: tried.addedLoss });
    break;
  }
  if (recorded.some(({ answer }) => answer.settings.codec === 'avc'))
    for (const mbps of rates) {
      const tried = pinned(bench, ({ answer: { settings } }) =>
        settings.codec === 'avc' && settings.bitRateMbps >= mbps
          ? { ...kept(settings), codec: 'hevc', bitRateMbps: mbps }
          : null,
      );
      const leaves = tried.pins.length === 0 ? null : left(bench, tried.recorded, bench.gear);
      if (!leaves) continue;
      remedies.push({ ...base, how: 'codec', mbps, leaves, pins: tried.pins, addedLoss: tried.addedLoss });
      break;
    }
  return remedies;
}

/** The frame stays as it is when only the bits change. */
function kept({ frameRate, resolution, stabilization, colour }: PartAnswer['settings']): Pins {
  return { frameRate, resolution, stabilization, colour };
}

/** Fewer frames, or smaller ones: less to write, less power, less heat. */
function byMode(bench: Bench): DayRemedy[] {
  const { camera, out, recorded } = bench;
  const base = { cameraId: camera.id, what: out.what };
  const modes = modesOf(camera).filter(({ recording }) => recording === 'video');
  const remedies: DayRemedy[] = [];
  const rates = [...new Set(modes.map(({ frameRate }) => frameRate))].sort((a, b) => b - a);
  for (const fps of rates) {
    const tried = pinned(bench, ({ part, answer: { settings } }) =>
      settings.frameRate > fps && fps >= part.brief.playback.timelineFps - 1
        ? { frameRate: fps, resolution: settings.resolution }
        : null,
    );
    const leaves = tried.pins.length === 0 ? null : left(bench, tried.recorded, bench.gear);
    if (!leaves) continue;
    remedies.push({ ...base, how: 'frameRate', fps, leaves, pins: tried.pins, addedLoss: tried.addedLoss });
    break;
  }
  const sizes = [
    ...new Map(modes.map(({ resolution }) => [resolution.width * resolution.height, resolution])).values(),
  ].sort((a, b) => b.width * b.height - a.width * a.height);
  for (const { width, height } of sizes) {
    const tried = pinned(bench, ({ part: { brief }, answer: { settings } }) =>
      settings.resolution.width * settings.resolution.height > width * height &&
      width >= brief.playback.deliver.width
        ? { frameRate: settings.frameRate, resolution: { width, height } }
        : null,
    );
    const leaves = tried.pins.length === 0 ? null : left(bench, tried.recorded, bench.gear);
    if (!leaves) continue;
    remedies.push({
      ...base,
      how: 'resolution',
      width,
      height,
      leaves,
      pins: tried.pins,
      addedLoss: tried.addedLoss,
    });
    break;
  }
  return recorded.length > 0 ? remedies : [];
}

function gearOf({ camera, gear, recorded }: Bench): Gear {
  const capacityGb = Math.max(1, ...recorded.map(({ part }) => part.brief.limits.cardGb));
  const cards = gear && gear.cards.length > 0 ? gear.cards : [cardOf(capacityGb, USUAL_WRITE_MBPS)];
  return {
    cameraId: camera.id,
    charging: 'none',
    ...gear,
    cards,
    cells: gear?.cells ?? USUAL_CELL,
  };
}

function cardOf(capacityGb: number, writeMBps: number): Gear['cards'][number] {
  return { name: `Card ${capacityGb} GB`, capacityGb, writeMBps };
}

function cardRemedies(bench: Bench): DayRemedy[] {
  const { camera, recorded, out } = bench;
  const base = { cameraId: camera.id, what: out.what, addedLoss: 0 };
  const gear = gearOf(bench);
  const first = item(gear.cards, 0);
  const writeMBps = Math.max(
    first.writeMBps,
    Math.ceil(
      Math.max(...recorded.map(({ part, answer }) => recordingLoad(part, answer).writesMBps)) / WRITE_SHARE,
    ),
  );
  const remedies: DayRemedy[] = [];
  const larger = CARDS_GB.filter((gb) => gb > first.capacityGb)
    .map((gb) => ({
      capacityGb: gb,
      gear: { ...gear, cards: [cardOf(gb, writeMBps), ...gear.cards.slice(1)] },
    }))
    .map((one) => ({ ...one, leaves: left(bench, recorded, one.gear) }))
    .find((one) => one.leaves !== null);
  if (larger?.leaves) remedies.push({ ...base, how: 'card', ...larger, leaves: larger.leaves });
  // The cards at hand and a stop to change them, before one more is bought.
  const spare = { ...gear, cards: [...gear.cards, cardOf(first.capacityGb, writeMBps)] };
  for (const carried of gear.cards.length > 1 ? [gear, spare] : [spare]) {
    const found = withPause(bench, carried, CHANGE_MINUTES, (pause, leaves) => ({
      ...base,
      leaves,
      how: 'spareCard',
      capacityGb: first.capacityGb,
      gear: carried,
      pause,
    }));
    if (found.length > 0) return [...remedies, ...found];
  }
  return remedies;
}

function powerRemedies(bench: Bench): DayRemedy[] {
  const { camera, recorded, out } = bench;
  const base = { cameraId: camera.id, what: out.what, addedLoss: 0 };
  const gear = gearOf(bench);
  const remedies: DayRemedy[] = [];
  for (const charging of ['breaks', 'recording'] as const) {
    const fed = BANKS_AH.map((ampereHours) => ({
      ampereHours,
      gear: { ...gear, bank: { ampereHours }, charging },
    }))
      .map((one) => ({ ...one, leaves: left(bench, recorded, one.gear) }))
      .find((one) => one.leaves !== null);
    if (fed?.leaves) remedies.push({ ...base, how: 'charge', charging, ...fed, leaves: fed.leaves });
  }
  const cells = gear.cells ?? USUAL_CELL;
  // The cells at hand and a stop to change them, before more are bought.
  for (let count = Math.max(2, cells.count); count <= cells.count + 3; count += 1) {
    const spare = { ...gear, cells: { ...cells, count } };
    const found = withPause(bench, spare, CHANGE_MINUTES, (pause, leaves) => ({
      ...base,
      leaves,
      how: 'spareCell',
      count,
      gear: spare,
      pause,
    }));
    if (found.length > 0) return [...remedies, ...found];
  }
  return remedies;
}

/** A spare used at a break that is there, else at a stop made for it shortly before the end. */
function withPause(
  bench: Bench,
  gear: Gear,
  minutes: number,
  remedy: (pause: NewPause | null, leaves: readonly Resource[]) => DayRemedy,
): DayRemedy[] {
  const { recorded, out } = bench;
  const asPlanned = left(bench, recorded, gear);
  if (asPlanned) return [remedy(null, asPlanned)];
  const at = recorded.findIndex(({ part }) => part.id === out.partId);
  const one = recorded[at];
  if (!one) return [];
  const before = recordedUntil(one.part, out.atMs) * EARLY;
  const afterMinutes = Math.floor(before);
  if (afterMinutes < 1) return [];
  const pause = { entryId: one.part.entryId, afterMinutes, minutes };
  const stopped = recorded.map((other) =>
    other.part.entryId === pause.entryId ? { ...other, part: pausedAt(other.part, [pause]) } : other,
  );
  const leaves = left(bench, stopped, gear);
  return leaves ? [remedy(pause, leaves)] : [];
}

/** Minutes recorded of a part by an instant. */
function recordedUntil({ stretches }: DayPart, atMs: number): number {
  return (
    stretches.reduce((sum, { fromMs, toMs }) => sum + Math.max(0, Math.min(toMs, atMs) - fromMs), 0) / 60_000
  );
}

/** A part with more pauses, and what it had. */
export function pausedAt(
  part: DayPart,
  pauses: readonly { afterMinutes: number; minutes: number }[],
): DayPart {
  let stretches = [...part.stretches];
  for (const { afterMinutes, minutes } of [...pauses].sort((a, b) => a.afterMinutes - b.afterMinutes)) {
    let left = afterMinutes * 60_000;
    stretches = stretches.flatMap((span) => {
      const length = span.toMs - span.fromMs;
      if (left === Infinity)
        return [{ fromMs: span.fromMs + minutes * 60_000, toMs: span.toMs + minutes * 60_000 }];
      if (left >= length) {
        left -= length;
        return [span];
      }
      const cut = span.fromMs + left;
      left = Infinity;
      if (cut <= span.fromMs)
        return [{ fromMs: span.fromMs + minutes * 60_000, toMs: span.toMs + minutes * 60_000 }];
      return [
        { fromMs: span.fromMs, toMs: cut },
        { fromMs: cut + minutes * 60_000, toMs: span.toMs + minutes * 60_000 },
      ];
    });
  }
  return { ...part, stretches, toMs: stretches.at(-1)?.toMs ?? part.toMs };
}

/** Stops to cool, the shortest that work. */
function heatRemedies(bench: Bench): DayRemedy[] {
  const { camera, recorded, out, day } = bench;
  const one = recorded.find(({ part }) => part.id === out.partId);
  if (!one) return [];
  const { part, answer } = one;
  const load = recordingLoad(part, answer);
  const airC = airAtC(day.air, (part.fromMs - day.fromMs) / 3_600_000);
  const recordMinutes = part.brief.limits.recordSeconds / 60;
  for (const minutes of COOL_MINUTES) {
    const pauses = pausePlan(camera.heat, { ...load, airC }, recordMinutes, airC + load.sunC, minutes);
    if (!pauses || pauses.length === 0) continue;
    const whole: DayPart = {
      ...part,
      stretches: [{ fromMs: part.fromMs, toMs: part.fromMs + recordMinutes * 60_000 }],
    };
    const paused = recorded.map((other) =>
      other === one ? { ...one, part: pausedAt(whole, pauses) } : other,
    );
    const leaves = left(bench, paused, bench.gear);
    if (leaves)
      return [
        {
          cameraId: camera.id,
          what: out.what,
          addedLoss: 0,
          leaves,
          how: 'pauses',
          entryId: part.entryId,
          pauses,
        },
      ];
  }
  return [];
}
