import { screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { readBackup } from '@/core/records/backup';
import { visit } from '../../testing/address';
import { openStage } from '../../testing/stage';
import type { Stage } from '../../testing/stage';
import { KitScreen } from '../KitScreen';

let stage: Stage;
beforeEach(async () => {
  stage = await openStage();
});
afterEach(() => stage.close());

const open = (item: string): void => {
  visit(`/kit?item=${item}`);
  stage.show(<KitScreen />);
};

describe('learned figures', () => {
  it('are told by kind, taken over by a press, and go back by a press or by undo', async () => {
    open('learned');
    const row = within(await screen.findByRole('listitem', { name: /^shake of your chest, skating/ }));
    expect(row.getByText(/usual 25°\/s/)).toBeDefined();
    expect(row.getByRole('img', { name: /before 25°\/s/ })).toBeDefined();
    await stage.user.click(row.getByRole('button', { name: /^Take over/ }));
    await row.findByText(/^In use:/);
    const [kept] = await stage.database.learned.toArray();
    expect(kept).toMatchObject({ id: 'shake/chest/skating/smooth', decided: 'taken' });
    const backup = await readBackup(JSON.parse(JSON.stringify(await stage.repository.backup())));
    expect(backup.ok && backup.records.learned).toEqual([kept]);
    await stage.repository.history.undo();
    await row.findByRole('button', { name: /^Take over/ });
    expect(await stage.database.learned.count()).toBe(0);
    await stage.repository.history.redo();
    await stage.user.click(await row.findByRole('button', { name: /^Back to the usual/ }));
    await row.findByRole('button', { name: /^Leave/ });
    expect(await stage.database.learned.count()).toBe(0);
  });

  it('that are left stay as usual, and may be taken after all', async () => {
    open('learned');
    const row = within(await screen.findByRole('listitem', { name: /^how late your days run/ }));
    await stage.user.click(row.getByRole('button', { name: /^Leave/ }));
    await row.findByText('Left as usual');
    await stage.user.click(row.getByRole('button', { name: /^Take over/ }));
    await row.findByText(/^In use:/);
    expect((await stage.database.learned.toArray()).map(({ decided }) => decided)).toEqual(['taken']);
  });

  it('stand with the thing that they belong to', async () => {
    open('demo-kit-helmet');
    const own = await screen.findByRole('region', { name: 'What came back says' });
    await waitFor(() =>
      expect(
        within(own)
          .getAllByRole('listitem')
          .map((one) => one.getAttribute('aria-label')),
      ).toEqual([expect.stringMatching(/^shake of your helmet/)]),
    );
  });

  it('that moved since they were taken are offered anew', async () => {
    const at = '2026-01-01T00:00:00.000Z';
    await stage.database.learned.put({
      kind: 'lynxeye/learned-figure',
      version: 3,
      id: 'shake/chest/skating/smooth',
      createdAt: at,
      updatedAt: at,
      demo: false,
      decided: 'taken',
      learned: {
        figure: { of: 'shake', mount: 'chest', activity: 'skating', ground: 'smooth' },
        usual: 25,
        off: 1,
        spread: 0.3,
        from: 1,
      },
    });
    open('learned');
    const row = within(await screen.findByRole('listitem', { name: /^shake of your chest, skating/ }));
    await row.findByText(/^In use: 50°\/s. By now it would be/);
    await stage.user.click(row.getByRole('button', { name: 'Take the new figure' }));
    await row.findByText(/^In use: (?!50)/);
  });
});
