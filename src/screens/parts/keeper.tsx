'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { createContext, useContext, useEffect, useState, useSyncExternalStore } from 'react';
import type { ReactNode } from 'react';
import type { LogEntry } from '@/core/plan/logEntry';
import type { ShotRecord } from '@/core/plan/shotRecord';
import { database } from '@/store/database';
import type { HistoryState } from '@/store/history';
import { Keeper } from '@/store/keeper';

const KeeperContext = createContext<Keeper | null>(null);

/** Opens the person's data in the browser and seeds the demo on the first open. */
export function KeeperProvider({ children }: { children: ReactNode }): ReactNode {
  const [keeper, setKeeper] = useState<Keeper | null>(null);
  const [broken, setBroken] = useState<string | null>(null);
  useEffect(() => {
    const made = new Keeper(database());
    const open = async (): Promise<void> => {
      const { makeDemo } = await import('../../../demo/makeDemo');
      await made.seed(makeDemo());
      setKeeper(made);
    };
    open().catch((error: unknown) => {
      setBroken(error instanceof Error ? error.message : String(error));
    });
  }, []);
  if (broken !== null)
    return (
      <main style={{ padding: 32 }} role="alert">
        <h1>The browser does not let Lynxeye keep data here</h1>
        <p>
          Nothing was lost or written. Allow storage for this address, or leave the private window, and
          reload.
        </p>
        <p className="quiet">{broken}</p>
      </main>
    );
  return <KeeperContext value={keeper}>{children}</KeeperContext>;
}

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

const NO_HISTORY: HistoryState = { undoLabel: null, redoLabel: null };

export function useHistory(): HistoryState {
  const keeper = useKeeper();
  return useSyncExternalStore(
    keeper ? keeper.history.subscribe : () => () => undefined,
    keeper ? keeper.history.state : () => NO_HISTORY,
    () => NO_HISTORY,
  );
}
