import { useSyncExternalStore } from 'react';

/** The address of the page under test, with a router that only changes it. */
let url = new URL(window.location.href);
const listeners = new Set<() => void>();

export function visit(href: string): void {
  url = new URL(href, url);
  window.history.replaceState(null, '', url);
  for (const listener of listeners) listener();
}

/** Path and query, as a link would have them. */
export function visited(): string {
  return `${url.pathname}${url.search}`;
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

function useAddress(): URL {
  return useSyncExternalStore(subscribe, () => url);
}

const ROUTER = { push: visit, replace: visit, back: () => undefined, prefetch: () => undefined };

/** Stands in for the framework's navigation. */
export const navigation = {
  useRouter: () => ROUTER,
  usePathname: () => useAddress().pathname,
  useSearchParams: () => useAddress().searchParams,
};
