'use client';

import { Button } from 'antd';
// The plain field alone: its family would come along, and Start is kept light.
import Input from 'antd/es/input/Input';
import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import type { ShotRecord } from '@/core/plan/shotRecord';
import { ACTIVITY_LABEL, MOUNT_LABEL, SCHOOL_LABEL } from '@/words/labels';
import { FILTER_NOTATIONS, settingText } from '@/words/settingText';
import { Empty } from '../parts/Empty';
import { useChoice, useShots } from '../parts/keeper';
import { placeUrl } from '../parts/places';
import { useAnswer } from '../parts/useAnswer';
import { useDeeds } from '../shell/deeds';
import { NextOuting } from './NextOuting';
import { QuickBriefForm } from './QuickBriefForm';
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
  const { resetDemo } = useDeeds();
  const [wanted, setWanted] = useState('');
  const found = useMemo(
    () => shots?.filter(({ shot }) => (shot.name ?? '').toLowerCase().includes(wanted.toLowerCase())),
    [shots, wanted],
  );
  if (!shots || !found) return null;
  if (shots.length === 0)
    return (
      <Empty
        title="No shots kept"
        text="Describe one above, paste one, drop a file, or look at the made-up outing."
      >
        <Button onClick={resetDemo}>Load the demo shots</Button>
      </Empty>
    );
  return (
    <section aria-labelledby="kept-title" className={styles.kept}>
      <div className={styles.keptHead}>
        <h2 id="kept-title">Shots kept: {shots.length}</h2>
        <Input
          className={styles.search ?? ''}
          placeholder="Find by name"
          aria-label="Find a shot by name"
          allowClear
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
        />
      </div>
      <ul className={styles.rows}>
        {found.map((record) => (
          <ShotRow key={record.id} record={record} />
        ))}
      </ul>
      {found.length === 0 && <p className="quiet">No shot of that name.</p>}
    </section>
  );
}

const SHORT = ['frameRate', 'shutterSeconds', 'filter', 'iso', 'stabilization'] as const;

function ShotRow({ record }: { record: ShotRecord }): ReactNode {
  const { answer, refusal, brief } = useAnswer(record.shot);
  const [notation] = useChoice('filterNotation', FILTER_NOTATIONS, 'factor');
  const grave = answer?.warnings.filter(({ severity }) => severity !== 'note').length ?? 0;
  const name = record.shot.name ?? 'Untitled shot';
  return (
    <li className={styles.row}>
      <Link href={placeUrl('/bench', record.id)} prefetch={false} className={styles.name}>
        {name}
      </Link>
      <span className={styles.how}>
        {ACTIVITY_LABEL[brief.mount.activity]}, {MOUNT_LABEL[brief.mount.kind]} ·{' '}
        {SCHOOL_LABEL[brief.look.school]}
      </span>
      <span className={`${styles.short ?? ''} numerals`}>
        {answer
          ? SHORT.map((key) => (
              <span key={key}>{settingText(key, answer.settings, brief.filters, notation)}</span>
            ))
          : refusal.reasons.map(({ text }) => text).join('; ')}
      </span>
      <span className={grave > 0 ? styles.warning : 'quiet'}>
        {grave === 0 ? 'holds' : grave === 1 ? '1 caution' : `${grave} cautions`}
      </span>
      <Link
        href={placeUrl('/carry', record.id)}
        prefetch={false}
        aria-label={`Carry ${name}`}
        className={styles.carry}
      >
        Carry
      </Link>
    </li>
  );
}
