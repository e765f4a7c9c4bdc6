import { screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { ARCHETYPES } from '@/core/camera/archetypes';
import { noRecords } from '@/core/records/kinds';
import { setupsOf } from '@/core/records/slots';
import type { StoredSetup } from '@/core/records/setup';
import { solve } from '@/core/answer/solve';
import { briefOf } from '@/core/brief/brief';
import { emptyShot } from '@/core/records/emptyShot';
import type { Keepable } from '../data/keeping';
import { openStage } from '../testing/stage';
import type { Stage } from '../testing/stage';
import { KeepSetup } from './KeepSetup';

let stage: Stage;
afterEach(() => stage.close());

const outcome = solve(briefOf(emptyShot('Trail')).brief);
const kept: Keepable = {
  settings: outcome.solved ? outcome.solution.settings : null!,
  intervalSeconds: null,
  profile: ARCHETYPES.main,
  name: 'Down the long trail behind the house, before rain',
};
const inSlots = async (id: string): Promise<StoredSetup[]> =>
  setupsOf((await stage.database.kit.get(id))!.thing);

describe('keeping a set-up', () => {
  beforeEach(async () => {
    stage = await openStage();
  });

  it('asks for camera, slot and name, keeps it, and undo takes it back', async () => {
    stage.show(<KeepSetup kept={kept} />);
    const name = await screen.findByRole<HTMLInputElement>('textbox', { name: 'Name on the camera' });
    // No longer than a small screen reads.
    expect(name.value).toBe('Down the long trail behind the house, be');
    await stage.user.clear(name);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Keep it' }).disabled).toBe(true);
    await stage.user.type(name, 'Trail{Enter}');
    await waitFor(async () =>
      expect(await inSlots('demo-kit-otter')).toEqual([{ slot: 1, name: 'Trail', settings: kept.settings }]),
    );
    await stage.repository.history.undo();
    expect(await inSlots('demo-kit-otter')).toEqual([]);
  });
});

describe('keeping a set-up without a camera of one\u2019s own', () => {
  it('says where to add one', async () => {
    stage = await openStage(noRecords());
    stage.show(<KeepSetup kept={kept} />);
    expect((await screen.findByRole('link')).getAttribute('href')).toBe('/kit');
  });
});
