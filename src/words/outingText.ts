import type { MountKind } from '@/core/vocabulary/mounts';
import type { Act, CameraBudget } from '@/core/day/budget';
import type { DayRemedy } from '@/core/day/dayRemedies';
import type { Out, Resource } from '@/core/day/daySheet';
import type { DayCost, JointChange, JointReason } from '@/core/day/jointDay';
import type { PackItem } from '@/core/day/packing';
import type { Filter } from '@/core/filters/kit';
import type { Settings } from '@/core/records/settings';
import { trimmed } from '@/core/units/format';
import { CODEC_LABEL, MOUNT_LABEL } from './labels';
import { clockText } from './lightText';
import { capital } from './sentences';
import { CARD_KEYS, SECOND_ROW_KEYS } from './card';
import { SETTING_LABEL } from './labels';
import { durationText, filterText, settingText } from './settingText';
import type { FilterNotation } from './settingText';

/** What a day says of itself: what runs out, what cures it, what is packed, what a joint solve would change. */
export const RESOURCE_LABEL: Record<Resource, string> = { card: 'card', power: 'power', heat: 'heat' };

export function outText(
  { what, atMs }: Pick<Out, 'what' | 'atMs'>,
  camera: string,
  during: string,
  zone: string,
): string {
  const when = clockText(atMs, zone);
  const text: Record<Resource, string> = {
    card: `${camera}'s cards are full at ${when}`,
    power: `${camera} is out of power at ${when}`,
    heat: `${camera} shuts itself off, too hot, at ${when}`,
  };
  return `${text[what]}, during ${during}.`;
}

/** Less than this lost at an end is not worth a word, stops. */
const WORTH_STOPS = 0.3;

/** "holds", or what of the light is lost: "0.7 stop white". */
export function holdsText({ overStops, underStops }: { overStops: number; underStops: number }): string {
  const lost = [
    ...(overStops >= WORTH_STOPS ? [`${trimmed(overStops, 1)} stop white`] : []),
    ...(underStops >= WORTH_STOPS ? [`${trimmed(underStops, 1)} stop dark`] : []),
  ];
  return lost.length === 0 ? 'holds' : lost.join(', ');
}

/** One camera cannot film two shots at once. */
export function clashText(camera: string, first: string, second: string, atMs: number, zone: string): string {
  return `${camera} still films ${first} when ${second} begins at ${clockText(atMs, zone)}: move one of them, or give it another camera.`;
}

/** What else runs out all the same, as a clause; empty where nothing does. */
export function leavesText({ leaves }: DayRemedy): string {
  if (leaves.length === 0) return '';
  const names = leaves.map((what) => RESOURCE_NAME[what]).join(' and ');
  return `; ${names} still ${leaves.length === 1 ? 'runs' : 'run'} out`;
}

const RESOURCE_NAME: Record<DayRemedy['what'], string> = {
  card: 'the card',
  power: 'the cell',
  heat: 'its heat margin',
};

export function dayRemedyText(
  remedy: DayRemedy,
  zone: string,
  entryAt: (entryId: string) => number | null,
): string {
  const at = (entryId: string, afterMinutes: number): string => {
    const start = entryAt(entryId);
    return start === null
      ? `after ${afterMinutes} min`
      : `at ${clockText(start + afterMinutes * 60_000, zone)}`;
  };
  switch (remedy.how) {
    case 'bitRate':
      return `Record at ${trimmed(remedy.mbps, 1)} Mbit/s`;
    case 'codec':
      return `Record in ${CODEC_LABEL.hevc} at ${trimmed(remedy.mbps, 1)} Mbit/s`;
    case 'frameRate':
      return `Record at ${trimmed(remedy.fps, 3)} fps`;
    case 'resolution':
      return `Record at ${remedy.width}×${remedy.height}`;
    case 'card':
      return `Put in a card of ${trimmed(remedy.capacityGb, 0)} GB`;
    case 'spareCard':
      return remedy.pause
        ? `Stop ${at(remedy.pause.entryId, remedy.pause.afterMinutes)} for ${remedy.pause.minutes} min and change the card`
        : `Take one more card of ${trimmed(remedy.capacityGb, 0)} GB, changed at a break`;
    case 'spareCell':
      return remedy.pause
        ? `Stop ${at(remedy.pause.entryId, remedy.pause.afterMinutes)} for ${remedy.pause.minutes} min and change the cell, ${remedy.count} in all`
        : `Take ${remedy.count} cells, changed at breaks`;
    case 'charge':
      return remedy.charging === 'recording'
        ? `Record with a bank of ${remedy.ampereHours} Ah plugged in: the door stays open, so nothing seals`
        : `Charge from a bank of ${remedy.ampereHours} Ah at the breaks`;
    case 'pauses':
      return `Stop ${remedy.pauses.length === 1 ? 'once' : `${remedy.pauses.length} times`} for ${remedy.pauses[0]?.minutes ?? 0} min to cool, first ${at(remedy.entryId, remedy.pauses[0]?.afterMinutes ?? 0)}`;
  }
}

export function actText(act: Act, camera: string): string {
  switch (act.what) {
    case 'card':
      return `${camera}: change to ${act.name}`;
    case 'cell':
      return `${camera}: put in cell ${act.to + 1}`;
    case 'charge':
      return `${camera}: charge, ${trimmed(act.wattHours, 1)} Wh`;
  }
}

/** "Filter ND8 off, ND64 on", as hands do it. */
export function filterChangeText(
  camera: string,
  from: readonly string[],
  to: readonly string[],
  kit: readonly Filter[],
  notation: FilterNotation,
): string {
  const name = (ids: readonly string[]): string =>
    filterText({ ids, stops: stopsOf(ids, kit) }, kit, notation).replace(/^variable.*/, 'variable');
  if (to.length === 0) return `${camera}: ${name(from)} off`;
  return from.length === 0 ? `${camera}: ${name(to)} on` : `${camera}: ${name(from)} off, ${name(to)} on`;
}

function stopsOf(ids: readonly string[], kit: readonly Filter[]): number {
  return ids.reduce((sum, id) => {
    const filter = kit.find((one) => one.id === id);
    return (
      sum +
      (!filter ? 0 : filter.kind === 'variable' ? filter.stopsMin : (filter.measuredStops ?? filter.stops))
    );
  }, 0);
}

export function levelText({ card, power, heat }: CameraBudget): {
  card: string;
  power: string;
  heat: string;
} {
  return {
    card: `${trimmed(card.needs, 1)} of ${trimmed(card.has, 0)} GB`,
    power: `${trimmed(power.needs, 1)} of ${trimmed(power.has, 1)} Wh`,
    heat: Number.isFinite(heat.hottestC) ? `up to ${trimmed(heat.hottestC, 0)} °C` : 'off all day',
  };
}

export function packText(item: PackItem, kits: ReadonlyMap<string, readonly Filter[]>): string {
  switch (item.what) {
    case 'camera':
      return item.name;
    case 'filter': {
      const kit = kits.get(item.cameraId) ?? [];
      return `Filter ${filterText({ ids: [item.filterId], stops: stopsOf([item.filterId], kit) }, kit).replace(/^variable.*/, 'variable')} for ${item.camera}`;
    }
    case 'card':
      return item.name === '' ? `Card for ${item.camera}, empty` : `${item.name} for ${item.camera}, empty`;
    case 'cell':
      return item.count === 1
        ? `Cell for ${item.camera}, charged`
        : `${item.count} cells for ${item.camera}, charged`;
    case 'bank':
      return `Bank ${trimmed(item.ampereHours, 1)} Ah, charged, with its cable`;
    case 'mount':
      return `Mount: ${MOUNT_LABEL[item.kind]}`;
    case 'tether':
      return item.count === 1 ? 'A tether' : `${item.count} tethers`;
    case 'lamp':
      return 'Head torch or lamp, charged';
    case 'cloth':
      return 'Lens cloth, dry';
    case 'codes':
      return 'Set-up codes on paper, and the pocket cards';
  }
}

export const JOINT_REASON: Record<JointReason, string> = {
  match: 'so that the cameras cut together',
  filterChange: 'so that the filter need not be changed',
  preset: 'so that one stored set-up serves',
  card: 'so that the card lasts',
  power: 'so that the power lasts',
  heat: 'so that it does not overheat',
};

/** What a joint solve changes of one shot: "Filter ND16 → ND8; Shutter 1/50 s → 1/100 s". */
export function changeText(
  { before, after }: Pick<JointChange, 'before' | 'after'>,
  kit: readonly Filter[],
  notation: FilterNotation,
): string {
  const text = (key: keyof Settings, settings: Settings): string => settingText(key, settings, kit, notation);
  const keys = [...CARD_KEYS, ...SECOND_ROW_KEYS].filter((key) => text(key, before) !== text(key, after));
  return keys.length === 0
    ? 'Held as it is'
    : keys.map((key) => `${SETTING_LABEL[key]} ${text(key, before)} → ${text(key, after)}`).join('; ');
}

export function costText({ pictures, filterChanges, presets, mismatches, outs, total }: DayCost): string {
  const part = (value: number, name: string): string => `${trimmed(value, 1)} ${name}`;
  return `${trimmed(total, 1)}: ${[
    part(pictures, 'in the pictures'),
    part(filterChanges, 'for filter changes'),
    part(presets, 'for set-ups'),
    part(mismatches, 'for what does not match'),
    part(outs, 'for what runs out'),
  ].join(', ')}`;
}

/** Names short enough for a camera's own screen: twelve characters, told apart by a letter where two are alike. */
export const PRESET_NAME_LENGTH = 12;

const SHORT_MOUNT: Partial<Record<MountKind, string>> = {
  backPole: 'back',
  handlebar: 'bar',
  vehicleInside: 'inside',
  vehicleOutside: 'outside',
  railBack: 'railbk',
  groundStand: 'ground',
  shoulder: 'should',
};

export function presetNames(
  presets: readonly { settings: Settings; intervalSeconds: number | null; mount: MountKind }[],
): string[] {
  const names: string[] = [];
  for (const { settings, intervalSeconds, mount } of presets) {
    const place = (SHORT_MOUNT[mount] ?? mount).slice(0, 6);
    const rate = intervalSeconds === null ? trimmed(settings.frameRate, 0) : 'lapse';
    const plain = capital(`${place} ${rate}`);
    let name = plain.slice(0, PRESET_NAME_LENGTH);
    for (let at = 0; names.includes(name); at += 1)
      name = `${plain.slice(0, PRESET_NAME_LENGTH - 1)}${String.fromCharCode(98 + at)}`;
    names.push(name);
  }
  return names;
}

/** "Wants 3 set-ups, has 2: ..." in one sentence. */
export function presetsText(
  choice: { within: boolean; exact: boolean; extra: readonly number[] } | null,
  stored: number,
  slots: number,
): string {
  if (slots === 0) return 'Stores no set-ups: set it by hand or by code before each shot.';
  if (!choice) return `Needs ${stored} set-ups and has ${slots} slots: set the rest by code at a break.`;
  const worst = Math.max(0, ...choice.extra);
  const how = choice.exact ? '' : ' Found by exchange, not by trying all.';
  if (choice.within)
    return `${stored} of ${slots} slots ${stored === 1 ? 'serves' : 'serve'} every shot${worst > 0.05 ? `, at most ${trimmed(worst, 2)} worse than its own` : ''}.${how}`;
  return `With ${slots} slots some shots share a set-up that costs up to ${trimmed(worst, 1)}: more than is seen.${how}`;
}

export function pauseText({ afterMinutes, minutes }: { afterMinutes: number; minutes: number }): string {
  return `after ${durationText(afterMinutes * 60)}, for ${durationText(minutes * 60)}`;
}
