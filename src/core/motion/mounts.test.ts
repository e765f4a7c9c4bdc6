import { ACTIVITIES } from '../vocabulary/activities';
import { MOUNT_KINDS } from '../vocabulary/mounts';
import type { MountKind, MountPlace } from '../vocabulary/mounts';
import { describe, expect, it } from 'vitest';
import { briefOf } from '../brief/brief';
import { readShot } from '../records/shot';
import { mountChoice } from '../compare/mountChoice';
import { schoolOf } from '../loss/schools';
import { spaceFor } from '../search/space';
import { cautionsFor } from './cautions';
import { habitsOf, placesOf } from '../vocabulary/mounts';
import { blockedShare, edgesOf } from './obstruction';
import { usualShakeDegPerSRms } from './shake';

describe('mounts as data', () => {
  it('hold figures that can be: views in order, things in front, never more than a third of a wide frame', () => {
    for (const kind of MOUNT_KINDS)
      for (const place of [undefined, ...placesOf(kind)]) {
        const habits = habitsOf(kind, place);
        const name = `${kind} ${place ?? ''}`;
        expect(habits.leastViewDeg, name).toBeLessThan(habits.mostViewDeg);
        expect(habits.subjectM.from, name).toBeLessThan(habits.subjectM.to);
        expect(habits.heightM, name).toBeGreaterThan(0);
        for (const horizontalDeg of [70, 110, 146]) {
          const share = blockedShare({ horizontalDeg, projection: 'curved' }, 16, 9, habits.inTheWay);
          expect(share, `${name} at ${horizontalDeg}°`).toBeLessThan(0.34);
        }
      }
  });

  it('place by place: the side of a helmet shakes more than its front, a short pole less than a long one', () => {
    const shake = (kind: 'helmet' | 'pole', place: MountPlace): number =>
      usualShakeDegPerSRms(kind, 'rough', 'riding', { place });
    expect(shake('helmet', 'front')).toBe(40);
    expect(shake('helmet', 'side')).toBeGreaterThan(shake('helmet', 'front'));
    expect(shake('pole', 'long')).toBe(30);
    expect(shake('pole', 'short')).toBeLessThan(30);
  });

  it('on foot the shake goes with the pace: standing, walking and running are the figures of the table', () => {
    const shake = (kind: MountKind, activity: 'walking' | 'running', travelMps: number): number =>
      usualShakeDegPerSRms(kind, 'mixed', activity, { travelMps });
    for (const activity of ['walking', 'running'] as const) {
      expect(shake('helmet', activity, 0)).toBe(5);
      expect(shake('helmet', activity, 1.4)).toBe(15);
      expect(shake('helmet', activity, 3.5)).toBeCloseTo(35, 9);
      expect(shake('helmet', activity, 2.45)).toBeCloseTo(25, 9);
      const paces = [0, 0.5, 1, 1.4, 2, 3, 3.5, 5, 7].map((pace) => shake('chest', activity, pace));
      expect([...paces].sort((a, b) => a - b)).toEqual(paces);
      expect(shake('chest', activity, 20)).toBe(shake('chest', activity, 7));
      // What stands on the ground does not care.
      expect(shake('groundStand', activity, 3)).toBe(0.1);
    }
    expect(usualShakeDegPerSRms('helmet', 'rough', 'riding', { travelMps: 12 })).toBe(40);
  });

  it('a place that the mount does not have is refused with what it has', () => {
    const shot = (mount: object) => readShot({ kind: 'lynxeye/shot', version: 3, mount });
    expect(shot({ kind: 'pole', place: 'short' }).ok).toBe(true);
    expect(shot({ kind: 'pole', place: 'top' })).toEqual({
      ok: false,
      faults: [
        { path: 'mount.place', problem: { code: 'mountPlace', kind: 'pole', places: ['long', 'short'] } },
      ],
    });
    expect(shot({ kind: 'tripod', place: 'top' })).toEqual({
      ok: false,
      faults: [{ path: 'mount.place', problem: { code: 'mountPlace', kind: 'tripod', places: [] } }],
    });
  });

  it('the band of a thing is as wide as the thing, square on from the lens', () => {
    for (const kind of MOUNT_KINDS)
      for (const thing of habitsOf(kind).inTheWay)
        for (const { left, right } of edgesOf(thing)) {
          const across = Math.hypot(left.x - right.x, left.y - right.y, left.z - right.z);
          expect(across, kind).toBeCloseTo(thing.thickM, 9);
          const middle = { x: (left.x + right.x) / 2, y: (left.y + right.y) / 2, z: (left.z + right.z) / 2 };
          const dot =
            (left.x - right.x) * middle.x + (left.y - right.y) * middle.y + (left.z - right.z) * middle.z;
          expect(dot, kind).toBeCloseTo(0, 9);
        }
  });

  it('cautions stand once each, by mount and by activity', () => {
    expect(cautionsFor('vehicleInside', 'driving')).toEqual([
      'neverOperateDriving',
      'windscreenClear',
      'cleanSuction',
    ]);
    for (const kind of MOUNT_KINDS)
      for (const activity of ACTIVITIES) {
        const cautions = cautionsFor(kind, activity);
        expect(new Set(cautions).size).toBe(cautions.length);
      }
  });
});

describe('choosing a mount', () => {
  it('every mount is solved for the shot; a steadier one gives shutter, a shakier one costs it', () => {
    const read = readShot({ kind: 'lynxeye/shot', version: 3, mount: { kind: 'helmet', ground: 'rough' } });
    if (!read.ok) throw new Error('not a shot');
    const made = spaceFor(briefOf(read.value).brief, schoolOf({ school: 'weigh', mine: null }));
    if (!made.ok) throw new Error('no space');
    const stops = Object.fromEntries(
      MOUNT_KINDS.map((kind) => [kind, mountChoice(made.space, kind)?.shutterStops ?? NaN]),
    );
    expect(Object.values(stops).some(Number.isNaN)).toBe(false);
    expect(stops.helmet).toBe(0);
    expect(stops.tripod).toBeGreaterThan(5);
    expect(stops.handlebar).toBeLessThan(-1);
  });
});
