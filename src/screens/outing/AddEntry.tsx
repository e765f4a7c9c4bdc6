'use client';

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
        'add to the day',
        (before) => withDay(before, day.id, (one) => ({ ...one, entries: inOrder([...one.entries, entry]) })),
        sun,
      )
      .then(() => onAdded(entry.id));
  };
  return (
    <div className={styles.add}>
      <Select
        aria-label="Add a kept shot"
        placeholder="Add a kept shot"
        showSearch={{ optionFilterProp: 'label' }}
        popupMatchSelectWidth={false}
        value={null}
        options={shots
          .filter(({ id }) => !here.has(id))
          .map(({ id, shot }) => ({ value: id, label: shot.name ?? 'Untitled shot' }))}
        notFoundContent="Every kept shot is on this day. Describe a new one on Start."
        onSelect={(shotId: string | null) => {
          if (shotId !== null) add((id) => ({ what: 'shot', id, shotId, at, pauses: [], note: '' }));
        }}
      />
      <Button
        onClick={() => add((id) => ({ what: 'break', id, name: 'Break', at, minutes: 15, outOfReach: [] }))}
      >
        Add a break
      </Button>
      <Button onClick={() => add((id) => ({ what: 'travel', id, name: 'Way', at, minutes: 30 }))}>
        Add a way
      </Button>
    </div>
  );
}
