'use client';

import * as messages from '@/language/practice/drills';
import { Button } from 'antd';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { MOST_TRIED, withNewest } from '@/core/records/newest';
import type { Practised, Tried } from '@/core/records/practised';
import { FILE_VERSION } from '@/core/schema/versions';
import { trimmed } from '@/core/units/format';
import { useRepository } from '../../data/repository';
import { useToast } from '../../ui/toast';
import { Course } from './Course';
import { DrillTable } from './DrillTable';
import styles from './drills.module.css';
import { usePractised, useSkills } from './useSkills';

const Progress = dynamic(() => import('./Progress').then((module) => module.Progress), { ssr: false });

/** Answered at one sitting. */
const SITTING = 3;
const NOTHING_TRIED: readonly Tried[] = [];

/** Short drills, the next always the one that is due most; and how it goes. */
export function DrillsTab(): ReactNode {
  const repository = useRepository();
  const { say } = useToast();
  const practised = usePractised();
  const skills = useSkills();
  const [sitting, setSitting] = useState(false);
  if (practised === undefined || !repository || !skills) return null;
  const tried = practised?.tried ?? NOTHING_TRIED;
  const keep = (one: Omit<Tried, 'at'>): Promise<void> =>
    repository.keep('practised', 'mine', messages.answerADrill, (before, at) => ({
      ...(before ?? nothingPractised(at)),
      tried: withNewest(before?.tried ?? [], { ...one, at }, MOST_TRIED),
    }));
  const forget = async (): Promise<void> => {
    await repository.remove('practised', 'mine', messages.forget);
    say(messages.forgot);
  };
  if (sitting)
    return (
      <Course
        skills={skills}
        tried={tried}
        most={SITTING}
        onAnswered={keep}
        onDone={() => setSitting(false)}
      />
    );
  const last = tried.slice(-SITTING);
  return (
    <div className={styles.drills}>
      <p className={styles.lead}>{messages.lead}</p>
      <div className={styles.presses}>
        <Button type="primary" size="large" onClick={() => setSitting(true)}>
          {tried.length === 0 ? messages.begin : messages.more}
        </Button>
        {last.length === SITTING && (
          <span role="status">
            {messages.threeDone({ losses: last.map(({ loss }) => trimmed(loss, 1)).join(', ') })}
          </span>
        )}
      </div>
      {tried.length > 0 && (
        <>
          <Progress tried={tried} />
          <DrillTable tried={tried} />
          <Button type="text" className={styles.forget ?? ''} onClick={() => void forget()}>
            {messages.forgetPress}
          </Button>
        </>
      )}
    </div>
  );
}

function nothingPractised(at: string): Practised {
  return {
    kind: 'lynxeye/practised',
    version: FILE_VERSION,
    id: 'mine',
    createdAt: at,
    updatedAt: at,
    demo: false,
    tried: [],
  };
}
