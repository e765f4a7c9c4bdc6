import { habitsOf } from '../vocabulary/mounts';
import { usualShakeDegPerSRms } from '../motion/shake';
import { paceOf } from '../motion/motionMap';
import { briefOf } from '../brief/brief';
import type { Shot } from '../records/shot';
import { omit } from '../units/omit';
import { ACTIVITY_HABITS, ROLES } from '../vocabulary/activities';
import type { AnglePlace, Role } from '../vocabulary/activities';
import { movementOf, subjectPace } from '../loss/movement';
import { solve } from '../answer/solve';
import type { Solution } from '../answer/solve';

/**
 * A few angles on one action that cut together: a wide one that rides along, a near one for speed, a reverse one that
 * shows the person, and one of the surroundings. Movement close to things reads as speed; the same movement high up
 * does not: the figures say how much.
 */
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
const FEELS_FAST_PCT_PER_S = 90;
const FAR_M = 6;

/** The angles on a shot's action, each solved under what lets it cut to this answer; those without an answer are left out. */
export function coverageOf(shot: Shot, main: Solution): Suggestion[] {
  const { brief } = main.space;
  const places = ACTIVITY_HABITS[brief.mount.activity].angles;
  return ROLES.flatMap((role): Suggestion[] => {
    const made = shotFor(shot, main, places[role]);
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
function shotFor(shot: Shot, { settings, space }: Solution, place: AnglePlace): Shot {
  const { brief } = space;
  const { ground, activity } = brief.mount;
  const habits = habitsOf(place.kind, place.place);
  const travelMps = habits.stands ? 0 : brief.motion.travelMps;
  const speed =
    place.subject?.speedMps === 'travel' ? Math.max(0.5, brief.motion.travelMps) : place.subject?.speedMps;
  const bare = omit(omit(omit(omit(shot, 'secondAngles'), 'pair'), 'timeLapse'), 'loop');
  return {
    ...bare,
    mount: {
      kind: place.kind,
      ...(place.place === undefined ? {} : { place: place.place }),
      ground,
      activity,
      ...(place.pitchDeg === undefined ? {} : { pitchDeg: place.pitchDeg }),
    },
    motion: {
      travelMps,
      nearestM: place.nearestM ?? habits.nearestM,
      shakeDegPerSRms: usualShakeDegPerSRms(place.kind, ground, activity, {
        place: place.place,
        travelMps,
      }),
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
