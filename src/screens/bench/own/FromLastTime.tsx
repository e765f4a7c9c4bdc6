'use client';

import * as messages from '@/language/bench/learned';
import { Button } from 'antd';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { withChange } from '@/core/inspect/nextTime';
import type { Settings } from '@/core/records/settings';
import type { ShotRecord } from '@/core/records/shotRecord';
import type { Brief } from '@/core/brief/brief';
import { ownZone, todayIn } from '@/formats/today';
import { FINDING_LABEL } from '@/words/findingLabel';
import { pinsText } from '@/words/findingText';
import { dayText } from '@/words/lightText';
import { cameOfIt } from '@/words/lastTimeText';
import { decapitalized } from '@/words/sentences';
import { shotName } from '@/words/shotName';
import { useLastTime } from '../../data/lastTime';
import type { ShotEditing } from '../../data/useShotEditing';
import { outingUrl } from '../../routes';
import styles from './own.module.css';

/** What came of this shot, or of one like it, and the change that it asks for. */
export function FromLastTime({
  record,
  brief,
  settings,
  editing,
}: {
  record: ShotRecord;
  brief: Brief;
  settings: Settings;
  editing: ShotEditing;
}): ReactNode {
  const last = useLastTime(record.id, editing.shot);
  if (!last) return null;
  const { recording, findings } = last;
  const { entry, zone, atMs, clips } = recording;
  const [clip] = clips;
  const wanted = findings.flatMap(({ code, change, done }) => (change && !done ? [{ code, change }] : []));
  const done = findings.some((one) => one.done) && wanted.length === 0;
  return (
    <section aria-labelledby="last-time-title" className={styles.last}>
      <h2 id="last-time-title">{messages.lastTime}</h2>
      <p>
        {messages.lastTimeOn({
          shot: entry?.shotName ?? shotName(record.shot),
          date: dayText(todayIn(zone ?? ownZone(), atMs)),
          what: cameOfIt(recording),
        })}{' '}
        {done && messages.taken}{' '}
        {clip && (
          <Link href={outingUrl('/debrief', clip.outingId, clip.dayId, { clip: clip.id })} prefetch={false}>
            {messages.seeTheClip}
          </Link>
        )}
      </p>
      {wanted.slice(0, 2).map(({ code, change }) => {
        const text = pinsText(change, { settings, filters: brief.filters });
        return (
          <Button
            key={code}
            aria-label={messages.takeChangeOf({ finding: decapitalized(FINDING_LABEL[code]), change: text })}
            onClick={() => editing.commit(messages.takeTheChange, (shot) => withChange(shot, change))}
          >
            {messages.takeChange({ change: text })}
          </Button>
        );
      })}
    </section>
  );
}
