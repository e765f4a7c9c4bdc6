'use client';

import * as messages from '@/language/practice';
import { Button, Progress } from 'antd';
import { useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import { COURSE, isAtRandom, readEye } from '@/core/eye/course';
import type { EyeQuestion } from '@/core/eye/question';
import { MOST_ANSWERS, withNewest } from '@/core/records/newest';
import type { EyeAnswer, OwnEye, EyeChoice } from '@/core/records/ownEye';
import { FILE_VERSION } from '@/core/schema/versions';
import { askAfter } from '@/workers/eye';
import { useOwnEye } from '../../data/learned';
import { useRepository } from '../../data/repository';
import { useAsked } from '../../data/useAsked';
import { LastPair } from './LastPair';
import { OwnSchool } from './OwnSchool';
import { PairOfFilms } from './PairOfFilms';
import styles from './eye.module.css';

const NO_ANSWERS: readonly EyeAnswer[] = [];

/** Pairs of pictures that differ in one trade, and the school that the choices make. */
export function EyeTab(): ReactNode {
  const repository = useRepository();
  const eye = useOwnEye(repository);
  const [begun, setBegun] = useState(false);
  if (eye === undefined || !repository) return null;
  const answers = eye?.answers ?? NO_ANSWERS;
  const say = async (looked: EyeAnswer): Promise<void> => {
    await repository.keep('eye', 'mine', messages.answerAPair, (before, at) => ({
      ...(before ?? emptyEye(at)),
      answers: withNewest(before?.answers ?? [], { ...looked, at }, MOST_ANSWERS),
    }));
    if (answers.length + 1 === COURSE) setBegun(false);
  };
  const done = answers.length >= COURSE;
  return (
    <div className={styles.eye}>
      {!begun && <p className={styles.lead}>{messages.eyeLead({ course: COURSE })}</p>}
      {begun ? (
        <Asking answers={answers} onSaid={say} onStop={() => setBegun(false)} />
      ) : (
        <div className={styles.presses}>
          <Button type={done ? 'default' : 'primary'} size="large" onClick={() => setBegun(true)}>
            {answers.length === 0 ? messages.begin : done ? messages.morePairs : messages.goOn}
          </Button>
          {answers.length > 0 && (
            <span className="quiet">{messages.answeredOf({ answers: answers.length, course: COURSE })}</span>
          )}
        </div>
      )}
      {!begun && answers.length > 0 && eye && <OwnSchool eye={eye} repository={repository} />}
    </div>
  );
}

function emptyEye(at: string): OwnEye {
  return {
    kind: 'lynxeye/own-eye',
    version: FILE_VERSION,
    id: 'mine',
    createdAt: at,
    updatedAt: at,
    demo: false,
    answers: [],
    weights: null,
  };
}

/** Tells one list of answers from the next, though it holds no more of them. */
function lastOf(answers: readonly EyeAnswer[]): string {
  return `${answers.length} ${answers.at(-1)?.at ?? ''}`;
}

function Asking({
  answers,
  onSaid,
  onStop,
}: {
  answers: readonly EyeAnswer[];
  onSaid: (looked: EyeAnswer) => Promise<void>;
  onStop: () => void;
}): ReactNode {
  const asked = useAsked(answers, askAfter);
  const [last, setLast] = useState<{ question: EyeQuestion; said: EyeChoice } | null>(null);
  const reading = useMemo(() => readEye(answers), [answers]);
  // A pair is answered once, however fast the keys come.
  const question = asked && 'answer' in asked ? asked.answer : undefined;
  const ready = question && asked?.of === answers && question !== last?.question;
  const say = (said: EyeChoice): void => {
    if (!ready) return;
    setLast({ question, said });
    onSaid({ differences: question.differences, said, plain: question.plain }).catch((error: unknown) => {
      // What was not kept may be said again; that it was not is told as everywhere.
      setLast(null);
      throw error;
    });
  };
  if (asked && 'failed' in asked) return <p role="alert">{messages.notAsked({ why: asked.failed })}</p>;
  if (question === null) return <p role="status">{messages.allAsked}</p>;
  return (
    <section aria-labelledby="pair-title" className={styles.asking}>
      <div className={styles.head}>
        <h2 id="pair-title">
          {messages.pairOf({ at: answers.length + 1, course: Math.max(COURSE, answers.length + 1) })}
        </h2>
        <Progress
          percent={(100 * Math.min(answers.length, COURSE)) / COURSE}
          showInfo={false}
          size="small"
          aria-label={messages.answeredOf({ answers: answers.length, course: COURSE })}
        />
        <Button onClick={onStop}>{messages.pauseHere}</Button>
      </div>
      {question && asked ? (
        <PairOfFilms key={lastOf(asked.of)} question={question} enabled={ready === true} onSaid={say} />
      ) : (
        <p role="status" className="quiet">
          {messages.findingPairs}
        </p>
      )}
      {last && <LastPair {...last} />}
      {isAtRandom(reading) && <p role="status">{messages.looksRandomSoFar}</p>}
    </section>
  );
}
