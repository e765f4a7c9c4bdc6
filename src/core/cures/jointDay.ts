import type { Gear } from '../records/outing';
import type { Pins, Settings } from '../records/settings';
import { solveJointly } from '../together/joint';
import { matchSheetOf } from '../together/matchSheet';
import { curesOf } from './cures';
import type { PartPins } from '../changes/pins';
import { daySheet, outsOf } from '../day/daySheet';
import { setupPins } from '../day/storedSetups';
import { partWorkOf } from '../day/partWork';
import type { DaySheet } from '../day/daySheet';
import type { Memo } from '../day/partWork';
import type { DayPart, Schedule } from '../day/schedule';
import { FILTER_CHANGE_LOSS } from '../day/filterChanges';

/**
 * The shots of a day solved together. What a picture loses, the trouble of changing filters and storing set-ups, what
 * does not cut together and what runs out all count on one scale; a change is proposed where it lowers the sum.
 */
export interface DayCost {
  /** Loss of all parts as carried. */
  pictures: number;
  filterChanges: number;
  presets: number;
  mismatches: number;
  outs: number;
  total: number;
}

/** A set-up to keep apart, a thing that does not match between two cameras, a thing that runs out, in loss (start). */
const PRESET_LOSS = 0.1;
const MISMATCH_LOSS = 0.25;
const OUT_LOSS = 3;

export type JointReason = 'match' | 'filterChange' | 'preset' | 'card' | 'power' | 'heat';

/** A change of one part: what it holds from now on, and why. */
export interface JointChange {
  partId: string;
  reasons: readonly JointReason[];
  pins: Pins;
  before: Settings;
  after: Settings;
  addedLoss: number;
}

export interface JointDay {
  before: DayCost;
  after: DayCost;
  changes: readonly JointChange[];
}

export interface JointProgress {
  step: 'answers' | 'match' | 'filterChanges' | 'budget' | 'done';
  share: number;
}

/** Step by step, so that the one who asks can show how far it is and stop it; returns what it found. */
export function* jointDay(
  day: Schedule,
  gear: readonly Gear[],
  memo: Memo = new Map(),
): Generator<JointProgress, JointDay> {
  const { parts } = day;
  for (const [at, part] of parts.entries()) {
    partWorkOf(part, memo);
    if (at % 4 === 0) yield { step: 'answers', share: (0.5 * at) / parts.length };
  }
  const firstSheet = daySheet(day, gear, memo);
  const before = costOf(day, firstSheet);
  let best: Plan = { day, sheet: firstSheet, cost: before, pins: new Map(), reasons: new Map() };

  const groups = groupsOf(parts);
  const matched: PartPins[] = [];
  for (const [at, group] of groups.entries()) {
    yield { step: 'match', share: 0.5 + (0.3 * at) / groups.length };
    matched.push(...matchOf(group, firstSheet));
  }
  best = tried(best, gear, memo, 'match', matched);

  yield { step: 'filterChanges', share: 0.82 };
  for (const reason of ['filterChange', 'preset'] as const)
    best = tried(best, gear, memo, reason, followed(best, reason));

  for (let round = 0; round < 6; round += 1) {
    yield { step: 'budget', share: 0.85 + 0.02 * round };
    const outs = best.sheet.cameras.flatMap(({ budget }) => outsOf(budget));
    const old = best;
    for (const out of outs) {
      const [gentlest] = curesOf(best.day, gear, best.sheet, out, memo).flatMap(({ changes }) =>
        changes.flatMap((change) => (change.what === 'pins' ? [change.pins] : [])),
      );
      if (gentlest) best = tried(best, gear, memo, out.what, gentlest);
    }
    if (best === old) break;
  }
  yield { step: 'done', share: 1 };
  return { before, after: best.cost, changes: changesOf(firstSheet, best) };
}

/** The pins that make cameras of one shot match, where that costs the pictures less than the mismatch does. */
function matchOf(group: readonly DayPart[], sheet: DaySheet): PartPins[] {
  const amiss = MISMATCH_LOSS * mismatchesOf(group, sheet);
  if (amiss === 0) return [];
  const joint = solveJointly(group.map(({ brief }) => brief));
  if (!joint.solved || joint.joint.cost >= amiss) return [];
  return group.map(({ id }, index) => ({ partId: id, pins: joint.joint.cameras[index]?.pins ?? {} }));
}

interface Plan {
  /** The day with what is held so far. */
  day: Schedule;
  sheet: DaySheet;
  cost: DayCost;
  pins: ReadonlyMap<string, Pins>;
  reasons: ReadonlyMap<string, ReadonlySet<JointReason>>;
}

/** The plan with these pins held too, where that costs less; else the plan as it was. */
function tried(
  plan: Plan,
  gear: readonly Gear[],
  memo: Memo,
  reason: JointReason,
  wanted: readonly PartPins[],
): Plan {
  if (wanted.length === 0) return plan;
  const pins = new Map(plan.pins);
  const reasons = new Map(plan.reasons);
  for (const { partId, pins: more } of wanted) {
    pins.set(partId, { ...pins.get(partId), ...more });
    reasons.set(partId, new Set([...(reasons.get(partId) ?? []), reason]));
  }
  const day = { ...plan.day, parts: plan.day.parts.map((part) => holding(part, pins.get(part.id))) };
  const sheet = daySheet(day, gear, memo);
  const cost = costOf(day, sheet);
  // Following what the day carries anyway costs nothing and keeps it so.
  const follows = reason === 'filterChange' || reason === 'preset';
  const better = follows ? cost.total <= plan.cost.total + 1e-6 : cost.total < plan.cost.total - 1e-6;
  return better ? { day, sheet, cost, pins, reasons } : plan;
}

function holding(part: DayPart, pins: Pins | undefined): DayPart {
  if (!pins) return part;
  const held = { ...part.brief.pins, ...pins };
  return { ...part, shot: { ...part.shot, pins: held }, brief: { ...part.brief, pins: held } };
}

/** What the day carries already beside a part's own best: the filter it wears, the set-up that serves it. */
function followed({ day, sheet }: Plan, reason: 'filterChange' | 'preset'): PartPins[] {
  return day.parts.flatMap(({ id: partId }): PartPins[] => {
    const { own = null, carried = null } = sheet.parts.get(partId) ?? {};
    if (!own || !carried || carried.intervalSeconds !== null) return [];
    const { filter } = carried.settings;
    if (reason === 'filterChange')
      return filter.ids.join() === own.settings.filter.ids.join()
        ? []
        : [{ partId, pins: { filter: { ids: [...filter.ids] } } }];
    const setup = setupPins(carried.settings);
    return JSON.stringify(setup) === JSON.stringify(setupPins(own.settings)) ||
      filter.ids.join() !== own.settings.filter.ids.join()
      ? []
      : [{ partId, pins: setup }];
  });
}

/** The cameras of one shot that film at the same time. */
function groupsOf(parts: readonly DayPart[]): DayPart[][] {
  const groups = new Map<string, DayPart[]>();
  for (const part of parts) {
    const key = `${part.entryId}@${part.fromMs}`;
    groups.set(key, [...(groups.get(key) ?? []), part]);
  }
  return [...groups.values()].filter((group) => group.length > 1);
}

export function costOf(day: Schedule, sheet: DaySheet): DayCost {
  const pictures = [...sheet.parts.values()].reduce((sum, { carried }) => sum + (carried?.loss ?? 0), 0);
  const filterChanges =
    FILTER_CHANGE_LOSS * sheet.cameras.reduce((sum, one) => sum + one.filterChanges.length, 0);
  const presets = PRESET_LOSS * sheet.cameras.reduce((sum, one) => sum + one.presets.length, 0);
  const outs = OUT_LOSS * sheet.cameras.reduce((sum, { budget }) => sum + outsOf(budget).length, 0);
  const mismatches =
    MISMATCH_LOSS * groupsOf(day.parts).reduce((sum, group) => sum + mismatchesOf(group, sheet), 0);
  return {
    pictures,
    filterChanges,
    presets,
    mismatches,
    outs,
    total: pictures + filterChanges + presets + mismatches + outs,
  };
}

function mismatchesOf(group: readonly DayPart[], { parts }: DaySheet): number {
  const settings = group.flatMap(({ id }) => parts.get(id)?.carried?.settings ?? []);
  const [first] = group;
  if (!first || settings.length < 2) return 0;
  return matchSheetOf(settings, first.brief.playback).filter(({ same }) => !same).length;
}

function changesOf(firstSheet: DaySheet, plan: Plan): JointChange[] {
  return [...plan.pins].flatMap(([partId, pins]): JointChange[] => {
    const old = firstSheet.parts.get(partId);
    const now = plan.sheet.parts.get(partId);
    if (!old?.own || !now?.carried) return [];
    return [
      {
        partId,
        pins,
        reasons: [...(plan.reasons.get(partId) ?? [])],
        before: old.own.settings,
        after: now.carried.settings,
        addedLoss: now.carried.loss - old.own.loss,
      },
    ];
  });
}
