import { act } from '@testing-library/react';

/** What comes once the picture was painted has come. */
export function painted(): Promise<void> {
  return act(async () => {
    // The frame, and what was put off until after it.
    await new Promise((frame) => requestAnimationFrame(frame));
    await new Promise((after) => setTimeout(after));
  });
}

/** Does something whose promises settle at once, and waits until the screen has followed. */
export function untilSettled(deed: () => unknown): Promise<void> {
  return act(async () => {
    deed();
    await Promise.resolve();
  });
}
