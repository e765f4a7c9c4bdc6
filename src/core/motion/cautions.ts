import type { Activity } from '../vocabulary/activities';
import type { MountKind } from '../vocabulary/mounts';
import { ACTIVITY_HABITS } from '../vocabulary/activities';
import { MOUNTS } from '../vocabulary/mounts';
import type { Caution } from '../vocabulary/cautions';

/** What to mind with this mount in this activity. */
export function cautionsFor(mount: MountKind, activity: Activity): Caution[] {
  return [...new Set([...MOUNTS[mount].cautions, ...ACTIVITY_HABITS[activity].cautions])];
}
