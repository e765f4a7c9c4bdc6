import { expect, expectNoAxeFindings, open, test, WHOLE } from './fixture';

test('read aloud, the page on steadiness says why a steadied helmet wants a short shutter', async ({
  page,
}) => {
  await open(page, '/reasons?page=steadiness');
  const article = page.getByRole('article', { name: 'Steadiness and the shake floor' });
  await expect(article.getByText(/wants 1\/2\d0 s/)).toBeVisible();
  const heard = await article.ariaSnapshot();
  // In the order in which it is heard: what steadying does, what it cannot, what that looks like, and so the shutter.
  const told = [
    /heading "Steadiness and the shake floor"/,
    /paragraph: Steadying moves each picture after it was taken/,
    /within a picture, while the shutter stood open, it cannot undo/,
    /paragraph: "?A helmet on rough ground turns at \d+ degrees a second/,
    /the film pulses with every step or stone, and nothing takes it out afterwards/,
    /Up to 0\.35 % of the width nobody minds on a steady picture/,
    /the shutter may stay open no longer than 1\/2\d\d s\. That is the shake floor/,
    /So a steadied helmet wants 1\/2\d0 s: not for the light, and not for the look, but because steadying leaves the blur within each picture where it is/,
    /heading "The formulas, live"/,
    /region "Smear of the shake"/,
    /slider "shutter, Smear of the shake"/,
    /img "Smear of the shake over shutter, from/,
    /heading "What a viewer sees go wrong"/,
    /heading "Words"/,
    /term: Shake floor/,
  ];
  let from = 0;
  for (const one of told) {
    const at = heard.slice(from).search(one);
    expect(at, `${String(one)} after ${heard.slice(Math.max(0, from - 80), from)}`).toBeGreaterThanOrEqual(0);
    from += at + 1;
  }
  // Nothing stands there without a name, and no heading leaves out a level.
  expect(heard).not.toMatch(/- (img|link|button|slider|region|combobox)(:| \[|$)/m);
  await expectNoAxeFindings(page, 'the page on steadiness');
});

test(
  'from a tile, a warning and a word to their pages with that shot’s numbers, and back to the same panel',
  WHOLE,
  async ({ page }) => {
    const bench = '/bench?shot=demo-10&part=choice';
    await open(page, bench);
    await page.getByRole('link', { name: 'Why: Shutter and the look of movement' }).first().click();
    await expect(page.getByRole('heading', { name: 'Shutter and the look of movement' })).toBeVisible();
    await expect(page.getByRole('combobox', { name: 'Numbers of' })).toBeVisible();
    await page.getByRole('link', { name: 'Back to where you were' }).click();
    await expect(page).toHaveURL(new RegExp(`${bench.replace('?', '\\?')}$`));
    const warnings = page.getByRole('region', { name: 'What will be seen' });
    await warnings
      .getByRole('link', { name: /^Why: / })
      .first()
      .click();
    await expect(page).toHaveURL(/\/reasons\?page=/);
    await page.goBack();
    await page.getByRole('button', { name: 'shake floor' }).first().click();
    await page
      .getByRole('dialog')
      .getByRole('link', { name: /^More in Reasons: Steadiness/ })
      .click();
    await expect(page.getByRole('dialog')).toBeHidden();
    await expect(page.getByText(/^On this shot: shake /)).toBeVisible();
  },
);

test(
  'found by the palette and by its key; a slider by keys; printed without its tools',
  WHOLE,
  async ({ page }) => {
    await open(page, '/');
    await page.keyboard.press('Control+k');
    await page.getByRole('dialog').getByRole('combobox').fill('pulse left');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Lamps that pulse' })).toBeVisible();
    const formula = page.getByRole('region', { name: 'Pulse left in an exposure' });
    await expect(formula).toBeInViewport();
    const said = formula.getByRole('status');
    const before = await said.textContent();
    await formula.getByRole('slider').first().press('End');
    await expect(said).not.toHaveText(before!);
    await formula.getByRole('button', { name: 'As on the shot' }).press('Enter');
    await expect(said).toHaveText(before!);
    await open(page, '/kit');
    await page.keyboard.press('0');
    await expect(page.getByRole('heading', { name: 'Reasons', exact: true })).toBeVisible();
    await page.emulateMedia({ media: 'print' });
    await expect(page.getByRole('slider').first()).toBeHidden();
    await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
    await expect(page.getByRole('heading', { name: 'Playback and frame rate' })).toBeVisible();
  },
);

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });
  test('a page is chosen, read and left within the width', WHOLE, async ({ page }) => {
    await open(page, '/reasons?page=schools&shot=demo-10');
    await page.getByRole('combobox', { name: 'Page', exact: true }).click();
    await page.getByTitle('How each figure is known').click();
    await expect(page.getByRole('heading', { name: 'How each figure is known' })).toBeVisible();
    await page.getByText('standard', { exact: true }).first().click();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await expectNoAxeFindings(page, 'figures on a phone');
  });
});
