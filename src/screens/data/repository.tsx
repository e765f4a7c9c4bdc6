'use client';

import * as messages from '@/language/data';
import { useLiveQuery } from 'dexie-react-hooks';
import { createContext, useContext, useEffect, useState, useSyncExternalStore } from 'react';
import type { ReactNode } from 'react';
import type { Backup } from '@/core/records/backup';
import type { LogEntry } from '@/core/records/logEntry';
import { PREFERENCES } from '@/core/records/preferences';
import type { Preference, Preferred } from '@/core/records/preferences';
import type { ShotRecord } from '@/core/records/shotRecord';
import type { HistoryState } from '@/store/history';
import type { Repository } from '@/store/repository';
import { openRepository } from '@/store/openRepository';
import type { Opening } from '@/store/openRepository';
import styles from './barred.module.css';
import { demoData } from './demoData';
import { OwnContext, useOwnOf } from './learned';

export const RepositoryContext = createContext<Repository | null>(null);

/** Opens the person's data in the browser and seeds the demo on the first open. */
export function RepositoryProvider({
  lost,
  children,
}: {
  /** What is shown where the data was taken away under the page. */
  lost: (held: Backup) => ReactNode;
  children: ReactNode;
}): ReactNode {
  const [opening, setOpening] = useState<Opening>({ state: 'opening' });
  useEffect(() => openRepository(demoData, setOpening), []);
  const repository = opening.state === 'ready' ? opening.repository : null;
  const own = useOwnOf(repository);
  const barred = opening.state === 'lost' ? lost(opening.held) : BARRED[opening.state]?.(opening);
  if (barred)
    return (
      <main className={styles.barred} role="alert">
        {barred}
      </main>
    );
  return (
    <RepositoryContext value={repository}>
      <OwnContext value={own}>{children}</OwnContext>
    </RepositoryContext>
  );
}

/** Why the data cannot be opened just now, and the way out. */
const BARRED: Partial<Record<Opening['state'], (opening: Opening) => ReactNode>> = {
  blocked: (opening) => (
    <>
      <h1>{messages.anotherWindowHoldsYourData}</h1>
      <p>
        {messages.thisOneGoesOnBy({
          state:
            opening.state === 'blocked' && opening.windows.length > 0
              ? messages.closeTheWindowThatShows({
                  windows: opening.windows.map((one) => `"${one}"`).join(messages.andTheOneThatShows),
                })
              : messages.closeEveryOtherWindowAnd,
        })}
      </p>
    </>
  ),
  newer: () => (
    <>
      <h1>{messages.yourDataWasWrittenBy}</h1>
      <p>{messages.itIsLeftAsIt}</p>
      <button type="button" onClick={() => window.location.reload()}>
        {messages.loadAnew}
      </button>
    </>
  ),
  stuck: () => (
    <>
      <h1>{messages.doesNotOpen}</h1>
      <p>{messages.doesNotOpenText}</p>
      <button type="button" onClick={() => window.location.reload()}>
        {messages.loadAnew}
      </button>
    </>
  ),
  failed: (opening) => (
    <>
      <h1>{messages.theBrowserDoesNotLet}</h1>
      <p>{messages.nothingWasLostOrWritten}</p>
      <p className="quiet">{opening.state === 'failed' ? opening.why : ''}</p>
    </>
  ),
};

/** The repository, or null while the data opens. */
export function useRepository(): Repository | null {
  return useContext(RepositoryContext);
}

/** All shots, last changed first; undefined while they load. Follows other windows. */
export function useShots(): ShotRecord[] | undefined {
  const repository = useRepository();
  return useLiveQuery(
    async () => (repository ? repository.queries.latestChanged('shots') : undefined),
    [repository],
  );
}

/** One shot; null when there is none of that id, undefined while it loads. */
export function useShotRecord(id: string | null): ShotRecord | null | undefined {
  const repository = useRepository();
  return useLiveQuery(
    async () => (repository ? (id === null ? null : repository.queries.one('shots', id)) : undefined),
    [repository, id],
  );
}

/** The log, latest first; undefined while it loads. */
export function useLog(): LogEntry[] | undefined {
  const repository = useRepository();
  return useLiveQuery(async () => (repository ? repository.queries.latestLogged() : undefined), [repository]);
}

/** What the person prefers, with a setter that all windows follow. */
export function usePreference<P extends Preference>(key: P): [Preferred<P>, (value: Preferred<P>) => void] {
  const repository = useRepository();
  const kept = useLiveQuery(
    async () => (repository ? repository.queries.choice(key) : undefined),
    [repository, key],
  );
  const allowed: readonly Preferred<P>[] = PREFERENCES[key];
  const value = allowed.find((one) => one === kept) ?? PREFERENCES[key][0];
  return [value, (next) => void repository?.choose(key, next)];
}

/** Hints of the first run, each where it is of use. */
export type HintId = 'words' | 'tiles' | 'panels';

/** Whether a hint is still to be shown, and its dismissal, for good; it is not while that is looked up. */
export function useHint(id: HintId): { shown: boolean; dismiss: () => void } {
  const repository = useRepository();
  const key = `hint-${id}`;
  const shown = useLiveQuery(
    async () => (repository ? (await repository.queries.choice(key)) === undefined : undefined),
    [repository, key],
  );
  return { shown: shown ?? false, dismiss: () => void repository?.choose(key, 'done') };
}

const NO_HISTORY: HistoryState = { undoLabel: null, redoLabel: null, changes: 0 };

export function useHistory(): HistoryState {
  const repository = useRepository();
  return useSyncExternalStore(
    repository ? repository.history.subscribe : () => () => undefined,
    repository ? repository.history.state : () => NO_HISTORY,
    () => NO_HISTORY,
  );
}
