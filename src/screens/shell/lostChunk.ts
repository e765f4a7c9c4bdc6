/** A part of the app that is no longer there: it was updated while this page stood open. */
export function isLostChunk(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  return (
    error.name === 'ChunkLoadError' ||
    /Failed to load chunk|dynamically imported module|Importing a module script failed/i.test(error.message)
  );
}

const KEY = 'lynxeye-loaded-anew';
/** Not again within this: the part is then missing for another reason, milliseconds. */
const PAUSE_MS = 30_000;

/** Loads the page anew, which brings the app of today; once, so that it never goes round. */
export function loadAnewOnce(): void {
  try {
    const last = Number(sessionStorage.getItem(KEY) ?? 0);
    if (Date.now() - last < PAUSE_MS) return;
    sessionStorage.setItem(KEY, String(Date.now()));
  } catch {
    return;
  }
  window.location.reload();
}
