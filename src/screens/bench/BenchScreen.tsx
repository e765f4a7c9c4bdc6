'use client';

import { namedPart, shotName } from '@/words/shotName';
import * as messages from '@/language/bench';
import { useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import type { ShotRecord } from '@/core/records/shotRecord';
import { OpenShot } from '../ui/OpenShot';
import { partEditing } from '../data/partEditing';
import { usePart } from '../routes';
import { useAnswer } from '../data/useAnswer';
import type { Solved } from '../data/useAnswer';
import { useShotEditing } from '../data/useShotEditing';
import styles from './bench.module.css';
import { BenchHead } from './BenchHead';
import { BenchPanels } from './panels/BenchPanels';
import { RefusalPanel } from './panels/choice/Findings';
import { Sentence } from './brief/Sentence';
import { StopRule } from './rule/StopRule';
import { Tiles } from './answer/Tiles';

/** Bench: one shot, from its sentence to its answer. */
export function BenchScreen(): ReactNode {
  return <OpenShot place="/bench">{(record) => <OpenBench key={record.id} record={record} />}</OpenShot>;
}

function OpenBench({ record }: { record: ShotRecord }): ReactNode {
  const whole = useShotEditing(record);
  const part = usePart(whole.shot);
  const { shot } = whole;
  const partShot = useMemo(() => namedPart(shot, part), [shot, part]);
  const editing = useMemo(() => partEditing(whole, part, partShot), [whole, part, partShot]);
  const solved = useAnswer(partShot);
  const shown = useLastAnswer(solved, part);
  const head = useMemo(() => ({ record, whole, part, solved }), [record, whole, part, solved]);
  return (
    <div className={styles.bench}>
      <h1 className="unseen">{shotName(shot)}</h1>
      <BenchHead told={head} />
      <Sentence brief={solved.brief} assumed={solved.assumed} editing={editing} />
      {solved.refusal && <RefusalPanel refusal={solved.refusal} editing={editing} />}
      {shown && (
        <>
          <Tiles
            brief={solved.brief}
            solution={shown.solution}
            editing={editing}
            stale={solved.refusal !== null}
          />
          <p className="unseen" aria-live="polite">
            {solved.refusal
              ? messages.noAnswerWithThesePins
              : messages.answerWithLoss({ score: shown.solution.score.toFixed(1) })}
          </p>
          {!solved.refusal && (
            <>
              <section aria-labelledby="rule-title">
                <h2 id="rule-title">{messages.stopRule}</h2>
                <StopRule solution={shown.solution} editing={editing} />
              </section>
              <BenchPanels drawn={{ record, answered: shown, editing, whole }} />
            </>
          )}
        </>
      )}
    </div>
  );
}

type Answered = Extract<Solved, { refusal: null }>;

/** The answer, or the last one this camera had, so that a refusal does not empty the tiles. */
function useLastAnswer(solved: Solved, part: number): Answered | null {
  const [last] = useState<{ answered: Answered | null; part: number }>({ answered: null, part });
  if (solved.refusal !== null) return last.part === part ? last.answered : null;
  last.answered = solved;
  last.part = part;
  return solved;
}
