'use client';

import * as messages from '@/language/location';
import { useEffect, useState } from 'react';
import type { LatLon } from '@/core/light/sun/position';
import { GazetteerSchema, gazetteerOf } from '@/formats/gazetteer';
import type { Gazetteer } from '@/formats/gazetteer';
import { WordedError } from '@/words/whyText';

let loading: Promise<Gazetteer> | null = null;

/** The places that ship with the app, fetched from it when first asked for; a failed try may be tried again. */
export function loadPlaces(): Promise<Gazetteer> {
  loading ??= fetch('/gazetteer.json')
    .then((response) => {
      if (!response.ok) throw new WordedError(messages.theListOfPlacesAnswered({ status: response.status }));
      return response.json();
    })
    .then((file: unknown) => gazetteerOf(GazetteerSchema.parse(file)))
    .catch((error: unknown) => {
      loading = null;
      throw error;
    });
  return loading;
}

export function usePlaces(): Gazetteer | null {
  const [places, setPlaces] = useState<Gazetteer | null>(null);
  useEffect(() => {
    let gone = false;
    loadPlaces().then(
      (loaded) => {
        if (!gone) setPlaces(loaded);
      },
      () => undefined,
    );
    return () => {
      gone = true;
    };
  }, []);
  return places;
}

/** The time zone of a place on land or at sea, without asking anybody. */
export async function zoneAt({ lat, lon }: LatLon): Promise<string> {
  const { default: lookUp } = await import('@photostructure/tz-lookup');
  try {
    return lookUp(lat, lon);
  } catch {
    return 'UTC';
  }
}
