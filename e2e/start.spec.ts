import { expect, open, test } from './fixture';

test('a new shot described with the keyboard alone has its card printed within twelve actions', async ({
  page,
}) => {
  await page.addInitScript(() => {
    window.print = () => {
      document.body.dataset.printed = 'yes';
    };
  });
  await open(page, '/');
  let actions = 0;
  const press = async (key: string): Promise<void> => {
    actions++;
    await page.keyboard.press(key);
  };
  const type = async (text: string): Promise<void> => {
    actions++;
    await page.keyboard.type(text);
  };

  await press('n');
  await expect(page.getByRole('combobox', { name: 'The ride' })).toBeFocused();
  await type('padd');
  await press('Enter');
  await expect(page.getByRole('combobox', { name: 'The light' })).toBeFocused();
  await type('gorge');
  await press('Enter');
  await expect(page.getByRole('combobox', { name: 'The playback' })).toBeFocused();
  await type('2');
  await press('Enter');
  await expect(page.getByRole('button', { name: 'Keep and carry' })).toBeFocused();
  await press('Enter');
  await expect(page.getByRole('heading', { name: 'Paddling, gorge floor to open sun' })).toBeVisible();
  await expect(page.getByText('50 fps')).toBeVisible();
  await press('p');
  await expect(page.locator('body')).toHaveAttribute('data-printed', 'yes');
  expect(actions).toBeLessThanOrEqual(12);
});

test('the first open is seeded with the demo shots, once, and the quick brief answers live', async ({
  page,
}) => {
  await open(page, '/');
  await expect(page.getByRole('heading', { name: 'Shots kept: 20' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Sun gate', exact: true })).toBeVisible();

  await page.getByRole('combobox', { name: 'The playback' }).press('ArrowDown');
  await page.getByRole('option', { name: 'slowed 4×' }).waitFor({ state: 'attached' });
  await page.getByTitle('slowed 4×').click();
  await expect(page.locator('dd').filter({ hasText: /^100 fps$/ })).toBeVisible();

  await page.getByRole('searchbox', { name: 'Find a shot by name' }).fill('weir');
  await expect(page.getByRole('link', { name: 'Sun gate', exact: true })).toBeHidden();
  await expect(page.getByRole('link', { name: 'Weir drop', exact: true })).toBeVisible();
});
