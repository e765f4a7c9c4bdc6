import { screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { noRecords } from '@/core/records/kinds';
import type { Records } from '@/core/records/kinds';
import { FILE_VERSION } from '@/core/schema/versions';
import { keep } from '../files/importFiles';
import { useIncomingState } from '../files/incomingState';
import type { CameBy } from '../files/incomingState';
import { said } from '../testing/said';
import { openStage } from '../testing/stage';
import type { Stage } from '../testing/stage';
import { IncomingDialog } from './IncomingDialog';

let stage: Stage;
beforeEach(async () => {
  stage = await openStage();
  useIncomingState.setState({ reading: null, notTaken: [], toAsk: [] });
});
afterEach(() => stage.close());

const toast = { say: (text: string) => said.push(text), complain: (text: string) => said.push(`! ${text}`) };
const shotNamed = async (id: string): Promise<string | undefined> =>
  (await stage.database.shots.get(id))?.shot.name;

/** What another device has of the first two shots of the demo. */
async function comes(change: Partial<Records> = {}, by: CameBy = 'person'): Promise<void> {
  const [first, second] = await stage.database.shots.bulkGet(['demo-01', 'demo-02']);
  const shots = [first!, second!].map((record) => ({
    ...record,
    edits: { phone: 1 },
    updatedAt: '2026-10-02T10:00:00Z',
    shot: { ...record.shot, name: `${record.shot.name ?? ''}, phone` },
  }));
  await keep(
    stage.repository,
    {
      name: 'phone.json',
      by,
      taking: { kind: 'records', records: { ...noRecords(), shots, ...change } },
      leftBehind: [],
    },
    toast,
  );
}

function shown(): HTMLElement {
  stage.show(<IncomingDialog one={useIncomingState.getState().toAsk[0]!} />);
  return screen.getByRole('dialog');
}

describe('what a file would change', () => {
  it('is taken without a question where nothing here changes', async () => {
    await comes({ shots: [{ ...(await stage.database.shots.get('demo-01'))!, id: 'new' }] });
    expect(useIncomingState.getState().toAsk).toEqual([]);
    expect(said.at(-1)).toContain('Imported 1 shot');
    await comes({ shots: [(await stage.database.shots.get('new'))!] });
    expect(said.at(-1)).toContain('it is here already');
  });

  it('is asked about whenever it comes from without, and names what changes every answer one by one', async () => {
    const at = '2026-10-02T10:00:00Z';
    const figures = Array.from({ length: 45 }, (_, number): Records['learned'][number] => ({
      kind: 'lynxeye/learned-figure',
      version: FILE_VERSION,
      id: `scene:${number}`,
      createdAt: at,
      updatedAt: at,
      demo: false,
      decided: 'taken',
      learned: {
        figure: { of: 'scene', scene: 'lightWood' },
        usual: 9,
        off: number / 10,
        spread: 0.2,
        from: 4,
      },
    }));
    const own = { ...(await stage.database.shots.get('demo-01'))!, id: 'new' };
    await comes({ shots: [own] }, 'outside');
    expect(shown().textContent).toContain('1 new here');
    expect(screen.getByRole('dialog').textContent).toContain('shot: Put-in talk');
    expect(await stage.database.shots.get('new')).toBeUndefined();
    await stage.user.click(screen.getByRole('button', { name: 'Leave it all' }));
    expect(await stage.database.shots.get('new')).toBeUndefined();
    // Even from the person's own hand figures are named, all of them.
    await comes({ shots: [], learned: figures });
    const dialog = shown();
    expect(dialog.textContent).toContain('45 change every answer');
    expect(within(dialog).getAllByRole('listitem').length).toBeGreaterThanOrEqual(45);
    expect(await stage.database.learned.get('scene:1')).toBeUndefined();
    await stage.user.click(screen.getByRole('button', { name: 'Take it' }));
    await waitFor(async () => expect(await stage.database.learned.get('scene:1')).toBeDefined());
  });

  it('is told record by record with both values, and written as it is wanted', async () => {
    await comes();
    const dialog = shown();
    expect(dialog.textContent).toContain('2 newer in the file');
    expect(dialog.textContent).toContain('name: Upper gorge run → Upper gorge run, phone');
    const second = within(dialog).getByRole('combobox', { name: /Upper gorge run, phone$/ });
    await stage.user.click(second);
    await stage.user.click(await screen.findByText('As here only'));
    await stage.user.click(within(dialog).getByRole('button', { name: 'Merge' }));
    await waitFor(() => expect(useIncomingState.getState().toAsk).toEqual([]));
    expect(await shotNamed('demo-01')).toBe('Put-in talk, phone');
    expect(await shotNamed('demo-02')).toBe('Upper gorge run');
    expect(said.at(-1)).toContain('Imported 1 shot');
    await stage.repository.history.undo();
    expect(await shotNamed('demo-01')).toBe('Put-in talk');
  });

  it('is left as it is when the person says so', async () => {
    await comes();
    shown();
    await stage.user.click(screen.getByRole('button', { name: 'Leave it all' }));
    expect(useIncomingState.getState().toAsk).toEqual([]);
    expect(await shotNamed('demo-01')).toBe('Put-in talk');
  });

  it('is taken whole, as the file has it, with one press', async () => {
    await stage.repository.changeShot('demo-02', 'rename', (shot) => ({ ...shot, name: 'Mine' }));
    const before = await stage.database.shots.count();
    await comes();
    const dialog = shown();
    expect(dialog.textContent).toContain('1 newer in the file');
    expect(dialog.textContent).toContain('1 changed here and there');
    await stage.user.click(within(dialog).getByRole('button', { name: 'Take all as in the file' }));
    await waitFor(async () => expect(await shotNamed('demo-02')).toBe('Mine, phone'));
    expect(await stage.database.shots.count()).toBe(before);
  });
});
