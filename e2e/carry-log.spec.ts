import { allWords, expect, open, test, WHOLE } from './fixture';
import { kept } from './records';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

test('the card is carried, checked, recorded, and judged in the log', WHOLE, async ({ page }) => {
  await open(page, '/carry?shot=demo-02');
  await expect(page.getByRole('heading', { name: 'Upper gorge run' })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  const shutter = page.locator('dl').first().locator('dd').nth(1);
  expect(await shutter.evaluate((dd) => parseFloat(getComputedStyle(dd).fontSize))).toBeGreaterThanOrEqual(
    28,
  );

  await page.getByRole('checkbox', { name: 'Lens clean' }).click();
  await expect(page.getByRole('checkbox', { name: 'Lens clean' })).toBeChecked();
  await page.getByRole('button', { name: 'Glare' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'glare');
  await page.getByRole('button', { name: 'Recorded', exact: true }).click();
  await expect(page.getByText('Recorded, and in the log.')).toBeVisible();
  await open(page, '/carry?shot=demo-02');
  await expect(page.getByText(/^Recorded at/)).toBeVisible();
  await expect(page.getByRole('checkbox', { name: 'Lens clean' })).toBeChecked();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'glare');

  await open(page, '/log');
  await expect(page.getByRole('listitem').filter({ hasText: 'Upper gorge run' })).toHaveCount(1);
  const verdict = page.getByRole('group', { name: 'Verdict on Upper gorge run' });
  await verdict.getByRole('button', { name: 'cut off' }).click();
  await verdict.getByRole('combobox', { name: 'Why it was cut off' }).click();
  await page.getByRole('option', { name: 'battery flat' }).click();
  await page.getByRole('textbox', { name: 'Note on Upper gorge run' }).fill('Take the warm cell');
  await page.getByRole('heading', { name: 'Log', exact: true }).click();
  const note = expect.objectContaining({ note: 'Take the warm cell' }) as unknown;
  await expect.poll(() => kept(page, 'log')).toContainEqual(note);
  await page.reload();
  await expect(verdict.getByRole('button', { name: 'cut off' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('textbox', { name: 'Note on Upper gorge run' })).toHaveValue(
    'Take the warm cell',
  );
});

test('the log keeps the settings as they were, and filters by shot', WHOLE, async ({ page }) => {
  await open(page, '/carry?shot=demo-08');
  await page.getByRole('button', { name: 'Recorded', exact: true }).click();
  await expect(page.getByText('Recorded, and in the log.')).toBeVisible();
  await open(page, '/bench?shot=demo-08');
  await allWords(page);
  await page.getByRole('spinbutton', { name: /^Slowed, / }).fill('2');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Frame rate: 50 fps/ })).toBeVisible();
  await open(page, '/log?shot=demo-08');
  await expect(page.getByText('25 fps')).toHaveCount(1);
  await page.getByRole('combobox', { name: 'Show recordings of' }).click();
  await page.getByTitle('Holm Lake, second lap').click();
  await expect(page.getByRole('heading', { name: 'Holm Lake, second lap' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Hut evening' })).toBeHidden();
});

test('on paper only the card is left', async ({ page }) => {
  await open(page, '/carry?shot=demo-05');
  await expect(page.getByRole('button', { name: 'Recorded', exact: true })).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden();
  await expect(page.getByRole('button', { name: 'Recorded', exact: true })).toBeHidden();
  await expect(page.getByRole('heading', { name: 'Sun gate' })).toBeVisible();
  await expect(page.getByText('Test clip looked at: clipping, framing, smear')).toBeVisible();
});
