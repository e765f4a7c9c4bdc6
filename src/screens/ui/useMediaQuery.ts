'use client';

import { useSyncExternalStore } from 'react';

function useMediaQuery(feature: string, value: string): boolean {
  const query = `(${feature}: ${value})`;
  return useSyncExternalStore(
    (changed) => {
      const list = matchMedia(query);
      list.addEventListener('change', changed);
      return () => list.removeEventListener('change', changed);
    },
    () => matchMedia(query).matches,
    // Prerendered, as if it held: room for all, and nothing moves.
    () => true,
  );
}

/** Whether there is room for two things side by side; styles break at the same width. */
export const useWide = (): boolean => useMediaQuery('min-width', '1101px');

/** Whether the person asked for less movement. */
export const useReducedMotion = (): boolean => useMediaQuery('prefers-reduced-motion', 'reduce');
