import { allWords, expect, open, test, tile, WHOLE } from './fixture';

test(
  'a shot in a plan has one answer: on the Bench, on Start and on its card; what the day holds is freed and held again',
  WHOLE,
  async ({ page }) => {
    await open(page, '/bench?shot=demo-10');
    const filter = tile(page, 'Filter');
    await expect(filter).toHaveAccessibleName(/held by the day/);
    await expect(page.getByText(/^The day holds it.* Alone it would take ND8\.$/)).toBeVisible();
    const held = (await filter.innerText()).replace(/\s+/g, ' ').replace(/ [\d.]+ stops$/, '');

    await open(page, '/');
    await expect(page.getByRole('listitem').filter({ hasText: 'Iron rungs' })).toContainText(held);
    await open(page, '/carry?shot=demo-10');
    await expect(page.getByRole('heading', { name: 'Iron rungs' })).toBeVisible();
    const card = page.getByRole('region', { name: 'Iron rungs, main' });
    await expect(card.locator('dl').first()).toContainText(held);
    // All sixteen, and what the test clip is looked at for.
    await expect(card.locator('dt')).toHaveCount(16);
    await expect(card.getByRole('heading', { name: 'In the test clip, look at' })).toBeVisible();

    await page.getByRole('link', { name: 'Open on the Bench' }).click();
    await page.getByRole('button', { name: 'Take ND8' }).click();
    await expect(filter).toHaveAccessibleName(/ND8, pinned by you/);
    await page.getByRole('button', { name: /^Undo: take filter against the day/ }).click();
    await expect(filter).toHaveAccessibleName(/held by the day/);
  },
);

test(
  'the hour of a shot in a plan is that of the day, and moves with it from either side',
  WHOLE,
  async ({ page }) => {
    await open(page, '/bench?shot=demo-05&part=light');
    await expect(page.getByText('Europe/Rome, GMT+2: that of Two days in Tarnholt Gorge')).toBeVisible();
    const from = page.getByLabel('From', { exact: true });
    await from.fill('13:05');
    await from.press('Enter');
    await page.getByRole('link', { name: /^Sat 3 Oct 2026, 13:05/ }).click();
    await expect(page.getByLabel('Starts')).toHaveValue('13:05');
    await page.getByRole('button', { name: /^Undo: start at another time/ }).click();
    await expect(page.getByLabel('Starts')).toHaveValue('12:40');
  },
);

test(
  'an outing from nothing: its place brings clock and mains, and its first shot has its sun there',
  WHOLE,
  async ({ page }) => {
    await open(page, '/outing');
    await page.getByRole('button', { name: 'More for this outing' }).click();
    await page.getByRole('menuitem', { name: 'New outing' }).click();
    await expect(page.getByText(/^Where is it\?/)).toBeVisible();
    await page.getByRole('combobox', { name: 'Place, by name or coordinates' }).fill('quito');
    await page.getByText(/^Quito, EC/).click();
    await expect(page.getByText('Quito, America/Guayaquil, GMT-5, mains 60 Hz')).toBeVisible();
    await expect(page.getByText(/^Where is it\?/)).toBeHidden();
    await page.getByRole('button', { name: 'Describe a new shot' }).click();

    const name = page.getByRole('textbox', { name: 'Name of the shot' });
    await expect(name).toBeFocused();
    await page.keyboard.type('Ridge at dawn');
    await page.keyboard.press('Tab');
    await allWords(page);
    const brief = page.getByRole('group', { name: 'The brief' });
    await expect(brief).toContainText(/Quito, .*, 09:00–09:10/);
    await expect(brief).toContainText('60 Hz');
    // Nothing of the demo is the person's own: the usual camera stands in until they have one.
    await expect(brief).not.toContainText('Otter');
    await page.getByRole('link', { name: /, 09:00$/ }).click();
    await expect(page.getByRole('region', { name: 'In order' })).toContainText('Ridge at dawn');
  },
);

test('a shot without a place asks for one before it has a sun', WHOLE, async ({ page }) => {
  await open(page, '/');
  await page.getByRole('button', { name: 'Keep and open on the Bench' }).click();
  await page.waitForURL(/bench\?shot=/);
  await allWords(page);
  const told = page.getByRole('combobox', { name: /^Light told by/ });
  await told.focus();
  await page.keyboard.type('sun');
  await page.keyboard.press('Enter');
  const place = page.getByRole('combobox', { name: 'Where is it filmed? By name or coordinates' });
  await expect(place).toBeVisible();
  await expect(page.getByText(/no sun figures until it has a place/)).toBeVisible();
  await place.fill('46.62, 12.3');
  await place.press('Enter');
  await expect(page.getByRole('group', { name: 'The brief' })).toContainText(
    /46\.6200° N, 12\.3000° E, .*12:00–13:00/,
  );
  await expect(page.getByRole('group', { name: /^Ribbon/ })).toBeVisible();
});
