import * as messages from '@/language/data';
import { faultText } from '@/words/faultText';
import { RefusedWrite } from '@/store/refusedWrite';
import { whyText } from '@/words/whyText';

/** Faults told of one record. */
const MOST_TOLD = 3;

/** Why a change could not be kept, in words: a full or refused storage says what to do. Nothing is half written. */
export function writeFaultText(error: unknown): string {
  const refused = refusedIn(error);
  if (refused) {
    const told = refused.faults.slice(0, MOST_TOLD).map(faultText).join('; ');
    const more = refused.faults.length - MOST_TOLD;
    return messages.thatDoesNotFitAnd({
      record: refused.record,
      told,
      more: more > 0 ? messages.andMore({ more }) : '',
    });
  }
  const names = namesOf(error);
  if (names.some((name) => /quota/i.test(name))) return messages.theBrowsersStorageIsFull;
  if (
    names.some((name) => /ChunkLoad/i.test(name)) ||
    /dynamically imported module|Failed to load chunk/i.test(messageOf(error))
  )
    return messages.aPartOfTheApp;
  if (names.some((name) => /InvalidState|MissingAPI|OpenFailed|Security|DatabaseClosed/i.test(name)))
    return messages.theBrowserRefusesToStore;
  return messages.thatWasNotWrittenAnd({ error: whyText(error) });
}

/** Whether a change was refused by its schema or by the storage, which is no fault of the page. */
export function isRefusal(error: unknown): boolean {
  return refusedIn(error) !== null || namesOf(error).some((name) => /quota/i.test(name));
}

function messageOf(error: unknown): string {
  return error instanceof Error ? error.message : '';
}

/** A store's error wraps the browser's own. */
function refusedIn(error: unknown): RefusedWrite | null {
  if (error instanceof RefusedWrite) return error;
  if (typeof error !== 'object' || error === null) return null;
  const { inner } = error as { inner?: unknown };
  return inner === undefined || inner === error ? null : refusedIn(inner);
}

function namesOf(error: unknown): string[] {
  if (typeof error !== 'object' || error === null) return [];
  const { name, inner } = error as { name?: unknown; inner?: unknown };
  return [...(typeof name === 'string' ? [name] : []), ...(inner === error ? [] : namesOf(inner))];
}
