'use client';

import * as messages from '@/language/outing';
import { Button } from 'antd';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { movedToDay } from '@/core/records/dayEdits';
import { PAUSE_MINUTES } from '@/core/records/dayBounds';
import { minutesOf } from '@/core/records/entries';
import { USUAL } from '@/core/brief/usual';
import type { OutingEntry, ShotEntry } from '@/core/records/outing';
import { trimmed } from '@/core/units/format';
import { omit } from '@/core/units/omit';
import type { Shot } from '@/core/records/shot';
import { movedTo, wallClock } from '@/formats/clock';
import { CARD_KEYS } from '@/words/cardKeys';
import { dayText } from '@/words/lightText';
import { pauseText } from '@/words/outingText';
import { dayPartName } from '@/words/shotName';
import { ChoiceField, ClockField, ListField, NumberField, TextField } from '../ui/Fields';
import { useRepository } from '../data/repository';
import { outingUrl } from '../routes';
import type { DayAtWork } from '../data/workedDay';
import { SettingStrip } from '../ui/SettingStrip';
import type { OpenOuting } from './openOuting';
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
}: OpenOuting & {
  entry: OutingEntry;
  name: string;
  onGone: () => void;
}): ReactNode {
  const repository = useRepository();
  const parts = worked.day.partsOf(entry.id);
  const toDay = (dayId: string): void => {
    const target = outing.days.find(({ id }) => id === dayId);
    if (!target || dayId === day.id) return;
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
      messages.moveToAnotherDay,
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
          label={messages.starts}
          kind="time"
          value={entry.at}
          onCommit={(at) => editing.moveTo(entry.id, minutesOf(at))}
        />
        {entry.what === 'shot' && (
          <>
            <LengthField entry={entry} shot={worked.shots.get(entry.shotId)?.shot} editing={editing} />
            <ReadingField entry={entry} editing={editing} />
          </>
        )}
        {entry.what !== 'shot' && (
          <PauseFields entry={entry} cameras={worked.day.cameras} editing={editing} />
        )}
        {outing.days.length > 1 && (
          <ChoiceField
            label={messages.on}
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
            {parts.length > 1 && <h3>{dayPartName(part)}</h3>}
            {own?.carried ? (
              <SettingStrip keys={CARD_KEYS} settings={own.carried.settings} kit={part.brief.filters} />
            ) : (
              <p className="quiet">{own ? messages.noAnswerWithItsPins : messages.workingItOut}</p>
            )}
          </div>
        );
      })}
      {entry.what === 'shot' && entry.pauses.length > 0 && <Stops entry={entry} editing={editing} />}
      <p className={styles.fields}>
        {entry.what === 'shot' && (
          <>
            <Link href={outingUrl('/bench', outing.id, day.id, { shot: entry.shotId, entry: entry.id })}>
              {messages.openOnTheBench}
            </Link>
            <Link href={outingUrl('/carry', outing.id, day.id, { card: entry.id })}>
              {messages.seeItsCard}
            </Link>
          </>
        )}
        <Button
          type="text"
          danger
          onClick={() => {
            void editing.changeDay(messages.takeOffTheDay, (one) => ({
              ...one,
              entries: one.entries.filter(({ id }) => id !== entry.id),
            }));
            onGone();
          }}
        >
          {messages.takeOffThisDay}
        </Button>
      </p>
    </>
  );
}

/** How long it is filmed here; empty, as long as the shot says. */
function LengthField({
  entry,
  shot,
  editing,
}: {
  entry: ShotEntry;
  shot: Shot | undefined;
  editing: DayEditing;
}): ReactNode {
  const own = shot?.limits?.recordSeconds ?? USUAL.recordSeconds;
  return (
    <NumberField
      label={messages.films}
      unit={messages.min}
      value={entry.recordSeconds === undefined ? undefined : entry.recordSeconds / 60}
      min={0.1}
      max={10_080}
      step={5}
      placeholder={trimmed(own / 60, 1)}
      onCommit={(minutes) =>
        editing.changeEntry(messages.changeItsLength, entry.id, (one) =>
          one.what !== 'shot'
            ? one
            : minutes === undefined
              ? omit(one, 'recordSeconds')
              : { ...one, recordSeconds: minutes * 60 },
        )
      }
    />
  );
}

/** How long before it the light is read; empty, it is not. */
function ReadingField({ entry, editing }: { entry: ShotEntry; editing: DayEditing }): ReactNode {
  return (
    <NumberField
      label={messages.lightReadBefore}
      unit={messages.min}
      value={entry.reading?.minutesBefore}
      min={PAUSE_MINUTES.least}
      max={PAUSE_MINUTES.most}
      step={5}
      placeholder={messages.notRead}
      onCommit={(minutesBefore) =>
        editing.changeEntry(messages.planAReading, entry.id, (one) =>
          one.what !== 'shot'
            ? one
            : minutesBefore === undefined
              ? omit(one, 'reading')
              : { ...one, reading: { minutesBefore } },
        )
      }
    />
  );
}

/** How long a break or a way lasts, what it is called, and which cameras are out of reach meanwhile. */
function PauseFields({
  entry,
  cameras,
  editing,
}: {
  entry: Exclude<OutingEntry, { what: 'shot' }>;
  cameras: DayAtWork['day']['cameras'];
  editing: DayEditing;
}): ReactNode {
  return (
    <>
      <NumberField
        label={messages.lasts}
        unit={messages.min}
        value={entry.minutes}
        min={PAUSE_MINUTES.least}
        max={PAUSE_MINUTES.most}
        step={5}
        onCommit={(minutes = 15) =>
          editing.changeEntry(messages.changeTheLength, entry.id, (one) =>
            one.what === 'shot' ? one : { ...one, minutes },
          )
        }
      />
      <TextField
        label={messages.called}
        value={entry.name}
        maxLength={120}
        onCommit={(called) =>
          editing.changeEntry(messages.rename, entry.id, (one) =>
            one.what === 'shot' ? one : { ...one, name: called },
          )
        }
      />
      {entry.what === 'break' && (
        <ListField
          label={messages.camerasOutOfReach}
          values={entry.outOfReach}
          options={cameras.map(({ id, profile }) => ({ value: id, label: profile.name }))}
          mayBeEmpty
          onCommit={(outOfReach) =>
            editing.changeEntry(messages.changeWhatIsInReach, entry.id, (one) =>
              one.what === 'break' ? { ...one, outOfReach } : one,
            )
          }
        />
      )}
    </>
  );
}

/** The stops within a shot, which free the hands. */
function Stops({
  entry,
  editing,
}: {
  entry: Extract<OutingEntry, { what: 'shot' }>;
  editing: DayEditing;
}): ReactNode {
  return (
    <div>
      <h3>{messages.stopsWithin}</h3>
      <ul>
        {entry.pauses.map((pause) => (
          <li key={pause.afterMinutes}>
            {pauseText(pause)}{' '}
            <Button
              type="text"
              onClick={() =>
                void editing.changeEntry(messages.takeAStopAway, entry.id, (one) =>
                  one.what === 'shot'
                    ? {
                        ...one,
                        pauses: one.pauses.filter(({ afterMinutes }) => afterMinutes !== pause.afterMinutes),
                      }
                    : one,
                )
              }
            >
              {messages.takeAway}
            </Button>
          </li>
        ))}
      </ul>
    </div>
  );
}
