'use client';

import * as messages from '@/language/rehearsal';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { pinsOf } from '@/core/compare/variants';
import { withGear } from '@/core/day/applyDayRemedy';
import type { WorkedDay, WorkedPart } from '@/core/day/workedDay';
import { withDay } from '@/core/records/dayEdits';
import { clockOf, minutesOf, withEntry } from '@/core/records/entries';
import type { Outing } from '@/core/records/outing';
import type { Pins, SettingKey, Settings } from '@/core/records/settings';
import type { Robust } from '@/core/rehearse/rehearse';
import type { WhatIf } from '@/core/rehearse/whatIfs';
import { tenths, trimmed } from '@/core/units/format';
import { dateAndTime } from '@/formats/clock';
import { SETTING_LABEL } from '@/words/labels';
import { clockText } from '@/words/lightText';
import { settingText } from '@/words/settingText';
import { dayPartName } from '@/words/shotName';
import type { Decisions } from '@/workers/rehearse';
import { useRepository } from '../data/repository';
import type { DayEditing } from '../outing/useDayEditing';
import styles from './rehearsal.module.css';
import { pct } from './told';

/** What would help on the same days: other settings, one thing more, a reading; each a press where it can be taken. */
export function Deciding({
  decisions,
  day,
  dayId,
  outing,
  editing,
}: {
  decisions: Decisions | null;
  day: WorkedDay;
  dayId: string;
  outing: Outing;
  editing: DayEditing;
}): ReactNode {
  const repository = useRepository();
  if (!decisions)
    return (
      <section aria-labelledby="decisions-title">
        <h2 id="decisions-title">{messages.decisions}</h2>
        <p role="status">{messages.deciding}</p>
      </section>
    );
  const { picks, whatIfs } = decisions;
  const robust = picks.flatMap(({ id, robust: pick }) => {
    const part = day.part(id);
    return pick && part?.answer?.carried ? [{ part, pick, now: part.answer.carried.settings }] : [];
  });
  const readings = picks
    .filter(({ reading }) => reading.savesLoss >= READING_FROM)
    .sort((a, b) => b.reading.savesLoss - a.reading.savesLoss)
    .slice(0, 3);
  const takeThing = (thing: WhatIf, label: string): void => {
    const id = repository?.newId() ?? '';
    void editing.change(messages.takeMore({ thing: label }), (before) => taken(before, thing, dayId, id));
  };
  return (
    <section aria-labelledby="decisions-title">
      <h2 id="decisions-title">{messages.decisions}</h2>
      {robust.length + whatIfs.length + readings.length === 0 && <p>{messages.nothingHelps}</p>}
      <ul className={styles.decisions}>
        {whatIfs.slice(0, MOST).map((thing) => {
          const label = thingText(thing, day, outing.zone);
          const text = messages.changes({
            thing: label,
            before: messages.pct({ p: pct(thing.lasts[0]) }),
            after: messages.pct({ p: pct(thing.lasts[1]) }),
            saves: trimmed(Math.max(0, thing.loss[0] - thing.loss[1]), 2),
          });
          return (
            <li key={label}>
              <span>{text}</span>
              <Button
                aria-label={messages.takeThing({ thing: label })}
                onClick={() => takeThing(thing, label)}
              >
                {messages.take}
              </Button>
            </li>
          );
        })}
        {robust.map(({ part, pick, now }) => (
          <RobustPick key={part.id} part={part} pick={pick} now={now} editing={editing} />
        ))}
        {readings.map(({ id, reading }) => {
          const part = day.part(id);
          return part ? (
            <li key={`reading ${id}`}>
              {messages.reading({
                shot: dayPartName(part),
                tenths: trimmed(10 * reading.changes, 0),
                saves: trimmed(reading.savesLoss, 2),
              })}
            </li>
          ) : null;
        })}
      </ul>
    </section>
  );
}

/** A reading that saves less is not worth stopping for. */
const READING_FROM = 0.05;
const MOST = 6;

function RobustPick({
  part,
  pick,
  now,
  editing,
}: {
  part: WorkedPart;
  pick: Robust;
  now: Settings;
  editing: DayEditing;
}): ReactNode {
  const pins = pinsFor(now, pick.settings);
  const settings = (Object.keys(pins) as SettingKey[])
    .filter((key) => key !== 'shutterAngleDeg')
    .map((key) => `${SETTING_LABEL[key]} ${settingText(key, pick.settings, part.brief.filters)}`)
    .join(', ');
  const shot = dayPartName(part);
  const { onLikelyDay } = pick;
  return (
    <li>
      <span>
        {messages.robust({
          shot,
          settings,
          saves: trimmed(pick.saves, 2),
          cost:
            Math.abs(onLikelyDay) < 0.05
              ? messages.costsNothing
              : onLikelyDay > 0
                ? messages.costsMore({ cost: tenths(onLikelyDay) })
                : messages.costsLess({ cost: tenths(-onLikelyDay) }),
        })}
      </span>
      <Button
        aria-label={messages.takeRobust({ shot, settings })}
        onClick={() => void editing.takePins(messages.takeRobustPick, [{ partId: part.id, pins }])}
      >
        {messages.take}
      </Button>
    </li>
  );
}

/** The settings that differ; the angle says the same as the time. */
function pinsFor(now: Settings, wanted: Settings): Pins {
  const [before, after] = [pinsOf(now), pinsOf(wanted)];
  const keys = (Object.keys(after) as (keyof Pins)[]).filter(
    (key) => key !== 'shutterAngleDeg' && JSON.stringify(before[key]) !== JSON.stringify(after[key]),
  );
  return Object.fromEntries(keys.map((key) => [key, after[key]]));
}

function thingText(thing: WhatIf, day: WorkedDay, zone: string): string {
  if (thing.what === 'break')
    return messages.moreBreak({ minutes: thing.minutes, at: clockText(thing.fromMs, zone) });
  if (thing.what === 'stop') {
    const [part] = day.partsOf(thing.entryId);
    return messages.moreStop({
      minutes: thing.minutes,
      after: thing.afterMinutes,
      shot: part ? dayPartName({ ...part, title: { ...part.title, part: null } }) : '',
    });
  }
  const camera = day.camera(thing.gear.cameraId)?.profile.name ?? thing.gear.cameraId;
  return thing.what === 'cell' ? messages.moreCell({ camera }) : messages.moreCard({ camera });
}

function taken(outing: Outing, thing: WhatIf, dayId: string, id: string): Outing {
  if (thing.what === 'stop') {
    const { entryId, afterMinutes, minutes } = thing;
    return withEntry(outing, entryId, (entry) =>
      entry.what === 'shot' ? { ...entry, pauses: [...entry.pauses, { afterMinutes, minutes }] } : entry,
    );
  }
  if (thing.what !== 'break') return withGear(outing, thing.gear);
  const { time } = dateAndTime(thing.fromMs, outing.zone);
  return withDay(outing, dayId, (day) => ({
    ...day,
    entries: [
      ...day.entries,
      {
        what: 'break',
        id,
        name: messages.aBreak,
        at: clockOf(minutesOf(time)),
        minutes: thing.minutes,
        outOfReach: [],
      },
    ],
  }));
}
