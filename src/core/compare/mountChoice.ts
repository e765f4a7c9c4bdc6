import type { Caution } from '../vocabulary/cautions';
import type { MountKind } from '../vocabulary/mounts';
import { cautionsFor } from '../motion/cautions';
import type { MountHabits } from '../vocabulary/mounts';
import { habitsOf } from '../vocabulary/mounts';
import { briefOnMount } from '../brief/otherMount';
import type { Settings } from '../records/settings';
import { framedView } from './framed';
import type { FramedView } from './framed';
import { judgedBy } from '../search/judged';
import { settingsOf } from '../search/settingsOf';
import type { Space } from '../search/space';

/** One mount for this shot: solved whole, with what it puts in the way and what its shake costs. */
export interface MountChoice {
  kind: MountKind;
  habits: MountHabits;
  shakeDegPerSRms: number;
  /** Stops of shutter that its shake floor gives (positive) or costs against the mount of the brief. */
  shutterStops: number;
  settings: Settings;
  score: number;
  framed: FramedView;
  cautions: Caution[];
}

export function mountChoice(space: Space, kind: MountKind): MountChoice | null {
  const brief = briefOnMount(space.brief, kind);
  const judged = judgedBy(space, brief, brief.look.school);
  if (!judged) return null;
  const { shakeDegPerSRms } = brief.motion;
  return {
    kind,
    habits: habitsOf(kind, brief.mount.place),
    shakeDegPerSRms,
    shutterStops: Math.log2(
      Math.max(0.01, space.brief.motion.shakeDegPerSRms) / Math.max(0.01, shakeDegPerSRms),
    ),
    settings: settingsOf(judged.space, judged.candidate),
    score: judged.score,
    framed: framedView(judged.space, judged.candidate.mode),
    cautions: cautionsFor(kind, brief.mount.activity),
  };
}
