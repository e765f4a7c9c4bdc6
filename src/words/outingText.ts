import * as messages from '@/language/words/outing';
import type { MountKind } from '@/core/vocabulary/mounts';
import type { CameraBudget } from '@/core/day/budget';
import type { Act } from '@/core/day/levels';
import { NOTICED_STOPS } from '@/core/day/dayFaults';
import type { Cure } from '@/core/cures/cure';
import type { RunOut, Resource } from '@/core/day/daySheet';
import type { DayCost, JointChange, JointReason } from '@/core/cures/jointDay';
import type { PackItem } from '@/core/day/packing';
import type { Filter } from '@/core/filters/kit';
import type { Settings } from '@/core/records/settings';
import { trimmed } from '@/core/units/format';
import { CODEC_LABEL, MOUNT_LABEL } from './labels';
import { clockText } from './lightText';
import { capital } from './sentences';
import { CARD_KEYS, SECOND_ROW_KEYS } from './cardKeys';
import { SETTING_LABEL } from './labels';
import { durationText, settingText, wornText } from './settingText';
import type { FilterNotation } from './settingText';

/** What a day says of itself: what runs out, what cures it, what is packed, what a joint solve would change. */
export const RESOURCE_LABEL: Record<Resource, string> = messages.resourceLabel;

export function outText(
  { what, atMs }: Pick<RunOut, 'what' | 'atMs'>,
  camera: string,
  during: string,
  zone: string,
): string {
  const when = clockText(atMs, zone);
  const text: Record<Resource, string> = {
    card: messages.sCardsAreFullAt({ camera, when }),
    power: messages.isOutOfPowerAt({ camera, when }),
    heat: messages.shutsItselfOffTooHot({ camera, when }),
  };
  return messages.during({ what: text[what], during });
}

/** "holds", or what of the light is lost: "0.7 stops white". */
export function holdsText({ overStops, underStops }: { overStops: number; underStops: number }): string {
  const lost = [
    ...(overStops >= NOTICED_STOPS ? [messages.stopWhite({ overStops: trimmed(overStops, 1) })] : []),
    ...(underStops >= NOTICED_STOPS ? [messages.stopDark({ underStops: trimmed(underStops, 1) })] : []),
  ];
  return lost.length === 0 ? messages.holds : lost.join(', ');
}

/** One camera cannot film two shots at once. */
export function clashText(camera: string, first: string, second: string, atMs: number, zone: string): string {
  return messages.stillFilmsWhenBeginsAt({ camera, first, second, atMs: clockText(atMs, zone) });
}

/** What else runs out all the same, as a clause; empty where nothing does. */
export function leavesText({ leaves }: Cure): string {
  if (leaves.length === 0) return '';
  const names = leaves.map((what) => RESOURCE_NAME[what]).join(messages.and);
  return messages.stillRunsOut({ names, count: leaves.length });
}

const RESOURCE_NAME: Record<Cure['what'], string> = messages.resourceName;

export function cureText(cure: Cure, zone: string, entryAt: (entryId: string) => number | null): string {
  const at = (entryId: string, afterMinutes: number): string => {
    const start = entryAt(entryId);
    return start === null
      ? messages.afterMin({ afterMinutes })
      : messages.atStart({ start: clockText(start + afterMinutes * 60_000, zone) });
  };
  switch (cure.how) {
    case 'bitRate':
      return messages.recordAtMbitS({ mbps: trimmed(cure.mbps, 1) });
    case 'codec':
      return messages.recordInAtMbitS({ hevc: CODEC_LABEL.hevc, mbps: trimmed(cure.mbps, 1) });
    case 'frameRate':
      return messages.recordAtFps({ fps: trimmed(cure.fps, 3) });
    case 'resolution':
      return messages.recordAt({ width: cure.width, height: cure.height });
    case 'card':
      return messages.putInACardOf({ capacityGb: trimmed(cure.capacityGb, 0) });
    case 'spareCard':
      return cure.stop
        ? messages.stopForMinAndChange({
            entryId: at(cure.stop.entryId, cure.stop.afterMinutes),
            minutes: cure.stop.minutes,
          })
        : messages.takeOneMoreCardOf({ capacityGb: trimmed(cure.capacityGb, 0) });
    case 'spareCell':
      return cure.stop
        ? messages.stopForMinAndChangeEntryId({
            entryId: at(cure.stop.entryId, cure.stop.afterMinutes),
            minutes: cure.stop.minutes,
            count: cure.count,
          })
        : messages.takeCellsChangedAtBreaks({ count: cure.count });
    case 'charge':
      return cure.charging === 'recording'
        ? messages.recordWithABankOf({ ampereHours: cure.ampereHours })
        : messages.chargeFromABankOf({ ampereHours: cure.ampereHours });
    case 'stops':
      return messages.stopOnceForMinTo({
        count: cure.stops.length,
        minutes: cure.stops[0]?.minutes ?? 0,
        entryId: at(cure.entryId, cure.stops[0]?.afterMinutes ?? 0),
      });
  }
}

export function actText(act: Act, camera: string): string {
  switch (act.what) {
    case 'card':
      return messages.changeTo({ camera, act: act.name });
    case 'cell':
      return messages.putInCell({ camera, to: act.to + 1 });
    case 'charge':
      return messages.chargeWh({ camera, wattHours: trimmed(act.wattHours, 1) });
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
  const name = (ids: readonly string[]): string => wornText(ids, kit, notation);
  if (to.length === 0) return messages.off({ camera, from: name(from) });
  return from.length === 0
    ? messages.cameraOnTo({ camera, to: name(to) })
    : messages.offOn({ camera, from: name(from), to: name(to) });
}

export function levelText({ card, power, heat }: CameraBudget): {
  card: string;
  power: string;
  heat: string;
} {
  return {
    card: messages.ofGB({ needs: trimmed(card.needs, 1), has: trimmed(card.has, 0) }),
    power: messages.ofWh({ needs: trimmed(power.needs, 1), has: trimmed(power.has, 1) }),
    heat: Number.isFinite(heat.hottestC)
      ? messages.upToC({ hottestC: trimmed(heat.hottestC, 0) })
      : messages.offAllDay,
  };
}

export function packText(item: PackItem, kits: ReadonlyMap<string, readonly Filter[]>): string {
  switch (item.what) {
    case 'camera':
      return item.name;
    case 'filter': {
      const kit = kits.get(item.cameraId) ?? [];
      return messages.filterFor({
        kit: wornText([item.filterId], kit),
        camera: item.camera,
      });
    }
    case 'card':
      return item.name === ''
        ? messages.cardForEmpty({ camera: item.camera })
        : messages.forEmpty({ item: item.name, camera: item.camera });
    case 'cell':
      return messages.cellForCharged({ count: item.count, camera: item.camera });
    case 'bank':
      return messages.bankAhChargedWithIts({ ampereHours: trimmed(item.ampereHours, 1) });
    case 'mount':
      return messages.mount({ kind: MOUNT_LABEL[item.kind] });
    case 'tether':
      return messages.aTether({ count: item.count });
    case 'lamp':
      return messages.headTorchOrLampCharged;
    case 'cloth':
      return messages.lensClothDry;
    case 'codes':
      return messages.setUpCodesOnPaper;
  }
}

export const JOINT_REASON: Record<JointReason, string> = messages.jointReason;

/** What a joint solve changes of one shot: "Filter ND16 → ND8; Shutter 1/50 s → 1/100 s". */
export function changeText(
  { before, after }: Pick<JointChange, 'before' | 'after'>,
  kit: readonly Filter[],
  notation: FilterNotation,
): string {
  const text = (key: keyof Settings, settings: Settings): string => settingText(key, settings, kit, notation);
  const keys = [...CARD_KEYS, ...SECOND_ROW_KEYS].filter((key) => text(key, before) !== text(key, after));
  return keys.length === 0
    ? messages.heldAsItIs
    : keys.map((key) => `${SETTING_LABEL[key]} ${text(key, before)} → ${text(key, after)}`).join('; ');
}

export function costText({ pictures, filterChanges, presets, mismatches, outs, total }: DayCost): string {
  const part = (value: number, name: string): string => `${trimmed(value, 1)} ${name}`;
  return `${trimmed(total, 1)}: ${[
    part(pictures, messages.inThePictures),
    part(filterChanges, messages.forFilterChanges),
    part(presets, messages.forSetUps),
    part(mismatches, messages.forWhatDoesNotMatch),
    part(outs, messages.forWhatRunsOut),
  ].join(', ')}`;
}

/** Names short enough for a camera's own screen: twelve characters, told apart by a letter where two are alike. */
export const PRESET_NAME_LENGTH = 12;

const SHORT_MOUNT: Record<MountKind, string> = messages.shortMount;

export function presetNames(
  presets: readonly { settings: Settings; intervalSeconds: number | null; mount: MountKind }[],
): string[] {
  const names: string[] = [];
  for (const { settings, intervalSeconds, mount } of presets) {
    const place = SHORT_MOUNT[mount].slice(0, 6);
    const rate = intervalSeconds === null ? trimmed(settings.frameRate, 0) : messages.lapse;
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
  if (slots === 0) return messages.storesNoSetUpsSet;
  if (!choice) return messages.needsSetUpsAndHas({ stored, slots });
  const worst = Math.max(0, ...choice.extra);
  const how = choice.exact ? '' : messages.foundByExchangeNotBy;
  if (choice.within)
    return messages.ofSlotsServesEveryShot({
      stored,
      slots,
      worst: worst > 0.05 ? messages.atMostWorseThanIts({ worst: trimmed(worst, 2) }) : '',
      how,
    });
  return messages.withSlotsSomeShotsShare({ slots, worst: trimmed(worst, 1), how });
}

export function pauseText({ afterMinutes, minutes }: { afterMinutes: number; minutes: number }): string {
  return messages.afterFor({
    afterMinutes: durationText(afterMinutes * 60),
    minutes: durationText(minutes * 60),
  });
}
