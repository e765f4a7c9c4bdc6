'use client';

import * as messages from '@/language/bench/light';
import { AutoComplete, Button, Select } from 'antd';
import { useId, useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import type { Place } from '@/core/light/sun/position';
import type { SunLight } from '@/core/light/sun/sunLight';
import { allZones, dateAndTime, instantOf } from '@/formats/clock';
import { readCoordinates } from '@/formats/coordinates';
import type { NamedPlace } from '@/formats/gazetteer';
import { placeText, zoneText } from '@/words/lightText';
import { ClockField } from '../../../ui/Fields';
import type { ShotEditing } from '../../../data/useShotEditing';
import styles from './light.module.css';
import { atPlace, changingSun, inZone, onDay, withEnd, zoneOf } from './sunEditing';
import { usePlaces, zoneAt } from './usePlaces';

/** Where and when: a name or coordinates, a day, a start and an end on the clock of the place. */
export function PlaceAndTime({ light, editing }: { light: SunLight; editing: ShotEditing }): ReactNode {
  const zone = zoneOf(light);
  const from = dateAndTime(Date.parse(light.from), zone);
  const to = dateAndTime(Date.parse(light.to), zone);
  const zones = useMemo(() => allZones().map((value) => ({ value, label: value })), []);
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
      <PlaceField light={light} editing={editing} />
      <ClockField
        label={messages.day}
        kind="date"
        value={from.date}
        onCommit={(date) => editing.save(messages.filmOnAnotherDay, changingSun(onDay(date)))}
      />
      <ClockField
        label={messages.from}
        kind="time"
        value={from.time}
        onCommit={(time) => setEnd('from', time)}
      />
      <ClockField label={messages.to} kind="time" value={to.time} onCommit={(time) => setEnd('to', time)} />
      <div className={styles.field}>
        <label htmlFor="sun-zone">{messages.clock}</label>
        <Select
          id="sun-zone"
          aria-label={messages.clockOfThePlace}
          showSearch={{ optionFilterProp: 'label' }}
          popupMatchSelectWidth={false}
          value={zone}
          options={zones}
          labelRender={() => zoneText(zone, Date.parse(light.from))}
          onSelect={(chosen) => editing.commit(messages.readAnotherClock, changingSun(inZone(chosen)))}
        />
      </div>
    </div>
  );
}

/** Takes a name out of the gazetteer that ships with the app, or coordinates as anybody writes them. */
function PlaceField({ light, editing }: { light: SunLight; editing: ShotEditing }): ReactNode {
  const id = useId();
  const places = usePlaces();
  const [typed, setTyped] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const found = useMemo(() => (typed === null ? [] : (places?.find(typed) ?? [])), [places, typed]);
  const go = async (place: Place, named: NamedPlace | null): Promise<void> => {
    setTyped(null);
    setFault(null);
    const zone = await zoneAt(place);
    const near = named ?? places?.nearest(place) ?? null;
    editing.commit(
      messages.filmAtAnotherPlace,
      atPlace({ ...place, zone, name: named?.name ?? null, country: near?.country ?? null }),
    );
  };
  const commit = (): void => {
    const text = typed?.trim() ?? '';
    if (text === '') {
      setTyped(null);
      return;
    }
    const coordinates = readCoordinates(text);
    if (coordinates.ok) return void go(coordinates, null);
    const first = found[0];
    if (first && !/\d/.test(text)) return void go(first, first);
    setFault(/\d/.test(text) ? `"${text}": ${coordinates.why}.` : messages.noPlaceCalledInThe({ text }));
  };
  return (
    <div className={styles.place}>
      <label htmlFor={id}>{messages.placeByNameOrCoordinates}</label>
      <AutoComplete
        id={id}
        value={typed ?? light.place ?? placeText(light)}
        options={found.map((place, at) => ({
          value: String(at),
          label: `${place.name}, ${place.country} (${placeText(place)})`,
        }))}
        popupMatchSelectWidth={false}
        onFocus={(event) => (event.target as HTMLInputElement).select()}
        onChange={(text: string) => {
          setTyped(text);
          setFault(null);
        }}
        onSelect={(at: string) => {
          const place = found[Number(at)];
          if (place) void go(place, place);
        }}
        onInputKeyDown={(event) => {
          if (event.key === 'Enter' && readCoordinates(typed ?? '').ok) commit();
        }}
        onBlur={commit}
        {...(fault ? { status: 'error' as const } : {})}
      />
      {fault && (
        <p role="alert" className={styles.fault}>
          {messages.thePlaceStays({ fault, place: light.place ?? placeText(light) })}
          <Button
            type="link"
            onClick={() => {
              setFault(null);
              setTyped(null);
            }}
          >
            {messages.leaveIt}
          </Button>
        </p>
      )}
      <p className={styles.small}>
        {messages.namesGeoNamesCCBY4({
          light: placeText(light),
          country: light.country ? `, ${light.country}` : '',
        })}
      </p>
    </div>
  );
}
