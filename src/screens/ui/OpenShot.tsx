'use client';

import * as messages from '@/language/ui';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import type { ReactNode } from 'react';
import type { ShotRecord } from '@/core/records/shotRecord';
import { Empty } from './Empty';
import { useShotRecord, useShots } from '../data/repository';
import { placeUrl, useShotId } from '../routes';
import type { PlacePath } from '../routes';

/** A place for one shot: the one the address names, or the last changed; and what to say when there is none. */
export function OpenShot({
  place,
  children,
}: {
  place: PlacePath;
  children: (record: ShotRecord, shots: readonly ShotRecord[]) => ReactNode;
}): ReactNode {
  const id = useShotId();
  const router = useRouter();
  const shots = useShots();
  const record = useShotRecord(id);
  const first = shots?.[0]?.id;
  useEffect(() => {
    if (id === null && first !== undefined) router.replace(placeUrl(place, first));
  }, [id, first, place, router]);
  if (record === undefined || (id === null && first !== undefined)) return null;
  if (record === null)
    return (
      <Empty
        title={id === null ? messages.noShotYet : messages.noSuchShotHere}
        text={id === null ? messages.describeAShotFirstIt : messages.itMayHaveBeenRemoved}
      >
        <Link href="/?new=1">{messages.describeANewShot}</Link>
      </Empty>
    );
  return children(record, shots ?? []);
}
