/** Why a change could not be kept, in words: a full or refused storage says what to do. Nothing is half written. */
export function writeFaultText(error: unknown): string {
  const names = namesOf(error);
  if (names.some((name) => /quota/i.test(name)))
    return 'The browser’s storage is full. Nothing was lost: the change was not written. Export everything, then remove old outings or free space, and try again.';
  if (names.some((name) => /InvalidState|MissingAPI|OpenFailed|Security|DatabaseClosed/i.test(name)))
    return 'The browser refuses to store anything here just now. Nothing was lost: the change was not written. Close other windows of the app or leave the private window, and try again.';
  return `That was not written, and nothing was lost: ${error instanceof Error ? error.message : String(error)}`;
}

/** A store's error wraps the browser's own. */
function namesOf(error: unknown): string[] {
  if (typeof error !== 'object' || error === null) return [];
  const { name, inner } = error as { name?: unknown; inner?: unknown };
  return [...(typeof name === 'string' ? [name] : []), ...(inner === error ? [] : namesOf(inner))];
}
