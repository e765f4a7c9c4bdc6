'use client';

import * as messages from '@/language/shell';
import { Button } from 'antd';
import { useEffect, useState } from 'react';
import type { ReactNode } from 'react';
import { faultText } from '@/words/faultText';
import type { Unsound } from '@/store/unsound';
import { download } from '../files/download';
import { fileName } from '../files/fileName';
import { useRepository } from '../data/repository';
import { useToast } from '../ui/toast';
import { useActions } from './actions';
import { isLostChunk } from './lostChunk';
import styles from './shell.module.css';
import { RECORD_LABEL } from '@/words/recordText';

/** Faults told of each record. */
const MOST_TOLD = 5;

/** In place of a place that could not be drawn: which records are at fault, and the ways out. */
export function BrokenPlace({ error, onAgain }: { error: unknown; onAgain: () => void }): ReactNode {
  const repository = useRepository();
  const { exportAll } = useActions();
  const { say } = useToast();
  const [found, setFound] = useState<readonly Unsound[] | null>(null);
  useEffect(() => {
    if (!repository) return;
    let gone = false;
    void import('@/store/unsound')
      .then(({ unsoundRecords }) => unsoundRecords(repository.queries, addressed()))
      .then(
        (records) => {
          if (!gone) setFound(records);
        },
        () => {
          if (!gone) setFound([]);
        },
      );
    return () => {
      gone = true;
    };
  }, [repository, error]);
  const putAside = ({ table, id, name, record }: Unsound): void => {
    if (!repository) return;
    download(`lynxeye-aside-${fileName(name)}.json`, JSON.stringify(record, null, 2));
    void repository.remove(table, id, messages.putAside({ name: name.slice(0, 60) })).then(() => {
      say(messages.isSavedAsAFile({ name }));
      setFound((all) => all?.filter((one) => one.id !== id) ?? null);
      onAgain();
    });
  };
  return (
    <div role="alert" className={styles.broken}>
      <h1>{messages.thisPlaceCannotBeShown}</h1>
      <p>{isLostChunk(error) ? messages.aPartOfTheApp : messages.somethingInItCouldNot}</p>
      <p className={styles.ways}>
        <Button type="primary" onClick={onAgain}>
          {messages.tryAgain}
        </Button>
        <Button onClick={() => window.location.reload()}>{messages.loadThePageAnew}</Button>
        <Button onClick={exportAll}>{messages.exportEverything}</Button>
      </p>
      {found?.map((one) => (
        <section key={`${one.table} ${one.id}`} className={styles.aside}>
          <h2>
            {RECORD_LABEL[one.table]} “{one.name}”
          </h2>
          {one.faults.length > 0 ? (
            <ul>
              {one.faults.slice(0, MOST_TOLD).map((fault) => (
                <li key={faultText(fault)}>{faultText(fault)}</li>
              ))}
            </ul>
          ) : (
            <p>{messages.itIsWholeAsFar}</p>
          )}
          <Button onClick={() => putAside(one)}>{messages.saveItAsAFile}</Button>
        </section>
      ))}
      <p className="quiet">{error instanceof Error ? error.message : String(error)}</p>
    </div>
  );
}

/** Ids that the address names. */
function addressed(): ReadonlySet<string> {
  return new Set(new URLSearchParams(window.location.search).values());
}
