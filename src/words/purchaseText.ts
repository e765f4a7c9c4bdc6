import * as messages from '@/language/words/getting';
import { trimmed } from '@/core/units/format';
import { OFFERED_BANK_AH } from '@/core/changes/bank';
import type { Purchase } from '@/core/worth/purchase';
import type { Advice, Valued, Worth } from '@/core/worth/worth';
import { ARCHETYPE_LABEL } from './archetypeText';
import { MOUNT_LABEL } from './labels';

/** "ND64 for Shrew" */
export function purchaseText({ thing, camera }: { thing: Purchase; camera: string | null }): string {
  const whose = camera ?? '';
  switch (thing.what) {
    case 'filter':
      return messages.filterFor({
        factor: thing.filter.kind === 'nd' ? 2 ** thing.filter.stops : thing.filter.id,
        camera: whose,
      });
    case 'mount':
      return messages.mount({ mount: MOUNT_LABEL[thing.mount] });
    case 'camera':
      return messages.inPlaceOf({ archetype: ARCHETYPE_LABEL[thing.archetype], camera: whose });
    case 'card':
      return messages.cardFor({ camera: whose });
    case 'cell':
      return messages.cellFor({ camera: whose });
    case 'bank':
      return messages.bankFor({ camera: whose, ampereHours: OFFERED_BANK_AH.value });
  }
}

/** What it saves, in a sentence. */
export function purchaseSaves({ saves, improved, cured }: Valued, recordings: number): string {
  return messages.saves({ saves: trimmed(saves, 1), improved, recordings, cured });
}

/** What to do with the money. */
export function adviceText(worth: Worth, advice: Advice): string {
  const named = (ids: readonly string[]): string =>
    worth.things
      .filter(({ id }) => ids.includes(id))
      .map(purchaseText)
      .join(messages.and);
  switch (advice.code) {
    case 'nothingFilmed':
      return messages.nothingFilmed;
    case 'nothing':
      return messages.nothing({ most: trimmed(advice.most, 1), recordings: worth.recordings });
    case 'unpriced':
      return messages.unpriced;
    case 'tooDear':
      return messages.tooDear({ cheapest: trimmed(advice.cheapest, 2) });
    case 'set':
      return messages.set({
        things: named(advice.ids),
        price: trimmed(advice.price, 2),
        saves: trimmed(advice.saves, 1),
        loss: trimmed(worth.loss, 1),
      });
  }
}

/** Where the money does most, if that is the camera that films most. */
export function mainCameraText({ main }: Worth, first: Valued | null): string | null {
  if (!main) return null;
  const share = Math.round(100 * main.share);
  return first
    ? messages.mainFirst({
        camera: main.name,
        share,
        thing: purchaseText(first),
        saves: trimmed(first.saves, 1),
      })
    : messages.mainFilms({ camera: main.name, share });
}
