import type { Locator, Page } from '@playwright/test';
import { expect, expectNoAxeFindings, open, test, WHOLE } from './fixture';

/** Answers pairs by keys until the course is done: each key once the next pair is there. */
async function answer(page: Page, keys: readonly string[]): Promise<void> {
  for (const [at, key] of keys.entries()) {
    await expect(
      page.getByRole('heading', { name: `Pair ${at + 1} of 16: which would you rather watch?` }),
    ).toBeVisible();
    await expect(page.getByRole('button', { name: 'A is better' })).toBeEnabled();
    await page.keyboard.press(key);
  }
}

test(
  'a dozen pairs and some plain ones make a school of one’s own, which the Bench offers, carries and forgets',
  WHOLE,
  async ({ page }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await open(page, '/practice?part=eye');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByRole('button', { name: 'A is better' })).toBeEnabled();
    await expect(page.getByText(/^Drawing \d+ of \d+ pictures/)).toHaveCount(0);
    // The films are there: some of each is neither the one nor the other end of the scale.
    const drawn = await page.evaluate(() =>
      [...document.querySelectorAll('canvas')].map((canvas) => {
        const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
        return new Set(data.filter((_, at) => at % 4 === 1)).size;
      }),
    );
    expect(drawn).toHaveLength(2);
    for (const levels of drawn) expect(levels).toBeGreaterThan(20);
    await expectNoAxeFindings(page, 'a pair of films');
    await answer(
      page,
      Array.from({ length: 16 }, (_, at) => ['a', 'c', 'b', 'c'][at % 4]!),
    );
    await expect(page.getByText('From 16 pairs.')).toBeVisible();
    await expectNoAxeFindings(page, 'a school of one’s own');
    await page.getByRole('button', { name: 'Use as the school mine' }).click();
    await expect(page.getByRole('columnheader', { name: 'In use' })).toBeVisible();
    const file = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save as a file' }).click();
    expect((await file).suggestedFilename()).toBe('lynxeye-mine.json');

    await open(page, '/bench?shot=demo-13&part=choice');
    await page.getByRole('button', { name: 'Take mine' }).click();
    await expect(page.getByText('All judged with the eyes of mine.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Take weigh it' })).toBeVisible();

    await open(page, '/practice?part=eye');
    await page.getByRole('button', { name: 'Forget it all' }).click();
    await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible();
    await page.getByRole('button', { name: 'Undo: forget your own eye' }).click();
    await expect(page.getByText('From 16 pairs.')).toBeVisible();
  },
);

test('what to get next names the best set for one’s own money', WHOLE, async ({ page }) => {
  await open(page, '/kit');
  await page.getByRole('link', { name: 'What to get next' }).click();
  await expect(page.getByText('Say what each would cost you')).toBeVisible();
  await page.getByLabel('Price of ND64 for Shrew').fill('25');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Best for the money: ND64 for Shrew\. Together 25,/)).toBeVisible();
  await page.getByLabel('Price of ND32 for Shrew').fill('5');
  await page.keyboard.press('Enter');
  await page.getByLabel('Budget', { exact: true }).fill('10');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Best for the money: ND32 for Shrew\. Together 5,/)).toBeVisible();
  await expectNoAxeFindings(page, 'what to get next');
  await page.reload();
  await expect(page.getByLabel('Price of ND64 for Shrew')).toHaveValue('25');
});

test(
  'drills by keys alone: from the question to the answers, from what came of one to the next',
  WHOLE,
  async ({ page }) => {
    await open(page, '/practice');
    await page.getByRole('button', { name: 'Three drills' }).press('Enter');
    for (const at of [1, 2]) {
      await expect(page.getByRole('heading', { name: new RegExp(`^${at} of 3: `) })).toBeVisible();
      const answer = page.getByRole('group', { name: 'Answers' }).getByRole('button').first();
      await expect(answer).toBeVisible();
      for (
        let step = 0;
        step < 4 && !(await answer.evaluate((one) => one === document.activeElement));
        step += 1
      )
        await page.keyboard.press('Tab');
      await page.keyboard.press('Enter');
      const next = page.getByRole('button', { name: 'Next' });
      await expect(next).toBeEnabled();
      for (
        let step = 0;
        step < 8 && !(await next.evaluate((one) => one === document.activeElement));
        step += 1
      )
        await page.keyboard.press('Tab');
      await page.keyboard.press('Enter');
    }
    await expect(page.getByRole('heading', { name: /^3 of 3: / })).toBeVisible();
  },
);

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
  test(
    'three drills with one thumb: every press lies in the lower half, nothing is scrolled for',
    WHOLE,
    async ({ page }) => {
      await page.emulateMedia({ reducedMotion: 'reduce' });
      await open(page, '/practice');
      await page.getByRole('button', { name: 'Three drills' }).tap();
      const answers = page.getByRole('group', { name: 'Answers' }).getByRole('button');
      const underThumb = async (what: Locator): Promise<void> => {
        const box = (await what.boundingBox())!;
        expect(box.y).toBeGreaterThan(422);
        expect(box.y + box.height).toBeLessThanOrEqual(844);
        expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(44);
      };
      for (const [at, next] of ['Next', 'Next', 'Done'].entries()) {
        await expect(page.getByRole('heading', { name: new RegExp(`^${at + 1} of 3: `) })).toBeVisible();
        await expect(answers.first()).toBeVisible();
        for (const one of await answers.all()) await underThumb(one);
        expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
        await expectNoAxeFindings(page, `drill ${at + 1}`);
        await answers.nth(at).tap();
        await expect(page.getByText(/it is\.|that is it\.|^As good as/)).toBeVisible();
        const on = page.getByRole('button', { name: next });
        await expect(on).toBeEnabled();
        await underThumb(on);
        await expectNoAxeFindings(page, `drill ${at + 1} answered`);
        await on.tap();
      }
      await expect(page.getByText(/^Three done: [\d., ]+ lost over the best\.$/)).toBeVisible();
      await page.reload();
      await expect(page.getByRole('button', { name: 'Three more' })).toBeVisible();
      await expectNoAxeFindings(page, 'what was practised');
    },
  );

  test(
    'both films and every answer are in sight, and nothing goes over the edge',
    WHOLE,
    async ({ page }) => {
      await page.emulateMedia({ reducedMotion: 'reduce' });
      await open(page, '/practice?part=eye');
      await page.getByRole('button', { name: 'Begin' }).click();
      await expect(page.getByRole('button', { name: 'B is better' })).toBeEnabled();
      await page.getByRole('button', { name: 'A is better' }).scrollIntoViewIfNeeded();
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
      await expectNoAxeFindings(page, 'a pair of films on a phone');
      await page.getByRole('button', { name: 'Cannot tell' }).click();
      await expect(page.getByRole('heading', { name: /^Pair 2 of 16/ })).toBeVisible();
      await open(page, '/kit?item=worth');
      await expect(page.getByText(/^As things are/)).toBeVisible();
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
      await expectNoAxeFindings(page, 'what to get next on a phone');
    },
  );
});
