import type { Page } from '@playwright/test';
import { allWords, expect, open, openAlone, test, tile, WHOLE } from './fixture';

const word = (
  page: Page,
  name: string,
  role: 'combobox' | 'spinbutton' = 'combobox',
): ReturnType<Page['getByRole']> => page.getByRole(role, { name: new RegExp(`^${name}, `) });

async function choose(page: Page, name: string, typed: string): Promise<void> {
  await word(page, name).focus();
  await page.keyboard.type(typed);
  await page.keyboard.press('Enter');
}

test.beforeEach(async ({ page }) => {
  await open(page, '/bench?shot=demo-05');
  await allWords(page);
});

test('words of the sentence re-solve, are undone and done again', WHOLE, async ({ page }) => {
  await expect(tile(page, 'Frame rate')).toContainText('25');
  await word(page, 'Slowed', 'spinbutton').fill('4');
  await expect(tile(page, 'Frame rate')).toContainText('100');
  await page.keyboard.press('Enter');
  await choose(page, 'School', 'film');
  await expect(tile(page, 'Stabilization')).toContainText('off');
  await expect(word(page, 'School')).toHaveAccessibleName('School, set by you');

  await page.getByRole('heading', { name: 'Stop rule' }).click();
  await page.keyboard.press('Control+z');
  await expect(word(page, 'School')).toHaveAccessibleName('School, usual value');
  await page.keyboard.press('Control+z');
  await expect(tile(page, 'Frame rate')).toContainText('25');
  await page.keyboard.press('Control+Shift+z');
  await expect(tile(page, 'Frame rate')).toContainText('100');
});

test('a tile is nudged, pinned, priced and let go by keyboard', WHOLE, async ({ page }) => {
  const frameRate = tile(page, 'Frame rate');
  await frameRate.focus();
  await page.keyboard.press('ArrowUp');
  await expect(frameRate).toHaveAccessibleName(/30 fps, pinned by you/);
  await expect(page.getByText(/pinned, costs \d\.\d/)).toBeVisible();
  await expect(page.getByText(/Uneven steps/)).toBeVisible();
  await expect(page.getByText('without your pin')).toBeVisible();
  await page.keyboard.press(' ');
  await expect(frameRate).toHaveAccessibleName(/25 fps, worked out/);

  await expect(page.getByRole('menu')).toHaveCount(0);

  // The list is walked by keyboard too, and gives the focus back.
  await tile(page, 'Filter').press('Enter');
  await expect(page.getByRole('menuitem', { name: 'none' })).toBeFocused();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('menuitem', { name: 'ND64' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(tile(page, 'Filter')).toHaveAccessibleName(/ND64, pinned by you/);
  await expect(tile(page, 'Filter')).toBeFocused();
});

test('what the camera lacks is refused, and the nearest way is one press away', WHOLE, async ({ page }) => {
  await tile(page, 'Frame rate').press('Enter');
  await page.getByRole('menuitem', { name: '60 fps' }).click();
  await tile(page, 'Resolution').press('Enter');
  await page.getByRole('menuitem', { name: '4K · 3840×2160' }).click();
  await tile(page, 'Stabilization').press('Enter');
  await page.getByRole('menuitem', { name: 'full-roll hold' }).click();
  const refusal = page.getByRole('alert').filter({ hasText: 'That cannot be' });
  await expect(refusal).toContainText('full-roll hold only up to 2.7K at 60 fps');
  await refusal.getByRole('button', { name: /^resolution / }).click();
  await expect(refusal).toBeHidden();
  await expect(tile(page, 'Stabilization')).toHaveAccessibleName(/full-roll hold, pinned/);
  await expect(tile(page, 'Resolution')).not.toContainText('3840');
});

test('the stop rule is dragged and nudged, and names what sticks out', async ({ page }) => {
  // By itself: what its day holds of it is worked out a while after each nudge, and moves what the next one begins from.
  await openAlone(page, 'demo-05');
  const brightest = page.getByRole('slider', { name: 'Brightest light of the run' });
  await brightest.scrollIntoViewIfNeeded();
  const box = (await brightest.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x - 200, box.y + 10, { steps: 6 });
  await page.mouse.up();
  await expect(word(page, 'Light told by')).toBeVisible();
  await expect(page.getByRole('spinbutton', { name: /^Brightest, set by you/ })).toBeVisible();
  expect(Number(await brightest.getAttribute('aria-valuenow'))).toBeLessThan(15);

  const filter = page.getByRole('slider', { name: 'Filter: slides the window' });
  await tile(page, 'Shutter').press('Enter');
  await page.getByRole('menuitem', { name: '1/50 s · 180°' }).click();
  const before = Number(await filter.getAttribute('aria-valuenow'));
  await filter.focus();
  await page.keyboard.press('ArrowLeft');
  await expect.poll(async () => Number(await filter.getAttribute('aria-valuenow'))).toBeLessThan(before);
  for (let presses = 0; presses < 4; presses++) await page.keyboard.press('ArrowLeft');
  await expect(page.getByText(/and goes white/)).toBeVisible();
  await expect(page.getByText(/White sky: /)).toBeVisible();

  const ceiling = page.getByRole('slider', { name: /^ISO ceiling/ });
  await ceiling.focus();
  await page.keyboard.press('ArrowRight');
  await expect(word(page, 'ISO ceiling', 'spinbutton')).toHaveValue('400');
});

test('schools stand side by side and are taken with one press', WHOLE, async ({ page }) => {
  const schools = page.getByRole('region', { name: 'The schools on this shot' });
  await expect(schools.getByRole('listitem')).toHaveCount(6);
  await expect(schools.getByRole('img', { name: /Loss by school: weigh it/ })).toBeVisible();
  await schools.getByRole('button', { name: 'Take crisp first' }).click();
  await expect(word(page, 'School')).toHaveAccessibleName('School, set by you');
  await expect(schools.getByRole('listitem').filter({ hasText: 'chosen' })).toContainText('crisp first');

  const steps = page.getByRole('region', { name: 'A step to either side' });
  await steps.getByRole('button', { name: /^Take one filter step darker/ }).click();
  await expect(tile(page, 'Filter')).toHaveAccessibleName(/pinned by you/);
  await expect(steps.getByText(/without your pin/)).toBeVisible();
});

test(
  'light wider than any window says how much each end misses and what would help',
  WHOLE,
  async ({ page }) => {
    await open(page, '/bench?shot=demo-13');
    await choose(page, 'School', 'film');
    const seen = page.getByRole('region', { name: 'What will be seen' });
    await expect(seen.getByText(/Dark shade: .* \d+\.\d stops below the window/)).toBeVisible();
    await seen.getByText('What would help').first().click();
    await expect(seen.getByText(/Split the run at .* leaves/).first()).toBeVisible();
    await expect(seen.getByText(/Raise the ISO ceiling to \d+: leaves/).first()).toBeVisible();
  },
);

test('an unknown shot says so and leads on', WHOLE, async ({ page }) => {
  await open(page, '/bench?shot=nowhere');
  await expect(page.getByRole('heading', { name: 'No such shot here' })).toBeVisible();
});

test('what of the kit would film it better is told, and taken with a press', WHOLE, async ({ page }) => {
  await open(page, '/bench?shot=demo-06');
  const fromKit = page.getByRole('region', { name: 'From your kit' });
  await expect(fromKit).toContainText(/ND64: loss \d\.\d instead of \d\.\d; less: /);
  await fromKit.getByRole('button', { name: 'Take ND64 of your kit' }).click();
  await expect(tile(page, 'Filter')).toContainText('ND64');
  await expect(tile(page, 'Shutter')).not.toContainText('auto');
});

test(
  'a word opens what it means with its figure, the palette finds words, and hints go for good',
  WHOLE,
  async ({ page }) => {
    await page.getByRole('button', { name: 'highlight guard' }).first().click();
    const dialog = page.getByRole('dialog');
    await expect(dialog).toContainText('goes white');
    await expect(dialog).toContainText(/On this shot: \d\.\d stops\./);
    await page.keyboard.press('Escape');
    await expect(dialog).toBeHidden();
    await page.keyboard.press('Control+k');
    await expect(page.locator('[cmdk-input]')).toBeFocused();
    await page.keyboard.type('What it means: shake floor');
    await page.keyboard.press('Enter');
    await expect(dialog.filter({ hasText: 'The longest shutter' })).toBeVisible();
    await page.keyboard.press('Escape');

    const hints = page.getByRole('note');
    await expect(hints).toHaveCount(3);
    for (let left = 2; left >= 0; left -= 1) {
      await page.getByRole('button', { name: 'Dismiss this hint' }).first().click();
      await expect(hints).toHaveCount(left);
    }
    await page.reload();
    await expect(tile(page, 'Filter')).toBeVisible();
    await expect(hints).toHaveCount(0);
  },
);

test('the answer stays in sight while a panel is read, on a phone with the other four at a tap', async ({
  page,
}) => {
  const bar = page.getByRole('complementary', { name: 'The answer' });
  await expect(bar).toBeHidden();
  await page.getByRole('button', { name: 'Modes', exact: true }).scrollIntoViewIfNeeded();
  await page.mouse.wheel(0, 1200);
  await expect(bar).toContainText('ND16');
  await expect(bar.getByText('Stabilization')).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await page.mouse.wheel(0, 400);
  await expect(bar.getByText('Frame rate')).toBeVisible();
  await expect(bar.getByText('Stabilization')).toBeHidden();
  await bar.getByRole('button', { name: 'The other four' }).click();
  await expect(bar.getByText('Stabilization')).toBeVisible();
});

test(
  'somebody is to be heard: what to do about the sound stands on the Bench, with why, and on the card',
  WHOLE,
  async ({ page }) => {
    const sound = page.getByRole('region', { name: 'Sound', exact: true });
    await expect(page.getByRole('region', { name: 'What will be seen' })).toBeVisible();
    await expect(sound).toHaveCount(0);
    await choose(page, 'Sound', 'to be heard');
    await expect(sound.getByText(/^A clap, or place and take spoken/)).toBeVisible();
    await word(page, 'Wind', 'spinbutton').fill('20');
    await page.keyboard.press('Enter');
    await expect(sound.getByText(/a cover alone gives in/)).toBeVisible();
    await sound.getByRole('link', { name: 'Why: Sound' }).click();
    await expect(page.getByText(/^Air past a microphone is louder than a voice/)).toBeVisible();
    await open(page, '/carry?shot=demo-05');
    await expect(page.getByRole('checkbox', { name: 'Outside microphone on, heard once' })).toBeVisible();
  },
);
