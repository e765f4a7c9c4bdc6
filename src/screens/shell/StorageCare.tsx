'use client';

import * as messages from '@/language/shell';
import { Button } from 'antd';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect } from 'react';
import type { ReactNode } from 'react';
import { useRepository } from '../data/repository';
import { useActions } from './actions';
import { CHANGES_SINCE_EXPORT } from '../files/exported';
import { useFolderBackup } from '../files/folderBackup';
import styles from './shell.module.css';

/** So many changes without an export, and a reminder stands at the top until there is one. */
const REMIND_AFTER = 60;

/** Asks the browser to keep what is stored, counts changes since the last export, and reminds. */
export function StorageCare(): ReactNode {
  const repository = useRepository();
  const { exportAll } = useActions();
  useFolderBackup();
  useEffect(() => {
    if (!repository) return;
    let asked = false;
    const noted = (): void => {
      void repository.queries
        .choice(CHANGES_SINCE_EXPORT)
        .then((kept) => repository.choose(CHANGES_SINCE_EXPORT, String(Number(kept ?? 0) + 1)));
      // Asked for once there is something worth keeping: a browser may say no, and the reminder stays.
      if (asked || !('storage' in navigator)) return;
      asked = true;
      void navigator.storage.persisted().then((already) => (already ? true : navigator.storage.persist()));
    };
    // The change that brought this up counts too.
    noted();
    return repository.history.subscribe(noted);
  }, [repository]);
  const changes = useLiveQuery(
    async () => Number((await repository?.queries.choice(CHANGES_SINCE_EXPORT)) ?? 0),
    [repository],
  );
  if (changes === undefined || changes < REMIND_AFTER) return null;
  return (
    <p role="status" className={styles.reminder}>
      {messages.changesSinceEverythingWasLast({ changes })}
      <Button size="small" onClick={exportAll}>
        {messages.exportEverything}
      </Button>
    </p>
  );
}
