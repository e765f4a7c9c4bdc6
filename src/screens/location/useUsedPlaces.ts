import { useMemo } from 'react';
import { placeOfOuting, zoneOf } from '@/formats/placed';
import type { ChosenPlace } from '@/formats/placed';
import { useOutings } from '../data/outings';
import { useShots } from '../data/repository';

/** Places offered before anything is typed. */
const MOST_OFFERED = 8;

/** Where the person's own outings and shots are, the last changed first; those of the demo are nobody's. */
export function useUsedPlaces(): readonly ChosenPlace[] {
  const outings = useOutings();
  const shots = useShots();
  return useMemo(() => {
    const places = new Map<string, ChosenPlace>();
    const put = (place: ChosenPlace | null): void => {
      if (!place) return;
      const key = `${place.lat.toFixed(2)} ${place.lon.toFixed(2)}`;
      if (!places.has(key)) places.set(key, place);
    };
    for (const outing of outings ?? []) if (!outing.demo) put(placeOfOuting(outing));
    for (const { demo, shot } of shots ?? [])
      if (!demo && shot.light?.kind === 'sun') {
        const { light } = shot;
        put({
          lat: light.lat,
          lon: light.lon,
          name: light.place ?? null,
          country: light.country ?? null,
          zone: zoneOf(light),
        });
      }
    return [...places.values()].slice(0, MOST_OFFERED);
  }, [outings, shots]);
}
