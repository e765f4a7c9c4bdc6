'use client';

import * as messages from '@/language/debrief/ends';
import type { ReactNode } from 'react';
import type { WorkedDay } from '@/core/day/workedDay';
import type { Outing, OutingDay } from '@/core/records/outing';
import { withDay } from '@/core/records/dayEdits';
import { omit } from '@/core/units/omit';
import { useRepository } from '../data/repository';
import { NumberField } from '../ui/Fields';
import styles from './debrief.module.css';

type End = NonNullable<OutingDay['ends']>[number];

/** What each camera had used up in the evening: cells and cards tell what it really draws and writes. */
export function Evening({
  outing,
  day,
  worked,
}: {
  outing: Outing;
  day: OutingDay;
  worked: WorkedDay;
}): ReactNode {
  const repository = useRepository();
  if (worked.cameras.length === 0) return null;
  const put = (
    cameraId: string,
    key: 'cellsUsed' | 'cardGb',
    value: number | undefined,
  ): Promise<void> | void =>
    repository?.changeOuting(outing.id, messages.noteEnds, (before) =>
      withDay(before, day.id, (one) => withEnd(one, cameraId, key, value)),
    );
  return (
    <section aria-labelledby="evening-title" className={styles.evening}>
      <h2 id="evening-title">{messages.title}</h2>
      <p className="quiet">{messages.lead}</p>
      {worked.cameras.map(({ id, profile }) => {
        const end = day.ends?.find((one) => one.cameraId === id);
        return (
          <fieldset key={id}>
            <legend>{profile.name}</legend>
            <NumberField
              label={messages.cells}
              unit={messages.cellsUnit}
              min={0}
              max={50}
              step={0.1}
              placeholder={messages.notNoted}
              value={end?.cellsUsed}
              onCommit={(value) => put(id, 'cellsUsed', value)}
            />
            <NumberField
              label={messages.card}
              unit={messages.gigabytes}
              min={0}
              max={100_000}
              step={1}
              placeholder={messages.notNoted}
              value={end?.cardGb}
              onCommit={(value) => put(id, 'cardGb', value)}
            />
          </fieldset>
        );
      })}
    </section>
  );
}

function withEnd(
  day: OutingDay,
  cameraId: string,
  key: 'cellsUsed' | 'cardGb',
  value: number | undefined,
): OutingDay {
  const ends = day.ends ?? [];
  const before: End = ends.find((one) => one.cameraId === cameraId) ?? { cameraId };
  const after: End = value === undefined ? omit(before, key) : { ...before, [key]: value };
  const others = ends.filter((one) => one.cameraId !== cameraId);
  const kept = Object.keys(after).length > 1 ? [...others, after] : others;
  return kept.length > 0 ? { ...day, ends: kept } : omit(day, 'ends');
}
