import type { Direction } from '../optics/projection';

/**
 * How a camera moves past things. Camera frame: x right, y down, z along the lens's axis. Metres, seconds, degrees.
 * Surroundings stand at one side distance all around the line of travel, like the wall of a tunnel: beside a path,
 * between rock walls or under trees this is what passes; open land passes more slowly.
 */
export interface Movement {
  travelMps: number;
  /** From the line of travel to what passes. */
  sideDistanceM: number;
  /** The axis looks this far below the line of travel. */
  pitchDeg: number;
  /** The camera looks back along the line of travel. */
  backwards: boolean;
  /** Turning about the upright axis, to the right. */
  turnDegPerS: number;
  /** Rolling about the lens's axis, clockwise as the camera sees it. */
  rollDegPerS: number;
}

const RAD = Math.PI / 180;

/** Where the line of travel points to, seen from the camera: what lies ahead, or what is left behind. */
export function headingOf({ pitchDeg, backwards }: Movement): Direction {
  const sign = backwards ? -1 : 1;
  // Looking back and down, what recedes lies above the axis all the same.
  return { x: 0, y: sign * -Math.sin(pitchDeg * RAD), z: sign * Math.cos(pitchDeg * RAD) };
}

/**
 * How the direction to a still thing changes, a second: `−ω × d − (v − (v·d) d) / R`. For a thing on the tunnel's wall
 * `R = h / sin θ`, θ from the line of travel, which gives the rate `(v/h)·sin² θ`.
 */
export function directionRate(direction: Direction, movement: Movement): Direction {
  return directionRates(movement)(direction);
}

/** The same for many directions under one movement. */
export function directionRates(movement: Movement): (direction: Direction) => Direction {
  const heading = headingOf(movement);
  const pace = movement.sideDistanceM > 0 ? movement.travelMps / movement.sideDistanceM : 0;
  const turning = turningRates(movement);
  return (direction) => {
    const along = dot(heading, direction);
    const flow = pace * Math.sqrt(Math.max(0, 1 - along * along));
    const turned = turning(direction);
    return {
      x: turned.x - flow * (heading.x - along * direction.x),
      y: turned.y - flow * (heading.y - along * direction.y),
      z: turned.z - flow * (heading.z - along * direction.z),
    };
  };
}

/** The part of turning and rolling: everything turns alike, however far away. */
function turningRates(movement: Movement): (direction: Direction) => Direction {
  const turn = movement.turnDegPerS * RAD;
  const roll = movement.rollDegPerS * RAD;
  // The upright axis seen from a camera that looks down; turning to the right moves the picture to the left.
  const wy = Math.cos(movement.pitchDeg * RAD) * turn;
  const wz = Math.sin(movement.pitchDeg * RAD) * turn + roll;
  return ({ x, y, z }) => ({ x: wz * y - wy * z, y: -wz * x, z: wy * x });
}

function dot(a: Direction, b: Direction): number {
  return a.x * b.x + a.y * b.y + a.z * b.z;
}
