import type { Locator, Page } from '@playwright/test';
import { expect, expectNoAxeFindings, open, test, WHOLE } from './fixture';
import { settled } from './layout';
import { browserSeeing, codesShown, filmed } from './madeCamera';
import { MadeSensors } from './madeSensors';
import { kept } from './records';

/** What a person presses at the trailhead lies where the thumb of the hand that holds the phone is: in the lower half. */
async function thumb(page: Page, button: Locator): Promise<void> {
  await expect(button).toBeEnabled();
  const middle = async (): Promise<number> => {
    const box = await button.boundingBox();
    return box ? box.y + box.height / 2 : 0;
  };
  // A menu grows into its place.
  await expect.poll(middle).toBeGreaterThan(page.viewportSize()!.height / 2);
  await button.tap();
}

/** More for the day stands at the end of a card. */
async function more(page: Page, what: string): Promise<void> {
  const button = press(page, 'More for this day');
  // The card is as long as it gets once the day is worked out.
  await expect(page.locator('dl').first()).toContainText('fps');
  await expect(page.getByRole('checkbox', { name: /Mount tight/ })).toBeVisible();
  await settled(page);
  await page.evaluate(() => window.scrollTo({ top: document.body.scrollHeight }));
  await thumb(page, button);
  await thumb(page, page.getByRole('menuitem', { name: what }));
}

const press = (page: Page, name: string | RegExp): Locator => page.getByRole('button', { name, exact: true });

test(
  'with one hand: the outing taken over, the helmet measured, the shot carried and logged, the log sent back',
  WHOLE,
  async ({ page, baseURL }) => {
    // At the table.
    await open(page, '/bench?shot=demo-02');
    const name = page.getByRole('textbox', { name: 'Name of the shot' });
    await expect(name).not.toHaveValue('');
    await name.fill('Upper gorge, the last plan');
    await name.press('Enter');
    await expect.poll(async () => JSON.stringify(await kept(page, 'shots'))).toContain('the last plan');
    await open(page, '/handover?what=outing%3Ademo-outing');
    await page.getByRole('button', { name: 'Show the codes' }).click();
    const codes = await codesShown(page.locator('[data-number]'), 72);
    await page.getByRole('button', { name: 'Stop the codes' }).click();

    const browser = await browserSeeing(await filmed(page, codes, 'trailhead'));
    try {
      const context = await browser.newContext({
        baseURL: baseURL!,
        viewport: { width: 390, height: 844 },
        hasTouch: true,
        serviceWorkers: 'block',
        permissions: ['camera', 'accelerometer', 'gyroscope', 'magnetometer'],
      });
      const phone = await context.newPage();
      await open(phone, '/handover?part=take');
      await thumb(phone, press(phone, 'Look with this camera'));
      await thumb(phone, phone.getByRole('dialog').getByRole('button', { name: 'Merge', exact: true }));
      await expect(phone.getByRole('dialog')).toBeHidden();
      await expect.poll(async () => JSON.stringify(await kept(phone, 'shots'))).toContain('the last plan');

      await open(phone, '/carry?outing=demo-outing&day=saturday&card=sat-04');
      await more(phone, 'Measure on the spot');
      await expect(phone.getByText('Shot: Upper gorge, the last plan')).toBeVisible();
      const sensors = await MadeSensors.of(phone);
      await thumb(phone, press(phone, 'Record'));
      let over = false;
      const shaking = sensors.shakes(52, 1.8, () => over);
      const keep = press(phone, /^Keep \d/);
      await expect(keep).toBeVisible();
      over = true;
      await shaking;
      await expectNoAxeFindings(phone, 'the helmet measured');
      await thumb(phone, keep);
      await expect(phone.getByText(/measured with the phone on .* over \d\d s/)).toBeVisible();

      await open(phone, '/carry?outing=demo-outing&day=saturday&card=sat-04');
      await thumb(phone, press(phone, 'Recorded'));
      await expect(press(phone, 'Undo: note a recording')).toBeEnabled();
      await more(phone, 'Hand over…');
      const [download] = await Promise.all([
        phone.waitForEvent('download'),
        thumb(phone, press(phone, 'Send the file')),
      ]);

      // Back at the table.
      await open(page, '/handover?part=take');
      const [chooser] = await Promise.all([
        page.waitForEvent('filechooser'),
        page.getByRole('button', { name: 'Pick a file' }).click(),
      ]);
      await chooser.setFiles(await download.path());
      await expect(page.getByRole('dialog')).toContainText(/motion, shake, °\/s: none → \d\d/);
      await page.getByRole('dialog').getByRole('button', { name: 'Merge', exact: true }).click();
      await expect(page.getByRole('dialog')).toBeHidden();
      expect(JSON.stringify(await kept(page, 'log'))).toContain('"shotId":"demo-02"');
      expect(await kept(page, 'measured')).toHaveLength(1);
    } finally {
      await browser.close();
    }
  },
);
