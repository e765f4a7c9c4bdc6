import { MOUNT_KINDS } from '@/core/vocabulary/mounts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { habitsOf } from '@/core/vocabulary/mounts';
import type { FrameShape } from '@/core/optics/framing';
import { PROJECTIONS } from '@/core/optics/projection';
import { emptyShot } from '@/core/records/emptyShot';
import { readShot } from '@/core/records/shot';
import { framePath, groundPaths, horizonPath, obstructionPath, subjectPath } from './drawing';
import { movedSubject, roundDistance, turnedDown } from './moves';
import { sampling } from '../../../../../testing/samples';

const shape = (
  horizontalDeg: number,
  pitchDeg: number,
  projection: FrameShape['lens']['projection'],
): FrameShape => ({
  lens: { horizontalDeg, projection },
  widthPx: 1920,
  heightPx: 1080,
  pitchDeg,
  rollDeg: 3,
});

describe('moving things in the framing view', () => {
  it('makes a valid shot wherever the hand goes', () => {
    const subject = { sizeM: 1.8, distanceM: 4, sideM: 0 };
    const any = fc.double({ min: -1e6, max: 1e6, noNaN: true });
    fc.assert(
      fc.property(any, any, any, (distanceM, sideM, pitchDeg) => {
        const moved = turnedDown(pitchDeg)(movedSubject(subject, { distanceM, sideM })(emptyShot('x')));
        expect(readShot(moved).ok).toBe(true);
      }),
    );
    expect(movedSubject(subject, { sideM: 1.234 })(emptyShot('x')).motion?.subject).toEqual({
      sizeM: 1.8,
      distanceM: 4,
      sideM: 1.2,
    });
    expect([0, 0.3456, 14.49, 1234].map(roundDistance)).toEqual([0, 0.35, 14, 1200]);
  });
});

describe('drawing through the lens', () => {
  it('gives paths of finite numbers for every mount, lens and pitch', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...MOUNT_KINDS),
        fc.constantFrom(...PROJECTIONS),
        fc.double({ min: 15, max: 160, noNaN: true }),
        fc.double({ min: -60, max: 60, noNaN: true }),
        (kind, projection, horizontalDeg, pitchDeg) => {
          const seen = shape(horizontalDeg, pitchDeg, projection);
          const { heightM, inTheWay } = habitsOf(kind);
          const paths = [
            horizonPath(seen),
            ...groundPaths(seen, heightM),
            subjectPath(seen, { sizeM: 1.8, distanceM: 3, sideM: 1 }),
            framePath(seen, shape(40, 0, 'straight')),
            ...inTheWay.map((thing) => obstructionPath(seen, thing)),
          ];
          for (const path of paths) expect(path).toMatch(/^([ML]-?\d+\.\d+,-?\d+\.\d+)*Z?$/);
        },
      ),
      sampling(200),
    );
  });

  it('keeps the horizon straight in a straight lens, level or not', () => {
    const places = [...horizonPath(shape(90, 10, 'straight')).matchAll(/[ML](-?[\d.]+),(-?[\d.]+)/g)].map(
      ([, x, y]) => [Number(x), Number(y)] as const,
    );
    const [first, last] = [places[0]!, places.at(-1)!];
    const slope = (last[1] - first[1]) / (last[0] - first[0]);
    for (const [x, y] of places) expect(y).toBeCloseTo(first[1] + slope * (x - first[0]), 3);
  });
});
