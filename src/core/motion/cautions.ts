import type { Activity, MountKind } from '../vocabulary/words';
import { MOUNTS } from '../vocabulary/mounts';
import type { Caution } from '../vocabulary/mounts';

const BY_ACTIVITY: Partial<Record<Activity, readonly Caution[]>> = {
  driving: ['neverOperateDriving'],
  paddling: ['waterSeals'],
  surfing: ['waterSeals'],
  climbing: ['ropeFree'],
  skating: ['jumpImpacts'],
  playing: ['othersFilmed'],
};

/** What to mind with this mount in this activity. */
export function cautionsFor(mount: MountKind, activity: Activity): Caution[] {
  return [...new Set([...MOUNTS[mount].cautions, ...(BY_ACTIVITY[activity] ?? [])])];
}
