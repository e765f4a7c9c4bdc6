import { USUAL_CARD_GB } from '@/core/camera/card';
import { NEW_FILTER_STOPS } from '@/core/records/kitItem';
import type { ThingKind } from '@/core/records/kitItem';
import * as messages from '@/language/words/newNames';

/** The name of a copy, within the letters a name may have. */
export function copyName(name: string, most: number): string {
  const room = most - messages.copyOf({ name: '' }).length;
  // Never half of a letter that takes two places.
  const kept = name.length <= room ? name : name.slice(0, room).replace(/[\uD800-\uDBFF]$/, '');
  return messages.copyOf({ name: kept });
}

/** What a new thing of the kit is called until the person names it. */
export function newThingName(what: ThingKind): string {
  if (what === 'filter') return messages.newFilter({ factor: 2 ** NEW_FILTER_STOPS });
  return what === 'card' ? messages.newCard({ gb: USUAL_CARD_GB }) : messages.newThing[what];
}
