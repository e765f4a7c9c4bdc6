'use client';

import * as messages from '@/language/practice';
import { Button, Progress } from 'antd';
import { useEffect, useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import { COURSE, isAtRandom, readEye } from '@/core/eye/course';
import type { EyeQuestion } from '@/core/eye/question';
import type { Looked, OwnEye, Said } from '@/core/records/ownEye';
import { FILE_VERSION } from '@/core/schema/versions';
import { askAfter } from '@/workers/eye';
import { useOwnEye } from '../../data/learned';
import { useRepository } from '../../data/repository';
import { LastPair } from './LastPair';
import { OwnSchool } from './OwnSchool';
import { PairOfFilms } from './PairOfFilms';
import styles from './eye.module.css';

const NO_ANSWERS: readonly Looked[] = [];

/** Pairs of pictures that differ in one trade, and the school that the choices make. */
export function EyeTab(): ReactNode {
  const repository = useRepository();
  const eye = useOwnEye(repository);
  const [begun, setBegun] = useState(false);
  if (eye === undefined || !repository) return null;
  const answers = eye?.answers ?? NO_ANSWERS;
  const say = async (looked: Looked): Promise<void> => {
    await repository.keep('eye', 'mine', messages.answerAPair, (before, at) => ({
      ...(before ?? emptyEye(at)),
      answers: [...(before?.answers ?? []), looked],
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

export function emptyEye(at: string): OwnEye {
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

type Asked =
  | { state: 'asking' }
  | { state: 'asked'; question: EyeQuestion; at: number }
  | { state: 'all' }
  | { state: 'failed'; why: string };

function Asking({
  answers,
  onSaid,
  onStop,
}: {
  answers: readonly Looked[];
  onSaid: (looked: Looked) => Promise<void>;
  onStop: () => void;
}): ReactNode {
  const [asked, setAsked] = useState<Asked>({ state: 'asking' });
  const [last, setLast] = useState<{ question: EyeQuestion; said: Said } | null>(null);
  useEffect(() => {
    let current = true;
    askAfter(answers).then(
      (question) => {
        if (current) setAsked(question ? { state: 'asked', question, at: answers.length } : { state: 'all' });
      },
      (error: unknown) => {
        if (current)
          setAsked({ state: 'failed', why: error instanceof Error ? error.message : String(error) });
      },
    );
    return () => {
      current = false;
    };
  }, [answers]);
  const reading = useMemo(() => readEye(answers), [answers]);
  // A pair is answered once, however fast the keys come.
  const ready = asked.state === 'asked' && asked.at === answers.length && asked.question !== last?.question;
  const say = (said: Said): void => {
    if (!ready) return;
    const { question } = asked;
    setLast({ question, said });
    onSaid({ differences: question.differences, said, plain: question.plain }).catch((error: unknown) => {
      // What was not kept may be said again; that it was not is told as everywhere.
      setLast(null);
      throw error;
    });
  };
  if (asked.state === 'failed') return <p role="alert">{messages.notAsked({ why: asked.why })}</p>;
  if (asked.state === 'all') return <p role="status">{messages.allAsked}</p>;
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
      {asked.state === 'asked' ? (
        <PairOfFilms key={asked.at} question={asked.question} enabled={ready} onSaid={say} />
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
