import { describe, expect, it } from 'vitest';
import { emptyShot } from './emptyShot';
import { rebased } from './rebased';
import {
  addCamera,
  cameraCount,
  isSecondHalf,
  partCount,
  titleOfPart,
  removeCamera,
  shotOfPart,
  withPart,
} from './secondAngles';
import { omit } from '../units/omit';
import { ShotSchema } from './shot';
import type { Shot } from './shot';

const light = { kind: 'scene', from: 'openShade', to: 'openSun' } as const;
const other = { kind: 'scene', from: 'litRoom', to: 'litRoom' } as const;
/** A helmet and a pole in one run, in one light, for one playback. */
const two: Shot = {
  ...emptyShot('Run'),
  light,
  playback: { timelineFps: 25 },
  camera: { archetype: 'main' },
  mount: { kind: 'helmet' },
  pins: { frameRate: 25 },
  secondAngles: [{ name: 'Pole', camera: { archetype: 'sphere' }, mount: { kind: 'pole' } }],
};
const pair: Shot = {
  ...emptyShot('Whip'),
  light,
  mount: { kind: 'helmet' },
  pair: { kind: 'whip', second: { name: 'The hut', mount: { kind: 'chest' } } },
};

describe('a camera of a shot as a shot of its own', () => {
  it('has the name, light and playback of the whole, and its own camera, mount and pins', () => {
    const pole = shotOfPart(two, 1);
    expect(pole).toMatchObject({
      name: 'Run',
      light,
      playback: { timelineFps: 25 },
      camera: { archetype: 'sphere' },
      mount: { kind: 'pole' },
    });
    // What the main camera holds is not the other's.
    expect(pole.pins).toBeUndefined();
    expect(pole.secondAngles).toBeUndefined();
    expect(ShotSchema.safeParse(pole).success).toBe(true);
  });

  it('is the main camera for 0 and for one that is not there', () => {
    const main = shotOfPart(two, 0);
    expect(main).toMatchObject({ name: 'Run', mount: { kind: 'helmet' }, pins: { frameRate: 25 } });
    expect(main.secondAngles).toBeUndefined();
    expect(shotOfPart(two, 7)).toEqual(main);
  });

  it('puts a change of what is shared into the whole, and of what is its own into it alone', () => {
    const changed = withPart(two, 1, {
      ...shotOfPart(two, 1),
      light: other,
      pins: { iso: { min: 100, max: 400 } },
    });
    expect(changed.light).toEqual(other);
    expect(changed.pins).toEqual({ frameRate: 25 });
    expect(changed.mount).toEqual({ kind: 'helmet' });
    expect(changed.name).toBe('Run');
    expect(changed.secondAngles).toEqual([
      {
        name: 'Pole',
        camera: { archetype: 'sphere' },
        mount: { kind: 'pole' },
        pins: { iso: { min: 100, max: 400 } },
      },
    ]);
  });

  it('put back unchanged leaves the shot as it was, each of them', () => {
    for (const shot of [two, pair])
      for (let at = 0; at < partCount(shot); at++)
        expect(withPart(shot, at, shotOfPart(shot, at)), `part ${at} of ${shot.name ?? ''}`).toEqual(shot);
  });

  it('changed at the main camera leaves the others alone', () => {
    const changed = withPart(two, 0, { ...shotOfPart(two, 0), mount: { kind: 'chest' } });
    expect(changed.mount).toEqual({ kind: 'chest' });
    expect(changed.secondAngles).toEqual(two.secondAngles);
  });

  it('is added at the end and taken away by its place, the last with the list', () => {
    const three = addCamera(two, { name: 'Bow' });
    expect([cameraCount(three), titleOfPart(three, 2).name]).toEqual([3, 'Bow']);
    expect(removeCamera(three, 1).secondAngles).toEqual([{ name: 'Bow' }]);
    const one = removeCamera(two, 1);
    expect('secondAngles' in one).toBe(false);
    expect(cameraCount(one)).toBe(1);
  });
});

describe('the second half of a pair', () => {
  it('is a part after the cameras, under its own name', () => {
    expect([cameraCount(pair), partCount(pair)]).toEqual([1, 2]);
    expect([isSecondHalf(pair, 0), isSecondHalf(pair, 1)]).toEqual([false, true]);
    expect([0, 1].map((at) => titleOfPart(pair, at))).toEqual([
      { is: 'firstHalf', number: 1, name: null },
      { is: 'secondHalf', number: 2, name: 'The hut' },
    ]);
    expect(shotOfPart(pair, 1)).toMatchObject({ name: 'Whip', light, mount: { kind: 'chest' } });
    expect(isSecondHalf(two, 1)).toBe(false);
  });

  it('keeps sharing the light until it gets its own, which then is not the first half’s', () => {
    const moved = withPart(pair, 1, { ...shotOfPart(pair, 1), mount: { kind: 'pole' } });
    expect(moved.pair!.second).toEqual({ name: 'The hut', mount: { kind: 'pole' } });
    const inside = withPart(pair, 1, { ...shotOfPart(pair, 1), light: other });
    expect(inside.light).toEqual(light);
    expect(inside.pair!.second.light).toEqual(other);
    expect(shotOfPart(inside, 1).light).toEqual(other);
    expect(shotOfPart(inside, 0).light).toEqual(light);
  });
});

describe('a change done to the record as it is by then', () => {
  const before = { name: 'a', mount: { kind: 'helmet', where: 'front' }, list: [1, 2], note: 'old' };

  it('keeps what was changed elsewhere meanwhile', () => {
    const change = rebased(before, { ...before, name: 'b' });
    expect(change({ ...before, note: 'new' })).toEqual({ ...before, name: 'b', note: 'new' });
  });

  it('reaches into what is nested, and takes lists as one', () => {
    const change = rebased(before, { ...before, mount: { ...before.mount, kind: 'chest' }, list: [1, 2, 3] });
    expect(change({ ...before, mount: { kind: 'helmet', where: 'rear' }, list: [9] })).toEqual({
      ...before,
      mount: { kind: 'chest', where: 'rear' },
      list: [1, 2, 3],
    });
  });

  it('takes away what was taken away, and puts in what was put in', () => {
    const bare = omit(before, 'note');
    const change = rebased<object>(before, { ...bare, place: 'gorge' });
    expect(change({ ...before, name: 'c' })).toEqual({ ...bare, name: 'c', place: 'gorge' });
  });

  it('puts in the whole where there is nothing to reach into any more', () => {
    const change = rebased<object>(before, { ...before, mount: { kind: 'chest', where: 'front' } });
    expect(change({ ...before, mount: null })).toEqual({
      ...before,
      mount: { kind: 'chest', where: 'front' },
    });
  });

  it('leaves the record it is given as it was', () => {
    const kept = structuredClone(before);
    rebased(before, { ...before, mount: { kind: 'chest', where: 'front' } })(kept);
    expect(kept).toEqual(before);
  });
});
