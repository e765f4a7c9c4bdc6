import type { SchoolId } from '../vocabulary/schools';
import { briefOf } from '../brief/brief';
import type { Brief } from '../brief/brief';
import type { Pins } from '../records/settings';
import { ShotSchema } from '../records/shot';
import type { ShotInput } from '../records/shot';
import { FILE_VERSION } from '../schema/versions';

/** A made-up shot by name: everything but the school. */
export interface NamedShot {
  name: string;
  shot: Omit<ShotInput, 'kind' | 'version'>;
}

/** A made-up shot as a school films it, with pins if any. */
export function briefOfNamed({ shot }: NamedShot, school: SchoolId, pins: Pins = {}): Brief {
  const look = { ...shot.look, school };
  return briefOf(ShotSchema.parse({ kind: 'lynxeye/shot', version: FILE_VERSION, ...shot, look, pins }))
    .brief;
}

const nd = (...factors: number[]): NonNullable<ShotInput['filters']> =>
  factors.map((factor) => ({ id: `nd${factor}`, kind: 'nd', stops: Math.round(Math.log2(factor)) }));

/** Ten shots over the mounts, lights, bags and cameras on which the schools part. */
export const TEN_SHOTS: readonly NamedShot[] = [
  {
    name: 'Trail, rough, sun to light wood',
    shot: {
      mount: { kind: 'helmet', ground: 'rough', activity: 'riding' },
      light: { kind: 'scene', from: 'openSun', to: 'lightWood' },
      filters: nd(4, 8, 16, 32, 64),
    },
  },
  {
    name: 'Road, smooth, open sun, empty bag',
    shot: {
      mount: { kind: 'helmet', ground: 'smooth', activity: 'riding' },
      light: { kind: 'range', evMin: 14, evMax: 15.5 },
      filters: [],
    },
  },
  {
    name: 'Tripod at the weir, open sun',
    shot: {
      mount: { kind: 'tripod', activity: 'still' },
      light: { kind: 'range', evMin: 14, evMax: 14.5 },
      filters: nd(8, 64),
    },
  },
  {
    name: 'Tripod in the sun, empty bag',
    shot: {
      mount: { kind: 'tripod', activity: 'still' },
      light: { kind: 'range', evMin: 13, evMax: 15 },
      filters: [],
    },
  },
  {
    name: 'Gorge run by kayak, shade to white water',
    shot: {
      mount: { kind: 'hull', ground: 'rough', activity: 'paddling' },
      light: { kind: 'range', evMin: 10, evMax: 15 },
      filters: nd(8, 16, 32),
    },
  },
  {
    name: 'Dusk ride',
    shot: {
      mount: { kind: 'helmet', ground: 'rough', activity: 'riding' },
      light: { kind: 'range', evMin: 4, evMax: 7 },
      filters: nd(8),
      limits: { lamps: 'none' },
    },
  },
  {
    name: 'Climb, slowed four times, bright cloud',
    shot: {
      playback: { slowdown: 4 },
      mount: { kind: 'chest', activity: 'climbing' },
      light: { kind: 'scene', from: 'brightCloud' },
      filters: nd(4, 8),
    },
  },
  {
    name: 'Sports hall, 50 Hz',
    shot: {
      mount: { kind: 'chest', activity: 'playing' },
      light: { kind: 'scene', from: 'sportsHall' },
      filters: [],
      limits: { mainsHz: 50, isoCeiling: 1600 },
    },
  },
  {
    name: 'Drone, full grade, open sun',
    shot: {
      look: { grade: 'full' },
      mount: { kind: 'drone', activity: 'flying' },
      light: { kind: 'scene', from: 'openSun' },
      filters: nd(16, 32, 64, 128, 256, 512),
    },
  },
  {
    name: 'Run through the wood by phone camera',
    shot: {
      camera: { archetype: 'phone' },
      mount: { kind: 'hand', activity: 'running' },
      light: { kind: 'scene', from: 'lightWood', to: 'denseWood' },
      filters: nd(4),
    },
  },
];
