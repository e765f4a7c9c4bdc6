import { USUAL_WRITE_MBPS, WRITE_SHARE } from '../camera/card';
import { USUAL_CELL } from '../camera/power';
import type { Gear } from '../records/outing';
import { item } from '../units/items';
import type { DayRemedy, NewPause } from './dayRemedy';
import type { Resource } from './daySheet';
import { recordingLoad } from './recording';
import { left } from './remedyBench';
import type { Bench } from './remedyBench';
import type { DayPart } from './schedule';
import { pausedAt } from './stopRemedies';

/** Sizes of card and bank that are sold (start). */
const CARDS_GB = [64, 128, 256, 512, 1024];
const BANKS_AH = [5, 10, 20];
/** A stop to change a card or a cell, minutes (start). */
const CHANGE_MINUTES = 5;
/** It is made a little before the end, share of the time that is left. */
const EARLY = 0.92;

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

/** A larger card, or one more and a stop to change it. */
export function cardRemedies(bench: Bench): DayRemedy[] {
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

/** A bank, or one more cell and a stop to change it. */
export function powerRemedies(bench: Bench): DayRemedy[] {
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
