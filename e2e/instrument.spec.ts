import { readFileSync } from 'node:fs';
import { jpegWith } from './photos/makePhoto';
import { expect, expectNoAxeFindings, open, test, WHOLE } from './fixture';
import { MadeSensors, shakeInPage } from './madeSensors';
import { kept } from './records';

test.use({
  viewport: { width: 390, height: 844 },
  hasTouch: true,
  permissions: ['accelerometer', 'gyroscope', 'magnetometer'],
});

test('level and pitch are read off the made sensors within half a degree, and the shot takes them over', async ({
  page,
}) => {
  await open(page, '/instrument?shot=demo-02&part=level');
  const sensors = await MadeSensors.of(page);
  await sensors.stands(-7.3, 18.6);
  await page.getByRole('button', { name: 'Begin' }).click();
  const press = page.getByRole('button', { name: /^Keep: tilted/ });
  await expect(press).toBeEnabled();
  await expectNoAxeFindings(page, 'level');
  await press.click();
  await expect(page.getByText(/^Kept: tilted -7\.[0-9]°, looking down 18\.[0-9]°/)).toBeVisible();
  const shot = (
    (await kept(page, 'shots')) as { id: string; shot: { mount: { tiltDeg: number; pitchDeg: number } } }[]
  ).find(({ id }) => id === 'demo-02')!.shot;
  expect(Math.abs(shot.mount.tiltDeg + 7.3)).toBeLessThan(0.5);
  expect(Math.abs(shot.mount.pitchDeg - 18.6)).toBeLessThan(0.5);
  // Flat on a table it says so, and keeps nothing.
  await page.getByRole('button', { name: 'Begin' }).click();
  await sensors.stands(0, 89);
  await expect(page.getByText('It lies flat or moves: hold it upright and still.')).toBeVisible();
});

test(
  'a shake of the made sensors is told within five per cent, kept with its source, saved as a sheet and read back',
  WHOLE,
  async ({ page }) => {
    await open(page, '/instrument?shot=demo-02');
    await page.getByRole('combobox', { name: 'How long' }).click();
    await page.getByText('20 s', { exact: true }).click();
    await shakeInPage(page, 36, 2.2);
    await page.getByRole('button', { name: 'Record', exact: true }).click();
    await expect(page.getByText(/^Recording, \d+ of 20 s/)).toBeVisible();
    await expect(page.getByRole('img', { name: /^How fast it turns/ })).toBeVisible();
    const keep = page.getByRole('button', { name: /^Keep \d/ });
    await expect(keep).toBeVisible();
    const told = Number(/Keep ([\d.]+)/.exec(await keep.innerText())![1]);
    expect(Math.abs(told / 36 - 1)).toBeLessThan(0.05);
    await expect(page.getByText(/^shakes [\d.]+ °\/s rms, most at 2\.[12] Hz$/)).toBeVisible();
    await expectNoAxeFindings(page, 'shake');
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save the rates (CSV)' }).click(),
    ]);
    const sheet = readFileSync(await download.path());
    await keep.click();
    await expect(page.getByText(/measured with the phone on .* over \d+ s/)).toBeVisible();

    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'From a sheet (CSV)' }).click(),
    ]);
    await chooser.setFiles({ name: 'rates.csv', mimeType: 'text/csv', buffer: sheet });
    await expect(page.getByRole('button', { name: `Keep ${told} °/s` })).toBeVisible();
    const [again] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'From a sheet (CSV)' }).click(),
    ]);
    await again.setFiles({ name: 'bad.csv', mimeType: 'text/csv', buffer: Buffer.from('a,b\n1,2\n') });
    await expect(page.getByText(/^Nothing was taken from bad\.csv\. row 1: expected columns/)).toBeVisible();

    // The Bench uses it and says where it is from; so does what is learned.
    await page.getByRole('link', { name: 'To the Bench' }).click();
    await expect(page.getByText(`It shakes ${told} °/s rms.`)).toBeVisible();
    await expect(page.getByText(/measured with the phone on/).first()).toBeVisible();
  },
);

test('without a motion sensor, or with it refused, it says so and what else there is', async ({
  page,
  context,
}) => {
  await open(page, '/instrument?shot=demo-02&part=level');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'gives no motion sensor' })).toBeVisible();
  await context.clearPermissions();
  await open(page, '/instrument?item=demo-kit-helmet');
  await page.getByRole('button', { name: 'Record', exact: true }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'The motion sensor was refused' })).toBeVisible();
});

test('light by a photograph taken on the spot becomes a reading of the shot', WHOLE, async ({ page }) => {
  await open(page, '/instrument?shot=demo-02&part=light');
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Take a photograph' }).click(),
  ]);
  const buffer = Buffer.from(jpegWith({ fNumber: [28, 10], exposureTime: [1, 1000], iso: 100 }));
  await chooser.setFiles({ name: 'open-sun.jpg', mimeType: 'image/jpeg', buffer });
  await page.waitForURL(/\/bench\?shot=demo-02.*part=readings/);
  await expect(page.getByText('open-sun.jpg').first()).toBeVisible();
});
