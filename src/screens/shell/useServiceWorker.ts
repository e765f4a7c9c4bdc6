'use client';

import * as messages from '@/language/shell';
import { useEffect } from 'react';
import { askOffline, useOffline } from './offlineReady';

/** Registers the worker that keeps the app usable without a network, once the page has settled. */
export function useServiceWorker(): void {
  useEffect(() => {
    if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
    const register = (): void => {
      // Without it the app works as long as there is a network.
      navigator.serviceWorker.register('/sw.js').then(askOffline, (error: unknown) => {
        useOffline.setState({ state: 'notHere' });
        console.warn(messages.noWorkWithoutANetwork, error);
      });
    };
    if (document.readyState === 'complete') register();
    else window.addEventListener('load', register, { once: true });
    return () => window.removeEventListener('load', register);
  }, []);
}
