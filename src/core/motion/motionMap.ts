import { imageVelocity, unproject } from '../optics/projection';
import type { Direction, Lens, FramePoint } from '../optics/projection';
import { item } from '../units/items';
import { directionRate, directionRates } from './movement';
import type { Movement } from './movement';

/**
 * Movement over the whole frame: how fast the picture of the surroundings moves at each place of a grid, in per cent of
 * the frame's width a second. Blur in one exposure is that times the shutter, the step between frames that over the
 * frames shown a second.
 */
export interface MotionMap {
  columns: number;
  rows: number;
  /** Row by row from the top left: the place in half widths, and its movement to the right and downwards. */
  cells: readonly { place: FramePoint; xPctPerS: number; yPctPerS: number; pctPerS: number }[];
}

/** The usual and the fastest movement of a map, per cent of width a second. */
export interface Pace {
  /** Half the frame moves faster. */
  typicalPctPerS: number;
  /** One part in ten moves faster: the very corners are not what a viewer watches. */
  worstPctPerS: number;
}

const WORST_SHARE = 0.9;
/** Height over width of the part of a frame that is judged: 16:9. */
const SHAPE = 9 / 16;
/** Fine enough for a drawing; the solver asks a coarser one, whose figures differ by a few per cent. */
export const FINE: [columns: number, rows: number] = [24, 14];
const COARSE: [columns: number, rows: number] = [6, 4];

export function motionMap(
  lens: Lens,
  movement: Movement,
  [columns, rows] = FINE,
  shape: number = SHAPE,
): MotionMap {
  const rateOf = directionRates(movement);
  return {
    columns,
    rows,
    cells: gridOf(lens, columns, rows, shape).map(({ place, direction }) => {
      const velocity = imageVelocity(lens, direction, rateOf(direction)) ?? STILL;
      const [xPctPerS, yPctPerS] = [50 * velocity.x, 50 * velocity.y];
      return { place, xPctPerS, yPctPerS, pctPerS: Math.hypot(xPctPerS, yPctPerS) };
    }),
  };
}

/**
 * The pace over a coarse grid: what the search asks of every view. Movement in the picture is linear in the change of
 * direction, so each point of a lens's grid keeps the two rows that turn the one into the other.
 */
export function paceOf(lens: Lens, movement: Movement): Pace {
  const { points, across, down } = coarseGrid(lens);
  const rateOf = directionRates(movement);
  const speeds = new Float64Array(points.length);
  for (let at = 0; at < points.length; at++) {
    const rate = rateOf(item(points, at));
    const [x, y] = [item(across, at), item(down, at)];
    const xRate = x.x * rate.x + x.y * rate.y + x.z * rate.z;
    const yRate = y.x * rate.x + y.y * rate.y + y.z * rate.z;
    speeds[at] = 50 * Math.sqrt(xRate * xRate + yRate * yRate);
  }
  return paceOfSpeeds(speeds);
}

export function paceOfMap({ cells }: MotionMap): Pace {
  return paceOfSpeeds(Float64Array.from(cells, ({ pctPerS }) => pctPerS));
}

/** Movement at one place of the frame, half widths a second; `null` outside the lens's image circle. */
export function velocityAtPlace(lens: Lens, place: FramePoint, movement: Movement): FramePoint | null {
  const direction = unproject(lens, place);
  return direction && imageVelocity(lens, direction, directionRate(direction, movement));
}

function paceOfSpeeds(speeds: Float64Array): Pace {
  speeds.sort();
  const at = (share: number): number =>
    speeds[Math.min(speeds.length - 1, Math.floor(share * speeds.length))] ?? 0;
  return { typicalPctPerS: at(0.5), worstPctPerS: at(WORST_SHARE) };
}

interface GridPoint {
  place: FramePoint;
  direction: Direction;
}

function gridOf(lens: Lens, columns: number, rows: number, shape: number): GridPoint[] {
  const points: GridPoint[] = [];
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const place = {
        x: (2 * (column + 0.5)) / columns - 1,
        y: ((2 * (row + 0.5)) / rows - 1) * shape,
      };
      const direction = unproject(lens, place);
      if (direction) points.push({ place, direction });
    }
  return points;
}

interface CoarseGrid {
  points: readonly Direction[];
  /** Rows of the derivative of the picture by the direction: half widths to the right, and downwards. */
  across: readonly Direction[];
  down: readonly Direction[];
}

/** A grid depends on the lens alone, and a camera has few lenses: worked out once each. */
const grids = new Map<Lens['projection'], Map<number, CoarseGrid>>();
const MOST_GRIDS = 400;

function coarseGrid(lens: Lens): CoarseGrid {
  const { projection, horizontalDeg } = lens;
  let ofProjection = grids.get(projection);
  if (!ofProjection) grids.set(projection, (ofProjection = new Map<number, CoarseGrid>()));
  const known = ofProjection.get(horizontalDeg);
  if (known) return known;
  const points = gridOf(lens, ...COARSE, SHAPE).map(({ direction }) => direction);
  const parts = UNITS.map((unit) => points.map((point) => imageVelocity(lens, point, unit) ?? STILL));
  const row = (axis: 'x' | 'y'): Direction[] =>
    points.map((_, at) => {
      const [x, y, z] = parts.map((part) => item(part, at)[axis]);
      return { x: x ?? 0, y: y ?? 0, z: z ?? 0 };
    });
  const grid = { points, across: row('x'), down: row('y') };
  if (ofProjection.size >= MOST_GRIDS) ofProjection.clear();
  ofProjection.set(horizontalDeg, grid);
  return grid;
}

const STILL: FramePoint = { x: 0, y: 0 };
const UNITS: readonly Direction[] = [
  { x: 1, y: 0, z: 0 },
  { x: 0, y: 1, z: 0 },
  { x: 0, y: 0, z: 1 },
];
