import * as messages from '@/language/words/tradeOff';
import type { Filter } from '@/core/filters/kit';
import type { ShutterMark } from '@/core/compare/tradeOff';
import { shutterFraction } from '@/core/units/format';
import { filterText } from './settingText';

/** A mark on the shutter's scale, in a few words. */
export function markText({ seconds, what }: ShutterMark, kit: readonly Filter[]): string {
  const time = messages.seconds({ seconds: shutterFraction(seconds) });
  switch (what.code) {
    case 'angle':
      return messages.degreesAtTime({ degrees: what.degrees, time });
    case 'shakeFloor':
      return messages.shakeFloor({ time });
    case 'flickerSafe':
      return messages.steadyUnderTheLamps({ time });
    case 'filter':
      return messages.near({ from: filterText(what.from, kit), to: filterText(what.to, kit), time });
  }
}
