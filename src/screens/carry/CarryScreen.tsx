'use client';

import dynamic from 'next/dynamic';
import { useSearchParams } from 'next/navigation';
import type { ReactNode } from 'react';
import { useStands } from '../data/inDay';
import { openDayOf, useOutings } from '../data/outings';
import { useShots } from '../data/repository';
import { useOutingAddress } from '../routes';
import { useShotId } from '../routes';
import { ShotCards } from './ShotCard';

const DayCards = dynamic(() => import('./day/DayCards').then((module) => module.DayCards), { ssr: false });
const Codes = dynamic(() => import('./day/Codes').then((module) => module.Codes), { ssr: false });
const PocketCards = dynamic(() => import('./day/PocketCards').then((module) => module.PocketCards), {
  ssr: false,
});

/** Carry: a whole day as cards, its codes, its cards on paper; or the card of the shot that the address names. */
export function CarryScreen(): ReactNode {
  const outings = useOutings();
  const shotId = useShotId();
  const { outingId, dayId } = useOutingAddress();
  const query = useSearchParams();
  const shots = useShots();
  if (!outings || !shots) return null;
  if (shotId !== null && outingId === null) return <OneShot shotId={shotId} />;
  const open = openDayOf(outings, outingId, dayId);
  if (!open) return <ShotCards />;
  const all = { ...open, shots };
  const key = `${open.outing.id} ${open.day.id}`;
  const codes = query.get('codes');
  if (codes !== null) return <Codes key={key} {...all} cameraId={codes} />;
  if (query.get('paper') !== null) return <PocketCards key={key} {...all} />;
  return <DayCards key={key} {...all} />;
}

/** A shot that stands in a plan has one card: that of its day. */
function OneShot({ shotId }: { shotId: string }): ReactNode {
  const stands = useStands(shotId);
  if (stands === undefined) return null;
  if (stands === null) return <ShotCards />;
  const { standing, open } = stands;
  return <DayCards key={`${open.outing.id} ${open.day.id}`} {...open} first={standing.entry.id} />;
}
