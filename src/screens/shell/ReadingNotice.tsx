'use client';

import * as messages from '@/language/shell';
import { Button } from 'antd';
import { useEffect, useState } from 'react';
import type { ReactNode } from 'react';
import { useIncomingState } from '../files/incomingState';
import styles from './shell.module.css';

/** Before this a file is read without a word, milliseconds. */
const PATIENCE_MS = 300;

/** A file being read, how far, and the way to stop it; only when it takes a while. */
export function ReadingNotice(): ReactNode {
  const reading = useIncomingState((state) => state.reading);
  const name = reading?.name;
  const [slow, setSlow] = useState(false);
  useEffect(() => {
    if (name === undefined) return;
    const timer = setTimeout(() => setSlow(true), PATIENCE_MS);
    return () => {
      clearTimeout(timer);
      setSlow(false);
    };
  }, [name]);
  if (!reading || !slow) return null;
  return (
    <p role="status" className={styles.reminder}>
      {messages.reading({
        reading: reading.name,
        progress: reading.progress === null ? '…' : `: ${reading.progress}`,
      })}
      <Button size="small" onClick={reading.stop}>
        {messages.stop}
      </Button>
    </p>
  );
}
