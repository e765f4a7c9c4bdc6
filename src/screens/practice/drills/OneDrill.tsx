'use client';

import * as messages from '@/language/practice/drills';
import { Button } from 'antd';
import { useEffect, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import type { Drill, DrillChoice } from '@/core/drill/drill';
import { PAGE_OF_DRILL } from '@/core/vocabulary/drills';
import { item } from '@/core/units/items';
import {
  drillAnswerText,
  drillQuestion,
  drillShotText,
  drillSourceText,
  drillVerdict,
} from '@/words/drillText';
import { usePreference } from '../../data/repository';
import { WhyLink } from '../../ui/WhyLink';
import { DrillDrawing } from './DrillDrawing';
import { PictureBack } from './Pictures';
import styles from './drills.module.css';

/** One drill: the shot and what is asked on top, what can be answered under the thumb; then what would have come back. */
export function OneDrill({
  drill,
  next,
  ready,
  onAnswer,
  onNext,
}: {
  drill: Drill;
  /** What leads on. */
  next: string;
  /** The answer is kept. */
  ready: boolean;
  onAnswer: (choice: DrillChoice, seconds: number) => void;
  onNext: () => void;
}): ReactNode {
  const [notation] = usePreference('filterNotation');
  const [chosen, setChosen] = useState<DrillChoice | null>(null);
  const began = useRef(0);
  const question = useRef<HTMLParagraphElement>(null);
  useEffect(() => {
    began.current = performance.now();
    // With keys one goes on from the question, not from the top of the page.
    question.current?.focus({ preventScroll: true });
  }, []);
  const verdict = useRef<HTMLDivElement>(null);
  const answer = (choice: DrillChoice): void => {
    if (chosen) return;
    setChosen(choice);
    onAnswer(choice, Math.round((performance.now() - began.current) / 100) / 10);
    // What is read next is what came of it.
    verdict.current?.focus({ preventScroll: true });
  };
  const source = drillSourceText(drill);
  return (
    <div className={styles.drill}>
      {source !== null && <p className="quiet">{source}</p>}
      <p>{drillShotText(drill)}</p>
      <p ref={question} tabIndex={-1} className={styles.question}>
        {drillQuestion(drill, notation)}
      </p>
      <div ref={verdict} tabIndex={-1} role="status" className={styles.verdict}>
        {chosen && drillVerdict(drill, chosen, notation).map((line) => <p key={line}>{line}</p>)}
        {chosen && <WhyLink page={PAGE_OF_DRILL[drill.kind]} />}
      </div>
      <DrillDrawing drill={drill} chosen={chosen} onPick={answer} />
      {chosen && <PictureBack drill={drill} chosen={chosen} best={item(drill.choices, drill.best)} />}
      <div className={styles.thumb}>
        {chosen ? (
          <Button type="primary" size="large" block disabled={!ready} onClick={onNext}>
            {next}
          </Button>
        ) : (
          <div role="group" aria-label={messages.answers} className={styles.answers}>
            {drill.choices.map((choice) => {
              const name = drillAnswerText(choice.answer, drill, notation);
              return (
                <Button key={name} size="large" onClick={() => answer(choice)}>
                  {name}
                </Button>
              );
            })}
          </div>
        )}
      </div>
    </div>
  );
}
