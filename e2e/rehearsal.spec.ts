import { expect, expectNoAxeFindings, open, test, WHOLE } from './fixture';

const SUNDAY = '/rehearsal?outing=demo-outing&day=sunday';

test(
  'the demo outing rehearsed: what is likeliest to fail and why, what helps most taken, and rehearsed again',
  WHOLE,
  async ({ page }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await open(page, '/outing?outing=demo-outing&day=sunday');
    await page.getByRole('link', { name: 'Rehearse this day' }).click();
    await expect(page.getByText('1000 days counted, seed 1')).toBeVisible();
    await expect(page.getByText(/^Likeliest to fail: Tunnel descent, .* for smear\.$/)).toBeVisible();
    const lasts = page.getByText(/^Cards, cells and cameras last in/);
    const before = await lasts.innerText();
    const take = page.getByRole('button', { name: /^Take: A stop of 5 min after \d+ min of Iron rungs/ });
    await expect(take).toBeVisible();
    await expectNoAxeFindings(page, 'a rehearsal');
    await take.press('Enter');
    await expect(lasts).not.toHaveText(before);
    await page.getByRole('button', { name: /^Undo: take A stop of 5 min/ }).click();
    await expect(lasts).toHaveText(before);
    // The same days, whoever counts them.
    await page.getByRole('button', { name: 'Draw other days' }).click();
    await expect(page.getByText('1000 days counted, seed 2')).toBeVisible();
  },
);

test(
  'days pass by themselves until one is held, by keys alone; with less motion none does',
  WHOLE,
  async ({ page }) => {
    await open(page, SUNDAY);
    const which = page.getByLabel('Which day');
    await expect(which).not.toHaveValue('1');
    await page.getByRole('button', { name: 'A bad day' }).press('Enter');
    await expect(page.getByRole('button', { name: 'Play' })).toBeVisible();
    const held = await which.inputValue();
    await expect(page.getByText(new RegExp(`^Day ${held}: .*It loses`))).toBeVisible();
    await page.getByRole('button', { name: 'Next day' }).press('Enter');
    await expect(which).toHaveValue(String(Number(held) + 1));

    await page.emulateMedia({ reducedMotion: 'reduce' });
    await open(page, SUNDAY);
    await expect(page.getByText('1000 days counted, seed 1')).toBeVisible();
    await expect(which).toHaveValue('1');
    await expect(page.getByRole('button', { name: 'Play' })).toBeVisible();
  },
);

test(
  'other times, a kept day and a reading, by keys alone; the reading and the checks reach the cards',
  WHOLE,
  async ({ page }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await open(page, '/rehearsal?outing=demo-outing&day=saturday');
    await expect(page.getByText('1000 days counted, seed 1')).toBeVisible();
    await page.getByRole('button', { name: 'A bad day' }).press('Enter');
    const keep = page.getByRole('button', { name: 'Keep this day' });
    await expect(keep).toBeEnabled();
    await keep.press('Enter');
    await expect(page.getByRole('button', { name: /^Look at day \d+ of seed 1$/ })).toBeVisible();
    await page.getByRole('button', { name: 'Take a reading before Upper gorge run' }).press('Enter');
    await expect(page.getByText('It is on the cards.')).toBeVisible();
    await page.getByRole('button', { name: 'Look for better times' }).press('Enter');
    await expect(page.getByText(/^On days that the search had not seen, a day loses/)).toBeVisible();
    await expectNoAxeFindings(page, 'other times');
    await page.getByRole('button', { name: 'Leave them' }).press('Enter');
    await expect(page.getByRole('button', { name: 'Take these times' })).toHaveCount(0);
    await page.getByRole('link', { name: 'Open the card of Hut evening' }).first().press('Enter');
    await expect(page.getByRole('checkbox').first()).toHaveAccessibleName(
      /^Nothing left on the lens saves 0\.\d/,
    );
    await page
      .getByRole('list', { name: 'Cards of the day' })
      .getByRole('button', { name: 'At the put-in' })
      .click();
    await expect(
      page.getByRole('checkbox', {
        name: /^Read the light where it is brightest, for Upper gorge run: up to EV/,
      }),
    ).toBeVisible();
  },
);

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });
  test('a rehearsal fits, and axe finds nothing', WHOLE, async ({ page }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await open(page, SUNDAY);
    await expect(page.getByText('1000 days counted, seed 1')).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await expectNoAxeFindings(page, 'a rehearsal on a phone');
  });
});
