import * as messages from '@/language/words/steadiness';
import type { SteadyMeans, SteadyWay, TiltRemedy } from '@/core/compare/steadiness';
import type { Pins } from '@/core/records/settings';
import { tenths, trimmed } from '@/core/units/format';
import { MOUNT_LABEL, SETTING_LABEL, STABILIZATION_LABEL } from './labels';
import { changes } from './changesText';

/** What is said of a way to hold a shot. */
export function meansName(means: SteadyMeans): string {
  switch (means.kind) {
    case 'inCamera':
      return means.stabilization === 'off' ? messages.notHeld : STABILIZATION_LABEL[means.stabilization];
    case 'inEdit':
      return messages.steadiedInTheEdit;
    case 'physical':
      return messages.onA({ mount: MOUNT_LABEL[means.mount] });
  }
}

export function wayNotes(way: SteadyWay): string[] {
  const gave = way.gaveWay.map((key) => SETTING_LABEL[key as keyof Pins].toLowerCase());
  return [
    way.heldDeg >= way.swingDeg
      ? messages.holdsTheSwingIs({
          heldDeg: tenths(Math.min(way.heldDeg, 90)),
          swingDeg: tenths(way.swingDeg),
        })
      : messages.leavesOfShaking({
          swingDeg: tenths(way.swingDeg - way.heldDeg),
          swingDeg2: tenths(way.swingDeg),
        }),
    messages.keepsOfTheWidthPx({ keeps: trimmed(way.keeps * 100, 0), widthPx: trimmed(way.widthPx, 0) }),
    way.tiltHeldDeg === 180
      ? messages.levelAllTheWayRound
      : way.tiltHeldDeg > 0
        ? messages.levelUpTo({ tiltHeldDeg: way.tiltHeldDeg })
        : messages.noLevelling,
    messages.offeredUpToFps({ fastestFps: trimmed(way.fastestFps, 0) }),
    ...(way.blurToAdd > 0.02 ? [messages.ofAFrameStepOf({ blurToAdd: trimmed(way.blurToAdd, 2) })] : []),
    ...(way.means.kind === 'physical' ? [messages.onlyWhereYourHandsAre] : []),
    ...(gave.length > 0 ? [messages.yourPinnedWouldGiveWay({ gave: gave.join(messages.and) })] : []),
  ];
}

export function priceText({ gains, costs }: SteadyWay): string {
  if (gains.length === 0 && costs.length === 0) return messages.asTheAnswerStands;
  const less = gains.length > 0 ? messages.less({ gains: changes(gains, 3) }) : '';
  const more = costs.length > 0 ? messages.more({ costs: changes(costs, 3) }) : '';
  return [less, more].filter((part) => part !== '').join('; ');
}

export function remedyName(remedy: TiltRemedy['remedy']): string {
  return remedy === 'straighten' ? messages.straightenedInTheEdit : STABILIZATION_LABEL[remedy];
}
