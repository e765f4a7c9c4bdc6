import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, expectNoAxeFindings, open, test, WHOLE } from './fixture';
import { browserSeeing, codesShown, filmed } from './madeCamera';
import { kept } from './records';

const GIVE = '/handover?what=outing%3Ademo-outing';
const TAKE = '/handover?part=take';
const dialog = (page: Page): ReturnType<Page['getByRole']> => page.getByRole('dialog');

async function rename(page: Page, shot: string, name: string): Promise<void> {
  await open(page, `/bench?shot=${shot}`);
  const field = page.getByRole('textbox', { name: 'Name of the shot' });
  await expect(field).not.toHaveValue('');
  await field.fill(name);
  await field.press('Enter');
  await expect.poll(() => shotNames(page)).toContain(name);
}

const shotNames = async (page: Page): Promise<string[]> =>
  ((await kept(page, 'shots')) as { shot: { name: string } }[]).map(({ shot }) => shot.name);

/** The file that the other device is sent. */
async function sentFile(page: Page, what: string): Promise<string> {
  await open(page, what);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Send the file' }).click(),
  ]);
  return readFileSync(await download.path(), 'utf8');
}

async function pick(page: Page, name: string, text: string): Promise<void> {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Pick a file' }).click(),
  ]);
  await chooser.setFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
}

test(
  'an outing crosses by codes before a made camera, a third of them lost, turned and unsharp, and the log comes back merged',
  WHOLE,
  async ({ page, baseURL }) => {
    await rename(page, 'demo-02', 'Upper gorge, planned at the table');
    await open(page, GIVE);
    await page.getByRole('button', { name: 'Show the codes' }).click();
    const codes = await codesShown(page.locator('[data-number]'), 84);
    await page.getByRole('button', { name: 'Stop the codes' }).click();
    const film = await filmed(page, codes, 'outing');

    const browser = await browserSeeing(film);
    try {
      const context = await browser.newContext({
        baseURL: baseURL!,
        viewport: { width: 390, height: 844 },
        serviceWorkers: 'block',
        permissions: ['camera'],
      });
      const phone = await context.newPage();
      // The phone has its own mind about the same shot, and about another.
      await rename(phone, 'demo-02', 'Upper gorge, from the boat');
      await rename(phone, 'demo-04', 'Weir, from the boat');
      await open(phone, TAKE);
      await phone.getByRole('button', { name: 'Look with this camera' }).click();
      await expect(dialog(phone)).toContainText('1 changed here and there');
      await expect(dialog(phone)).toContainText(
        'name: Upper gorge, from the boat → Upper gorge, planned at the table',
      );
      await expect(dialog(phone)).toContainText('1 newer here');
      await expectNoAxeFindings(phone, 'what comes');
      await dialog(phone).getByRole('button', { name: 'Merge', exact: true }).click();
      await expect(dialog(phone)).toBeHidden();
      const both = ['Upper gorge, from the boat', 'Upper gorge, planned at the table, other version'];
      expect(await shotNames(phone)).toEqual(expect.arrayContaining([...both, 'Weir, from the boat']));

      // A recording is noted on the phone, and the outing goes back as a file.
      await open(phone, '/carry?outing=demo-outing&day=saturday&card=sat-01');
      await phone.getByRole('button', { name: 'Recorded', exact: true }).click();
      await expect(phone.getByRole('button', { name: 'Undo: note a recording' })).toBeEnabled();
      const back = await sentFile(phone, GIVE);
      await open(page, TAKE);
      await pick(page, 'from-the-phone.json', back);
      await expect(dialog(page)).toContainText('newer in the file');
      await dialog(page).getByRole('button', { name: 'Merge', exact: true }).click();
      await expect(dialog(page)).toBeHidden();
      expect(await shotNames(page)).toEqual(
        expect.arrayContaining(['Upper gorge, from the boat', 'Weir, from the boat']),
      );
      const outings = (await kept(page, 'outings')) as { id: string; days: unknown }[];
      expect(JSON.stringify(outings.find(({ id }) => id === 'demo-outing'))).toContain('"how":"recorded"');
      expect(JSON.stringify(await kept(page, 'log'))).toContain('"shotId":"demo-01"');

      // What came is not asked about twice.
      await pick(page, 'again.json', back);
      await expect(page.getByText(/^Nothing new: all \d+ records of it are here already/)).toBeVisible();
    } finally {
      await browser.close();
    }
  },
);

test('the stand-in camera reads a set-up code from a live picture', async ({ page, baseURL }) => {
  await open(page, '/carry?outing=demo-outing&day=saturday&codes=otter');
  const drawing = await page
    .getByRole('img', { name: /^Code of .* for Otter/ })
    .evaluate((element) => element.outerHTML);
  const browser = await browserSeeing(await filmed(page, [drawing, drawing], 'set-up', 0));
  try {
    const context = await browser.newContext({
      baseURL: baseURL!,
      serviceWorkers: 'block',
      permissions: ['camera'],
    });
    const other = await context.newPage();
    await open(other, '/camera?outing=demo-outing&day=saturday&camera=otter');
    await other.getByRole('button', { name: 'Look with this camera' }).click();
    await expect(other.getByText(/^Set to "/)).toBeVisible();
  } finally {
    await browser.close();
  }
});

test('without a camera, or with none allowed, it says so and offers the file', async ({ page }) => {
  await open(page, TAKE);
  await page.getByRole('button', { name: 'Look with this camera' }).click();
  await expect(
    page.getByRole('alert').filter({ hasText: 'gives no camera, or it was refused' }),
  ).toBeVisible();
  await expect(page.getByRole('button', { name: 'Pick a file' })).toBeVisible();
});

test('a file opened with the app is taken in', WHOLE, async ({ page }) => {
  const shot = { kind: 'lynxeye/shot', version: 3, name: 'Opened from the messenger' };
  await page.addInitScript((text) => {
    const handle = { name: 'shot.json', getFile: () => Promise.resolve(new File([text], 'shot.json')) };
    const gone = {
      name: 'gone.json',
      getFile: () => Promise.reject(new DOMException('gone', 'NotFoundError')),
    };
    Object.defineProperty(window, 'launchQueue', {
      value: { setConsumer: (take: (launch: object) => void) => take({ files: [handle, gone] }) },
    });
  }, JSON.stringify(shot));
  await open(page, TAKE);
  // One that cannot be had is named, and stops no other.
  await expect(dialog(page)).toContainText('Nothing was taken from gone.json');
  await dialog(page).getByRole('button', { name: 'Close', exact: true }).last().click();
  await expect(dialog(page)).toContainText('New shot: Opened from the messenger');
  expect(await shotNames(page)).not.toContain('Opened from the messenger');
  await dialog(page).getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByText('Kept "Opened from the messenger".')).toBeVisible();
});

test.describe('with the worker that keeps the app', () => {
  test.use({ serviceWorkers: 'allow' });
  const SHARED = { kind: 'lynxeye/shot', version: 3, name: 'Shared from the messenger' };
  /** Posts a shot to the app from the page that is open. */
  const post = (page: Page, to: string): Promise<void> =>
    page.evaluate(
      ({ text, action }) => {
        const form = Object.assign(document.createElement('form'), {
          method: 'post',
          action,
          enctype: 'multipart/form-data',
        });
        const field = Object.assign(document.createElement('input'), { type: 'file', name: 'files' });
        const given = new DataTransfer();
        given.items.add(new File([text], 'shot.lynxeye.txt', { type: 'text/plain' }));
        field.files = given.files;
        form.append(field);
        document.body.append(form);
        form.submit();
      },
      { text: JSON.stringify(SHARED), action: to },
    );
  const controlled = async (page: Page): Promise<void> => {
    await open(page, '/');
    await page.evaluate(() => navigator.serviceWorker.ready);
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  };

  test.use({ provoked: /^request to .*\/elsewhere-/ });
  test('a file shared with the app is taken in once it is agreed to, and a page elsewhere changes nothing', async ({
    page,
    baseURL,
  }) => {
    await controlled(page);
    const sent: string[] = [];
    page.on('request', (request) => {
      if (request.method() === 'POST' && !request.serviceWorker()) sent.push(request.url());
    });
    await post(page, '/handover/shared');
    await expect(dialog(page)).toContainText('New shot: Shared from the messenger');
    expect(await shotNames(page)).not.toContain(SHARED.name);
    await expectNoAxeFindings(page, 'a share asked about');
    await dialog(page).getByRole('button', { name: 'Take it' }).click();
    await expect(page.getByText('Kept "Shared from the messenger".')).toBeVisible();
    await page.waitForURL(/part=take$/);
    await page.reload();
    await page.locator('main[data-ready="true"]').waitFor();
    expect((await shotNames(page)).filter((name) => name === SHARED.name)).toHaveLength(1);

    // A page of another origin posts the same.
    const before = await shotNames(page);
    const to = new URL('/handover/shared', baseURL).href;
    for (const policy of ['unsafe-url', 'no-referrer']) {
      // The same machine by its number is another origin.
      const foreign = `http://127.0.0.1:${new URL(to).port}/elsewhere-${policy}`;
      await page.route(foreign, (route) =>
        route.fulfill({
          contentType: 'text/html',
          headers: { 'Referrer-Policy': policy },
          body: '<title>Elsewhere</title><p>Another page</p>',
        }),
      );
      await page.goto(foreign);
      await post(page, to);
      await page.waitForURL(/part=take/);
      await page.locator('main[data-ready="true"]').waitFor();
      const told = page.getByRole('alert').filter({ hasText: 'Another page tried to hand something' });
      // A page that hides where it comes from is not told from the system: it is asked about.
      await expect(told.or(dialog(page))).toBeVisible();
      if (await dialog(page).isVisible()) {
        await expect(dialog(page)).toContainText('New shot: Shared from the messenger');
        await dialog(page).getByRole('button', { name: 'Leave it all' }).click();
      }
      if (policy === 'unsafe-url') await expect(told).toBeVisible();
      expect(await shotNames(page)).toEqual(before);
    }
  });
});

test(
  'shared before the app keeps a worker, nothing is read and the page says what to do',
  WHOLE,
  async ({ page, request }) => {
    const answer = await request.post('/handover/shared', {
      multipart: { files: { name: 'a.json', mimeType: 'application/json', buffer: Buffer.from('{}') } },
      maxRedirects: 0,
    });
    expect([answer.status(), answer.headers().location]).toEqual([303, '/handover?part=take&shared=none']);
    await open(page, '/handover?part=take&shared=none');
    await expect(page.getByRole('alert').filter({ hasText: 'has read nothing' })).toBeVisible();
    const { share_target: target, file_handlers: handlers } = (await (
      await request.get('/manifest.webmanifest')
    ).json()) as { share_target: { action: string }; file_handlers: { action: string }[] };
    expect([target.action, handlers[0]!.action]).toEqual(['/handover/shared', TAKE]);
  },
);

test('a folder that two devices share brings each what the other has', WHOLE, async ({ page }) => {
  await page.addInitScript(() => {
    Object.assign(window, { showDirectoryPicker: () => navigator.storage.getDirectory() });
    localStorage.setItem('lynxeye-device', 'laptop');
  });
  const other = await sentFile(page, '/handover?what=shot%3Ademo-02');
  const named = other
    .replace('"name":"Upper gorge run"', '"name":"Upper gorge run, by the other"')
    .replace('"demo":true', '"demo":true,"edits":{"phone":1}');
  await page.evaluate(async (text) => {
    const folder = await navigator.storage.getDirectory();
    const writer = await (
      await folder.getFileHandle('lynxeye-backup-phone.json', { create: true })
    ).createWritable();
    await writer.write(text);
    await writer.close();
  }, named);
  await page.getByRole('button', { name: 'Menu' }).click();
  await page.getByRole('menuitem', { name: 'Pick up from a folder…' }).click();
  await expect(dialog(page)).toContainText('name: Upper gorge run → Upper gorge run, by the other');
  await dialog(page).getByRole('combobox').click();
  await page.getByText('As here only', { exact: true }).click();
  await dialog(page).getByRole('button', { name: 'Merge', exact: true }).click();
  await expect(dialog(page)).toBeHidden();
  expect(await shotNames(page)).toContain('Upper gorge run');
});
