import type { Activity } from '../vocabulary/activities';
import type { MountKind } from '../vocabulary/mounts';
import { ACTIVITY_HABITS } from '../vocabulary/activities';
import { MOUNTS } from '../vocabulary/mounts';
import type { Caution } from '../vocabulary/cautions';

/** What to mind with this mount in this activity. */
export function cautionsFor(mount: MountKind, activity: Activity): Caution[] {
  return [...new Set([...MOUNTS[mount].cautions, ...ACTIVITY_HABITS[activity].cautions])];
}

/** Nobody is burnt through what is worn below this, °C (start). */
const COLD_BELOW_C = 5;

/** Whether a caution has its reason in such air, °C. */
export function isDueIn(caution: Caution, { highC }: { highC: number }): boolean {
  return caution !== 'hotOnSkin' || highC >= COLD_BELOW_C;
}
