import { ACTIVITY_HABITS } from '../vocabulary/activities';
import type { Activity, Scenery } from '../vocabulary/activities';
import type { MountKind } from '../vocabulary/mounts';
import type { TextureId } from './textures';

/**
 * Made-up places, as flat surfaces along the axes. World frame: x right, y down, z along the line of travel, metres; the
 * camera rides along z at the height zero. Colours are linear, a grey card being 0.18.
 */

export type Rgb = readonly [red: number, green: number, blue: number];

export interface Surface {
  /** The axis it stands square to, and where along it. A surface square to z rides with the camera. */
  axis: 'x' | 'y' | 'z';
  at: number;
  /** Its reach along the other axes; left out, without end. Only along y for x and z, along x for z and y. */
  from?: number;
  to?: number;
  acrossFrom?: number;
  acrossTo?: number;
  texture: TextureId;
  /** Metres that one tile covers, along u and along v. */
  tileM: readonly [u: number, v: number];
  colour: Rgb;
}

export interface Scene {
  kind: Scenery | 'test';
  surfaces: readonly Surface[];
  /** Overhead and at the horizon; equal indoors, where nothing is open. */
  sky: { above: Rgb; horizon: Rgb };
}

/** The scene that fits a shot: lamp light is indoors, and each activity has its ground. */
export function sceneFor(activity: Activity, mount: MountKind, lamplit: boolean): Scenery {
  const { day, lamplit: indoors, onTripod } = ACTIVITY_HABITS[activity].scenery;
  if (lamplit) return indoors;
  return mount === 'tripod' ? onTripod : day;
}

/** Sky over a grey card in open light: about two stops brighter. */
const DAY: Scene['sky'] = { above: [0.42, 0.52, 0.72], horizon: [0.72, 0.76, 0.8] };
const INDOORS: Scene['sky'] = { above: [0.02, 0.018, 0.014], horizon: [0.02, 0.018, 0.014] };

/** `sideM`: the nearest things pass at this distance. `heightM`: camera above the ground. */
export function sceneOf(kind: Scenery, sideM: number, heightM: number): Scene {
  const ground = Math.max(0.15, heightM);
  const near = Math.max(0.3, sideM);
  switch (kind) {
    case 'gorge':
      return {
        kind,
        sky: DAY,
        surfaces: [
          { axis: 'y', at: ground, texture: 'water', tileM: [4, 5], colour: [0.26, 0.33, 0.34] },
          { ...wall(-near, -14, ground, 'rock', 3.5), colour: [0.24, 0.22, 0.19] },
          { ...wall(1.7 * near + 1, -18, ground, 'rock', 4.5), colour: [0.22, 0.21, 0.19] },
        ],
      };
    case 'trail':
      return {
        kind,
        sky: { above: [0.3, 0.38, 0.42], horizon: [0.55, 0.6, 0.5] },
        surfaces: [
          { axis: 'y', at: ground, texture: 'earth', tileM: [3, 3], colour: [0.2, 0.16, 0.11] },
          { ...wall(-near, -9, ground, 'trunks', 5), colour: [0.16, 0.13, 0.1] },
          { ...wall(1.2 * near + 0.4, -9, ground, 'trunks', 6), colour: [0.17, 0.14, 0.1] },
          { ...wall(-2.4 * near - 1, -9, ground, 'trunks', 5), colour: [0.14, 0.13, 0.1] },
          { ...wall(3 * near + 1, -9, ground, 'trunks', 7), colour: [0.14, 0.13, 0.1] },
          { ...wall(-6 * near - 4, -10, ground, 'leaves', 6), colour: [0.15, 0.2, 0.09] },
          { ...wall(7 * near + 4, -10, ground, 'leaves', 6), colour: [0.14, 0.19, 0.09] },
        ],
      };
    case 'lake':
      return {
        kind,
        // Winter haze over dark ice.
        sky: { above: [0.16, 0.21, 0.32], horizon: [0.44, 0.48, 0.52] },
        surfaces: [
          { axis: 'y', at: ground, texture: 'ice', tileM: [7, 7], colour: [0.3, 0.33, 0.36] },
          { ...wall(-near - 1.2, ground - 1, ground, 'trunks', 1.4), colour: [0.4, 0.34, 0.2] },
          { ...wall(3 * near + 4, ground - 1.2, ground, 'trunks', 1.8), colour: [0.4, 0.34, 0.2] },
          // The far shore: a wood under snow.
          {
            axis: 'z',
            at: 55,
            from: -7,
            to: ground,
            texture: 'leaves',
            tileM: [24, 12],
            colour: [0.05, 0.06, 0.055],
          },
        ],
      };
    case 'road':
      return {
        kind,
        sky: DAY,
        surfaces: [
          {
            axis: 'y',
            at: ground,
            from: -3.4,
            to: 3.4,
            texture: 'road',
            tileM: [6.8, 12],
            colour: [0.2, 0.2, 0.2],
          },
          { axis: 'y', at: ground + 0.02, texture: 'earth', tileM: [5, 5], colour: [0.2, 0.22, 0.1] },
          { ...wall(near + 2.2, ground - 1.1, ground, 'posts', 10), colour: [0.4, 0.4, 0.38] },
          { ...wall(-near, ground - 1, ground, 'posts', 8), colour: [0.4, 0.4, 0.38] },
          { ...wall(-9, ground - 2.6, ground, 'leaves', 5), colour: [0.14, 0.19, 0.09] },
          { ...wall(14, ground - 5, ground, 'leaves', 9), colour: [0.13, 0.18, 0.09] },
        ],
      };
    case 'rock':
      return {
        kind,
        sky: DAY,
        surfaces: [
          { ...wall(-near, -30, 40, 'rock', 2.4), colour: [0.28, 0.26, 0.23] },
          { axis: 'y', at: 40, texture: 'leaves', tileM: [60, 60], colour: [0.14, 0.18, 0.1] },
          { ...wall(90, -25, 40, 'rock', 60), colour: [0.3, 0.33, 0.38] },
        ],
      };
    case 'hall':
      return {
        kind,
        sky: INDOORS,
        surfaces: [
          { axis: 'y', at: ground, texture: 'planks', tileM: [6, 3], colour: [0.3, 0.22, 0.13] },
          { axis: 'y', at: -6, texture: 'planks', tileM: [9, 9], colour: [0.2, 0.2, 0.2] },
          { ...wall(-near, ground - 1.1, ground, 'planks', 3), colour: [0.34, 0.33, 0.3] },
          { ...wall(-near - 7, -6, ground, 'planks', 5), colour: [0.2, 0.22, 0.25] },
          { ...wall(near + 8, -6, ground, 'planks', 5), colour: [0.24, 0.22, 0.2] },
          { axis: 'z', at: 38, texture: 'planks', tileM: [6, 6], colour: [0.2, 0.19, 0.18] },
        ],
      };
    case 'hut':
      return {
        kind,
        sky: INDOORS,
        surfaces: [
          { axis: 'y', at: ground, texture: 'planks', tileM: [2.5, 2.5], colour: [0.2, 0.13, 0.07] },
          { axis: 'y', at: -1, texture: 'planks', tileM: [3, 3], colour: [0.22, 0.15, 0.08] },
          { ...wall(-1.6 - near, -1, ground, 'planks', 2), colour: [0.24, 0.16, 0.09] },
          { ...wall(1.4 + near, -1, ground, 'planks', 2), colour: [0.26, 0.17, 0.1] },
          { axis: 'z', at: 3.2, texture: 'planks', tileM: [2, 2], colour: [0.26, 0.18, 0.1] },
          // A lamp on the wall: the brightest thing in the room.
          {
            axis: 'z',
            at: 3.15,
            from: -0.75,
            to: -0.4,
            acrossFrom: 0.6,
            acrossTo: 0.9,
            texture: 'plain',
            tileM: [1, 1],
            colour: [2.4, 1.9, 1.1],
          },
        ],
      };
  }
}

function wall(
  at: number,
  from: number,
  to: number,
  texture: TextureId,
  tileM: number,
): Omit<Surface, 'colour'> {
  return { axis: 'x', at, from, to, texture, tileM: [tileM, tileM] };
}

/** A flat board ahead with one bright bar on it, and nothing else: what a measurement is made on. */
export function testScene(distanceM: number, tileM: number, bright: number): Scene {
  return {
    kind: 'test',
    sky: { above: [0, 0, 0], horizon: [0, 0, 0] },
    surfaces: [
      { axis: 'z', at: distanceM, texture: 'edge', tileM: [tileM, tileM], colour: [bright, bright, bright] },
    ],
  };
}

/** Grey all round, for exposure and noise. */
export function greyScene(): Scene {
  return { kind: 'test', sky: { above: [0.18, 0.18, 0.18], horizon: [0.18, 0.18, 0.18] }, surfaces: [] };
}
