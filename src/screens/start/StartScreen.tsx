'use client';

import { shotName } from '@/words/shotName';
import * as messages from '@/language/start';
import { Button } from 'antd';
import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import { USUAL, USUAL_FILTERS } from '@/core/brief/usual';
import type { Recording } from '@/core/inspect/logbook';
import type { ShotRecord } from '@/core/records/shotRecord';
import { cameOfIt } from '@/words/lastTimeText';
import { ACTIVITY_LABEL, MOUNT_LABEL, SCHOOL_LABEL } from '@/words/labels';
import { settingText } from '@/words/settingText';
import type { FilterNotation } from '@/words/settingText';
import { Empty } from '../ui/Empty';
import { useLastTimes } from '../data/lastTimes';
import { useOutings } from '../data/outings';
import { usePreference, useShots } from '../data/repository';
import { placeUrl } from '../routes';
import { VirtualList } from '../ui/VirtualList';
import type { RowProps } from '../ui/listProps';
import { useActions } from '../shell/actions';
import { NextOuting } from './NextOuting';
import { QuickBriefForm } from './QuickBriefForm';
import { useAnswers } from './useAnswers';
import type { AnswerOf } from './useAnswers';
import { useAnswerOf } from './useShortAnswer';
import styles from './start.module.css';

/** Start: an answer in three words, and the shots kept so far. */
export function StartScreen(): ReactNode {
  const fresh = useSearchParams().get('new') !== null;
  return (
    <>
      <QuickBriefForm focusFirst={fresh} />
      <NextOuting />
      <KeptShots />
    </>
  );
}

function KeptShots(): ReactNode {
  const shots = useShots();
  const outings = useOutings();
  const answerOf = useAnswers(outings, shots);
  const times = useLastTimes();
  const { putDemo } = useActions();
  const [wanted, setWanted] = useState('');
  const [notation] = usePreference('filterNotation');
  const found = useMemo(
    () => shots?.filter(({ shot }) => (shot.name ?? '').toLowerCase().includes(wanted.toLowerCase())),
    [shots, wanted],
  );
  if (!shots || !found) return null;
  if (shots.length === 0)
    return (
      <Empty title={messages.noShotsKept} text={messages.describeOneAbovePasteOne}>
        <Button onClick={putDemo}>{messages.loadTheDemoShots}</Button>
      </Empty>
    );
  return (
    <section aria-labelledby="kept-title" className={styles.kept}>
      <div className={styles.keptHead}>
        <h2 id="kept-title">{messages.shotsKept({ count: shots.length })}</h2>
        <input
          type="search"
          className={styles.search}
          placeholder={messages.findByName}
          aria-label={messages.findAShotByName}
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
        />
      </div>
      <VirtualList items={found} keyOf={({ id }) => id} rowHeight={ROW_HEIGHT}>
        {(record, on) => (
          <ShotRow
            record={record}
            answerOf={answerOf}
            notation={notation}
            last={times?.get(record.id)}
            on={on}
          />
        )}
      </VirtualList>
      {found.length === 0 && <p className="quiet">{messages.noShotOfThatName}</p>}
    </section>
  );
}

const SHORT = ['frameRate', 'shutterSeconds', 'filter', 'iso', 'stabilization'] as const;

/** Height of a row on a laptop, pixels. */
const ROW_HEIGHT = 45;

function ShotRow({
  record,
  answerOf,
  notation,
  last,
  on,
}: {
  record: ShotRecord;
  answerOf: AnswerOf | null;
  notation: FilterNotation;
  last: Recording | undefined;
  on: RowProps;
}): ReactNode {
  const answer = useAnswerOf(record, answerOf);
  const { mount, look, filters = USUAL_FILTERS } = record.shot;
  const cautions = answer && 'cautions' in answer ? answer.cautions : 0;
  const name = shotName(record.shot);
  return (
    <li className={styles.row} {...on}>
      <Link href={placeUrl('/bench', record.id)} prefetch={false} className={styles.name}>
        {name}
      </Link>
      <span className={styles.how}>
        {ACTIVITY_LABEL[mount?.activity ?? USUAL.activity]}, {MOUNT_LABEL[mount?.kind ?? USUAL.mount]} ·{' '}
        {SCHOOL_LABEL[look?.school ?? USUAL.school]}
        {last && ` · ${messages.lastTime({ what: cameOfIt(last) })}`}
      </span>
      <span className={`${styles.short ?? ''} numerals`}>
        {answer === null
          ? '…'
          : 'settings' in answer
            ? SHORT.map((key) => (
                <span key={key}>{settingText(key, answer.settings, filters, notation)}</span>
              ))
            : answer.refused}
      </span>
      <span className={cautions > 0 ? styles.warning : 'quiet'}>
        {answer === null
          ? ''
          : cautions > 0
            ? messages.n1Caution({ cautions })
            : 'settings' in answer
              ? messages.holds
              : messages.noAnswer}
      </span>
      <Link
        href={placeUrl('/carry', record.id)}
        prefetch={false}
        aria-label={messages.carryName({ name })}
        className={styles.carry}
      >
        {messages.carry}
      </Link>
    </li>
  );
}
