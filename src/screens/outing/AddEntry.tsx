'use client';

import { shotName } from '@/words/shotName';
import * as messages from '@/language/outing';
import { Button, Select } from 'antd';
import { useRouter } from 'next/navigation';
import type { ReactNode } from 'react';
import { freeMinute } from '@/core/records/dayEdits';
import { clockTime } from '@/core/records/entries';
import type { Outing, OutingDay, OutingEntry } from '@/core/records/outing';
import type { Shot } from '@/core/records/shot';
import { inOrder } from '@/core/records/entries';
import { withDay } from '@/core/records/dayEdits';
import { emptyShot } from '@/core/records/emptyShot';
import { fedFromOwn, startedWith } from '@/core/records/ownKit';
import { movedTo, wallClock } from '@/formats/clock';
import { lightBySun, placeOfOuting } from '@/formats/placed';
import { useOwnKit } from '../data/kit';
import { outingUrl } from '../routes';
import { useRepository, useShots } from '../data/repository';
import styles from './outing.module.css';
import type { DayEditing } from './useDayEditing';

/** How long a shot is taken to be until somebody says, minutes (start). */
const NEW_SHOT_MINUTES = 10;

/** Puts a new or a kept shot, a break or a way into the day, after what is there. */
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
  const at = clockTime(freeMinute(day, editing.lengthOf));
  const own = useOwnKit();
  const router = useRouter();
  const add = (make: (id: string) => OutingEntry): void => {
    if (!repository) return;
    const entry = make(repository.newId());
    const record = entry.what === 'shot' ? shots.find(({ id }) => id === entry.shotId) : undefined;
    const camera = record?.shot.camera;
    const cameraId = camera && 'profile' in camera ? camera.profile.id : null;
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
        (before) => {
          const fed = cameraId === null ? before : fedFromOwn(before, cameraId, own);
          return withDay(fed, day.id, (one) => ({ ...one, entries: inOrder([...one.entries, entry]) }));
        },
        sun,
      )
      .then(() => onAdded(entry.id));
  };
  /** A shot of this day from nothing: the person's camera, the place of the outing, the next free hour. */
  const describe = (): void => {
    if (!repository) return;
    const place = placeOfOuting(outing);
    const fromMs = wallClock(outing.zone)(day.date, at);
    const bare = startedWith(emptyShot(messages.newShotName), own);
    const span = { fromMs, toMs: fromMs + NEW_SHOT_MINUTES * 60_000 };
    const record = repository.newRecord({
      ...(place ? lightBySun(bare, place, span) : bare),
      limits: { ...bare.limits, recordSeconds: NEW_SHOT_MINUTES * 60 },
    });
    const entryId = repository.newId();
    void repository
      .changeOuting(
        outing.id,
        messages.describeANewShot.toLowerCase(),
        (before) =>
          withDay(own ? fedFromOwn(before, own.camera.id, own) : before, day.id, (one) => ({
            ...one,
            entries: inOrder([
              ...one.entries,
              { what: 'shot', id: entryId, shotId: record.id, at, pauses: [], note: '' },
            ]),
          })),
        new Map(),
        [record],
      )
      .then(() =>
        router.push(outingUrl('/bench', outing.id, day.id, { shot: record.id, entry: entryId, name: 'new' })),
      );
  };
  return (
    <div className={styles.add}>
      <Button onClick={describe}>{messages.describeANewShot}</Button>
      <Select
        aria-label={messages.addAKeptShot}
        placeholder={messages.addAKeptShot}
        showSearch={{ optionFilterProp: 'label' }}
        popupMatchSelectWidth={false}
        value={null}
        options={shots.map(({ id, shot }) => ({
          value: id,
          label: here.has(id) ? messages.onceMore({ name: shotName(shot) }) : shotName(shot),
        }))}
        notFoundContent={messages.noShotKeptYet}
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
