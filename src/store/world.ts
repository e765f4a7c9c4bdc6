/** What the store asks of the world around it: a clock, a source of ids and the window's name, so that tests can give their own. */
export interface World {
  now: () => Date;
  newId: () => string;
  /** Names this window, over a reload too. */
  tab: string;
  /** Names this device, for good: a few small letters and digits. */
  device: string;
  /** A name that no device has had, under which edits are counted: a few small letters and digits. */
  newCounter: () => string;
}
