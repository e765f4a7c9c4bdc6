'use client';

import * as messages from '@/language/rehearsal';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import type { WorkedDay } from '@/core/day/workedDay';
import type { Outing } from '@/core/records/outing';
import type { WhatIf } from '@/core/rehearse/whatIfs';
import { trimmed } from '@/core/units/format';
import { clockText } from '@/words/lightText';
import { filterName } from '@/words/settingText';
import { dayPartName } from '@/words/shotName';
import type { Decisions } from '@/workers/rehearse';
import type { DayEditing } from '../outing/useDayEditing';
import { Reading, RobustPick } from './Picks';
import styles from './rehearsal.module.css';
import { pct } from './told';

/** What would help on the same days: other settings, one thing more, a reading; each a press where it can be taken. */
export function Deciding({
  decisions,
  day,
  outing,
  editing,
}: {
  decisions: Decisions | null;
  day: WorkedDay;
  outing: Outing;
  editing: DayEditing;
}): ReactNode {
  if (!decisions)
    return (
      <section aria-labelledby="decisions-title">
        <h2 id="decisions-title">{messages.decisions}</h2>
        <p role="status">{messages.deciding}</p>
      </section>
    );
  const { picks, whatIfs } = decisions;
  const robust = picks
    .flatMap(({ id, robust: pick }) => {
      const part = day.part(id);
      return pick && part?.answer?.carried ? [{ part, pick, now: part.answer.carried.settings }] : [];
    })
    .sort((a, b) => b.pick.saves - a.pick.saves)
    .slice(0, MOST_PICKS);
  const readings = picks
    .filter(({ reading }) => reading.savesLoss >= READING_FROM)
    .sort((a, b) => b.reading.savesLoss - a.reading.savesLoss)
    .slice(0, 3);
  return (
    <section aria-labelledby="decisions-title">
      <h2 id="decisions-title">{messages.decisions}</h2>
      {robust.length + whatIfs.length + readings.length === 0 && <p>{messages.nothingHelps}</p>}
      <ul className={styles.decisions}>
        {whatIfs.slice(0, MOST).map((help) => {
          const label = helpText(help, day, outing.zone);
          const text = messages.changes({
            thing: label,
            before: messages.pct({ p: pct(help.lasts[0]) }),
            after: messages.pct({ p: pct(help.lasts[1]) }),
            saves: trimmed(Math.max(0, help.loss[0] - help.loss[1]), 2),
          });
          return (
            <li key={label}>
              <span>{text}</span>
              <Button
                aria-label={messages.takeThing({ thing: label })}
                onClick={() => void editing.take(messages.takeMore({ thing: label }), [help])}
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
/** Of a long day those that save most are told; the next come once these are taken. */
const MOST_PICKS = 20;

function helpText(help: WhatIf, day: WorkedDay, zone: string): string {
  if (help.what === 'break')
    return messages.moreBreak({ minutes: help.minutes, at: clockText(help.fromMs, zone) });
  if (help.what === 'stop') {
    const [part] = day.partsOf(help.entryId);
    return messages.moreStop({
      minutes: help.minutes,
      after: help.afterMinutes,
      shot: part ? dayPartName({ ...part, title: { ...part.title, part: null } }) : '',
    });
  }
  const cameraId = help.what === 'filter' ? help.cameraId : help.gear.cameraId;
  const camera = day.camera(cameraId)?.profile.name ?? cameraId;
  if (help.what === 'filter') return messages.moreFilter({ filter: filterName(help.filter), camera });
  return help.what === 'cell' ? messages.moreCell({ camera }) : messages.moreCard({ camera });
}
