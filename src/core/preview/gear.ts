import { GEAR } from '../vocabulary/gear';
import type { InTheWay } from '../vocabulary/mounts';
import { edgesOf } from '../motion/obstruction';
import { project } from '../optics/projection';
import type { Lens, FramePoint } from '../optics/projection';
import type { Rgb } from './scene';

/**
 * What rides with the camera, drawn once in the camera's own frame, a little past its edges so that a steadied picture
 * can wander over it.
 */
export interface GearMask {
  size: number;
  /** 0 where there is none, else 1 + the index of the colour. */
  what: Uint8Array;
  /** Shade of a rounded bar, 0…255. */
  shade: Uint8Array;
  colours: readonly Rgb[];
}

/** Half widths from the middle to the mask's edge. */
export const MASK_REACH = 1.5;
const SIZE = 768;

export function gearMask(lens: Lens, gear: readonly InTheWay[]): GearMask | null {
  if (gear.length === 0) return null;
  const what = new Uint8Array(SIZE * SIZE);
  const shade = new Uint8Array(SIZE * SIZE);
  gear.forEach((thing, index) => {
    const edges = edgesOf(thing).map(
      ({ left, right }) => [project(lens, left), project(lens, right)] as const,
    );
    edges.slice(1).forEach(([nextLeft, nextRight], at) => {
      const [left, right] = edges[at] ?? [null, null];
      if (left && right && nextLeft && nextRight)
        fill(what, shade, index + 1, [left, right, nextRight, nextLeft]);
    });
  });
  return { size: SIZE, what, shade, colours: gear.map((thing) => GEAR[thing.what]) };
}

type Quad = readonly [left: FramePoint, right: FramePoint, nextRight: FramePoint, nextLeft: FramePoint];

/** Fills one quarter of a band; across it the shade falls off as on a round bar lit from above. */
function fill(what: Uint8Array, shade: Uint8Array, mark: number, quad: Quad): void {
  const cell = (value: number): number => ((value / MASK_REACH + 1) / 2) * SIZE;
  const xs = quad.map(({ x }) => cell(x));
  const ys = quad.map(({ y }) => cell(y));
  const [left, right, nextRight, nextLeft] = quad;
  const bounds = (values: number[]): [number, number] => [
    Math.max(0, Math.floor(Math.min(...values))),
    Math.min(SIZE - 1, Math.ceil(Math.max(...values))),
  ];
  const [x0, x1] = bounds(xs);
  const [y0, y1] = bounds(ys);
  for (let row = y0; row <= y1; row++)
    for (let column = x0; column <= x1; column++) {
      const x = ((column + 0.5) / SIZE) * 2 * MASK_REACH - MASK_REACH;
      const y = ((row + 0.5) / SIZE) * 2 * MASK_REACH - MASK_REACH;
      // Signed distances to the two long edges: inside where they differ in sign.
      const toLeft = side(left, nextLeft, x, y);
      const toRight = side(right, nextRight, x, y);
      const begins = side(left, right, x, y);
      const ends = side(nextLeft, nextRight, x, y);
      if (toLeft * toRight > 0 || begins * ends > 0) continue;
      const across = Math.abs(toLeft) / (Math.abs(toLeft) + Math.abs(toRight) || 1);
      what[row * SIZE + column] = mark;
      shade[row * SIZE + column] = Math.round(
        255 * (0.35 + 0.65 * Math.sqrt(Math.max(0, 1 - (2 * across - 1) ** 2))),
      );
    }
}

function side(a: FramePoint, b: FramePoint, x: number, y: number): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  return (dx * (y - a.y) - dy * (x - a.x)) / (Math.hypot(dx, dy) || 1);
}
