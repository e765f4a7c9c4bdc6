import { project } from '../optics/projection';
import type { Direction, Lens, FramePoint } from '../optics/projection';
import type { InTheWay } from '../vocabulary/mounts';

/**
 * What a mount puts in the picture. A thing in the way is fixed to the camera, so it covers the same part of every
 * frame: the band of its thickness, seen square on from the lens.
 */

/** Points along a thing at which its two edges are taken. */
const STEPS = 16;
/** Cells across the frame in which covering is counted: a share is good to about a hundredth. */
const ACROSS = 64;

/** The two edges of a thing, as directions from the lens, from its beginning to its end. */
export function edgesOf({ from, to, thickM }: InTheWay): { left: Direction; right: Direction }[] {
  const [ax, ay, az] = [to[0] - from[0], to[1] - from[1], to[2] - from[2]];
  return Array.from({ length: STEPS + 1 }, (_, step) => {
    const t = step / STEPS;
    const [x, y, z] = [from[0] + t * ax, from[1] + t * ay, from[2] + t * az];
    // Across the thing and across the line of sight.
    const [cx, cy, cz] = [ay * z - az * y, az * x - ax * z, ax * y - ay * x];
    const half = thickM / 2 / (Math.hypot(cx, cy, cz) || 1);
    return {
      left: { x: x + half * cx, y: y + half * cy, z: z + half * cz },
      right: { x: x - half * cx, y: y - half * cy, z: z - half * cz },
    };
  });
}

/** Share of a W:H frame, 0…1, that things in the way cover. */
export function blockedShare(lens: Lens, width: number, height: number, things: readonly InTheWay[]): number {
  const bands = things.flatMap((thing) => quadsOf(lens, thing));
  if (bands.length === 0) return 0;
  const down = Math.max(1, Math.round((ACROSS * height) / width));
  let blocked = 0;
  for (let row = 0; row < down; row++)
    for (let column = 0; column < ACROSS; column++) {
      const x = (2 * (column + 0.5)) / ACROSS - 1;
      const y = ((2 * (row + 0.5)) / down - 1) * (height / width);
      if (bands.some((quad) => inside(quad, x, y))) blocked++;
    }
  return blocked / (down * ACROSS);
}

/** The band cut into quadrilaterals in the frame; parts that no ray reaches are left out. */
function quadsOf(lens: Lens, thing: InTheWay): FramePoint[][] {
  const edges = edgesOf(thing).map(({ left, right }) => [project(lens, left), project(lens, right)] as const);
  return edges.slice(1).flatMap(([nextLeft, nextRight], index) => {
    const [left, right] = edges[index] ?? [null, null];
    return left && right && nextLeft && nextRight ? [[left, right, nextRight, nextLeft]] : [];
  });
}

/** Even-odd rule. */
function inside(corners: readonly FramePoint[], x: number, y: number): boolean {
  let odd = false;
  corners.forEach((a, index) => {
    const b = corners[(index + 1) % corners.length] ?? a;
    if (a.y > y !== b.y > y && x < a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x)) odd = !odd;
  });
  return odd;
}
