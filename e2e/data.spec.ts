import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, expectNoAxeFindings, open, test, tile, WHOLE } from './fixture';
import { DEMO } from './records';

async function menu(page: Page, item: string): Promise<void> {
  await page.getByRole('button', { name: 'Menu' }).click();
  await page.getByRole('menuitem', { name: item }).click();
}

async function drop(page: Page, name: string, text: string): Promise<void> {
  const data = await page.evaluateHandle(
    ([file, content]) => {
      const transfer = new DataTransfer();
      transfer.items.add(new File([content!], file!, { type: 'application/json' }));
      return transfer;
    },
    [name, text],
  );
  await page.dispatchEvent('main', 'drop', { dataTransfer: data });
}

test('everything goes out in one file and comes back; a broken one changes nothing and lists its faults', async ({
  page,
}) => {
  await open(page, '/');
  const saving = page.waitForEvent('download');
  await menu(page, 'Export everything');
  const file = readFileSync(await (await saving).path(), 'utf8');
  const backup = JSON.parse(file) as { shots: { shot: { name: string; light?: object } }[]; log: object[] };
  expect(backup.shots).toHaveLength(DEMO.shots.length);
  expect(backup.log).toHaveLength(DEMO.log.length);

  backup.shots[0]!.shot.name = 'Renamed elsewhere';
  backup.shots[3]!.shot.light = { kind: 'range', evMin: 'low', evMax: 12 };
  await drop(page, 'broken.json', JSON.stringify(backup));
  const faults = page.getByRole('dialog');
  await expect(faults).toContainText('shots[3].shot.light.evMin: expected number, got string');
  await faults.getByRole('button', { name: 'Close' }).last().click();
  await expect(page.getByText('Renamed elsewhere')).toBeHidden();

  backup.shots[3]!.shot.light = { kind: 'range', evMin: 9, evMax: 12 };
  await drop(page, 'mended.json', JSON.stringify(backup));
  // Changed by hand, it says nothing of what it rests on: nothing here is replaced before the person says so.
  const coming = page.getByRole('dialog');
  await expect(coming).toContainText('2 changed here and there');
  await expect(coming).toContainText('name: Put-in talk → Renamed elsewhere');
  await expectNoAxeFindings(page, 'what comes');
  await coming.getByRole('button', { name: 'Take all as in the file' }).click();
  await expect(page.getByText(/^Imported 2 shots\. \d+ records were here already\./)).toBeVisible();
  await expect(page.getByRole('link', { name: 'Renamed elsewhere', exact: true })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('link', { name: 'Renamed elsewhere', exact: true })).toBeHidden();
});

test('a shot is copied as text and as JSON, and pasted back', WHOLE, async ({ page }) => {
  await open(page, '/bench?shot=demo-04');
  await page.getByRole('button', { name: 'More for this shot' }).click();
  await page.getByRole('menuitem', { name: 'Copy as text' }).click();
  await expect(page.getByText('Copied the card as text.')).toBeVisible();
  const text = await page.evaluate(() => navigator.clipboard.readText());
  expect(text).toMatch(/^Weir drop\nFrame rate: 200 fps\nShutter: /);
  await open(page, '/');
  await page.keyboard.press('Control+v');
  await expect(page.getByRole('heading', { name: 'Shots kept: 21' })).toBeVisible();

  await open(page, '/bench?shot=demo-05');
  await page.getByRole('button', { name: 'More for this shot' }).click();
  await page.getByRole('menuitem', { name: 'Copy as JSON' }).click();
  await expect(page.getByText('Copied the shot as JSON.')).toBeVisible();
  expect(JSON.parse(await page.evaluate(() => navigator.clipboard.readText()))).toMatchObject({
    name: 'Sun gate',
  });
});

test('two windows stay in step, and neither undoes over the other', async ({ page, context }) => {
  await open(page, '/bench?shot=demo-05');
  const other = await context.newPage();
  await open(other, '/bench?shot=demo-05');
  await tile(page, 'Frame rate').press('ArrowUp');
  await expect(tile(other, 'Frame rate')).toHaveAccessibleName(/30 fps, pinned/);
  await tile(other, 'Frame rate').press('ArrowUp');
  await expect(tile(page, 'Frame rate')).toHaveAccessibleName(/50 fps, pinned/);
  await page.getByRole('button', { name: /^Undo: / }).click();
  await expect(page.getByText('changed in another window')).toBeVisible();
  await expect(tile(page, 'Frame rate')).toHaveAccessibleName(/50 fps, pinned/);
});

test(
  'a shot is duplicated, removed and brought back; the demo is reset without touching it',
  WHOLE,
  async ({ page }) => {
    await open(page, '/bench?shot=demo-05');
    // The shot is seen before it is copied: until then the key has nothing to act on.
    await expect(page.getByRole('textbox', { name: 'Name of the shot' })).toHaveValue('Sun gate');
    await page.keyboard.press('d');
    await expect(page.getByRole('textbox', { name: 'Name of the shot' })).toHaveValue('Sun gate, copy');
    await page.getByRole('button', { name: 'More for this shot' }).click();
    await page.getByRole('menuitem', { name: 'Remove' }).click();
    await expect(page.getByRole('heading', { name: 'Shots kept: 20' })).toBeVisible();
    await page.getByRole('button', { name: /^Undo: remove a shot/ }).click();
    await expect(page.getByRole('heading', { name: 'Shots kept: 21' })).toBeVisible();

    await open(page, '/bench?shot=demo-05');
    await page.getByRole('textbox', { name: 'Name of the shot' }).fill('Something else');
    await page.keyboard.press('Tab');
    await menu(page, 'Load the demo');
    await page.getByRole('dialog').getByRole('button', { name: 'Load the demo' }).click();
    await expect(page.getByRole('textbox', { name: 'Name of the shot' })).toHaveValue('Sun gate');
    await open(page, '/');
    await expect(page.getByRole('link', { name: 'Sun gate, copy', exact: true })).toBeVisible();
  },
);

test('themes, filter notation and keys', WHOLE, async ({ page }) => {
  await open(page, '/bench?shot=demo-07');
  await menu(page, 'Night');
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'night');
  await menu(page, 'by density');
  await expect(tile(page, 'Filter')).toContainText('ND 1.2');
  await page.keyboard.press('Escape');
  await page.getByRole('heading', { name: 'Stop rule' }).click();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('pin the tile, or let it go');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('combobox', { name: 'Go anywhere' })).toBeFocused();
  await page.keyboard.type('wire bri');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Name of the shot' })).toHaveValue('Wire bridge');
  await page.getByRole('heading', { name: 'Stop rule' }).click();
  await page.keyboard.press('7');
  await expect(page.getByRole('heading', { name: 'Log', exact: true })).toBeVisible();
});
