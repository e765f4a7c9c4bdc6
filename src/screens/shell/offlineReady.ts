'use client';

import { create } from 'zustand';

/** Whether the app would open with no network now, as the worker that keeps it says. */
export type OfflineState = 'unknown' | 'filling' | 'ready' | 'notHere';

export const useOffline = create<{ state: OfflineState }>(() => ({ state: 'unknown' }));

/** An answer of the worker to "is everything kept?", after it has filled what was missing. */
interface Kept {
  kept: number;
  of: number;
}

/** Asks the worker to fill what is missing of the app, and tells how that ended. */
export async function askOffline(): Promise<void> {
  if (!('serviceWorker' in navigator)) {
    useOffline.setState({ state: 'notHere' });
    return;
  }
  const { active } = await navigator.serviceWorker.ready;
  if (!active) return;
  useOffline.setState({ state: 'filling' });
  const { port1, port2 } = new MessageChannel();
  port1.onmessage = ({ data }: MessageEvent<Kept>) => {
    useOffline.setState({ state: data.kept === data.of ? 'ready' : 'notHere' });
    port1.close();
  };
  active.postMessage({ ask: 'fill' }, [port2]);
}
