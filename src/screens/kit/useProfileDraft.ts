'use client';

import { useState } from 'react';
import { CameraProfileSchema } from '@/core/camera/profile';
import type { CameraProfile } from '@/core/camera/profile';
import { checkAgainst } from '@/core/schema/faults';
import type { Fault } from '@/core/schema/fault';
import type { KitItem } from '@/core/records/kitItem';
import { useRepository } from '../data/repository';

export type EditProfile = (label: string, change: (profile: CameraProfile) => CameraProfile) => void;

export interface ProfileDraft {
  /** As it stands on the screen: kept, unless there are faults. */
  draft: CameraProfile;
  /** Why the draft is not kept. */
  faults: Fault[];
  edit: EditProfile;
  /** Takes a whole valid camera over, such as one from a file; settles when it is written. */
  take: (label: string, profile: CameraProfile) => Promise<void>;
  /** Lets go of a draft with faults. */
  revert: () => void;
}

/** Editing a camera: what is valid is kept at once, as one step of undo; what is not yet stays here, with its faults. */
export function useProfileDraft(item: KitItem, kept: CameraProfile): ProfileDraft {
  const repository = useRepository();
  const [broken, setBroken] = useState<{
    of: CameraProfile;
    draft: CameraProfile;
    /** What makes the draft of what is kept. */
    change: (profile: CameraProfile) => CameraProfile;
    faults: Fault[];
  } | null>(null);
  // A change from elsewhere (undo, another window) makes a draft stale.
  const current = broken !== null && broken.of === kept ? broken : null;
  const draft = current?.draft ?? kept;
  /** From the camera as it is kept by then: a change made meanwhile stays. */
  const keep = (label: string, change: (profile: CameraProfile) => CameraProfile): Promise<void> =>
    repository?.changeKit(item.id, label, (one) =>
      one.thing.what === 'camera'
        ? { ...one, thing: { what: 'camera', profile: change(one.thing.profile) } }
        : one,
    ) ?? Promise.resolve();
  return {
    draft,
    take: (label, next) => {
      setBroken(null);
      return keep(label, () => next);
    },
    faults: current?.faults ?? [],
    revert: () => setBroken(null),
    edit: (label, change) => {
      const whole = (profile: CameraProfile): CameraProfile =>
        change(current ? current.change(profile) : profile);
      const next = change(draft);
      const checked = checkAgainst(CameraProfileSchema, next);
      if (!checked.ok) {
        setBroken({ of: kept, draft: next, change: whole, faults: checked.faults });
        return;
      }
      setBroken(null);
      void keep(label, whole);
    },
  };
}
