import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { solve } from '../answer/solve';
import { briefOf } from '../brief/brief';
import { emptyShot } from './emptyShot';
import { cameraFrom, KitItemSchema, newThing } from './kitItem';
import type { StoredSetup } from './setup';
import { kitCameras, freeSlot, kitCameraOf, setupsOf, withoutSetup, withSetup } from './slots';

const outcome = solve(briefOf(emptyShot('Trail')).brief);
const settings = outcome.solved ? outcome.solution.settings : null!;
const setup = (slot: number, name: string): StoredSetup => ({ slot, name, settings });
const camera = cameraFrom('main', 'own', 'Own') as Extract<ReturnType<typeof cameraFrom>, { what: 'camera' }>;

describe('the slots of a camera', () => {
  it('hold a set-up each, the later in place of the earlier, in order', () => {
    expect(setupsOf(camera)).toEqual([]);
    const held = [setup(3, 'Rails'), setup(1, 'Trail'), setup(3, 'Water')].reduce(withSetup, camera);
    expect(setupsOf(held).map(({ slot, name }) => [slot, name])).toEqual([
      [1, 'Trail'],
      [3, 'Water'],
    ]);
    expect(setupsOf(withoutSetup(held, 1)).map(({ name }) => name)).toEqual(['Water']);
    const item = { ...makeDemo().kit[0]!, thing: held };
    expect(KitItemSchema.safeParse(JSON.parse(JSON.stringify(item))).success).toBe(true);
    const filter = newThing('filter', 'nd', 'ND');
    expect(withSetup(filter, setup(1, 'No'))).toBe(filter);
    expect(withoutSetup(filter, 1)).toBe(filter);
  });

  it('are filled from the first that is empty; a camera without any stores none', () => {
    expect(freeSlot(camera)).toBe(1);
    const some = withSetup(camera, setup(1, 'One')) as typeof camera;
    expect(freeSlot(some)).toBe(2);
    const full = [2, 3, 4, 5].map((slot) => setup(slot, 'More')).reduce(withSetup, some) as typeof camera;
    expect(freeSlot(full)).toBe(5);
    expect(freeSlot({ ...camera, profile: { ...camera.profile, presetSlots: 0 } })).toBeNull();
  });

  it('are found by the profile that a shot carries, unless the camera is put away', () => {
    const { kit } = makeDemo();
    const [first] = kitCameras(kit);
    expect(kitCameraOf(kit, first!.thing.profile)?.id).toBe(first!.id);
    const away = kit.map((item) => ({ ...item, archived: true }));
    expect(kitCameraOf(away, first!.thing.profile)).toBeNull();
  });
});
