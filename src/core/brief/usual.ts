import { USUAL_CARD_GB } from '../camera/card';
import type { Filter } from '../filters/filterSchema';
import type { Activity } from '../vocabulary/activities';
import type { Grade } from '../vocabulary/modes';
import type { Ground, MountKind } from '../vocabulary/mounts';
import type { SchoolId } from '../vocabulary/schools';
import type { Screen } from '../vocabulary/screens';

/** What a shot is taken to be where it says nothing. All starting choices; what follows from others stands in `brief.ts`. */
export const USUAL: Usual = {
  timelineFps: 25,
  slowdown: 1,
  deliver: { width: 1920, height: 1080 },
  screen: 'laptop',
  school: 'weigh',
  grade: 'light',
  archetype: 'main',
  mount: 'helmet',
  ground: 'mixed',
  activity: 'riding',
  subject: { speedMps: 3, distanceM: 4, sizeM: 1.8, sideM: 0 },
  isoCeiling: 800,
  nightIsoCeiling: 6400,
  mainsHz: 50,
  screenHz: 60,
  recordSeconds: 1200,
  cardGb: USUAL_CARD_GB,
  windMps: 3,
};

type SubjectMoves = Usual['subject'];

/** Somebody at arm's length who goes where the camera goes: head and shoulders (start). */
export const TALKING: Readonly<SubjectMoves> = { speedMps: 0, distanceM: 0.7, sizeM: 0.5, sideM: 0 };

/** Nobody talks to a camera from further away than two arms, metres. */
const TALKS_WITHIN_M = 1.5;

/** Whether a subject is a person who talks to the camera: near, and not passing. */
export function talksToCamera(subject: Pick<SubjectMoves, 'speedMps' | 'distanceM'> | null): boolean {
  return subject !== null && subject.speedMps === 0 && subject.distanceM <= TALKS_WITHIN_M;
}

interface Usual {
  timelineFps: number;
  slowdown: number;
  deliver: { width: number; height: number };
  screen: Screen;
  school: SchoolId;
  grade: Grade;
  archetype: 'main';
  mount: MountKind;
  ground: Ground;
  activity: Activity;
  subject: { speedMps: number; distanceM: number; sizeM: number; sideM: number };
  isoCeiling: number;
  /** Of time-lapses into the night. */
  nightIsoCeiling: number;
  mainsHz: 50 | 60;
  screenHz: number;
  recordSeconds: number;
  cardGb: number;
  windMps: number;
}

/** The common set of neutral filters, assumed when the shot lists no kit. */
export const USUAL_FILTERS: readonly Filter[] = [
  { id: 'nd4', kind: 'nd', stops: 2 },
  { id: 'nd8', kind: 'nd', stops: 3 },
  { id: 'nd16', kind: 'nd', stops: 4 },
  { id: 'nd32', kind: 'nd', stops: 5 },
  { id: 'nd64', kind: 'nd', stops: 6 },
];
