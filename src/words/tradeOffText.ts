import type { Filter } from '@/core/filters/kit';
import type { ShutterMark } from '@/core/compare/tradeOff';
import { shutterFraction } from '@/core/units/format';
import { filterText } from './settingText';

/** A mark on the shutter's scale, in a few words. */
export function markText({ seconds, what }: ShutterMark, kit: readonly Filter[]): string {
  const time = `${shutterFraction(seconds)} s`;
  switch (what.code) {
    case 'angle':
      return `${what.degrees}° at ${time}`;
    case 'shakeFloor':
      return `shake floor ${time}`;
    case 'flickerSafe':
      return `steady under the lamps ${time}`;
    case 'filter':
      return `${filterText(what.from, kit)} → ${filterText(what.to, kit)} near ${time}`;
  }
}
