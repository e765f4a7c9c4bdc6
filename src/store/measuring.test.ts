import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { makeDemo } from '../../demo/makeDemo';
import type { MeasuredFigure } from '@/core/records/measured';
import { openDatabase } from './database';
import { keepMeasured } from './measuring';
import { merge } from './merging';
import { Repository } from './repository';

let count = 0;
let repository: Repository;
beforeEach(async () => {
  repository = new Repository(openDatabase(`measuring-${Math.random()}`), {
    tab: 'this',
    device: 'this',
    newCounter: () => 'this',
    now: () => new Date(Date.parse('2026-10-03T09:00:00Z') + ++count * 1000),
    newId: () => `new-${++count}`,
  });
  await merge(repository, makeDemo());
});
afterEach(() => repository.database.delete());

const SHAKE: MeasuredFigure = {
  is: 'shake',
  degPerSRms: 38.26,
  strongestHz: 2.1,
  seconds: 40,
  perSecond: 60,
};
const LEVEL: MeasuredFigure = { is: 'level', tiltDeg: -6.04, pitchDeg: 17.31, unsteadyDeg: 0.2 };

describe('a measured figure', () => {
  it('is kept with what it is of, and the shot takes it over, in one step of undo', async () => {
    expect(await keepMeasured(repository, { shotId: 'demo-02' }, SHAKE, 'phone')).toBe(true);
    await keepMeasured(repository, { shotId: 'demo-02' }, LEVEL, 'phone');
    const shot = async () => (await repository.database.shots.get('demo-02'))!.shot;
    expect(await shot()).toMatchObject({
      motion: { shakeDegPerSRms: 38.3 },
      mount: { tiltDeg: -6, pitchDeg: 17.3 },
    });
    const [first] = await repository.database.measured.toArray();
    expect(first).toMatchObject({
      of: { shotId: 'demo-02' },
      mount: { kind: 'helmet' },
      by: 'phone',
      figure: SHAKE,
    });
    await repository.history.undo();
    await repository.history.undo();
    expect(await repository.database.measured.count()).toBe(0);
    expect((await shot()).motion?.shakeDegPerSRms).toBeUndefined();
  });

  it('goes to a mount of the kit, and to nothing that is gone or shakes not', async () => {
    expect(await keepMeasured(repository, { kitId: 'demo-kit-helmet' }, SHAKE, 'sheet')).toBe(true);
    expect((await repository.database.kit.get('demo-kit-helmet'))?.thing).toMatchObject({
      shakeDegPerSRms: 38.3,
    });
    expect(await keepMeasured(repository, { kitId: 'demo-kit-bank' }, SHAKE, 'sheet')).toBe(false);
    expect(await keepMeasured(repository, { shotId: 'gone' }, LEVEL, 'phone')).toBe(false);
    expect(await repository.database.measured.count()).toBe(1);
  });
});
