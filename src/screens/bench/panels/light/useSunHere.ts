import { useMemo } from 'react';
import type { Shot } from '@/core/records/shot';
import { lightBySun, placeOfOuting } from '@/formats/placed';
import { placeText } from '@/words/lightText';
import { useInDay } from '../../../data/inDay';

/** Telling a shot's light by the sun where its outing is, at its hour; `null` where no place is known. */
export function useSunHere(): { name: string; tell: (shot: Shot) => Shot } | null {
  const inDay = useInDay();
  const outing = inDay?.standing.outing;
  const [first] = inDay?.worked.day.partsOf(inDay.standing.entry.id) ?? [];
  const fromMs = first?.fromMs;
  const toMs = first?.toMs;
  return useMemo(() => {
    const place = outing && placeOfOuting(outing);
    if (!place || fromMs === undefined || toMs === undefined) return null;
    return {
      name: place.name ?? placeText(place),
      tell: (shot) => lightBySun(shot, place, { fromMs, toMs }),
    };
  }, [outing, fromMs, toMs]);
}
