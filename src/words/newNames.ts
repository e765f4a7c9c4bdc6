import { USUAL_CARD_GB } from '@/core/camera/card';
import { NEW_FILTER_STOPS } from '@/core/records/kitItem';
import type { RecordTable } from '@/core/records/kinds';
import { LONGEST_NAME, LONGEST_THING_NAME } from '@/core/records/names';
import type { ThingKind } from '@/core/records/kitItem';
import { unnamedText } from './recordText';
import * as messages from '@/language/words/newNames';

/** The name of a copy, within the letters a name may have. */
export function copyName(name: string, most: number): string {
  return within(name, most, (own) => messages.copyOf({ name: own }));
}

/** The name of the other version of a record, which is kept beside it. */
export function besideName(name: string | null, table: RecordTable): string {
  return within(name ?? unnamedText(table), table === 'kit' ? LONGEST_THING_NAME : LONGEST_NAME, (own) =>
    messages.beside({ name: own }),
  );
}

/** A name told of, cut where it would be longer than a name may be; never half of a letter that takes two places. */
function within(name: string, most: number, tell: (name: string) => string): string {
  const room = most - tell('').length;
  return tell(name.length <= room ? name : name.slice(0, room).replace(/[\uD800-\uDBFF]$/, ''));
}

/** What a new thing of the kit is called until the person names it. */
export function newThingName(what: ThingKind): string {
  if (what === 'filter') return messages.newFilter({ factor: 2 ** NEW_FILTER_STOPS });
  return what === 'card' ? messages.newCard({ gb: USUAL_CARD_GB }) : messages.newThing[what];
}
