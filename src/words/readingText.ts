import * as messages from '@/language/words/reading';
import type { Filter } from '@/core/filters/kit';
import type { ReadingBand } from '@/core/rehearse/reading';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import { filterText } from './settingText';
import type { FilterNotation } from './settingText';

/** What a camera has before its lens and how it is called. */
interface Bag {
  fNumber: number;
  kit: readonly Filter[];
  notation: FilterNotation;
}

/** "Read the light …: up to EV 13.5 (1/1480 s at f/2.8 and ISO 100) ND16, from there ND32" */
export function readingTaskText(shot: string, bands: readonly ReadingBand[], bag: Bag): string {
  if (bands.length === 0) return readTheLightText(shot);
  return messages.readTheLightTake({ shot, bands: bandsText(bands, bag) });
}

/** Where nothing is known of what a reading says yet. */
export function readTheLightText(shot: string): string {
  return messages.readTheLight({ shot });
}

/** By exposure value, and by the time that a camera shows by itself: that is what one reads there. */
function bandsText(bands: readonly ReadingBand[], { fNumber, kit, notation }: Bag): string {
  return bands
    .map(({ toEv, filter }, at) => {
      const name = filterText(filter, kit, notation);
      if (toEv === null)
        return at === 0 ? messages.takeAnyway({ filter: name }) : messages.beyond({ filter: name });
      const shutter = shutterFraction(twoDigits(fNumber ** 2 / 2 ** toEv));
      const told = { ev: tenths(toEv), shutter, filter: name };
      return at === 0 ? messages.upTo({ ...told, fNumber: trimmed(fNumber, 1) }) : messages.between(told);
    })
    .join(', ');
}

/** A time as near as a camera shows one: the denominator to two digits. */
function twoDigits(seconds: number): number {
  return 1 / Number((1 / seconds).toPrecision(2));
}
