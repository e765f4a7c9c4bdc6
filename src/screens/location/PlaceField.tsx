'use client';

import * as messages from '@/language/location';
import { AutoComplete, Button } from 'antd';
import { useId, useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import type { LatLon } from '@/core/light/sun/position';
import { readCoordinates } from '@/formats/coordinates';
import type { NamedPlace } from '@/formats/gazetteer';
import type { ChosenPlace } from '@/formats/placed';
import { placeText } from '@/words/lightText';
import { pickAnyFile } from '../files/pickFile';
import styles from './place.module.css';
import { placeInFile, POSITION_FILES } from './placeInFile';
import { loadPlaces, usePlaces, zoneAt } from './usePlaces';
import { useUsedPlaces } from './useUsedPlaces';
import { whyText } from '@/words/whyText';

/**
 * Takes a place by a name out of the gazetteer that ships with the app, by coordinates as anybody writes them, out of a
 * track or a photograph, or one of those the person used before.
 */
export function PlaceField({
  value,
  label = messages.placeByNameOrCoordinates,
  onChoose,
}: {
  /** `null`: none yet. */
  value: { place: LatLon; name: string | null; country: string | null } | null;
  label?: string;
  onChoose: (place: ChosenPlace) => void;
}): ReactNode {
  const id = useId();
  const places = usePlaces();
  const used = useUsedPlaces();
  const [typed, setTyped] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const found = useMemo<readonly (NamedPlace | ChosenPlace)[]>(
    () => (typed === null || typed.trim() === '' ? used : (places?.find(typed) ?? [])),
    [places, used, typed],
  );
  const shown = value ? (value.name ?? placeText(value.place)) : '';
  const go = async (place: LatLon, name: string | null, country: string | null): Promise<void> => {
    setTyped(null);
    setFault(null);
    onChoose(await chosen(place, name, country));
  };
  const commit = (): void => {
    const text = typed?.trim() ?? '';
    if (text === '') {
      setTyped(null);
      return;
    }
    const coordinates = readCoordinates(text);
    if (coordinates.ok) return void go(coordinates, null, null);
    const first = found[0];
    if (first && !/\d/.test(text)) return void go(first, first.name, first.country);
    setFault(/\d/.test(text) ? `"${text}": ${coordinates.why}.` : messages.noPlaceCalledInThe({ text }));
  };
  const fromFile = (file: File): void => {
    placeInFile(file)
      .then((place) => {
        if (place) return go(place, null, null);
        setFault(messages.noPlaceInTheFile({ name: file.name }));
        return undefined;
      })
      .catch((error: unknown) => setFault(whyText(error)));
  };
  return (
    <div className={styles.place}>
      <label htmlFor={id}>{label}</label>
      <div className={styles.row}>
        <AutoComplete
          id={id}
          value={typed ?? shown}
          placeholder={messages.nameOrCoordinates}
          options={found.map((place, at) => ({
            value: String(at),
            label: [place.name, place.country, placeText(place)].filter(Boolean).join(', '),
          }))}
          popupMatchSelectWidth={false}
          onFocus={(event) => (event.target as HTMLInputElement).select()}
          onChange={(text: string) => {
            setTyped(text);
            setFault(null);
          }}
          onSelect={(at: string) => {
            const place = found[Number(at)];
            if (place) void go(place, place.name, place.country);
          }}
          onInputKeyDown={(event) => {
            if (event.key === 'Enter' && readCoordinates(typed ?? '').ok) commit();
          }}
          onBlur={commit}
          {...(fault ? { status: 'error' as const } : {})}
        />
        <Button onClick={() => pickAnyFile(POSITION_FILES, fromFile)}>{messages.fromATrackOrPhoto}</Button>
      </div>
      {fault && (
        <p role="alert" className={styles.fault}>
          {shown === '' ? fault : messages.thePlaceStays({ fault, place: shown })}
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
        {value
          ? messages.whereAndNames({
              where: placeText(value.place),
              country: value.country ? `, ${value.country}` : '',
            })
          : messages.names}
      </p>
    </div>
  );
}

/** A place with its clock; its country by the nearest town, where nobody says. */
async function chosen(place: LatLon, name: string | null, country: string | null): Promise<ChosenPlace> {
  const zone = await zoneAt(place);
  const near = country ?? (await nearestCountry(place));
  return { lat: place.lat, lon: place.lon, name, country: near, zone };
}

async function nearestCountry(place: LatLon): Promise<string | null> {
  return loadPlaces().then(
    (places) => places.nearest(place)?.country ?? null,
    () => null,
  );
}
