import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { project, PROJECTIONS, unproject } from '../optics/projection';
import type { Direction, Lens } from '../optics/projection';
import { forwardFlowDegPerS } from './flow';
import { headingOf } from './movement';
import type { Movement } from './movement';
import { FINE, motionMap, paceOf, paceOfMap, velocityAtPlace } from './motionMap';
import { samples, sampling } from '../../../testing/samples';

/** Everything the slow way: a still point in space, a camera moved and turned bit by bit, and where it then falls. */
const RAD = Math.PI / 180;
type Vector = [number, number, number];
const vector = ({ x, y, z }: Direction): Vector => [x, y, z];
const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
/** Rodrigues: p turned by the vector `turn`, radians. */
function turned(p: Vector, turn: Vector): Vector {
  const angle = Math.hypot(...turn);
  if (angle === 0) return p;
  const axis = turn.map((part) => part / angle) as Vector;
  const aside = cross(axis, p);
  const along = dot(axis, p) * (1 - Math.cos(angle));
  return p.map(
    (part, at) => part * Math.cos(angle) + aside[at]! * Math.sin(angle) + axis[at]! * along,
  ) as Vector;
}
/** Where the point stands `seconds` away from the middle, seen from the moved and turned camera. */
function seenAt(point: Vector, movement: Movement, seconds: number): Direction {
  const v = vector(headingOf(movement));
  const pitch = movement.pitchDeg * RAD;
  const turn = movement.turnDegPerS * RAD;
  const spin: Vector = [0, Math.cos(pitch) * turn, Math.sin(pitch) * turn + movement.rollDegPerS * RAD];
  // The camera turns with `spin`, so still things turn against it; it moves along the line of travel meanwhile.
  const steps = 64;
  const dt = seconds / steps;
  let p = point;
  let heading = v;
  for (let step = 0; step < steps; step++) {
    p = p.map((part, at) => part - heading[at]! * movement.travelMps * dt) as Vector;
    p = turned(p, spin.map((part) => -part * dt) as Vector);
    heading = turned(heading, spin.map((part) => -part * dt) as Vector);
  }
  return { x: p[0], y: p[1], z: p[2] };
}

const anyLens = fc
  .constantFrom(...PROJECTIONS)
  .chain((projection) =>
    fc
      .double({ min: 15, max: projection === 'straight' ? 120 : 170, noNaN: true })
      .map((horizontalDeg): Lens => ({ horizontalDeg, projection })),
  );
const anyMovement: fc.Arbitrary<Movement> = fc.record({
  travelMps: fc.double({ min: 0, max: 20, noNaN: true }),
  sideDistanceM: fc.double({ min: 0.3, max: 20, noNaN: true }),
  pitchDeg: fc.double({ min: -60, max: 60, noNaN: true }),
  backwards: fc.boolean(),
  turnDegPerS: fc.double({ min: -300, max: 300, noNaN: true }),
  rollDegPerS: fc.double({ min: -200, max: 200, noNaN: true }),
});
const anyPlace = fc.record({
  x: fc.double({ min: -1, max: 1, noNaN: true }),
  y: fc.double({ min: -0.5625, max: 0.5625, noNaN: true }),
});

describe('movement over the frame', () => {
  it('is that of moving points brought into the picture one by one, all projections', () => {
    let judged = 0;
    fc.assert(
      fc.property(
        anyLens,
        anyMovement,
        anyPlace,
        fc.constantFrom(1 / 2000, 1 / 500, 1 / 200, 1 / 100),
        (lens, movement, place, seconds) => {
          const direction = unproject(lens, place)!;
          const [x, y, z] = vector(direction);
          const off = Math.hypot(...cross([x, y, z], vector(headingOf(movement))));
          fc.pre(off > 0.02);
          const distance = movement.sideDistanceM / off;
          const point: Vector = [x * distance, y * distance, z * distance];
          const before = seenAt(point, movement, -seconds / 2);
          const after = seenAt(point, movement, seconds / 2);
          // One speed for a whole exposure errs by the square of the share that the point comes nearer in half of it.
          const [far, near] = [before, after].map((one) =>
            lens.projection === 'straight' ? one.z : Math.hypot(one.x, one.y, one.z),
          ) as [number, number];
          fc.pre(Math.abs((far - near) / (far + near)) < 0.12);
          const from = project(lens, before);
          const to = project(lens, after);
          const velocity = velocityAtPlace(lens, place, movement)!;
          // A whole frame in one exposure is past any figure's use, and too little is below the arithmetic.
          const blur = Math.hypot(velocity.x, velocity.y) * seconds;
          fc.pre(from !== null && to !== null && blur > 1e-4 && blur < 0.2);
          judged++;
          expect(to.x - from.x, 'across').toBeCloseTo(velocity.x * seconds, blur < 0.02 ? 3 : 2);
          const seen = Math.hypot(to.x - from.x, to.y - from.y);
          // Of what travelling and turning bring each: where they cancel, what is left is no measure.
          const each = [
            { ...movement, turnDegPerS: 0, rollDegPerS: 0 },
            { ...movement, travelMps: 0 },
          ].map((part) => {
            const own = velocityAtPlace(lens, place, part)!;
            return Math.hypot(own.x, own.y) * seconds;
          });
          expect(Math.abs(blur - seen), `blur ${blur} against ${seen}`).toBeLessThan(
            0.02 * Math.max(...each),
          );
        },
      ),
      sampling(1000, 20261101),
    );
    expect(judged).toBeGreaterThanOrEqual(0.99 * samples(1000));
  });

  it('travelling, is the closed form of the flow at the frame’s edge', () => {
    const lens: Lens = { horizontalDeg: 110, projection: 'curved' };
    const movement = {
      travelMps: 6,
      sideDistanceM: 1.5,
      pitchDeg: 0,
      backwards: false,
      turnDegPerS: 0,
      rollDegPerS: 0,
    };
    const velocity = velocityAtPlace(lens, { x: 1, y: 0 }, movement)!;
    expect(velocity.x * 55).toBeCloseTo(forwardFlowDegPerS(6, 1.5, 55), 6);
    expect(velocityAtPlace(lens, { x: 0, y: 0 }, movement)!.x).toBeCloseTo(0, 9);
    // Looking back everything closes in instead.
    expect(velocityAtPlace(lens, { x: 1, y: 0 }, { ...movement, backwards: true })!.x).toBeCloseTo(
      -velocity.x,
      9,
    );
  });

  it('a turn moves everything against it, and a roll turns round the middle', () => {
    const lens: Lens = { horizontalDeg: 90, projection: 'straight' };
    const still = {
      travelMps: 0,
      sideDistanceM: 2,
      pitchDeg: 0,
      backwards: false,
      turnDegPerS: 0,
      rollDegPerS: 0,
    };
    expect(velocityAtPlace(lens, { x: 0, y: 0 }, { ...still, turnDegPerS: 90 })!.x).toBeCloseTo(
      -Math.PI / 2,
      9,
    );
    const rolled = velocityAtPlace(lens, { x: 0.5, y: 0 }, { ...still, rollDegPerS: 180 })!;
    expect(rolled.x).toBeCloseTo(0, 9);
    expect(rolled.y).toBeCloseTo(-0.5 * Math.PI, 9);
  });

  it('the coarse pace stands close to the fine one, and the worst above the typical', () => {
    fc.assert(
      fc.property(anyLens, anyMovement, (lens, movement) => {
        const fine = paceOfMap(motionMap(lens, movement, FINE));
        const coarse = paceOf(lens, movement);
        expect(fine.worstPctPerS).toBeGreaterThanOrEqual(fine.typicalPctPerS);
        expect(Math.abs(coarse.typicalPctPerS - fine.typicalPctPerS)).toBeLessThan(
          0.35 * fine.worstPctPerS + 1e-6,
        );
        expect(coarse.worstPctPerS).toBeLessThan(1.6 * fine.worstPctPerS + 1e-6);
      }),
      sampling(200, 20261102),
    );
  });
});
