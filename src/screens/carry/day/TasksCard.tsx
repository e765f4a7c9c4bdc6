'use client';

import * as messages from '@/language/carry/day';
import { Button, Checkbox } from 'antd';
import type { ReactNode } from 'react';
import type { DeckCard, Task } from '@/core/day/deck';
import type { Outing } from '@/core/records/outing';
import type { ReadingWorth } from '@/core/rehearse/reading';
import { clockText } from '@/words/lightText';
import { actText, filterChangeText } from '@/words/outingText';
import { readingTaskText } from '@/words/readingText';
import { dayPartName, tasksName } from '@/words/shotName';
import { usePreference } from '../../data/repository';
import type { DayAtWork } from '../../data/workedDay';
import { useTicks } from '../../data/setups';
import styles from './day.module.css';

/** A break with things to do at the cameras: filters, cards, cells, charging. */
export function TasksCard({
  outing,
  card,
  worked,
  readings,
  onDone,
  tools,
}: {
  outing: Outing;
  card: Extract<DeckCard, { kind: 'tasks' }>;
  worked: DayAtWork;
  /** What a reading says, by the part that it is taken before. */
  readings: ReadonlyMap<string, ReadingWorth>;
  onDone: () => void;
  /** What stands above the presses of every card. */
  tools: ReactNode;
}): ReactNode {
  const { has, tick } = useTicks(outing);
  const [notation] = usePreference('filterNotation');
  const textOf = (task: Task): string => {
    const part = worked.day.camera(task.cameraId)?.parts[0];
    const name = part?.camera.name ?? task.cameraId;
    if (task.what === 'act') return actText(task.act, name);
    if (task.what === 'reading') {
      const of = worked.day.part(task.partId);
      if (!of) return '';
      const { camera, brief } = of;
      const bag = { fNumber: camera.fNumber, kit: brief.filters, notation };
      return readingTaskText(dayPartName(of), readings.get(of.id)?.bands ?? [], bag);
    }
    const before = worked.day.part(task.filterChange.partId);
    return messages.forWord({
      name: filterChangeText(
        name,
        task.filterChange.from,
        task.filterChange.to,
        before?.brief.filters ?? [],
        notation,
      ),
      before: dayPartName(before, messages.theNextShot),
    });
  };
  return (
    <>
      <div className={styles.title}>
        <span className={`${styles.time ?? ''} numerals`}>{clockText(card.fromMs, outing.zone)}</span>
        <h1>{tasksName(card)}</h1>
        {card.toMs > card.fromMs && <p>{messages.until({ toMs: clockText(card.toMs, outing.zone) })}</p>}
      </div>
      <ul className={styles.tasks}>
        {card.tasks.map((task) => (
          <li key={task.id}>
            <Checkbox checked={has(task.id)} onChange={({ target }) => tick([task.id], target.checked)}>
              {textOf(task)}
            </Checkbox>
          </li>
        ))}
      </ul>
      {tools}
      <div className={styles.record}>
        <Button
          type="primary"
          size="large"
          onClick={() => {
            tick(
              card.tasks.map(({ id }) => id),
              true,
            );
            onDone();
          }}
        >
          {messages.allDone}
        </Button>
      </div>
    </>
  );
}
