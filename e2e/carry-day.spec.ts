import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { expect, open, test } from './fixture';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
const DAY = '/carry?outing=demo-outing&day=saturday';

test('the day is carried card by card: checks, tasks, recorded, skipped, note, and goes on after a restart', async ({
  page,
}) => {
  await open(page, DAY);
  await expect(page.getByRole('heading', { name: 'Before the day' })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page.getByRole('checkbox', { name: 'Cards empty and in' }).click();
  await page.getByRole('button', { name: 'To the first card' }).click();
  await expect(page.getByRole('heading', { name: 'Put-in talk' })).toBeVisible();
  await expect(page.getByText('08:50', { exact: true })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Put-in talk' }).getByText(/set-up \d \w+ 25/)).toBeVisible();
  await page.getByRole('checkbox', { name: 'Lens clean' }).click();
  await page.getByRole('textbox', { name: 'Note' }).fill('Breath on the lens');
  await page.getByRole('button', { name: 'Recorded' }).click();
  await expect(page.getByText('Recorded, and in the log.')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Put-in talk' })).toBeHidden();

  await page.goto(DAY);
  await expect(page.getByRole('heading', { name: 'Before the day' })).toBeHidden();
  await page.getByRole('button', { name: 'Put-in talk, recorded' }).click();
  await expect(page.getByText(/^Recorded at \d\d:\d\d\.$/)).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Note' })).toHaveValue('Breath on the lens');
  await page.getByRole('button', { name: 'Next card' }).click();
  const skip = page.getByRole('button', { name: 'Skipped' });
  if (await skip.isVisible()) await skip.click();
  await page.getByRole('button', { name: 'Dry the kit, charge' }).click();
  await page.getByRole('button', { name: 'All done' }).click();
  await expect(page.getByRole('heading', { name: 'Hut evening' })).toBeVisible();
  await page.getByRole('button', { name: 'After the day' }).click();
  await expect(page.getByText(/^1 of 8 recorded\./)).toBeVisible();
});

test('the day stands on folded paper, A4 and Letter', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await open(page, `${DAY}&paper=a4`);
  const sheets = page.getByRole('group', { name: /^Sheet \d/ });
  await expect(sheets.first()).toBeVisible();
  await expect(page.getByRole('heading', { name: '12:40 Sun gate' })).toBeVisible();
  await expect(page.getByRole('img', { name: 'Code of Helmet 25', exact: true })).toBeVisible();
  const pdf = async (): Promise<{ width: number; height: number }> => {
    const text = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
    const [, width, height] = /\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(text)!;
    return { width: Number(width), height: Number(height) };
  };
  const a4 = await pdf();
  expect(a4.width).toBeCloseTo(842, -0.5);
  await page.getByText('Letter', { exact: true }).click();
  await expect(page.locator('[data-paper="letter"]').first()).toBeVisible();
  expect((await pdf()).width).toBeCloseTo(792, -0.5);
});

test('a code shown on screen is read back by the stand-in camera, which sets itself, runs and writes to the log', async ({
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await open(page, `${DAY}&codes=otter`);
  const code = page.getByRole('img', { name: /^Code of .* for Otter$/ }).first();
  await expect(code).toBeVisible();
  const picture = await code.screenshot();
  const name = /^Code of (.*) for/.exec((await code.getAttribute('aria-label'))!)![1]!;
  const [shutter] = /1\/\d+ s/.exec(await page.locator('dl').first().innerText())!;

  await open(page, '/camera?outing=demo-outing&day=saturday&camera=otter');
  const take = async (name: string, buffer: Buffer): Promise<void> => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'From a picture' }).click();
    await (await chooser).setFiles({ name, mimeType: 'image/png', buffer });
  };
  await take('code.png', picture);
  await expect(page.getByText(`Set to "${name}".`)).toBeVisible();
  const camera = page.getByRole('region', { name: 'Otter, stand-in' });
  await expect(camera.getByText('2160p 25')).toBeVisible();
  await expect(camera.getByText(shutter)).toBeVisible();

  // A foreign code and a damaged one are refused with their reason.
  const field = page.getByRole('textbox', { name: 'Text of a code' });
  await field.fill('https://example.org/menu');
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByText(/^This is no set-up code of Lynxeye/)).toBeVisible();
  await field.fill('lynxeye-setup/1;n=Hand;cam=otter;crc=00000000');
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByText(/^This code is damaged/)).toBeVisible();
  await expect(camera.getByText(name)).toBeVisible();

  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(camera.getByText(/^Recording/)).toBeVisible();
  await expect(camera.getByText(/Recording (\d+ min|[3-9]\d s)/)).toBeVisible();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(page.getByText(/^OTTER_0001\.mp4/)).toBeVisible();
  // It is written once there is something to undo.
  await expect(page.getByRole('button', { name: 'Undo: note a recording' })).toBeVisible();
  await open(page, '/log');
  await expect(page.getByText(/^OTTER_0001\.mp4, \d/)).toBeVisible();
  await open(page, `/carry?outing=demo-outing&day=saturday&codes=shrew`);
  const other = await page.getByRole('img', { name: /^Code of .* for Shrew/ }).screenshot();
  await open(page, '/camera?outing=demo-outing&day=saturday&camera=otter');
  await take('other.png', other);
  await expect(page.getByText(/^This set-up is for another camera \("shrew"\)/)).toBeVisible();
});

test.describe('with no network after one visit', () => {
  const port = 4633;
  test.use({ serviceWorkers: 'allow', baseURL: `http://localhost:${port}` });
  let server: ChildProcess;

  test.beforeAll(async () => {
    server = spawn(process.execPath, ['scripts/server.mjs', String(port), 'localhost'], {
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    await new Promise<void>((ready, failed) => {
      server.stdout?.on('data', (chunk: Buffer) => {
        if (chunk.toString().includes('Ready')) ready();
      });
      server.on('exit', () => failed(new Error('the server ended')));
    });
  });
  test.afterAll(() => {
    server.kill();
  });

  test('the day is carried, three shots logged, and nothing lost; workers run', async ({ page, context }) => {
    await open(page, '/');
    await page.evaluate(() => navigator.serviceWorker.ready);
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    const ended = new Promise((resolve) => server.on('exit', resolve));
    server.kill();
    await ended;

    await open(page, DAY);
    for (const name of ['Put-in talk', 'Upper gorge run', 'Bow camera looking back']) {
      await page.getByRole('button', { name, exact: true }).click();
      await expect(page.getByRole('heading', { name })).toBeVisible();
      // The settings come from the worker.
      await expect(page.locator('dl').first()).toContainText('25 fps');
      await page.getByRole('button', { name: 'Recorded', exact: true }).click();
      await expect(page.getByRole('button', { name: `${name}, recorded` })).toBeVisible();
    }
    await page.close();
    const again = await context.newPage();
    await open(again, '/log');
    for (const name of ['Put-in talk', 'Upper gorge run', 'Bow camera looking back'])
      await expect(again.getByRole('listitem').filter({ hasText: name }).first()).toBeVisible();
    await open(again, '/outing?outing=demo-outing&day=sunday');
    await expect(again.getByText(/this day does not manage|every camera lasts/)).toBeVisible();
    await open(again, '/bench?shot=demo-05');
    await expect(again.getByRole('heading', { name: 'Stop rule' })).toBeVisible();
    await open(again, '/camera?outing=demo-outing&day=saturday');
    await expect(again.getByText(/^Waits for a code/)).toBeVisible();
  });
});
