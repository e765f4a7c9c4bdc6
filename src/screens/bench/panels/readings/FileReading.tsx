'use client';

import * as messages from '@/language/bench/readings';
import { Button } from 'antd';
import { useId } from 'react';
import type { ReactNode } from 'react';
import type { FileJob } from './useFileJob';
import styles from './readings.module.css';

/** A file being read: its name, how far the reading is, and what came of it. */
export function FileReading<T>({
  title,
  job,
  onClose,
  children,
}: {
  title: string;
  job: FileJob<T>;
  onClose: () => void;
  children: (result: T) => ReactNode;
}): ReactNode {
  const id = useId();
  return (
    <section aria-labelledby={id} className={styles.card}>
      <div className={styles.head}>
        <h3 id={id}>{title}</h3>
        <Button type="text" onClick={onClose}>
          {job.state === 'busy' ? messages.stopReading : messages.close}
        </Button>
      </div>
      {job.state === 'busy' && <p role="status">{messages.reading}</p>}
      {job.state === 'failed' && (
        <p role="alert" className={styles.fault}>
          {messages.couldNotReadItNothing({ why: job.why })}
        </p>
      )}
      {job.state === 'done' && children(job.result)}
    </section>
  );
}
