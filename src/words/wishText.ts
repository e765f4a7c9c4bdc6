import type { SchoolId } from '@/core/vocabulary/schools';
import type { YieldedWish } from '@/core/answer/kept';
import type { WishCode } from '@/core/loss/wishes';
import { SCHOOLS } from '@/core/loss/schools';
import { tenths } from '@/core/units/format';
import { SCHOOL_LABEL } from './labels';
import { capital } from './sentences';

/** What a school's wish asks for, as the subject of a sentence. */
function wishName(wish: WishCode, school: SchoolId): string {
  const { wishes } = SCHOOLS[school];
  switch (wish) {
    case 'stabilization':
      return wishes.stabilization?.among.includes('off') ? 'stabilization off' : 'a steadied picture';
    case 'shutterMode':
      return wishes.shutterMode?.mode === 'auto' ? 'an automatic shutter' : 'a fixed shutter';
    case 'angle': {
      const { fromDeg = 0, toDeg = 0 } = wishes.angle ?? {};
      return fromDeg === toDeg ? `exactly ${fromDeg}°` : `${fromDeg}° to ${toDeg}°`;
    }
    case 'withinShakeFloor':
      return 'a shutter within the shake floor';
    case 'noFilter':
      return 'nothing in front of the lens';
    case 'isoSpan':
      return 'a narrow ISO window';
    case 'isoMax':
      return `ISO ${wishes.isoMax?.iso ?? 0} at most`;
  }
}

/** Which wish of the school yields here, and what keeping it would have cost. */
export function yieldedText(yielded: YieldedWish, school: SchoolId): string {
  const name = capital(wishName(yielded.wish, school));
  const who = SCHOOL_LABEL[school];
  const { keepingCosts, whiteStops, darkStops, filterStops } = yielded;
  if (keepingCosts === null) return `${name}, which ${who} wishes, is not to be had here.`;
  const out = [
    whiteStops > 0.05 ? `${tenths(whiteStops)} stops would be white` : '',
    darkStops > 0.05 ? `${tenths(darkStops)} stops would be dark` : '',
  ].filter((part) => part !== '');
  const cost = `kept, ${out.length > 0 ? `${out.join(' and ')}, and it` : 'it'} would cost ${tenths(keepingCosts)} more`;
  const way = filterStops === null ? '' : ` A filter of ${filterStops} stops in the bag would keep it.`;
  return `${name} yields: ${cost}.${way}`;
}
