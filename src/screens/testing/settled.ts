import { act } from '@testing-library/react';

/** Does something whose promises settle at once, and waits until the screen has followed. */
export function settled(deed: () => unknown): Promise<void> {
  return act(async () => {
    deed();
    await Promise.resolve();
  });
}
