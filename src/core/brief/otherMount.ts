import { usualShakeDegPerSRms } from '../motion/shake';
import type { Shot } from '../records/shot';
import { omit } from '../units/omit';
import { habitsOf, MOUNTS, placesOf } from '../vocabulary/mounts';
import type { MountKind } from '../vocabulary/mounts';
import type { Brief } from './brief';

/** Whether a mount carries the camera more quietly than its own; where what it films from allows it at all. */
export function isSteadier({ mount, motion }: Brief, other: MountKind): boolean {
  const { kind, ground, activity } = mount;
  if (!MOUNTS[kind].others.includes(other)) return false;
  const { shakeDegPerSRms, travelMps } = motion;
  return usualShakeDegPerSRms(other, ground, activity, { travelMps }) < shakeDegPerSRms;
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

/** The shot whose brief is then that: what was told of the old mount goes. */
export function shotOnMount(shot: Shot, kind: MountKind): Shot {
  return {
    ...shot,
    mount: { ...omit(omit(shot.mount ?? {}, 'place'), 'pitchDeg'), kind },
    motion: omit(omit(omit(shot.motion ?? {}, 'shakeDegPerSRms'), 'nearestM'), 'panDegPerS'),
  };
}
