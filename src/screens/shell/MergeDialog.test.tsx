import { screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { noRecords } from '@/core/records/kinds';
import type { Records } from '@/core/records/kinds';
import { keep } from '../files/importFiles';
import { useIncomingState } from '../files/incomingState';
import { said } from '../testing/said';
import { openStage } from '../testing/stage';
import type { Stage } from '../testing/stage';
import { MergeDialog } from './MergeDialog';

let stage: Stage;
beforeEach(async () => {
  stage = await openStage();
  useIncomingState.setState({ reading: null, notTaken: [], toMerge: [] });
});
afterEach(() => stage.close());

const toast = { say: (text: string) => said.push(text), complain: (text: string) => said.push(`! ${text}`) };
const shotNamed = async (id: string): Promise<string | undefined> =>
  (await stage.database.shots.get(id))?.shot.name;

/** What another device has of the first two shots of the demo. */
async function comes(change: Partial<Records> = {}): Promise<void> {
  const [first, second] = await stage.database.shots.bulkGet(['demo-01', 'demo-02']);
  const shots = [first!, second!].map((record) => ({
    ...record,
    edits: { phone: 1 },
    updatedAt: '2026-10-02T10:00:00Z',
    shot: { ...record.shot, name: `${record.shot.name ?? ''}, phone` },
  }));
  await keep(
    stage.repository,
    'phone.json',
    { kind: 'records', records: { ...noRecords(), shots, ...change } },
    [],
    toast,
  );
}

function shown(): HTMLElement {
  stage.show(<MergeDialog one={useIncomingState.getState().toMerge[0]!} />);
  return screen.getByRole('dialog');
}

describe('what a file would change', () => {
  it('is taken without a question where nothing here changes', async () => {
    await comes({ shots: [{ ...(await stage.database.shots.get('demo-01'))!, id: 'new' }] });
    expect(useIncomingState.getState().toMerge).toEqual([]);
    expect(said.at(-1)).toContain('Imported 1 shot');
    await comes({ shots: [(await stage.database.shots.get('new'))!] });
    expect(said.at(-1)).toContain('it is here already');
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
    await waitFor(() => expect(useIncomingState.getState().toMerge).toEqual([]));
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
    expect(useIncomingState.getState().toMerge).toEqual([]);
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
