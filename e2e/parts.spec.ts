import { allWords, expect, open, test, tile, WHOLE } from './fixture';

test('framing: the subject is moved by keyboard and by hand, two views are compared, a near face is soft', async ({
  page,
}) => {
  await open(page, '/bench?shot=demo-01&part=framing');
  await allWords(page);
  const panel = page.getByRole('region', { name: 'Framing' });
  const distance = panel.getByRole('slider', { name: 'Subject distance' });
  await expect(distance).toHaveAttribute('aria-valuenow', '0.7');
  await distance.focus();
  await page.keyboard.press('ArrowUp');
  await expect(distance).toHaveAttribute('aria-valuenow', '0.77');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('spinbutton', { name: /^Subject to the side, set by you/ })).not.toHaveValue(
    '0',
  );
  const pitch = panel.getByRole('slider', { name: 'Camera looks down by' });
  await pitch.focus();
  await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByRole('spinbutton', { name: /^Looking down, set by you/ })).toHaveValue('5');

  const box = (await distance.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 - 40, box.y + box.height / 2 - 60, { steps: 5 });
  await page.mouse.up();
  await expect.poll(async () => Number(await distance.getAttribute('aria-valuenow'))).toBeGreaterThan(0.77);

  // The sentence follows the hand a moment later; what it brings then would come between marking its number and typing.
  const told = page.getByRole('spinbutton', { name: /^Subject distance, / });
  await expect(async () => {
    await told.fill('0.3');
    expect(await told.inputValue()).toBe('0.3');
  }).toPass();
  await page.keyboard.press('Enter');
  await expect(panel.getByText(/blur disc \d+(\.\d+)? px at 0\.3 m/)).toBeVisible();
  await panel.getByRole('combobox', { name: 'Compare with another view or camera' }).click();
  await page.keyboard.type('pika, straight');
  await page.keyboard.press('Enter');
  await expect(panel.getByRole('heading', { name: 'Pika, straight' })).toBeVisible();
  await expect(panel.getByText(/sharp at 0\.3 m/)).toBeVisible();
});

test('framing: a 16 mm long lens beside the standard view, 15 m away', WHOLE, async ({ page }) => {
  await open(page, '/bench?shot=demo-05&part=framing');
  await allWords(page);
  await page.getByRole('combobox', { name: /^Camera, / }).focus();
  await page.keyboard.type('rail camera');
  await page.keyboard.press('Enter');
  await tile(page, 'View').press('Enter');
  await page.getByRole('menuitem', { name: /^standard/ }).click();
  const panel = page.getByRole('region', { name: 'Framing' });
  await panel.getByRole('slider', { name: 'Subject distance' }).focus();
  await page.keyboard.press('ArrowUp');
  await page.getByRole('spinbutton', { name: /^Subject distance, / }).fill('15');
  await page.keyboard.press('Enter');
  await panel.getByRole('combobox', { name: 'Compare with another view or camera' }).click();
  await page.keyboard.type('rail camera, long');
  await page.keyboard.press('Enter');
  await expect(panel.getByText(/^3\.8\d?× the standard view/)).toBeVisible();
  await expect(panel.getByText(/^1× the standard view/)).toBeVisible();
});

test(
  'steadiness: three cures for a crooked helmet, and a hold taken with one press',
  WHOLE,
  async ({ page }) => {
    await open(page, '/bench?shot=demo-10&part=steadiness');
    const panel = page.getByRole('region', { name: 'Steadiness' });
    await expect(panel.getByRole('heading', { name: /^Off level by 6°/ })).toBeVisible();
    await expect(panel.getByRole('listitem').filter({ hasText: 'full-roll hold' }).last()).toContainText(
      '2688 px',
    );
    await expect(panel.getByRole('listitem').filter({ hasText: 'straightened in the edit' })).toContainText(
      /\d{4} px/,
    );
    await expect(panel.getByRole('img', { name: /^takes up 0\.0° of 4\.8°/ })).toBeVisible();
    await panel.getByRole('button', { name: 'Take strong' }).click();
    await expect(tile(page, 'Stabilization')).toHaveAccessibleName(/strong, pinned by you/);
  },
);

test('mounts are compared and taken; the mode map on the Bench pins', WHOLE, async ({ page }) => {
  await open(page, '/bench?shot=demo-05&part=mounts');
  await allWords(page);
  const panel = page.getByRole('region', { name: 'Mounts for this shot' });
  await expect(panel.getByText(/\d+ % of the frame\./).first()).toBeVisible();
  await expect(panel.getByText(/stops of shutter (gained|lost)/).first()).toBeVisible();
  await panel
    .getByRole('listitem')
    .filter({ hasText: 'chest' })
    .first()
    .getByRole('button', { name: 'Take' })
    .click();
  await expect(page.getByRole('combobox', { name: 'Mount, set by you' })).toBeVisible();

  await page.getByRole('button', { name: 'Modes', exact: true }).press('Enter');
  await page.getByRole('button', { name: /^2\.7K at 50 fps/ }).click();
  await expect(tile(page, 'Frame rate')).toHaveAccessibleName(/50 fps, pinned/);
  await expect(tile(page, 'Resolution')).toHaveAccessibleName(/2688×1512, pinned/);
});

test(
  'two cameras: the sheet lists what differs, the joint answer removes it and says the cost',
  WHOLE,
  async ({ page }) => {
    await open(page, '/bench?shot=demo-10&part=cameras');
    const family = page.getByRole('row', { name: /Frame-rate family/ });
    await expect(family).toContainText('frames of two never fall together');
    await page.getByRole('button', { name: /letting your pins/ }).click();
    await expect(page.getByText(/^Matched\. It costs \d\.\d loss/)).toBeVisible();
    await expect(family).toContainText('one family');
    await expect(page.getByRole('button', { name: 'They cut together' })).toBeDisabled();

    await page.getByRole('link', { name: 'Chest' }).click();
    await expect(page).toHaveURL(/angle=1/);
    await expect(tile(page, 'Frame rate')).toHaveAccessibleName(/25 fps, pinned/);
    // Its card is that of the day, with both cameras.
    await page.getByRole('link', { name: 'Carry', exact: true }).last().click();
    await expect(page.getByRole('heading', { name: 'Iron rungs' })).toBeVisible();
    await expect(page.getByRole('region', { name: 'Iron rungs, chest' })).toContainText('25 fps');
  },
);
