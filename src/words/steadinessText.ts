import type { SteadyMeans, SteadyWay, TiltRemedy } from '@/core/compare/steadiness';
import type { Pins } from '@/core/records/settings';
import { tenths, trimmed } from '@/core/units/format';
import { MOUNT_LABEL, SETTING_LABEL, STABILIZATION_LABEL } from './labels';
import { changes } from './changesText';

/** What is said of a way to hold a shot. */
export function meansName(means: SteadyMeans): string {
  switch (means.kind) {
    case 'inCamera':
      return means.stabilization === 'off' ? 'not held' : STABILIZATION_LABEL[means.stabilization];
    case 'inEdit':
      return 'steadied in the edit';
    case 'physical':
      return `on a ${MOUNT_LABEL[means.mount]}`;
  }
}

export function wayNotes(way: SteadyWay): string[] {
  const gave = way.gaveWay.map((key) => SETTING_LABEL[key as keyof Pins].toLowerCase());
  return [
    way.heldDeg >= way.swingDeg
      ? `holds ${tenths(Math.min(way.heldDeg, 90))}°, the swing is ${tenths(way.swingDeg)}°`
      : `leaves ${tenths(way.swingDeg - way.heldDeg)}° of ${tenths(way.swingDeg)}° shaking`,
    `keeps ${trimmed(way.keeps * 100, 0)} % of the width, ${trimmed(way.widthPx, 0)} px`,
    way.tiltHeldDeg === 180
      ? 'level all the way round'
      : way.tiltHeldDeg > 0
        ? `level up to ${way.tiltHeldDeg}°`
        : 'no levelling',
    `offered up to ${trimmed(way.fastestFps, 0)} fps`,
    ...(way.blurToAdd > 0.02
      ? [`${trimmed(way.blurToAdd, 2)} of a frame step of blur to add in the edit`]
      : []),
    ...(way.means.kind === 'physical' ? ['only where your hands are free for it'] : []),
    ...(gave.length > 0 ? [`your pinned ${gave.join(' and ')} would give way`] : []),
  ];
}

export function priceText({ gains, costs }: SteadyWay): string {
  if (gains.length === 0 && costs.length === 0) return 'as the answer stands';
  const less = gains.length > 0 ? `less: ${changes(gains, 3)}` : '';
  const more = costs.length > 0 ? `more: ${changes(costs, 3)}` : '';
  return [less, more].filter((part) => part !== '').join('; ');
}

export function remedyName(remedy: TiltRemedy['remedy']): string {
  return remedy === 'straighten' ? 'straightened in the edit' : STABILIZATION_LABEL[remedy];
}
