'use client';

import * as messages from '@/language/rehearsal';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { partChanges, withGear } from '@/core/day/applyDayRemedy';
import type { WorkedDay } from '@/core/day/workedDay';
import { withDay } from '@/core/records/dayEdits';
import { clockOf, minutesOf, withEntry } from '@/core/records/entries';
import type { Outing } from '@/core/records/outing';
import type { Shot } from '@/core/records/shot';
import type { WhatIf } from '@/core/rehearse/whatIfs';
import { trimmed } from '@/core/units/format';
import { dateAndTime } from '@/formats/clock';
import { clockText } from '@/words/lightText';
import { filterName } from '@/words/settingText';
import { dayPartName } from '@/words/shotName';
import type { Decisions } from '@/workers/rehearse';
import { useRepository } from '../data/repository';
import type { DayEditing } from '../outing/useDayEditing';
import { Reading, RobustPick } from './Picks';
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
    if (thing.what === 'filter') {
      void editing.changeShots(messages.takeMore({ thing: label }), withFilter(day, thing));
      return;
    }
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
        {readings.map(({ id, reading }) => (
          <Reading
            key={`reading ${id}`}
            of={day.part(id)}
            reading={reading}
            outing={outing}
            editing={editing}
          />
        ))}
      </ul>
    </section>
  );
}

/** A reading that saves less is not worth stopping for. */
const READING_FROM = 0.05;
const MOST = 6;
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
  const cameraId = thing.what === 'filter' ? thing.cameraId : thing.gear.cameraId;
  const camera = day.camera(cameraId)?.profile.name ?? cameraId;
  if (thing.what === 'filter') return messages.moreFilter({ filter: filterName(thing.filter), camera });
  return thing.what === 'cell' ? messages.moreCell({ camera }) : messages.moreCard({ camera });
}

function taken(
  outing: Outing,
  thing: Exclude<WhatIf, { what: 'filter' }>,
  dayId: string,
  id: string,
): Outing {
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

/** The changes of the shots that this camera films, so that each has the glass in its bag. */
function withFilter(
  day: WorkedDay,
  { cameraId, filter }: Extract<WhatIf, { what: 'filter' }>,
): ReadonlyMap<string, (shot: Shot) => Shot> {
  const own = day.parts.filter(({ camera, brief }) => camera.id === cameraId && brief.filters.length > 0);
  return partChanges(own, (shot, { brief }) => {
    const bag = shot.filters ?? [...brief.filters];
    return bag.some(({ id }) => id === filter.id) ? shot : { ...shot, filters: [...bag, filter] };
  });
}
