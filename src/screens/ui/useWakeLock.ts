'use client';

import { useEffect, useState } from 'react';

/** Keeps the screen on while wanted; taken again when the page comes back to the front. */
export function useWakeLock(): { on: boolean; able: boolean; turn: (on: boolean) => void } {
  const [wanted, setWanted] = useState(false);
  const [held, setHeld] = useState(false);
  const able = typeof navigator !== 'undefined' && 'wakeLock' in navigator;
  useEffect(() => {
    if (!wanted || !able) return;
    let lock: WakeLockSentinel | null = null;
    let ended = false;
    const take = async (): Promise<void> => {
      if (document.visibilityState !== 'visible') return;
      try {
        const got = await navigator.wakeLock.request('screen');
        if (ended) void got.release();
        else {
          lock = got;
          setHeld(true);
          got.addEventListener('release', () => setHeld(false));
        }
      } catch {
        // A battery saver may refuse it: the button then shows that it is off.
        setWanted(false);
      }
    };
    const again = (): void => void take();
    document.addEventListener('visibilitychange', again);
    void take();
    return () => {
      ended = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, [wanted, able]);
  return { on: wanted && held, able, turn: setWanted };
}
