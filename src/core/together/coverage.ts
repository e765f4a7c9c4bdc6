import { habitsOf } from '../vocabulary/mounts';
import { usualShakeDegPerSRms } from '../motion/shake';
import { paceOf } from '../motion/motionMap';
import { briefOf } from '../brief/brief';
import type { Shot } from '../records/shot';
import { without } from '../units/without';
import type { Activity, MountKind } from '../vocabulary/words';
import { movementOf, subjectPace } from '../loss/movement';
import { solve } from '../answer/solve';
import type { Solution } from '../answer/solve';

/**
 * A few angles on one action that cut together: a wide one that rides along, a near one for speed, a reverse one that
 * shows the person, and one of the surroundings. Movement close to things reads as speed; the same movement high up
 * does not: the figures say how much.
 */
export const ROLES = ['wide', 'near', 'reverse', 'surroundings'] as const;
export type Role = (typeof ROLES)[number];

export interface Suggestion {
  role: Role;
  shot: Shot;
  solution: Solution;
  /** How fast the frame flows past, per cent of its width a second: half of it, and its fastest tenth. */
  typicalPctPerS: number;
  worstPctPerS: number;
  /** The subject in it, where there is one. */
  subjectPctPerS: number | null;
  /** The same from six metres further away. */
  farPctPerS: number;
  /** Passing things within this far feels fast; `null` where the camera stands. */
  fastWithinM: number | null;
}

/** A frame whose fastest tenth moves this much of its width a second feels fast (start). */
export const FEELS_FAST_PCT_PER_S = 90;
const FAR_M = 6;

interface Place {
  kind: MountKind;
  nearestM?: number;
  pitchDeg?: number;
  subject?: { speedMps: number | 'travel'; distanceM: number; sizeM: number };
}

const ME = { speedMps: 0.5, distanceM: 1.2, sizeM: 0.9 };
const passing = (distanceM: number): NonNullable<Place['subject']> => ({
  speedMps: 'travel',
  distanceM,
  sizeM: 2,
});

/** Where each role rides, by activity (start). */
const BY_ACTIVITY: Record<Activity, Record<Role, Place>> = {
  paddling: {
    wide: { kind: 'helmet' },
    near: { kind: 'hull', nearestM: 0.5 },
    reverse: { kind: 'hull', subject: ME },
    surroundings: { kind: 'tripod', subject: passing(9) },
  },
  surfing: {
    wide: { kind: 'bite' },
    near: { kind: 'board', nearestM: 0.4 },
    reverse: { kind: 'board', subject: ME },
    surroundings: { kind: 'tripod', subject: passing(25) },
  },
  riding: {
    wide: { kind: 'chest' },
    near: { kind: 'handlebar', nearestM: 0.6 },
    reverse: { kind: 'backPole', subject: { ...ME, distanceM: 1.6 } },
    surroundings: { kind: 'groundStand', nearestM: 0.6, subject: passing(2.5) },
  },
  running: {
    wide: { kind: 'helmet' },
    near: { kind: 'groundStand', nearestM: 0.5, subject: passing(1.2) },
    reverse: { kind: 'hand', subject: ME },
    surroundings: { kind: 'tripod', subject: passing(8) },
  },
  walking: {
    wide: { kind: 'chest' },
    near: { kind: 'groundStand', nearestM: 0.4, subject: passing(1) },
    reverse: { kind: 'hand', subject: ME },
    surroundings: { kind: 'tripod', subject: passing(10) },
  },
  climbing: {
    wide: { kind: 'helmet' },
    near: { kind: 'wrist', nearestM: 0.3 },
    reverse: { kind: 'backPole', subject: { ...ME, distanceM: 1.6 } },
    surroundings: { kind: 'tripod', subject: passing(12) },
  },
  skating: {
    wide: { kind: 'helmet' },
    near: { kind: 'wrist', nearestM: 0.5, pitchDeg: 20 },
    reverse: { kind: 'pole', subject: { ...ME, distanceM: 1.6 } },
    surroundings: { kind: 'groundStand', nearestM: 0.8, subject: passing(3) },
  },
  driving: {
    wide: { kind: 'vehicleInside' },
    near: { kind: 'vehicleOutside', nearestM: 0.7 },
    reverse: { kind: 'vehicleInside', subject: { ...ME, distanceM: 0.8 } },
    surroundings: { kind: 'groundStand', nearestM: 1, subject: passing(5) },
  },
  flying: {
    wide: { kind: 'helmet' },
    near: { kind: 'vehicleOutside', nearestM: 1 },
    reverse: { kind: 'pole', subject: { ...ME, distanceM: 1.8 } },
    surroundings: { kind: 'drone', subject: passing(20) },
  },
  playing: {
    wide: { kind: 'chest' },
    near: { kind: 'groundStand', nearestM: 0.6, subject: passing(1.5) },
    reverse: { kind: 'hand', subject: ME },
    surroundings: { kind: 'tripod', subject: passing(10) },
  },
  still: {
    wide: { kind: 'hand' },
    near: { kind: 'handle', nearestM: 0.5 },
    reverse: { kind: 'hand', subject: { ...ME, speedMps: 0.2, distanceM: 0.8 } },
    surroundings: { kind: 'tripod', subject: passing(8) },
  },
};

/** The angles on a shot's action, each solved under what lets it cut to this answer; those without an answer are left out. */
export function coverageOf(shot: Shot, main: Solution): Suggestion[] {
  const { brief } = main.space;
  const places = BY_ACTIVITY[brief.mount.activity];
  return ROLES.flatMap((role): Suggestion[] => {
    const made = shotFor(shot, main, role, places[role]);
    const its = briefOf(made).brief;
    const outcome = solve(its);
    if (!outcome.solved) return [];
    const { candidate } = outcome.solution;
    const { view } = candidate.mode;
    const movement = movementOf(its);
    const near = paceOf(view, movement);
    const far = paceOf(view, { ...movement, sideDistanceM: movement.sideDistanceM + FAR_M });
    const travelOnly = paceOf(view, { ...movement, turnDegPerS: 0 });
    const subject = its.motion.subject ? subjectPace(its, view) : null;
    return [
      {
        role,
        shot: made,
        solution: outcome.solution,
        typicalPctPerS: near.typicalPctPerS,
        worstPctPerS: near.worstPctPerS,
        subjectPctPerS: subject,
        farPctPerS: far.worstPctPerS,
        // Flow goes as one over the distance.
        fastWithinM:
          movement.travelMps > 0 && travelOnly.worstPctPerS > 0
            ? (movement.sideDistanceM * travelOnly.worstPctPerS) / FEELS_FAST_PCT_PER_S
            : null,
      },
    ];
  });
}

/** What must be equal to cut to the main answer is pinned; the camera, its filters, light and limits are its own. */
function shotFor(shot: Shot, { settings, space }: Solution, role: Role, place: Place): Shot {
  const { brief } = space;
  const { ground, activity } = brief.mount;
  const habits = habitsOf(place.kind);
  const travelMps = habits.stands ? 0 : brief.motion.travelMps;
  const speed =
    place.subject?.speedMps === 'travel' ? Math.max(0.5, brief.motion.travelMps) : place.subject?.speedMps;
  const bare = without(without(without(without(shot, 'secondAngles'), 'pair'), 'timeLapse'), 'loop');
  return {
    ...bare,
    name: `${shot.name ?? 'Untitled shot'}, ${role}`.slice(0, 120),
    mount: {
      kind: place.kind,
      ground,
      activity,
      ...(place.pitchDeg === undefined ? {} : { pitchDeg: place.pitchDeg }),
    },
    motion: {
      travelMps,
      nearestM: place.nearestM ?? habits.nearestM,
      shakeDegPerSRms: usualShakeDegPerSRms(place.kind, ground, activity),
      ...(place.subject && speed !== undefined
        ? { subject: { speedMps: speed, distanceM: place.subject.distanceM, sizeM: place.subject.sizeM } }
        : {}),
    },
    pins: {
      frameRate: settings.frameRate,
      colour: settings.colour,
      ...(settings.whiteBalance === 'auto' ? {} : { whiteBalance: settings.whiteBalance }),
    },
  };
}
