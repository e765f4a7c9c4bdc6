import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyShot } from '@/core/records/emptyShot';
import { noRecords } from '@/core/records/kinds';
import type { Records } from '@/core/records/kinds';
import { newThing } from '@/core/records/kitItem';
import { FILE_VERSION } from '@/core/schema/versions';
import { openDatabase } from './database';
import { merge, mergePlan } from './merging';
import { Repository } from './repository';
import { samples, sampling } from '../../testing/samples';

const AT = '2026-10-01T08:00:00.000Z';
const DEVICES = ['laptop', 'phone', 'tablet'] as const;
const SHOTS = ['weir', 'rapids'] as const;
const START: Records = {
  ...noRecords(),
  shots: SHOTS.map((id) => ({
    id,
    createdAt: AT,
    updatedAt: AT,
    demo: false,
    shot: emptyShot(id),
    ticked: [],
  })),
};

let clock = 0;
let names = 0;
const deviceCalled = (name: string): Repository =>
  new Repository(openDatabase(`devices-${name}-${Math.random()}`), {
    tab: name,
    device: name,
    newCounter: () => `${name}${++names}`,
    now: () => new Date(Date.parse('2026-10-03T09:00:00Z') + ++clock * 1000),
    newId: () => `${name}-${++names}`,
  });
const handOver = async (from: Repository, to: Repository): Promise<unknown> =>
  merge(to, await from.queries.everything());

const deed = fc.oneof(
  {
    weight: 6,
    arbitrary: fc.record({ does: fc.constant('edit' as const), on: fc.nat(2) }),
  },
  { weight: 4, arbitrary: fc.record({ does: fc.constant('give' as const), on: fc.nat(2), to: fc.nat(2) }) },
  { weight: 3, arbitrary: fc.record({ does: fc.constant('undo' as const), on: fc.nat(2) }) },
  { weight: 2, arbitrary: fc.record({ does: fc.constant('erase' as const), on: fc.nat(2) }) },
  { weight: 3, arbitrary: fc.record({ does: fc.constant('save' as const), on: fc.nat(2) }) },
  {
    weight: 3,
    arbitrary: fc.record({ does: fc.constant('takeOld' as const), on: fc.nat(2), file: fc.nat(9) }),
  },
);

describe('three devices that erase, undo, take old files and hand over', () => {
  it('never lose the last edit of any of them, but where someone saw it and edited on', async () => {
    let held = 0;
    await fc.assert(
      fc.asyncProperty(fc.array(deed, { minLength: 16, maxLength: 30 }), async (deeds) => {
        const devices = DEVICES.map(deviceCalled);
        const files: Records[] = [START];
        /** What a person last called each shot on each device, as long as they did not take it back there. */
        const last = new Map<string, string>();
        const seenAndChanged = new Set<string>();
        for (const one of devices) await merge(one, START);
        for (const one of deeds) {
          const device = devices[one.on]!;
          if (one.does === 'edit') {
            const id = SHOTS[0];
            const before = (await device.queries.one('shots', id))?.shot.name;
            if (before === undefined) continue;
            const name = `#${++names}`;
            seenAndChanged.add(before);
            await device.changeShot(id, 'rename', (shot) => ({ ...shot, name }));
            last.set(`${one.on} ${id}`, name);
          } else if (one.does === 'give') await handOver(device, devices[one.to]!);
          else if (one.does === 'save') files.push(await device.queries.everything());
          else if (one.does === 'takeOld') await merge(device, files[one.file % files.length]!);
          else {
            if (one.does === 'undo') await device.history.undo();
            else await device.eraseEverything();
            for (const id of SHOTS) last.delete(`${one.on} ${id}`);
          }
        }
        for (let round = 0; round < 2; round += 1)
          for (const from of devices) for (const to of devices) if (from !== to) await handOver(from, to);
        for (const device of devices) {
          const called = (await device.queries.all('shots')).map(({ shot }) => shot.name ?? '');
          for (const [where, name] of last)
            if (!seenAndChanged.has(name)) {
              held += 1;
              expect(
                called.some((one) => one.startsWith(name)),
                `${where} was called ${name}; there is ${called.join(', ')}`,
              ).toBe(true);
            }
        }
        for (const device of devices) await device.database.delete();
      }),
      sampling(250, 35),
    );
    expect(held).toBeGreaterThan(samples(250));
  });

  it('do not count on from what another has seen', async () => {
    const [laptop, phone] = DEVICES.map(deviceCalled) as [Repository, Repository, Repository];
    await merge(laptop, START);
    const rename = (name: string): Promise<unknown> =>
      laptop.changeShot('weir', 'rename', (shot) => ({ ...shot, name }));
    await rename('first');
    const old = await laptop.queries.everything();
    await rename('second');
    await handOver(laptop, phone);
    await laptop.eraseEverything();
    await merge(laptop, old);
    await rename('after all');
    const rows = await mergePlan(phone, await laptop.queries.everything());
    expect(rows.find(({ id }) => id === 'weir')).toMatchObject({ outcome: 'theirs' });
  });

  it('keep a shot once that follows a camera renamed on both, and the camera twice', async () => {
    const [laptop, phone] = DEVICES.map(deviceCalled) as [Repository, Repository, Repository];
    const id = await laptop.addKit((own) => newThing('camera', own, 'Helmet'), 'add');
    const thing = (await laptop.queries.one('kit', id))!.thing;
    if (thing.what !== 'camera') throw new Error('no camera');
    await merge(laptop, START);
    for (const shot of SHOTS)
      await laptop.changeShot(shot, 'camera', (one) => ({ ...one, camera: { profile: thing.profile } }));
    await handOver(laptop, phone);
    const rename = (on: Repository, name: string): Promise<unknown> =>
      on.changeKit(id, 'rename', (item) => ({
        ...item,
        thing: { ...thing, profile: { ...thing.profile, name } },
      }));
    await rename(laptop, 'Otter');
    await rename(phone, 'Heron');
    // An edit of a shot that the other only follows is no conflict either.
    await laptop.changeShot('weir', 'rename', (shot) => ({ ...shot, name: 'By the laptop' }));
    await handOver(laptop, phone);
    await handOver(phone, laptop);
    for (const device of [laptop, phone]) {
      const shots = await device.queries.all('shots');
      expect(shots.map(({ shot }) => shot.name).sort()).toEqual(['By the laptop', 'rapids']);
      for (const { shot } of shots) expect(shot.camera).toMatchObject({ profile: { id, name: 'Heron' } });
      expect(await device.queries.all('kit')).toHaveLength(2);
    }
    expect((await mergePlan(laptop, await phone.queries.everything())).map(({ outcome }) => outcome)).toEqual(
      Array.from({ length: 4 }, () => 'alike'),
    );
  });
});

describe('the count of edits', () => {
  it('is not used up by a foreign file, and what is edited is written and read back', async () => {
    const laptop = deviceCalled('laptop');
    const full = Object.fromEntries(Array.from({ length: 256 }, (_, at) => [`other${at}`, 1_000_000_000]));
    await merge(laptop, START);
    await laptop.changeShot('weir', 'rename', (shot) => ({ ...shot, name: 'own' }));
    const [name] = Object.keys((await laptop.queries.one('shots', 'weir'))!.edits!);
    const foreign = (edits: Record<string, number>): Records => ({
      ...noRecords(),
      shots: [{ ...START.shots[0]!, edits }],
      removed: [
        {
          kind: 'lynxeye/removed',
          version: FILE_VERSION,
          id: 'shots/rapids',
          at: AT,
          edits: { [name!]: 1e9 },
        },
      ],
    });
    for (const edits of [{ [name!]: 1_000_000_000 }, full]) {
      await merge(laptop, foreign(edits));
      await laptop.changeShot('weir', 'rename', (shot) => ({ ...shot, name: `after ${names++}` }));
      await laptop.addShot(emptyShot('rapids'));
      const { readBackup } = await import('@/core/records/backup');
      const read = await readBackup(JSON.parse(JSON.stringify(await laptop.backup())));
      expect(read.ok ? [] : read.faults).toEqual([]);
      const kept = (await laptop.queries.one('shots', 'weir'))!;
      expect(Object.values(kept.edits!).some((count) => count < 1e9)).toBe(true);
    }
  });
});
