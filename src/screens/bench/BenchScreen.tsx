'use client';

import { lapseInWords } from '@/words/lapseInWords';
import { namedPart, shotName } from '@/words/shotName';
import * as messages from '@/language/bench';
import { useMemo, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import type { Brief } from '@/core/brief/brief';
import { lapseSolution } from '@/core/answer/lapseSolution';
import type { ShotRecord } from '@/core/records/shotRecord';
import type { LapseAnswer } from '@/core/timeLapse/lapseAnswer';
import { OpenShot } from '../ui/OpenShot';
import { partEditing } from '../data/partEditing';
import { usePart } from '../routes';
import { editingInClock, followingEntry, InDayContext, partIn, useInClock, useStands } from '../data/inDay';
import type { InDay, Stands } from '../data/inDay';
import { inPlanOf } from '@/core/day/inPlan';
import { useAnswer } from '../data/useAnswer';
import type { Solved } from '../data/useAnswer';
import { useSame } from '../data/useSame';
import { useShotEditing } from '../data/useShotEditing';
import { useWorkedDay } from '../data/workedDay';
import styles from './bench.module.css';
import { BenchHead } from './BenchHead';
import { FromLastTime } from './own/FromLastTime';
import { OwnFigures } from './own/OwnFigures';
import { BenchPanels } from './panels/BenchPanels';
import type { PanelProps } from './panels/panelProps';
import { TimeLapsePanel } from './panels/timeLapse/TimeLapsePanel';
import { RefusalPanel, Warnings } from './panels/choice/Findings';
import { Sentence } from './brief/Sentence';
import { Hint } from '../ui/Hint';
import { Meaning } from '../ui/Meaning';
import { StopRule } from './rule/StopRule';
import { AnswerBar } from './answer/AnswerBar';
import { LapseTiles } from './answer/LapseTiles';
import { Tiles } from './answer/Tiles';
import type { TilesProps } from './answer/Tiles';
import { useInView } from '../ui/useInView';

/** Bench: one shot, from its sentence to its answer. */
export function BenchScreen(): ReactNode {
  return <OpenShot place="/bench">{(record) => <Placed key={record.id} record={record} />}</OpenShot>;
}

/** A shot that stands in a plan is looked at in its day: what the day decides of it is its answer. */
function Placed({ record }: { record: ShotRecord }): ReactNode {
  const stands = useStands(record.id);
  if (stands === undefined) return null;
  return stands === null ? (
    <OpenBench record={record} inDay={null} />
  ) : (
    <BenchInDay key={stands.standing.entry.id} record={record} stands={stands} />
  );
}

function BenchInDay({
  record,
  stands: { standing, all, open },
}: {
  record: ShotRecord;
  stands: Stands;
}): ReactNode {
  const worked = useWorkedDay(open);
  const inDay = useMemo(() => ({ standing, all, worked }), [standing, all, worked]);
  return (
    <InDayContext value={inDay}>
      <OpenBench record={record} inDay={inDay} />
    </InDayContext>
  );
}

function OpenBench({ record, inDay }: { record: ShotRecord; inDay: InDay | null }): ReactNode {
  const standing = inDay?.standing;
  const following = useMemo(() => standing && followingEntry(standing), [standing]);
  const whole = useShotEditing(record, following);
  const part = usePart(whole.shot);
  const { shot } = whole;
  const clock = useInClock(inDay, part);
  const keptShot = useMemo(() => namedPart(shot, part), [shot, part]);
  const partShot = useMemo(() => clock.shown(keptShot), [clock, keptShot]);
  const editing = useMemo(
    () => editingInClock(partEditing(whole, part, keptShot), partShot, clock),
    [whole, part, keptShot, partShot, clock],
  );
  const dayPart = inDay && partIn(inDay, part);
  const solved = useAnswer(partShot, useSame(dayPart ? inPlanOf(dayPart, dayPart.answer) : undefined));
  const unsettled = inDay !== null && inDay.worked.day.sheet === null && inDay.worked.failed === null;
  const shown = useLastAnswer(solved, part);
  const head = useMemo(() => ({ record, whole, part, solved }), [record, whole, part, solved]);
  return (
    <div className={styles.bench}>
      <h1 className="unseen">{shotName(shot)}</h1>
      <BenchHead told={head} />
      <Hint id="words">{messages.hintWords}</Hint>
      <Sentence brief={solved.brief} assumed={solved.assumed} editing={editing} />
      {inDay?.worked.failed != null && (
        <p role="alert">{messages.theDayCouldNotBeWorkedOut({ why: inDay.worked.failed })}</p>
      )}
      {solved.refusal && <RefusalPanel refusal={solved.refusal} editing={editing} />}
      {solved.lapse && (
        <Lapse brief={solved.brief} lapse={solved.lapse} record={record} editing={editing} whole={whole} />
      )}
      {shown && (
        <>
          <Answer
            brief={solved.brief}
            solution={shown.solution}
            editing={editing}
            part={part}
            stale={solved.refusal !== null || unsettled}
          />
          <p className="unseen" aria-live="polite">
            {solved.refusal
              ? messages.noAnswerWithThesePins
              : unsettled
                ? messages.theDayIsWorkedOut
                : messages.answerWithLoss({ score: shown.solution.score.toFixed(1) })}
          </p>
          {!solved.refusal && (
            <>
              <OwnFigures brief={solved.brief} />
              {part === 0 && (
                <FromLastTime
                  record={record}
                  brief={solved.brief}
                  settings={shown.solution.settings}
                  editing={editing}
                />
              )}
              <section aria-labelledby="rule-title">
                <h2 id="rule-title">
                  <Meaning word="stopRule" solution={shown.solution}>
                    {messages.stopRule}
                  </Meaning>
                </h2>
                <StopRule solution={shown.solution} editing={editing} />
              </section>
              <Hint id="panels">{messages.hintPanels}</Hint>
              <BenchPanels drawn={{ record, answered: shown, editing, whole }} />
            </>
          )}
        </>
      )}
    </div>
  );
}

/** The tiles, and their values in short while they are out of sight. */
function Answer(props: TilesProps): ReactNode {
  const tiles = useRef<HTMLDivElement>(null);
  const inView = useInView(tiles);
  const { solution, brief, stale } = props;
  return (
    <>
      <div ref={tiles}>
        <Tiles {...props} />
      </div>
      <Hint id="tiles">{messages.hintTiles}</Hint>
      {!inView && <AnswerBar settings={solution.settings} kit={brief.filters} stale={stale} />}
    </>
  );
}

/** What of the Bench there is for a time-lapse: what tells of place, light and frame, and itself. */
const LAPSE_PANELS = ['lapse', 'light', 'readings', 'lamps', 'framing'] as const;

/** A time-lapse is answered by its plan. */
function Lapse({
  brief,
  lapse,
  record,
  editing,
  whole,
}: Pick<PanelProps, 'record' | 'editing' | 'whole'> & { brief: Brief; lapse: LapseAnswer }): ReactNode {
  const solution = useMemo(() => lapseSolution(brief, lapse), [brief, lapse]);
  const answer = useMemo(() => lapseInWords(brief, lapse, []), [brief, lapse]);
  return (
    <>
      <LapseTiles brief={brief} lapse={lapse} />
      <Warnings answer={answer} />
      {solution ? (
        <BenchPanels
          drawn={{ record, answered: { solution, answer: null }, editing, whole }}
          only={LAPSE_PANELS}
        />
      ) : (
        <TimeLapsePanel brief={brief} editing={editing} />
      )}
    </>
  );
}

type Answered = Extract<Solved, { refusal: null; lapse: null }>;

/** The answer, or the last one this camera had, so that a refusal does not empty the tiles. */
function useLastAnswer(solved: Solved, part: number): Answered | null {
  const [last] = useState<{ answered: Answered | null; part: number }>({ answered: null, part });
  if (solved.lapse) return null;
  if (solved.refusal !== null) return last.part === part ? last.answered : null;
  last.answered = solved;
  last.part = part;
  return solved;
}
