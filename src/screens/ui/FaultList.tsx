'use client';

import * as messages from '@/language/ui';
import { Button } from 'antd';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { faultText } from '@/words/faultText';
import type { Fault } from '@/core/schema/fault';
import styles from './ui.module.css';

/** So many at once: a broken file can have as many faults as lines. */
const PAGE = 100;

/** Faults with their places, by the hundred. */
export function FaultList({ faults }: { faults: readonly Fault[] }): ReactNode {
  const [page, setPage] = useState(0);
  const from = page * PAGE;
  const shown = faults.slice(from, from + PAGE);
  return (
    <>
      <ol className={styles.faults} start={from + 1}>
        {shown.map((fault, index) => (
          <li key={from + index}>{faultText(fault)}</li>
        ))}
      </ol>
      {faults.length > PAGE && (
        <p>
          {messages.faultsToOf({ from: from + 1, from2: from + shown.length, count: faults.length })}
          <Button size="small" disabled={page === 0} onClick={() => setPage(page - 1)}>
            {messages.theHundredBefore}
          </Button>{' '}
          <Button size="small" disabled={from + PAGE >= faults.length} onClick={() => setPage(page + 1)}>
            {messages.theNextHundred}
          </Button>
        </p>
      )}
    </>
  );
}
