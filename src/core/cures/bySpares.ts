import { USUAL_WRITE_MBPS, WRITE_SHARE } from '../camera/card';
import { USUAL_CELL } from '../camera/power';
import { BANKS_AH, withBank } from '../changes/bank';
import { cardOf, withLargerCard } from '../changes/card';
import { withCells } from '../changes/cell';
import type { FeedChange } from '../changes/feed';
import { stopped } from '../changes/stop';
import type { Resource } from '../day/daySheet';
import { recordingLoad } from '../day/recording';
import type { DayPart } from '../day/schedule';
import type { Gear } from '../records/outing';
import { item } from '../units/items';
import { left } from './bench';
import type { Bench } from './bench';
import type { Cure, NewStop } from './cure';

/** A stop to change a card or a cell, minutes (start). */
const CHANGE_MINUTES = 5;
/** It is made a little before the end, share of the time that is left. */
const EARLY = 0.92;

/** What the camera is fed from, as the budget takes it where nobody said. */
function gearOf({ camera, gear, recorded }: Bench): Gear {
  const capacityGb = Math.max(1, ...recorded.map(({ part }) => part.brief.limits.cardGb));
  const cards = gear && gear.cards.length > 0 ? gear.cards : [cardOf(capacityGb, USUAL_WRITE_MBPS)];
  return { cameraId: camera.id, charging: 'none', ...gear, cards, cells: gear?.cells ?? USUAL_CELL };
}

/** A larger card, or one more and a stop to change it. */
export function cardCures(bench: Bench): Cure[] {
  const { camera, recorded, out } = bench;
  const base = { cameraId: camera.id, what: out.what, addedLoss: 0 };
  const gear = gearOf(bench);
  const { capacityGb, writeMBps: keeps } = item(gear.cards, 0);
  const loads = recorded.map(({ part, answer }) => recordingLoad(part, answer).writesMBps);
  const writeMBps = Math.max(keeps, Math.ceil(Math.max(...loads) / WRITE_SHARE));
  const cures: Cure[] = [];
  const larger = firstFed(bench, 'card', withLargerCard(gear, writeMBps));
  if (larger) {
    const { leaves, changes, fed } = larger;
    cures.push({ ...base, how: 'card', capacityGb: item(fed.cards, 0).capacityGb, leaves, changes });
  }
  // The cards at hand and a stop to change them, before one more is bought.
  const spare = { ...gear, cards: [...gear.cards, cardOf(capacityGb, writeMBps)] };
  for (const carried of gear.cards.length > 1 ? [gear, spare] : [spare]) {
    const found = withStop(bench, { what: 'card', gear: carried });
    if (found) return [...cures, { ...base, how: 'spareCard', capacityGb, ...found }];
  }
  return cures;
}

/** A bank, or one more cell and a stop to change it. */
export function powerCures(bench: Bench): Cure[] {
  const { camera, out } = bench;
  const base = { cameraId: camera.id, what: out.what, addedLoss: 0 };
  const gear = gearOf(bench);
  const cures: Cure[] = [];
  for (const charging of ['breaks', 'recording'] as const) {
    const banks = BANKS_AH.map((ampereHours) => withBank(gear, ampereHours, charging));
    const found = firstFed(bench, 'bank', banks);
    if (!found) continue;
    const { leaves, changes, fed } = found;
    cures.push({ ...base, how: 'charge', charging, ampereHours: fed.bank.ampereHours, leaves, changes });
  }
  const { count: at } = gear.cells ?? USUAL_CELL;
  // The cells at hand and a stop to change them, before more are bought.
  for (let count = Math.max(2, at); count <= at + 3; count += 1) {
    const found = withStop(bench, { what: 'cell', gear: withCells(gear, count) });
    if (found) return [...cures, { ...base, how: 'spareCell', count, ...found }];
  }
  return cures;
}

/** The first of these, the smallest first, that the day lasts with. */
function firstFed<G extends Gear>(
  bench: Bench,
  what: FeedChange['what'],
  among: readonly G[],
): { fed: G; leaves: readonly Resource[]; changes: [FeedChange] } | null {
  for (const fed of among) {
    const leaves = left(bench, bench.recorded, fed);
    if (leaves) return { fed, leaves, changes: [{ what, gear: fed }] };
  }
  return null;
}

/** A spare used at a break that is there, else at a stop made for it shortly before the end. */
function withStop(
  bench: Bench,
  feed: FeedChange,
): (Pick<Cure, 'leaves' | 'changes'> & { stop: NewStop | null }) | null {
  const { recorded, out } = bench;
  const asPlanned = left(bench, recorded, feed.gear);
  if (asPlanned) return { stop: null, leaves: asPlanned, changes: [feed] };
  const one = recorded.find(({ part }) => part.id === out.partId);
  if (!one) return null;
  const afterMinutes = Math.floor(recordedUntil(one.part, out.atMs) * EARLY);
  if (afterMinutes < 1) return null;
  const stop: NewStop = { entryId: one.part.entryId, afterMinutes, minutes: CHANGE_MINUTES };
  const after = recorded.map((other) =>
    other.part.entryId === stop.entryId ? { ...other, part: stopped(other.part, [stop]) } : other,
  );
  const leaves = left(bench, after, feed.gear);
  return leaves && { stop, leaves, changes: [feed, { what: 'stop', ...stop }] };
}

/** Minutes recorded of a part by an instant. */
function recordedUntil({ stretches }: DayPart, atMs: number): number {
  return (
    stretches.reduce((sum, { fromMs, toMs }) => sum + Math.max(0, Math.min(toMs, atMs) - fromMs), 0) / 60_000
  );
}
