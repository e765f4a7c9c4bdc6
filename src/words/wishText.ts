import * as messages from '@/language/words/wish';
import type { SchoolId } from '@/core/vocabulary/schools';
import type { YieldedWish } from '@/core/answer/kept';
import type { WishCode } from '@/core/loss/wishes';
import { schoolOf } from '@/core/loss/schools';
import { tenths } from '@/core/units/format';
import { SCHOOL_LABEL } from './labels';
import { capital } from './sentences';

/** What a school's wish asks for, as the subject of a sentence. */
function wishName(wish: WishCode, school: SchoolId): string {
  const { wishes } = schoolOf({ school, mine: null });
  switch (wish) {
    case 'stabilization':
      return wishes.stabilization?.among.includes('off')
        ? messages.stabilizationOff
        : messages.aSteadiedPicture;
    case 'shutterMode':
      return wishes.shutterMode?.mode === 'auto' ? messages.anAutomaticShutter : messages.aFixedShutter;
    case 'angle': {
      const { fromDeg = 0, toDeg = 0 } = wishes.angle ?? {};
      return fromDeg === toDeg ? messages.exactly({ fromDeg }) : messages.fromDegToToDeg({ fromDeg, toDeg });
    }
    case 'withinShakeFloor':
      return messages.aShutterWithinTheShake;
    case 'lightKept':
      return messages.aShutterThatFollows;
    case 'noFilter':
      return messages.nothingInFrontOfThe;
    case 'isoSpan':
      return messages.aNarrowISOWindow;
    case 'isoMax':
      return messages.isoAtMost({ iso: wishes.isoMax?.iso ?? 0 });
  }
}

/** Which wish of the school yields here, and what keeping it would have cost. */
export function yieldedText(yielded: YieldedWish, school: SchoolId): string {
  const name = capital(wishName(yielded.wish, school));
  const who = SCHOOL_LABEL[school];
  const { keepingCosts, whiteStops, darkStops, filterStops } = yielded;
  if (keepingCosts === null) return messages.whichWishesIsNotTo({ name, who });
  const out = [
    whiteStops > 0.05 ? messages.stopsWouldBeWhite({ whiteStops: tenths(whiteStops) }) : '',
    darkStops > 0.05 ? messages.stopsWouldBeDark({ darkStops: tenths(darkStops) }) : '',
  ].filter((part) => part !== '');
  const cost = messages.keptWouldCostMore({
    count: out.length > 0 ? messages.andIt({ out: out.join(messages.and) }) : messages.it,
    keepingCosts: tenths(keepingCosts),
  });
  const way = filterStops === null ? '' : messages.aFilterOfStopsIn({ filterStops });
  return messages.yields({ name, cost, way });
}
