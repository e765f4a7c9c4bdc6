import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { allWords, expect, open, test, tile, WHOLE } from './fixture';

const OTTER = '/kit?item=demo-kit-otter';

test(
  'the mode map says what to give up for full-roll hold at the highest resolution, by keyboard alone',
  WHOLE,
  async ({ page }) => {
    await open(page, OTTER);
    const wishes = page.getByRole('group', { name: 'Wishes' });
    const map = page.getByRole('table', { name: /Mode map/ });
    await map.getByRole('button', { name: /^4K tall at 24 fps/ }).focus();
    for (let step = 0; step < 4; step++) await page.keyboard.press('ArrowRight');
    await expect(
      map.getByRole('button', { name: /^4K tall at 60 fps: off: wide; standard: wide/ }),
    ).toBeFocused();
    await page.keyboard.press('Enter');
    const roll = wishes.getByRole('button', { name: /^full-roll hold/ });
    await expect(roll).toHaveAccessibleName(/^full-roll hold ?, not with the other wishes$/);
    await roll.focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText('No mode grants all of this')).toBeVisible();
    const cheapest = page.getByRole('listitem').filter({ hasText: 'and take 2.7K' });
    await cheapest.getByRole('button', { name: '4K tall' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText('No mode grants all of this')).toBeHidden();
    await expect(roll).toHaveAttribute('aria-pressed', 'true');
  },
);

test(
  'a sheet with faults names each and changes nothing; mended, the shots use it, and undo takes it back',
  WHOLE,
  async ({ page }) => {
    await open(page, OTTER);
    const saving = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Modes to a sheet (CSV)' }).click();
    const csv = readFileSync(await (await saving).path(), 'utf8');
    const { data } = Papa.parse<Record<string, string>>(csv, { header: true });
    const upload = async (name: string, text: string): Promise<void> => {
      const choosing = page.waitForEvent('filechooser');
      await page.getByRole('button', { name: 'Modes from a sheet' }).click();
      await (await choosing).setFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
    };
    const broken = data.map((row, at) =>
      at === 10 ? { ...row, projection: 'round' } : at === 200 ? { ...row, frameRateFps: 'fast' } : row,
    );
    await upload('broken.csv', Papa.unparse(broken));
    const faults = page.getByRole('alert').filter({ hasText: 'Nothing was taken from broken.csv: 2 faults' });
    await expect(faults).toContainText(
      'row 12, projection: expected straight, curved, equisolid, stretched, got "round"',
    );
    await expect(faults).toContainText('row 202, frameRateFps: expected a number, got "fast"');
    await expect(page.getByText('447 modes in all')).toBeVisible();

    await upload('level.csv', Papa.unparse(data.filter((row) => row.stabilization === 'off')));
    await expect(page.getByText(/^Took \d+ modes from level.csv/)).toBeVisible();
    await open(page, '/bench?shot=demo-05');
    await expect(tile(page, 'Stabilization')).toContainText('off');
    await open(page, OTTER);
    await expect(page.getByText('447 modes in all')).toBeHidden();
  },
);

test(
  'rules are edited with live advice, what would break stays a draft, and undo works',
  WHOLE,
  async ({ page }) => {
    await open(page, OTTER);
    await page.getByText('Rule 2', { exact: true }).click();
    await page.getByRole('button', { name: 'Copy rule 2' }).click();
    await expect(page.getByText(/^Rule 3 says again 36 modes that rule 2 has/)).toBeVisible();
    await page.getByRole('button', { name: /^Undo: copy a rule/ }).click();
    await expect(page.getByText(/says again/)).toBeHidden();

    await page.getByRole('spinbutton', { name: 'Screen off at' }).fill('120');
    await page.keyboard.press('Tab');
    const draft = page.getByRole('alert').filter({ hasText: 'Not kept yet' });
    await expect(draft).toContainText(
      'heat.shutdownC: expected warnC, screenOffC and shutdownC in rising order',
    );
    await draft.getByRole('button', { name: 'go back to what is kept' }).click();
    await expect(page.getByRole('spinbutton', { name: 'Screen off at' })).toHaveValue('68');
  },
);

test(
  'a camera is added, renamed, copied, put away and offered to a shot; other things too',
  WHOLE,
  async ({ page }) => {
    await open(page, '/kit');
    await page.getByRole('button', { name: 'Add a camera' }).click();
    await page.getByRole('menuitem', { name: 'like a rail camera' }).click();
    const name = page.getByRole('textbox', { name: 'Name', exact: true }).first();
    await expect(page.getByRole('heading', { name: 'My rail camera' })).toBeVisible();
    await name.fill('Heron');
    await name.press('Enter');
    await expect(page.getByRole('heading', { name: 'Heron', exact: true })).toBeVisible();
    await open(page, '/bench?shot=demo-05');
    await allWords(page);
    await page.getByRole('combobox', { name: /^Camera, / }).focus();
    await page.keyboard.type('heron');
    await page.keyboard.press('Enter');
    await expect(tile(page, 'View')).toContainText(/standard|long/);

    await open(page, '/kit');
    await page.getByRole('button', { name: 'Add a filter' }).click();
    await page.getByRole('spinbutton', { name: 'By its label' }).fill('6.3');
    await page.keyboard.press('Tab');
    await expect(page.getByText('Passes 1/78.8 of the light; density 1.9, by its label.')).toBeVisible();
    await page.getByRole('button', { name: 'Put away' }).click();
    await expect(page.getByRole('button', { name: 'Take out again' })).toBeVisible();

    await page.getByRole('button', { name: 'Add a cell' }).click();
    await page.getByRole('spinbutton', { name: 'How many' }).fill('3');
    await page.keyboard.press('Tab');
    await expect(page.getByText(/19\.9 Wh in all/)).toBeVisible();
  },
);
