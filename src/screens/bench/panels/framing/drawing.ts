import { toCamera } from '@/core/optics/framing';
import type { FrameShape } from '@/core/optics/framing';
import { project, unproject } from '@/core/optics/projection';
import type { Direction, FramePoint } from '@/core/optics/projection';
import type { InTheWay } from '@/core/vocabulary/mounts';
import { edgesOf } from '@/core/motion/obstruction';

/**
 * From the world to a drawn frame: paths in half widths of the frame, x right, y down. The world stands upright with the
 * camera at its origin, x right, y down, z ahead; things fixed to the camera are given in the camera's own directions.
 */
type Point = readonly [x: number, y: number, z: number];

/** Beyond this many half widths nothing is drawn: lines to the horizon of a wide lens run far outside. */
const FAR_OUT = 4;

function place(shape: FrameShape, [x, y, z]: Point, fixed: boolean): FramePoint | null {
  const direction: Direction = fixed ? { x, y, z } : toCamera(shape, { x, y, z });
  const put = project(shape.lens, direction);
  return put && Math.abs(put.x) < FAR_OUT && Math.abs(put.y) < FAR_OUT ? put : null;
}

function pathOf(places: readonly (FramePoint | null)[], closed: boolean): string {
  let pen = false;
  let path = '';
  for (const put of places) {
    if (!put) {
      pen = false;
      continue;
    }
    path += `${pen ? 'L' : 'M'}${put.x.toFixed(4)},${put.y.toFixed(4)}`;
    pen = true;
  }
  return closed && path !== '' && places.every((put) => put !== null) ? `${path}Z` : path;
}

/** A straight line of the world, bent as the lens bends it. */
function linePath(shape: FrameShape, from: Point, to: Point, points = 40): string {
  const along = Array.from({ length: points + 1 }, (_, index): Point => {
    const t = index / points;
    return [
      from[0] + t * (to[0] - from[0]),
      from[1] + t * (to[1] - from[1]),
      from[2] + t * (to[2] - from[2]),
    ];
  });
  return pathOf(
    along.map((point) => place(shape, point, false)),
    false,
  );
}

/** The horizon: every direction at eye height. */
export function horizonPath(shape: FrameShape): string {
  const half = Math.min(88, shape.lens.horizontalDeg / 2 + 10);
  const points = Array.from({ length: 61 }, (_, index): Point => {
    const angle = (((index - 30) / 30) * half * Math.PI) / 180;
    return [Math.sin(angle), 0, Math.cos(angle)];
  });
  return pathOf(
    points.map((point) => place(shape, point, false)),
    false,
  );
}

/** Lines on the ground: straight ahead at every metre or so, and across at doubling distances. */
export function groundPaths(shape: FrameShape, heightM: number): string[] {
  const spacing = Math.max(0.5, heightM / 1.5);
  const ahead = [-4, -3, -2, -1, 0, 1, 2, 3, 4].map((line) =>
    linePath(shape, [line * spacing, heightM, 0.3 * spacing], [line * spacing, heightM, 60 * spacing], 80),
  );
  const across = [1, 2, 4, 8, 16].map((line) =>
    linePath(shape, [-8 * spacing, heightM, line * spacing], [8 * spacing, heightM, line * spacing], 60),
  );
  return [...ahead, ...across];
}

/** A person's outline, feet at y = 0.5, crown at −0.5, in heights; walks clockwise from the left foot. */
const PERSON: readonly (readonly [number, number])[] = [
  [-0.09, 0.5],
  [-0.1, 0.28],
  [-0.1, 0.02],
  [-0.14, 0.02],
  [-0.16, -0.12],
  [-0.14, -0.3],
  [-0.05, -0.34],
  [-0.055, -0.4],
  [-0.055, -0.46],
  [0, -0.5],
  [0.055, -0.46],
  [0.055, -0.4],
  [0.05, -0.34],
  [0.14, -0.3],
  [0.16, -0.12],
  [0.14, 0.02],
  [0.1, 0.02],
  [0.1, 0.28],
  [0.09, 0.5],
  [0.02, 0.5],
  [0.01, 0.06],
  [-0.01, 0.06],
  [-0.02, 0.5],
];

/** The subject as the lens draws it; a small subject is drawn as a head. */
export function subjectPath(
  shape: FrameShape,
  { sizeM, distanceM, sideM }: { sizeM: number; distanceM: number; sideM: number },
): string {
  const outline =
    sizeM >= 0.8
      ? PERSON
      : Array.from({ length: 24 }, (_, index) => {
          const angle = (index / 24) * 2 * Math.PI;
          return [0.36 * Math.sin(angle), -0.5 * Math.cos(angle)] as const;
        });
  return pathOf(
    outline.flatMap(([x, y], index) => {
      const [nextX, nextY] = outline[(index + 1) % outline.length] ?? [x, y];
      // A long edge needs points between to bend.
      return [0, 0.25, 0.5, 0.75].map((t) =>
        place(
          shape,
          [sideM + sizeM * (x + t * (nextX - x)), sizeM * (y + t * (nextY - y)), distanceM],
          false,
        ),
      );
    }),
    true,
  );
}

/** What a mount puts before the lens, as a band of its thickness. */
export function obstructionPath(shape: FrameShape, thing: InTheWay): string {
  const edges = edgesOf(thing).flatMap(({ left, right }) => {
    const [one, other] = [left, right].map(({ x, y, z }) => place(shape, [x, y, z], true));
    return one && other ? [{ one, other }] : [];
  });
  return pathOf([...edges.map(({ one }) => one), ...edges.reverse().map(({ other }) => other)], true);
}

/** The edge of another view's frame, as it falls in this one. */
export function framePath(shape: FrameShape, other: FrameShape): string {
  const tall = other.heightPx / other.widthPx;
  const border: FramePoint[] = [];
  for (let step = 0; step < 24; step++) border.push({ x: -1 + step / 12, y: -tall });
  for (let step = 0; step < 24; step++) border.push({ x: 1, y: tall * (-1 + step / 12) });
  for (let step = 0; step < 24; step++) border.push({ x: 1 - step / 12, y: tall });
  for (let step = 0; step < 24; step++) border.push({ x: -1, y: tall * (1 - step / 12) });
  return pathOf(
    border.map((at) => {
      const seen = unproject(other.lens, at);
      return seen && place(shape, [seen.x, seen.y, seen.z], true);
    }),
    true,
  );
}
