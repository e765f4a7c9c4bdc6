import type { World } from './repository';

const KEY = 'lynxeye-tab';

/** The page's clock and ids, and a name for its window that a reload keeps. */
export function browserWorld(): World {
  return { now: () => new Date(), newId: () => crypto.randomUUID(), tab: tabName() };
}

function tabName(): string {
  try {
    const kept = sessionStorage.getItem(KEY) ?? crypto.randomUUID();
    sessionStorage.setItem(KEY, kept);
    return kept;
  } catch {
    // Where nothing may be kept for a visit, undo lasts as long as the page.
    return crypto.randomUUID();
  }
}
