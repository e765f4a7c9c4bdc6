'use client';

import * as messages from '@/language/ui';
import { useSyncExternalStore } from 'react';

const QUERY = messages.prefersReducedMotionReduce;

function subscribe(changed: () => void): () => void {
  const list = matchMedia(QUERY);
  list.addEventListener('change', changed);
  return () => list.removeEventListener('change', changed);
}

/** Whether the person asked for less movement. */
export function useReducedMotion(): boolean {
  return useSyncExternalStore(
    subscribe,
    () => matchMedia(QUERY).matches,
    () => true,
  );
}
