'use client';

import * as messages from '@/language/bench/choice';
import type { SchoolId } from '@/core/vocabulary/schools';
import { Button } from 'antd';
import dynamic from 'next/dynamic';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import type { Alternative } from '@/core/answer/alternatives';
import type { Solution } from '@/core/answer/solve';
import { schoolsFor } from '@/core/loss/schools';
import { TERMS } from '@/core/loss/table';
import type { Loss, Weights } from '@/core/loss/table';
import { tenths } from '@/core/units/format';
import { costsText, gainsText } from '@/words/alternativeText';
import { SCHOOL_LABEL, SCHOOL_MEANS } from '@/words/labels';
import { settingText } from '@/words/settingText';
import { usePreference } from '../../../data/repository';
import type { ShotEditing } from '../../../data/useShotEditing';
import styles from '../../bench.module.css';
import { TermLinks } from '../../../ui/TermLinks';
import { WhyLink } from '../../../ui/WhyLink';
import type { LossRow } from './LossChart';

const LossChart = dynamic(() => import('./LossChart').then((module) => module.LossChart), {
  ssr: false,
  loading: () => <p className="quiet">{messages.drawing}</p>,
});

const SHORT = ['frameRate', 'shutterSeconds', 'filter', 'iso', 'stabilization'] as const;

/** The schools side by side on this very shot: settings, loss by term, what each gains and costs. */
export function Schools({ solution, editing }: { solution: Solution; editing: ShotEditing }): ReactNode {
  const { space, schools } = solution;
  const others = useMemo(
    () =>
      new Map(
        schools.flatMap((alternative): [SchoolId, Alternative][] =>
          alternative.way.code === 'school' ? [[alternative.way.school, alternative]] : [],
        ),
      ),
    [schools],
  );
  const rows = useMemo<LossRow[]>(
    () =>
      schoolsFor(space.brief.look).flatMap((id) => {
        const loss = id === space.school.id ? solution.loss : others.get(id)?.loss;
        return loss ? [{ label: SCHOOL_LABEL[id], loss: weighed(loss, space.school.weights) }] : [];
      }),
    [others, solution.loss, space.brief.look, space.school],
  );
  return (
    <section aria-labelledby="schools-title" className={styles.schools}>
      <h2 id="schools-title">{messages.theSchoolsOnThisShot}</h2>
      <WhyLink page="schools" />
      <ul>
        {schoolsFor(space.brief.look).map((id) => (
          <SchoolRow key={id} id={id} solution={solution} other={others.get(id)} editing={editing} />
        ))}
      </ul>
      <LossChart rows={rows} />
      <TermLinks terms={TERMS.filter((term) => rows.some(({ loss }) => loss[term] >= SHOWN_FROM))} />
      <p className="quiet">{messages.allJudgedWithTheEyes({ id: SCHOOL_LABEL[space.school.id] })}</p>
    </section>
  );
}

/** Less of a term is no visible part of a bar. */
const SHOWN_FROM = 0.05;

function SchoolRow({
  id,
  solution,
  other,
  editing,
}: {
  id: SchoolId;
  solution: Solution;
  other: Alternative | undefined;
  editing: ShotEditing;
}): ReactNode {
  const [notation] = usePreference('filterNotation');
  const { brief, school } = solution.space;
  const chosen = id === school.id;
  const settings = chosen ? solution.settings : other?.settings;
  const score = chosen ? solution.score : other?.score;
  return (
    <li className={chosen ? styles.chosen : undefined}>
      <strong>{SCHOOL_LABEL[id]}</strong>
      {settings && score !== undefined ? (
        <>
          <span className={`${styles.schoolSettings ?? ''} numerals`}>
            {SHORT.map((key) => (
              <span key={key}>{settingText(key, settings, brief.filters, notation)}</span>
            ))}
          </span>
          <span className={`${styles.score ?? ''} numerals`}>
            <span className="unseen">{messages.score}</span>
            {tenths(score)}
          </span>
        </>
      ) : (
        <span className="quiet">{messages.hasNoWayOnThis}</span>
      )}
      {chosen ? (
        <em>{messages.chosen}</em>
      ) : (
        <Button
          aria-label={messages.takeId({ id: SCHOOL_LABEL[id] })}
          disabled={!other}
          onClick={() =>
            editing.commit(messages.takeWay({ way: SCHOOL_LABEL[id] }), (shot) => ({
              ...shot,
              look: { ...shot.look, school: id },
            }))
          }
        >
          {messages.take}
        </Button>
      )}
      <span className={styles.schoolPrice}>
        {chosen || !other ? SCHOOL_MEANS[id] : otherText(other, solution.score)}
      </span>
    </li>
  );
}

/** What another school gains and costs; one that chooses alike is said to. */
function otherText(other: Alternative, answer: number): string {
  if (other.gains.length + other.costs.length === 0) return messages.comesToTheSame;
  const told = `${gainsText(other)}; ${costsText(other)}`;
  return other.score < answer ? messages.betterIfYouSteady({ told }) : told;
}

function weighed(loss: Loss, weights: Weights): Loss {
  return Object.fromEntries(TERMS.map((term) => [term, weights[term] * loss[term]])) as Loss;
}
