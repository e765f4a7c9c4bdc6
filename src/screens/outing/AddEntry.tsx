'use client';

import { shotName } from '@/words/shotName';
import * as messages from '@/language/outing';
import { Button, Select } from 'antd';
import type { ReactNode } from 'react';
import { freeMinute } from '@/core/records/dayEdits';
import { clockOf } from '@/core/records/entries';
import type { Outing, OutingDay, OutingEntry } from '@/core/records/outing';
import type { Shot } from '@/core/records/shot';
import { inOrder } from '@/core/records/entries';
import { withDay } from '@/core/records/dayEdits';
import { movedTo, wallClock } from '@/formats/clock';
import { useRepository, useShots } from '../data/repository';
import styles from './outing.module.css';
import type { DayEditing } from './useDayEditing';

/** Puts a kept shot, a break or a way into the day, after what is there. */
export function AddEntry({
  outing,
  day,
  editing,
  onAdded,
}: {
  outing: Outing;
  day: OutingDay;
  editing: DayEditing;
  onAdded: (entryId: string) => void;
}): ReactNode {
  const repository = useRepository();
  const shots = useShots() ?? [];
  const here = new Set(day.entries.flatMap((entry) => (entry.what === 'shot' ? [entry.shotId] : [])));
  const at = clockOf(freeMinute(day, editing.lengthOf));
  const add = (make: (id: string) => OutingEntry): void => {
    if (!repository) return;
    const entry = make(repository.newId());
    const sun = new Map(
      entry.what === 'shot'
        ? [
            [
              entry.shotId,
              (shot: Shot) => movedTo(shot, wallClock(outing.zone)(day.date, entry.at), outing.zone),
            ],
          ]
        : [],
    );
    void repository
      .changeOuting(
        outing.id,
        messages.addToTheDay,
        (before) => withDay(before, day.id, (one) => ({ ...one, entries: inOrder([...one.entries, entry]) })),
        sun,
      )
      .then(() => onAdded(entry.id));
  };
  return (
    <div className={styles.add}>
      <Select
        aria-label={messages.addAKeptShot}
        placeholder={messages.addAKeptShot}
        showSearch={{ optionFilterProp: 'label' }}
        popupMatchSelectWidth={false}
        value={null}
        options={shots
          .filter(({ id }) => !here.has(id))
          .map(({ id, shot }) => ({ value: id, label: shotName(shot) }))}
        notFoundContent={messages.everyKeptShotIsOn}
        onSelect={(shotId: string | null) => {
          if (shotId !== null) add((id) => ({ what: 'shot', id, shotId, at, pauses: [], note: '' }));
        }}
      />
      <Button
        onClick={() =>
          add((id) => ({ what: 'break', id, name: messages.breakWord, at, minutes: 15, outOfReach: [] }))
        }
      >
        {messages.addABreak}
      </Button>
      <Button onClick={() => add((id) => ({ what: 'travel', id, name: messages.way, at, minutes: 30 }))}>
        {messages.addAWay}
      </Button>
    </div>
  );
}
