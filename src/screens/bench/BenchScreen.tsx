'use client';

import { namedPart, shotName } from '@/words/shotName';
import * as messages from '@/language/bench';
import { Button, Input } from 'antd';
import { MoreHorizontal } from 'lucide-react';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import type { ShotRecord } from '@/core/records/shotRecord';
import { MenuUnder } from '../ui/MenuUnder';
import { OpenShot } from '../ui/OpenShot';
import { partEditing } from '../data/partEditing';
import { BackToOuting } from '../ui/BackToOuting';
import { PartSwitch } from '../ui/PartSwitch';
import { placeUrl, usePart } from '../routes';
import { useAnswer } from '../data/useAnswer';
import type { Solved } from '../data/useAnswer';
import { useShotActions } from '../files/useShotActions';
import { useShotEditing } from '../data/useShotEditing';
import styles from './bench.module.css';
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
  const editing = partEditing(whole, part, partShot);
  const solved = useAnswer(partShot);
  const shown = useLastAnswer(solved, part);
  const actions = useShotActions(record, solved);
  return (
    <div className={styles.bench}>
      <h1 className="unseen">{shotName(shot)}</h1>
      <div className={styles.head}>
        <Input
          aria-label={messages.nameOfTheShot}
          variant="borderless"
          className={styles.name ?? ''}
          maxLength={120}
          value={shot.name ?? ''}
          title={shot.name ?? ''}
          placeholder={shotName()}
          onChange={(event) =>
            whole.preview(messages.renameAShot, (before) => ({ ...before, name: event.target.value }))
          }
          onBlur={() => whole.commit(messages.renameAShot)}
        />
        <PartSwitch shot={shot} id={record.id} place="/bench" part={part} />
        <BackToOuting className={styles.toCarry ?? ''} />
        <Link href={placeUrl('/carry', record.id, part)} className={styles.toCarry}>
          {messages.carry}
        </Link>
        <MenuUnder menu={{ items: actions }} placement="bottomRight">
          <Button
            type="text"
            icon={<MoreHorizontal size={18} aria-hidden />}
            aria-label={messages.moreForThisShot}
            aria-haspopup="menu"
          />
        </MenuUnder>
      </div>
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
  const [last, setLast] = useState<{ answered: Answered; part: number } | null>(null);
  if (solved.refusal !== null) return last?.part === part ? last.answered : null;
  if (solved !== last?.answered) setLast({ answered: solved, part });
  return solved;
}
