'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import type { CameraProfile } from '@/core/camera/profile';
import type { Filter } from '@/core/filters/kit';
import type { KitItem, Thing } from '@/core/records/kitItem';
import { ownKitOf } from '@/core/records/ownKit';
import type { OwnKit } from '@/core/records/ownKit';
import { useRepository } from './repository';

/** Everything in the kit, put away or not, in the order in which it was kept; undefined while it loads. */
export function useKit(): KitItem[] | undefined {
  const repository = useRepository();
  return useLiveQuery(
    async () => (repository ? (await repository.queries.all('kit')).sort(byKeeping) : undefined),
    [repository],
  );
}

function byKeeping(a: KitItem, b: KitItem): number {
  return a.createdAt === b.createdAt
    ? b.updatedAt.localeCompare(a.updatedAt)
    : a.createdAt.localeCompare(b.createdAt);
}

/** What new shots of the person start with; `null` where they own no camera, or it is not loaded yet. */
export function useOwnKit(): OwnKit | null {
  const kit = useKit();
  return useMemo(() => ownKitOf(kit ?? []), [kit]);
}

export interface OwnThings {
  cameras: CameraProfile[];
  filters: Filter[];
  mounts: ({ id: string } & Extract<Thing, { what: 'mount' }>)[];
}

/** What of the kit a shot can take: things not put away. */
export function useOwnThings(): OwnThings {
  const kit = useKit();
  return useMemo(() => {
    const own: OwnThings = { cameras: [], filters: [], mounts: [] };
    for (const { id, thing, archived } of kit ?? []) {
      if (archived) continue;
      if (thing.what === 'camera') own.cameras.push(thing.profile);
      if (thing.what === 'filter') own.filters.push(thing.filter);
      if (thing.what === 'mount') own.mounts.push({ id, ...thing });
    }
    return own;
  }, [kit]);
}
