'use client';

import * as messages from '@/language/kit/learned';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import type { CorrectedFigure } from '@/core/learn/learn';
import { ninetyOf } from '@/core/learn/learn';
import { figureAt, figureId } from '@/core/records/figures';
import type { Learned, LearnedRecord } from '@/core/records/learned';
import { omit } from '@/core/units/omit';
import { learnedFigureName, figureValue, fromText, withinText } from '@/words/learnedText';
import type { Names } from '@/words/learnedText';
import { useRepository } from '../../data/repository';
import { FigureCurves } from './FigureCurves';
import styles from './learned.module.css';
import type { Learning } from './useLearning';

/** Figures that what came back corrects, each to be taken over or left. */
export function LearnedFigures({ learning }: { learning: Learning }): ReactNode {
  return (
    <ul className={styles.figures}>
      {learning.corrected.map((one) => (
        <FigureRow
          key={figureId(one.figure)}
          one={one}
          decision={learning.decisions.get(figureId(one.figure))}
          names={learning.names}
        />
      ))}
    </ul>
  );
}

function FigureRow({
  one,
  decision,
  names,
}: {
  one: CorrectedFigure;
  decision: LearnedRecord | undefined;
  names: Names;
}): ReactNode {
  const { figure, usual, off } = one;
  const [low, high] = ninetyOf(one).map((end) => figureValue(figure, end));
  const name = learnedFigureName(figure, names);
  return (
    <li className={styles.figure} aria-label={name}>
      <FigureCurves one={one} names={names} />
      <div>
        <p className={styles.name}>{name}</p>
        <p>
          <span className={`${styles.value ?? ''} numerals`}>{figureValue(figure, figureAt(one, off))}</span>{' '}
          {fromText(one)}, <span className="numerals">{withinText(one)}</span>
        </p>
        <p className="quiet numerals">
          {messages.usualIs({ usual: figureValue(figure, usual) })} ·{' '}
          {messages.nineOfTen({ low: low ?? '', high: high ?? '' })}
        </p>
        <Presses one={one} decision={decision} name={name} />
      </div>
    </li>
  );
}

/** So far from what is in use, in its spreads, the new figure is offered. */
const NEW_FROM = 0.5;

function Presses({
  one,
  decision,
  name,
}: {
  one: CorrectedFigure;
  decision: LearnedRecord | undefined;
  name: string;
}): ReactNode {
  const repository = useRepository();
  const learned: Learned = omit(one, 'spreadBefore');
  const { figure } = one;
  const value = figureValue(figure, figureAt(one, one.off));
  const decide = (decided: LearnedRecord['decided']): void =>
    void repository?.decideFigure(
      figureId(figure),
      learned,
      decided,
      decided === 'taken' ? messages.takeAFigure({ figure: name }) : messages.leaveAFigure({ figure: name }),
    );
  const back = (
    <Button
      type="text"
      aria-label={messages.backOf({ figure: name })}
      onClick={() =>
        void repository?.undecideFigure(figureId(figure), messages.untakeAFigure({ figure: name }))
      }
    >
      {messages.backToUsual}
    </Button>
  );
  if (decision?.decided === 'taken') {
    const inUse = decision.learned;
    const used = figureValue(figure, figureAt(inUse, inUse.off));
    const moved = Math.abs(one.off - inUse.off) > NEW_FROM * one.spread && used !== value;
    return (
      <p className={styles.presses}>
        <b>{moved ? messages.takenNow({ value: used, now: value }) : messages.takenIs({ value: used })}</b>
        {moved && <Button onClick={() => decide('taken')}>{messages.takeNew}</Button>}
        {back}
      </p>
    );
  }
  const take = (
    <Button
      type={decision ? 'text' : 'default'}
      aria-label={messages.takeOverOf({ figure: name, value })}
      onClick={() => decide('taken')}
    >
      {messages.takeOver}
    </Button>
  );
  if (decision)
    return (
      <p className={styles.presses}>
        <span className="quiet">{messages.left}</span>
        {take}
      </p>
    );
  return (
    <p className={styles.presses}>
      {take}
      <Button type="text" aria-label={messages.leaveOf({ figure: name })} onClick={() => decide('left')}>
        {messages.leave}
      </Button>
    </p>
  );
}
