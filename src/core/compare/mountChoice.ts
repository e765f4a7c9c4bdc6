import type { Caution } from '../vocabulary/cautions';
import type { MountKind } from '../vocabulary/mounts';
import { cautionsFor } from '../motion/cautions';
import type { MountHabits } from '../vocabulary/mounts';
import { habitsOf, placesOf } from '../vocabulary/mounts';
import { usualShakeDegPerSRms } from '../motion/shake';
import type { Brief } from '../brief/brief';
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

/** The brief on another mount: its shake, view and looking down; what the person measured belongs to the old one. */
export function briefOnMount(brief: Brief, kind: MountKind): Brief {
  if (kind === brief.mount.kind) return brief;
  const { ground, activity, tiltDeg, cutDeg } = brief.mount;
  const place = placesOf(kind)[0];
  const habits = habitsOf(kind, place);
  return {
    ...brief,
    mount: {
      kind,
      ...(place === undefined ? {} : { place }),
      ground,
      activity,
      tiltDeg,
      pitchDeg: habits.pitchDeg,
      glassDeg: habits.glassDeg,
      cutDeg,
    },
    motion: {
      ...brief.motion,
      nearestM: habits.nearestM,
      panDegPerS: habits.panDegPerS,
      shakeDegPerSRms: usualShakeDegPerSRms(kind, ground, activity, {
        place,
        travelMps: brief.motion.travelMps,
      }),
    },
  };
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
