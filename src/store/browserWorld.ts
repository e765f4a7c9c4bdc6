import type { World } from './world';

const KEY = 'lynxeye-tab';
const DEVICE_KEY = 'lynxeye-device';

/** The page's clock and ids, and a name for its window that a reload keeps. */
export function browserWorld(): World {
  return {
    now: () => new Date(),
    newId: () => crypto.randomUUID(),
    tab: named(
      () => sessionStorage,
      KEY,
      () => crypto.randomUUID(),
    ),
    device: named(() => localStorage, DEVICE_KEY, deviceName),
    newCounter: deviceName,
  };
}

/** Ten digits of chance: two devices of one person never meet under one name. */
function deviceName(): string {
  return crypto.randomUUID().replaceAll('-', '').slice(0, 10);
}

/** A name that a store of the browser keeps. */
function named(store: () => Storage, key: string, make: () => string): string {
  try {
    const kept = store().getItem(key) ?? make();
    store().setItem(key, kept);
    return kept;
  } catch {
    // Where nothing may be kept, it lasts as long as the page.
    return make();
  }
}
