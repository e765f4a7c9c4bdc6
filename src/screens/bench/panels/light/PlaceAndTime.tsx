'use client';

import * as messages from '@/language/bench/light';
import type { ReactNode } from 'react';
import type { SunLight } from '@/core/light/sun/sunLight';
import { dateAndTime, instantOf } from '@/formats/clock';
import { atPlace, zoneOf } from '@/formats/placed';
import { dayText, zoneText } from '@/words/lightText';
import { ClockField } from '../../../ui/Fields';
import type { ShotEditing } from '../../../data/useShotEditing';
import styles from './light.module.css';
import { useInDay } from '../../../data/inDay';
import { PlaceField } from '../../../location/PlaceField';
import { ZoneField } from '../../../location/ZoneField';
import { changingSun, inZone, onDay, withEnd } from './sunEditing';

/** Where and when: a name or coordinates, a day, a start and an end on the clock of the place. */
export function PlaceAndTime({ light, editing }: { light: SunLight; editing: ShotEditing }): ReactNode {
  const zone = zoneOf(light);
  const from = dateAndTime(Date.parse(light.from), zone);
  const to = dateAndTime(Date.parse(light.to), zone);
  const outing = useInDay()?.standing.outing ?? null;
  const setEnd = (end: 'from' | 'to', time: string): Promise<void> => {
    const atMs = instantOf(end === 'from' ? from.date : to.date, time, zone);
    if (atMs === null) return Promise.resolve();
    const label = end === 'from' ? messages.startAtAnotherTime : messages.endAtAnotherTime;
    return editing.save(
      label,
      changingSun(withEnd(end, end === 'to' && atMs < Date.parse(light.from) ? atMs + 86_400_000 : atMs)),
    );
  };
  return (
    <div className={styles.fields}>
      <PlaceField
        value={{ place: light, name: light.place ?? null, country: light.country ?? null }}
        onChoose={(place) =>
          // In a plan the clock is that of the outing.
          editing.commit(messages.filmAtAnotherPlace, atPlace({ ...place, zone: outing?.zone ?? place.zone }))
        }
      />
      {outing ? (
        <div className={styles.field}>
          <span className={styles.small}>{messages.day}</span>
          <span className={styles.told}>{dayText(from.date)}</span>
        </div>
      ) : (
        <ClockField
          label={messages.day}
          kind="date"
          value={from.date}
          onCommit={(date) => editing.save(messages.filmOnAnotherDay, changingSun(onDay(date)))}
        />
      )}
      <ClockField
        label={messages.from}
        kind="time"
        value={from.time}
        onCommit={(time) => setEnd('from', time)}
      />
      <ClockField label={messages.to} kind="time" value={to.time} onCommit={(time) => setEnd('to', time)} />
      {outing ? (
        <div className={styles.field}>
          <span className={styles.small}>{messages.clock}</span>
          <span className={styles.told}>
            {messages.ofTheOuting({ zone: zoneText(zone, Date.parse(light.from)), outing: outing.name })}
          </span>
        </div>
      ) : (
        <ZoneField
          zone={zone}
          atMs={Date.parse(light.from)}
          onChoose={(chosen) => editing.commit(messages.readAnotherClock, changingSun(inZone(chosen)))}
        />
      )}
    </div>
  );
}
