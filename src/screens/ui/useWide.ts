import { useSyncExternalStore } from 'react';

/** Whether there is room for two things side by side; styles use the same width. */
const WIDE = '(min-width: 1101px)';

export function useWide(): boolean {
  return useSyncExternalStore(
    (onChange) => {
      const query = window.matchMedia(WIDE);
      query.addEventListener('change', onChange);
      return () => query.removeEventListener('change', onChange);
    },
    () => window.matchMedia(WIDE).matches,
    () => true,
  );
}
