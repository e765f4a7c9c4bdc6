import { isSteadier } from '../brief/otherMount';
import type { DayPart } from '../day/schedule';
import { MOUNTS } from '../vocabulary/mounts';
import type { MountKind } from '../vocabulary/mounts';

/** A recording is made from another mount. */
export interface MountChange {
  what: 'mount';
  mount: MountKind;
}

/** Mounts that carry some camera more quietly than its own, and that no part is filmed from. */
export function steadierMounts(parts: readonly DayPart[]): MountChange[] {
  const used = new Set(parts.map(({ brief }) => brief.mount.kind));
  const steadier = parts.flatMap(({ brief }) =>
    MOUNTS[brief.mount.kind].others.filter((one) => isSteadier(brief, one)),
  );
  return [...new Set(steadier)]
    .filter((mount) => !used.has(mount))
    .map((mount): MountChange => ({ what: 'mount', mount }));
}
