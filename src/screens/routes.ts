'use client';

import * as messages from '@/language/shell';
import type { ReasonPage } from '@/core/vocabulary/reasonPages';
import { partCount } from '@/core/records/secondAngles';
import type { Shot } from '@/core/records/shot';
import { wantedKey } from '@/formats/handover/wanted';
import type { WantedRecords } from '@/formats/handover/wanted';
import { usePathname, useSearchParams } from 'next/navigation';

/** The places built so far, and where a shot is open in one of them: ids stay in the query. */
export const PLACES = [
  { path: '/', label: messages.start },
  { path: '/bench', label: messages.bench },
  { path: '/outing', label: messages.outing },
  { path: '/rehearsal', label: messages.rehearsal },
  { path: '/carry', label: messages.carry },
  { path: '/debrief', label: messages.debrief },
  { path: '/log', label: messages.log },
  { path: '/kit', label: messages.kit },
  { path: '/practice', label: messages.practice },
  { path: '/reasons', label: messages.reasons },
] as const;

export type PlacePath = (typeof PLACES)[number]['path'];

/** Places by the digit that leads to them: the tenth is nought, and what comes after it has none. */
export const PLACES_BY_KEY: ReadonlyMap<string, (typeof PLACES)[number]> = new Map(
  PLACES.slice(0, 10).map((place, index) => [String((index + 1) % 10), place]),
);

/** Where a shot is open: elsewhere its id would say nothing. */
const OF_A_SHOT: readonly PlacePath[] = ['/bench', '/carry', '/log', '/reasons'];

/** `part` names a second camera of the shot or the second half of a pair; 0 is the main one. */
export function placeUrl(path: PlacePath, shotId: string | null, part = 0): string {
  if (shotId === null || !OF_A_SHOT.includes(path)) return path;
  return `${path}?shot=${encodeURIComponent(shotId)}${part > 0 ? `&angle=${part}` : ''}`;
}

/** The camera of the shot that the address names. */
export function usePart(shot: Shot): number {
  const given = Number(useSearchParams().get('angle') ?? 0);
  return Number.isInteger(given) && given > 0 && given < partCount(shot) ? given : 0;
}

/** The shot that the address names. */
export function useShotId(): string | null {
  return useSearchParams().get('shot');
}

/** `null` in a place that is reached from others only. */
export function usePlace(): PlacePath | null {
  const path = usePathname();
  return PLACES.find((place) => place.path === path)?.path ?? null;
}

/** Ids stay in the query, as everywhere. */
export function outingUrl(
  path: '/outing' | '/rehearsal' | '/carry' | '/camera' | '/bench' | '/debrief',
  outingId: string,
  dayId: string | null,
  more: Readonly<Record<string, string>> = {},
): string {
  const query = new URLSearchParams({ ...more, outing: outingId, ...(dayId === null ? {} : { day: dayId }) });
  return `${path}?${query.toString()}`;
}

/** A page of Reasons with the numbers of a shot; `back`: where it was asked for. */
export function reasonsUrl(page: ReasonPage, shotId: string | null, back: string | null): string {
  const query = new URLSearchParams({
    page,
    ...(shotId === null ? {} : { shot: shotId }),
    ...(back === null ? {} : { back }),
  });
  return `/reasons?${query.toString()}`;
}

/** Where something is handed over to another device. */
export function handoverUrl(wanted: WantedRecords): string {
  return `/handover?what=${encodeURIComponent(wantedKey(wanted))}`;
}

/** Where a shot or a mount of the kit is measured. */
export function instrumentUrl(of: { shotId: string } | { kitId: string }): string {
  return 'shotId' in of
    ? `/instrument?shot=${encodeURIComponent(of.shotId)}`
    : `/instrument?item=${encodeURIComponent(of.kitId)}`;
}

/** Changes what the address says of the open place without asking the server for anything: it works with no network. */
export function readdress(url: string): void {
  window.history.replaceState(null, '', url);
}

export function useOutingAddress(): { outingId: string | null; dayId: string | null } {
  const query = useSearchParams();
  return { outingId: query.get('outing'), dayId: query.get('day') };
}
