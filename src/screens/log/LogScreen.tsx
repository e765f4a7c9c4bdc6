'use client';

import * as messages from '@/language/log';
import { Button } from 'antd';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import { ALL_OF_THE_LOG, wishedFor } from '@/core/inspect/logbook';
import type { LogWish } from '@/core/inspect/logbook';
import { download } from '../files/download';
import { placeUrl, useShotId } from '../routes';
import { Empty } from '../ui/Empty';
import { VirtualList } from '../ui/VirtualList';
import { LogFilters } from './LogFilters';
import { RecordingRow } from './RecordingRow';
import { useLogbook } from './useLogbook';
import type { Logbook } from './useLogbook';
import styles from './log.module.css';

/** Log: what was recorded, with the settings as they were, what came back of it, and what came of it. */
export function LogScreen(): ReactNode {
  const logbook = useLogbook();
  if (!logbook) return null;
  if (logbook.book.length === 0)
    return (
      <Empty title={messages.nothingRecordedYet} text={messages.carryAShotAndTap}>
        <Link href="/carry">{messages.toTheCard}</Link>
      </Empty>
    );
  return <Book {...logbook} />;
}

function Book(logbook: Logbook): ReactNode {
  const { book, kept, dateOf, nameOf, zoneOf } = logbook;
  const router = useRouter();
  const id = useShotId();
  const [asked, setAsked] = useState(ALL_OF_THE_LOG);
  const known = useMemo(() => book.some(({ shotId }) => shotId !== null && shotId === id), [book, id]);
  const wish: LogWish = { ...asked, shotId: known ? id : null };
  const shown = wishedFor(book, wish, dateOf);
  const ask = (changed: Partial<LogWish>): void => {
    const { shotId, ...rest } = changed;
    if (shotId !== undefined) router.replace(placeUrl('/log', shotId));
    setAsked((before) => ({ ...before, ...rest }));
  };
  const save = async (): Promise<void> => {
    const { logCsv } = await import('@/formats/outing/logCsv');
    download('lynxeye-log.csv', logCsv(shown, logbook), 'text/csv');
  };
  return (
    <>
      <div className={styles.head}>
        <h1>{messages.log}</h1>
        <p role="status" className="quiet numerals">
          {shown.length === book.length
            ? messages.allRecordings({ count: book.length })
            : messages.someRecordings({ shown: shown.length, count: book.length })}
        </p>
        <Button onClick={() => void save()} disabled={shown.length === 0}>
          {messages.sheetCsv}
        </Button>
      </div>
      <LogFilters logbook={logbook} wish={wish} onAsk={ask} />
      {shown.length === 0 ? (
        <p className={styles.none}>
          {messages.nothingIsLikeThat}{' '}
          <Button onClick={() => ask(ALL_OF_THE_LOG)}>{messages.showEverything}</Button>
        </p>
      ) : (
        <VirtualList items={shown} keyOf={({ id: key }) => key} rowHeight={ROW_HEIGHT}>
          {(recording, on) => (
            <RecordingRow
              recording={recording}
              name={nameOf(recording)}
              zone={zoneOf(recording)}
              kept={kept.has(recording.shotId ?? '')}
              on={on}
            />
          )}
        </VirtualList>
      )}
    </>
  );
}

/** Height of a recording on a laptop, pixels. */
const ROW_HEIGHT = 260;
