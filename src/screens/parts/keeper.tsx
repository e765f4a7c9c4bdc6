'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { createContext, useContext, useEffect, useState, useSyncExternalStore } from 'react';
import type { ReactNode } from 'react';
import type { LogEntry } from '@/core/records/logEntry';
import type { ShotRecord } from '@/core/records/shotRecord';
import type { HistoryState } from '@/store/history';
import type { Keeper } from '@/store/keeper';
import { openKeeper } from '@/store/openKeeper';
import type { Opening } from '@/store/openKeeper';
import { demoData } from './demoData';

const KeeperContext = createContext<Keeper | null>(null);

/** Opens the person's data in the browser and seeds the demo on the first open. */
export function KeeperProvider({ children }: { children: ReactNode }): ReactNode {
  const [opening, setOpening] = useState<Opening>({ state: 'opening' });
  useEffect(() => openKeeper(demoData, setOpening), []);
  const barred = BARRED[opening.state]?.(opening);
  if (barred)
    return (
      <main style={{ padding: 32 }} role="alert">
        {barred}
      </main>
    );
  return <KeeperContext value={opening.state === 'ready' ? opening.keeper : null}>{children}</KeeperContext>;
}

/** Why the data cannot be opened just now, and the way out. */
const BARRED: Partial<Record<Opening['state'], (opening: Opening) => ReactNode>> = {
  blocked: (opening) => (
    <>
      <h1>Another window holds your data at its older version</h1>
      <p>
        {opening.state === 'blocked' && opening.windows.length > 0
          ? `Close the window that shows ${opening.windows.map((one) => `"${one}"`).join(' and the one that shows ')}.`
          : 'Close every other window and tab of Lynxeye in this browser.'}{' '}
        This one goes on by itself then. Nothing was lost.
      </p>
    </>
  ),
  newer: () => (
    <>
      <h1>Your data was written by a later Lynxeye</h1>
      <p>
        It is left as it is. Load this page anew to get the later one; if that changes nothing, this is an
        older copy of the app: use the one you used last.
      </p>
      <button type="button" onClick={() => window.location.reload()}>
        Load anew
      </button>
    </>
  ),
  failed: (opening) => (
    <>
      <h1>The browser does not let Lynxeye keep data here</h1>
      <p>
        Nothing was lost or written. Allow storage for this address, or leave the private window, and reload.
      </p>
      <p className="quiet">{opening.state === 'failed' ? opening.why : ''}</p>
    </>
  ),
};

/** The keeper, or null while the data opens. */
export function useKeeper(): Keeper | null {
  return useContext(KeeperContext);
}

/** All shots, last changed first; undefined while they load. Follows other windows. */
export function useShots(): ShotRecord[] | undefined {
  const keeper = useKeeper();
  return useLiveQuery(
    async () => (keeper ? keeper.database.shots.orderBy('updatedAt').reverse().toArray() : undefined),
    [keeper],
  );
}

/** One shot; null when there is none of that id, undefined while it loads. */
export function useShotRecord(id: string | null): ShotRecord | null | undefined {
  const keeper = useKeeper();
  return useLiveQuery(
    async () => (keeper ? (id === null ? null : ((await keeper.database.shots.get(id)) ?? null)) : undefined),
    [keeper, id],
  );
}

/** The log, latest first; undefined while it loads. */
export function useLog(): LogEntry[] | undefined {
  const keeper = useKeeper();
  return useLiveQuery(
    async () => (keeper ? keeper.database.log.orderBy('at').reverse().toArray() : undefined),
    [keeper],
  );
}

/** A remembered choice, with a setter that all windows follow. */
export function useChoice<T extends string>(
  key: string,
  allowed: readonly T[],
  usual: T,
): [T, (value: T) => void] {
  const keeper = useKeeper();
  const kept = useLiveQuery(
    async () => (keeper ? keeper.database.choices.get(key) : undefined),
    [keeper, key],
  );
  const value = allowed.find((one) => one === kept?.value) ?? usual;
  return [value, (next) => void keeper?.choose(key, next)];
}

const NO_HISTORY: HistoryState = { undoLabel: null, redoLabel: null, changes: 0 };

export function useHistory(): HistoryState {
  const keeper = useKeeper();
  return useSyncExternalStore(
    keeper ? keeper.history.subscribe : () => () => undefined,
    keeper ? keeper.history.state : () => NO_HISTORY,
    () => NO_HISTORY,
  );
}
