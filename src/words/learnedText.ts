import { figureAt } from '@/core/records/figures';
import type { Figure, FigureKind, Learned } from '@/core/records/learned';
import { tenths, trimmed } from '@/core/units/format';
import * as messages from '@/language/words/learned';
import { ACTIVITY_LABEL, GROUND_LABEL, MOUNT_LABEL, SCENE_LABEL } from './labels';
import { SHADE_LABEL, SKY_LABEL } from './lightText';

/** What the things behind a figure are called, by their ids; `undefined`: nobody knows any more. */
export interface Names {
  camera: (id: string) => string | undefined;
  filter: (id: string) => string | undefined;
}

/** "shake of your helmet, riding on rough ground" */
export function learnedFigureName(figure: Figure, names: Names): string {
  const camera = 'cameraId' in figure ? (names.camera(figure.cameraId) ?? messages.aCamera) : '';
  switch (figure.of) {
    case 'scene':
      return messages.scene({ scene: SCENE_LABEL[figure.scene] });
    case 'shade':
      return messages.shade({ shade: SHADE_LABEL[figure.shade] });
    case 'sky':
      return messages.sky({ sky: SKY_LABEL[figure.sky] });
    case 'shake':
      return messages.shake({
        mount: MOUNT_LABEL[figure.mount],
        activity: ACTIVITY_LABEL[figure.activity],
        ground: GROUND_LABEL[figure.ground],
      });
    case 'filter':
      return messages.filter({ filter: names.filter(figure.filterId) ?? messages.aFilter });
    case 'power':
      return messages.power({ camera, height: figure.height, fps: trimmed(figure.frameRate, 2) });
    case 'lateness':
      return messages.lateness;
    case 'heat':
      return messages.heat({ camera });
    case 'bitRate':
      return messages.bitRate({ camera });
    case 'iso':
      return messages.iso({ camera });
    case 'guard':
      return messages.guard({ camera });
  }
}

/** A figure in its own unit: "52°/s". */
export function figureValue(figure: Pick<Figure, 'of'>, value: number): string {
  return valueText(figure, value).replace('-', '−');
}

/** The same where there is little room. */
export function figureAxisText(figure: Pick<Figure, 'of'>, value: number): string {
  return figure.of === 'lateness' ? tenths(value).replace('-', '−') : figureValue(figure, value);
}

function valueText({ of }: Pick<Figure, 'of'>, value: number): string {
  switch (of) {
    case 'scene':
      return messages.ev({ value: tenths(value) });
    case 'shade':
    case 'sky':
    case 'guard':
      return messages.stops({ value: tenths(value) });
    case 'filter':
      return messages.stops({ value: trimmed(value, 2) });
    case 'shake':
      return messages.shakeIs({ value: trimmed(value, value < 10 ? 1 : 0) });
    case 'power':
      return messages.watts({ value: tenths(value) });
    case 'heat':
      return messages.kelvins({ value: tenths(value) });
    case 'bitRate':
      return messages.share({ value: trimmed(100 * value, 0) });
    case 'iso':
      return messages.isoIs({ value: String(Math.round(value / 10) * 10) });
    case 'lateness':
      return messages.minutes({ value: tenths(value) });
  }
}

/** Those told in per cent; the others are told in stops or minutes. */
const IN_SHARES: readonly FigureKind[] = ['shake', 'power', 'heat', 'bitRate'];

/** How sure: "±0.2 stop", one standard deviation. */
export function withinText({ figure, spread }: Pick<Learned, 'figure' | 'spread'>): string {
  if (figure.of === 'lateness') return messages.withinMinutes({ value: tenths(spread) });
  if (IN_SHARES.includes(figure.of))
    return messages.withinShare({ value: trimmed(100 * (2 ** spread - 1), 0) });
  return messages.withinStops({ value: spread < 0.095 ? trimmed(spread, 2) : tenths(spread) });
}

/** "from 4 clips" */
export function fromText({ figure, from }: Pick<Learned, 'figure' | 'from'>): string {
  return figure.of === 'lateness' || figure.of === 'power'
    ? messages.fromDays({ count: from })
    : messages.fromClips({ count: from });
}

/** "shake of your helmet, riding on rough ground: 52°/s, from 6 clips; usual 40°/s." */
export function usedText(learned: Learned, names: Names): string {
  return messages.used(partsOf(learned, names));
}

/** The same with how sure it is. */
export function learnedText(learned: Learned, names: Names): string {
  return messages.told({ ...partsOf(learned, names), within: withinText(learned) });
}

function partsOf(
  learned: Learned,
  names: Names,
): { figure: string; value: string; from: string; usual: string } {
  const { figure, usual, off } = learned;
  return {
    figure: learnedFigureName(figure, names),
    value: figureValue(figure, figureAt(learned, off)),
    from: fromText(learned),
    usual: figureValue(figure, usual),
  };
}
