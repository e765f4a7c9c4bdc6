'use client';

import { Button } from 'antd';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { movedToDay } from '@/core/records/dayEdits';
import { PAUSE_MINUTES } from '@/core/records/dayBounds';
import { minutesOf } from '@/core/records/entries';
import type { Outing, OutingDay, OutingEntry } from '@/core/records/outing';
import type { Shot } from '@/core/records/shot';
import { movedTo, wallClock } from '@/formats/clock';
import { CARD_KEYS } from '@/words/card';
import { dayText } from '@/words/lightText';
import { pauseText } from '@/words/outingText';
import { ChoiceField, ClockField, ListField, NumberField, TextField } from '../ui/Fields';
import { useRepository } from '../data/repository';
import { outingUrl } from '../routes';
import type { DayAtWork } from '../data/workedDay';
import { SettingStrip } from '../ui/SettingStrip';
import styles from './outing.module.css';
import type { DayEditing } from './useDayEditing';

/** One entry of a day: when it is, how long, and what the day makes of it. */
export function EntryEditor({
  entry,
  name,
  outing,
  day,
  worked,
  editing,
  onGone,
}: {
  entry: OutingEntry;
  name: string;
  outing: Outing;
  day: OutingDay;
  worked: DayAtWork;
  editing: DayEditing;
  onGone: () => void;
}): ReactNode {
  const repository = useRepository();
  const parts = worked.day.partsOf(entry.id);
  const cameras = worked.day.cameras;
  const toDay = (dayId: string): void => {
    const target = outing.days.find(({ id }) => id === dayId);
    if (!target) return;
    const sun = new Map(
      entry.what === 'shot'
        ? [
            [
              entry.shotId,
              (shot: Shot) => movedTo(shot, wallClock(outing.zone)(target.date, entry.at), outing.zone),
            ],
          ]
        : [],
    );
    void repository?.changeOuting(
      outing.id,
      'move to another day',
      (before) => movedToDay(before, entry.id, dayId),
      sun,
    );
    onGone();
  };
  return (
    <>
      <h2>{name}</h2>
      <div className={styles.fields}>
        <ClockField
          label="Starts"
          kind="time"
          value={entry.at}
          onCommit={(at) => editing.moveTo(entry.id, minutesOf(at))}
        />
        {entry.what !== 'shot' && (
          <>
            <NumberField
              label="Lasts"
              unit="min"
              value={entry.minutes}
              min={PAUSE_MINUTES.least}
              max={PAUSE_MINUTES.most}
              step={5}
              onCommit={(minutes = 15) =>
                editing.changeEntry('change the length', entry.id, (one) =>
                  one.what === 'shot' ? one : { ...one, minutes },
                )
              }
            />
            <TextField
              label="Called"
              value={entry.name}
              maxLength={120}
              onCommit={(called) =>
                editing.changeEntry('rename', entry.id, (one) =>
                  one.what === 'shot' ? one : { ...one, name: called },
                )
              }
            />
          </>
        )}
        {entry.what === 'break' && (
          <ListField
            label="Cameras out of reach"
            values={entry.outOfReach}
            options={cameras.map(({ id, profile }) => ({ value: id, label: profile.name }))}
            mayBeEmpty
            onCommit={(outOfReach) =>
              editing.changeEntry('change what is in reach', entry.id, (one) =>
                one.what === 'break' ? { ...one, outOfReach } : one,
              )
            }
          />
        )}
        {outing.days.length > 1 && (
          <ChoiceField
            label="On"
            value={day.id}
            options={outing.days.map(({ id, date }) => ({
              value: id,
              label: dayText(date),
            }))}
            onCommit={toDay}
          />
        )}
      </div>
      {parts.map((part) => {
        const own = part.answer;
        return (
          <div key={part.id} className={styles.panel}>
            {parts.length > 1 && <h3>{part.name}</h3>}
            {own?.carried ? (
              <SettingStrip keys={CARD_KEYS} settings={own.carried.settings} kit={part.brief.filters} />
            ) : (
              <p className="quiet">
                {own ? 'No answer with its pins: mend it on the Bench.' : 'Working it out…'}
              </p>
            )}
          </div>
        );
      })}
      {entry.what === 'shot' && entry.pauses.length > 0 && (
        <div>
          <h3>Stops within</h3>
          <ul>
            {entry.pauses.map((pause) => (
              <li key={pause.afterMinutes}>
                {pauseText(pause)}{' '}
                <Button
                  type="text"
                  onClick={() =>
                    void editing.changeEntry('take a stop away', entry.id, (one) =>
                      one.what === 'shot'
                        ? {
                            ...one,
                            pauses: one.pauses.filter(
                              ({ afterMinutes }) => afterMinutes !== pause.afterMinutes,
                            ),
                          }
                        : one,
                    )
                  }
                >
                  Take away
                </Button>
              </li>
            ))}
          </ul>
        </div>
      )}
      <p className={styles.fields}>
        {entry.what === 'shot' && (
          <>
            <Link href={outingUrl('/bench', outing.id, day.id, { shot: entry.shotId })}>
              Open on the Bench
            </Link>
            <Link href={outingUrl('/carry', outing.id, day.id, { card: entry.id })}>See its card</Link>
          </>
        )}
        <Button
          type="text"
          danger
          onClick={() => {
            void editing.changeDay('take off the day', (one) => ({
              ...one,
              entries: one.entries.filter(({ id }) => id !== entry.id),
            }));
            onGone();
          }}
        >
          Take off this day
        </Button>
      </p>
    </>
  );
}
