import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, open, test, tile, WHOLE } from './fixture';
import { patchKept } from './records';

const SATURDAY = '/outing?outing=demo-outing&day=saturday';

async function menu(page: Page, item: string | RegExp): Promise<void> {
  await page.getByRole('button', { name: 'Menu' }).click();
  await page.getByRole('menuitem', { name: item }).click();
}

async function drop(page: Page, files: readonly { name: string; text: string }[]): Promise<void> {
  const data = await page.evaluateHandle((list) => {
    const transfer = new DataTransfer();
    for (const { name, text } of list) transfer.items.add(new File([text], name));
    return transfer;
  }, files);
  await page.dispatchEvent('main', 'drop', { dataTransfer: data });
}

const shotFile = (name: string, rest: object = {}): string =>
  JSON.stringify({ kind: 'lynxeye/shot', version: 1, name, ...rest });

test.describe('a record that is not whole', () => {
  test.use({ provoked: /Invalid time zone specified/ });
  test('locks nobody out: menu, undo and export stay, and it is put aside', async ({ page }) => {
    await open(page, '/');
    await patchKept(page, [{ table: 'outings', id: 'demo-outing', path: ['zone'], value: 'Mars/Olympus' }]);
    for (const place of ['/', '/outing', '/carry?outing=demo-outing', '/camera']) {
      await page.goto(place);
      const broken = page.getByRole('alert').filter({ hasText: 'This place cannot be shown' });
      await expect(broken, place).toContainText('zone: expected a time zone such as Europe/Rome');
      await expect(page.getByRole('button', { name: 'Menu' })).toBeVisible();
      await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
    }
    const exported = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Export everything' }).click();
    expect(readFileSync(await (await exported).path(), 'utf8')).toContain('Mars/Olympus');
    const aside = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save it as a file and put it aside' }).click();
    expect(readFileSync(await (await aside).path(), 'utf8')).toContain('Mars/Olympus');
    // The file first, then the record: only when the place is back is it put aside.
    await expect(page.getByText('This place cannot be shown')).toBeHidden();
    await page.goto('/');
    await expect(page.getByRole('heading', { name: /^Shots kept/ })).toBeVisible();
    await page.getByRole('button', { name: /^Undo: put aside/ }).click();
    await expect(page.getByText('This place cannot be shown')).toBeVisible();
  });
});

test('undo outlives a reload', async ({ page }) => {
  await open(page, '/bench?shot=demo-05');
  await tile(page, 'Frame rate').press('ArrowUp');
  await expect(tile(page, 'Frame rate')).toHaveAccessibleName(/30 fps, pinned/);
  await expect(page.getByRole('button', { name: /^Undo: / })).toBeEnabled();
  await page.reload();
  await expect(tile(page, 'Frame rate')).toHaveAccessibleName(/30 fps, pinned/);
  await page.getByRole('button', { name: /^Undo: / }).click();
  await expect(tile(page, 'Frame rate')).not.toHaveAccessibleName(/pinned/);
  await page.reload();
  await page.getByRole('button', { name: /^Redo: / }).click();
  await expect(tile(page, 'Frame rate')).toHaveAccessibleName(/30 fps, pinned/);
});

test(
  'a refused name stays in its field with the reason, and is not shown as kept anywhere',
  WHOLE,
  async ({ page }) => {
    await open(page, SATURDAY);
    await fillStorage(page);
    const name = page.getByRole('textbox', { name: 'Name of the outing' });
    await name.fill('Another name');
    await name.press('Tab');
    await expect(page.getByRole('alert').filter({ hasText: 'storage is full' })).toBeVisible();
    await expect(name).toHaveValue('Another name');
    await page.reload();
    await expect(name).toHaveValue('Two days in Tarnholt Gorge');
  },
);

/** From now on the page's storage takes nothing more. */
async function fillStorage(page: Page): Promise<void> {
  await page.evaluate(() => {
    for (const how of ['put', 'add'] as const)
      IDBObjectStore.prototype[how] = () => {
        throw new DOMException('full', 'QuotaExceededError');
      };
  });
}

test('with a full storage every action says that it was not written', WHOLE, async ({ page }) => {
  // What is told is told through the page's own words, not left as a fault of the page.
  const full = page.getByText(/storage is full/);
  const actions: [string, string, (page: Page) => Promise<void>][] = [
    ['keep a shot', '/', async () => page.getByRole('button', { name: 'Keep and carry' }).click()],
    [
      'rename a shot',
      '/bench?shot=demo-05',
      async () => {
        await page.getByRole('textbox', { name: 'Name of the shot' }).fill('Other');
        await page.keyboard.press('Tab');
      },
    ],
    ['pin a tile', '/bench?shot=demo-05', async () => tile(page, 'Frame rate').press('ArrowUp')],
    ['tick a check of a shot', '/carry?shot=demo-05', async () => page.getByRole('checkbox').first().click()],
    [
      'record a shot',
      '/carry?shot=demo-05',
      async () => page.getByRole('button', { name: /^Recorded/ }).click(),
    ],
    [
      'note on a card',
      '/carry?outing=demo-outing&day=saturday&card=sat-10',
      async () => {
        await page.getByRole('textbox', { name: 'Note' }).fill('wet');
        await page.keyboard.press('Tab');
      },
    ],
    [
      'tick a check of a day',
      '/carry?outing=demo-outing&day=saturday&card=sat-10',
      async () => page.getByRole('checkbox').first().click(),
    ],
    [
      'record on the day',
      '/carry?outing=demo-outing&day=saturday&card=sat-10',
      async () => page.getByRole('button', { name: 'Recorded', exact: true }).click(),
    ],
    ['pack', `${SATURDAY}&part=packing`, async () => page.getByRole('checkbox').first().click()],
    [
      'rename an outing',
      SATURDAY,
      async () => {
        await page.getByRole('textbox', { name: 'Name of the outing' }).fill('Other');
        await page.keyboard.press('Tab');
      },
    ],
    [
      'change the date',
      SATURDAY,
      async () => {
        await page.getByLabel('Date', { exact: true }).fill('2026-10-10');
        await page.getByLabel('Date', { exact: true }).blur();
      },
    ],
    [
      'move an entry',
      SATURDAY,
      async () => {
        await page
          .getByRole('group', { name: 'Ribbon of the day' })
          .getByRole('button', { name: /^Sun gate, / })
          .focus();
        await page.keyboard.press('ArrowRight');
      },
    ],
    ['judge', '/log', async () => page.getByRole('button', { name: 'noisy' }).first().click()],
    [
      'note in the log',
      '/log',
      async () => {
        await page
          .getByRole('textbox', { name: /^Note on/ })
          .first()
          .fill('darker next time');
        await page.keyboard.press('Tab');
      },
    ],
    [
      'change the kit',
      '/kit?item=demo-kit-helmet',
      async () => {
        await page.getByLabel('Name', { exact: true }).fill('Other');
        await page.keyboard.press('Tab');
      },
    ],
  ];
  for (const [what, place, action] of actions) {
    await open(page, place);
    await page.waitForLoadState('networkidle');
    await fillStorage(page);
    await action(page);
    await expect(full.first(), what).toBeVisible();
  }
});

test('a typed date is taken once, when the field is left', WHOLE, async ({ page }) => {
  await open(page, SATURDAY);
  const date = page.getByLabel('Date', { exact: true });
  await date.focus();
  await date.pressSequentially('10052027');
  // The browser's own field is in the order of its language: the fifth of October here.
  await date.blur();
  await expect(page.getByRole('navigation', { name: 'Days' })).toContainText('5 Oct 2027');
  await page.getByRole('button', { name: /^Undo: change the date/ }).click();
  await expect(date).toHaveValue('2026-10-03');
  await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeVisible();
});

test(
  'of a file with a faulty record the others are taken if the person agrees; two files both come',
  WHOLE,
  async ({ page }) => {
    await open(page, '/');
    const saving = page.waitForEvent('download');
    await menu(page, 'Export everything');
    const backup = JSON.parse(readFileSync(await (await saving).path(), 'utf8')) as {
      shots: { id: string; shot: { name: string; light?: unknown } }[];
    };
    backup.shots[1]!.shot.light = { kind: 'moon' };
    backup.shots[2]!.shot.name = 'Renamed elsewhere';
    await drop(page, [{ name: 'half.json', text: JSON.stringify(backup) }]);
    const dialog = page.getByRole('dialog');
    await expect(dialog).toContainText('shots[1].shot.light.kind');
    await dialog.getByRole('button', { name: /^Take the rest without/ }).click();
    await expect(dialog).toContainText('1 changed here and there');
    await dialog.getByRole('button', { name: 'Take all as in the file' }).click();
    await expect(page.getByText(/^Imported 1 shot\..*Left behind: "/)).toBeVisible();
    await expect(page.getByRole('link', { name: 'Renamed elsewhere', exact: true })).toBeVisible();

    await drop(page, [
      { name: 'one.json', text: shotFile('First of two', { pins: { stabilization: 'boost' } }) },
      { name: 'two.json', text: shotFile('Second of two') },
    ]);
    await expect(page.getByRole('link', { name: 'First of two', exact: true })).toBeVisible();
    await expect(page.getByRole('link', { name: 'Second of two', exact: true })).toBeVisible();
    await drop(page, [
      { name: 'newer.json', text: JSON.stringify({ kind: 'lynxeye/shot', version: 9 }) },
      { name: 'odd.ics', text: 'BEGIN:VCALENDAR\nBEGIN:VEVENT\nDTSTART:x\nEND:VEVENT\nEND:VCALENDAR' },
    ]);
    await expect(dialog).toContainText('was written by a later Lynxeye');
    await dialog.getByRole('button', { name: 'Close' }).last().click();
    await expect(dialog).toContainText('no outing here knows these events');
  },
);

test(
  'files that once stalled the page are refused in words or taken, and the page keeps drawing',
  WHOLE,
  async ({ page }) => {
    await open(page, SATURDAY);
    await page.evaluate(() => {
      let before = performance.now();
      (window as unknown as { worst: number }).worst = 0;
      const tick = (now: number): void => {
        const state = window as unknown as { worst: number };
        state.worst = Math.max(state.worst, now - before);
        before = now;
        requestAnimationFrame(tick);
      };
      requestAnimationFrame(tick);
    });
    const take = async (name: string): Promise<void> => {
      await page.getByRole('button', { name: 'Menu' }).click();
      const chooser = page.waitForEvent('filechooser');
      await page.getByRole('menuitem', { name: 'Import a file' }).click();
      await (await chooser).setFiles(`fuzz/hostile/${name}`);
    };
    const dialog = page.getByRole('dialog');
    for (const [name, words] of [
      ['overlapping.zip', 'it holds no everything.json'],
      ['fortyThousandModes.json', 'leave out resolutions'],
    ] as const) {
      await take(name);
      await expect(dialog).toContainText(words);
      await dialog.getByRole('button', { name: 'Close' }).last().click();
      await expect(dialog).toBeHidden();
    }
    await take('everySecond.ics');
    await expect(page.getByText(/^0 of 1 entries of "Two days in Tarnholt Gorge" moved/)).toBeVisible();
    await take('stackedFilters.json');
    await expect(page.getByText(/^Kept "/)).toBeVisible();
    await take('dayBreaks.json');
    await dialog.getByRole('button', { name: 'Take all as in the file' }).click();
    await expect(page.getByText(/^Imported /)).toBeVisible();
    const worst = await page.evaluate(() => (window as unknown as { worst: number }).worst);
    test.info().annotations.push({ type: 'longest frame', description: `${Math.round(worst)} ms` });
  },
);

test.describe('a database of version 1', () => {
  test.use({ provoked: /status of 404/ });

  test('comes up whole once the older window that holds it is closed', async ({ page, context }) => {
    const records = JSON.parse(readFileSync('src/store/fixtures/version1.json', 'utf8')) as Record<
      string,
      { id: string }[]
    >;
    // An older window: it has no ear for a newer version.
    const older = await context.newPage();
    await older.goto('/licences.json');
    await older.evaluate(
      (kept) =>
        new Promise<void>((resolve) => {
          // The store's package counts versions by tens.
          const request = indexedDB.open('lynxeye', 40);
          request.onupgradeneeded = () => {
            for (const [table, list] of Object.entries(kept)) {
              const store = request.result.createObjectStore(table, { keyPath: 'id' });
              for (const index of ['updatedAt', 'demo', 'shotId', 'at']) store.createIndex(index, index);
              store.createIndex('thing.what', 'thing.what');
              for (const record of list) store.put(record);
            }
            for (const table of ['choices', 'handles'])
              request.result.createObjectStore(table, { keyPath: 'key' });
          };
          request.onsuccess = () => {
            (window as unknown as { held: IDBDatabase }).held = request.result;
            resolve();
          };
        }),
      records,
    );
    await page.goto('/');
    await expect(page.getByRole('heading', { name: /^Another window holds your data/ })).toBeVisible();
    await expect(page.getByText('Close every other window and tab of Lynxeye')).toBeVisible();
    await older.close();
    await expect(page.getByRole('heading', { name: 'Shots kept: 3' })).toBeVisible();
    const saving = page.waitForEvent('download');
    await menu(page, 'Export everything');
    const file = readFileSync(await (await saving).path(), 'utf8');
    expect(file).toContain('"strong"');
    expect(file).not.toContain('"boost"');
  });
});

test.describe('when parts of the app answer 404', () => {
  test.use({ provoked: /status of 404|answer 404|ChunkLoadError|Failed to load chunk/ });

  test('data of a later version is left alone, in words', async ({ page }) => {
    await open(page, '/');
    await page.goto('/licences.json');
    await page.evaluate(
      () =>
        new Promise<void>((resolve) => {
          const request = indexedDB.open('lynxeye', 9990);
          request.onsuccess = () => {
            request.result.close();
            resolve();
          };
        }),
    );
    await page.goto('/');
    await expect(
      page.getByRole('heading', { name: 'Your data was written by a later Lynxeye' }),
    ).toBeVisible();
  });

  test('a lost part of the app loads the page anew once, by itself', async ({ page }) => {
    let asked = Date.now();
    page.on('request', () => (asked = Date.now()));
    await open(page, '/bench?shot=demo-05');
    // The day has been worked out and the workers of the preview are up: what is asked for next is the panel.
    await expect(page.locator('main [aria-busy="true"]')).toHaveCount(0);
    await expect.poll(() => Date.now() - asked).toBeGreaterThan(1500);
    let lost = 0;
    // Not those of a worker that starts late: what is lost is a part of the page.
    await page.route(/_next\/static\/chunks\/(?!turbopack-).*\.js/, (route) => {
      lost += 1;
      return lost <= 2 ? route.fulfill({ status: 404, body: '' }) : route.continue();
    });
    await page.getByRole('button', { name: 'Lamps and faces' }).click();
    await expect(page.locator('main[data-ready="true"]')).toBeVisible();
    await expect(page.getByRole('heading', { name: /Flicker|Lamps/ }).first()).toBeVisible();
    expect(lost).toBeGreaterThan(0);
  });
});

test('every package that ships is named with its licence', WHOLE, async ({ page }) => {
  await open(page, '/');
  await menu(page, 'Licences');
  await expect(page.getByRole('heading', { name: 'Licences' })).toBeVisible();
  await page.getByText('@zip.js/zip.js').click();
  await expect(page.getByText(/Redistribution and use in source and binary forms/).first()).toBeVisible();
  await expect(page.getByText('LGPL-3.0-or-later').first()).toBeVisible();
});

test.describe('with the worker that keeps the app', () => {
  test.use({ serviceWorkers: 'allow' });
  test('what was emptied is filled again at the next visit, and the menu says so', async ({ page }) => {
    await open(page, '/');
    await page.evaluate(() => navigator.serviceWorker.ready);
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    const count = (): Promise<number> =>
      page.evaluate(async () => {
        let kept = 0;
        for (const name of await caches.keys())
          if (name.includes('precache')) kept += (await (await caches.open(name)).keys()).length;
        return kept;
      });
    await expect.poll(count).toBeGreaterThan(50);
    const whole = await count();
    await page.evaluate(async () => {
      for (const name of await caches.keys()) await caches.delete(name);
    });
    expect(await count()).toBe(0);
    await page.reload();
    await expect.poll(count).toBe(whole);
    await page.getByRole('button', { name: 'Menu' }).click();
    await expect(page.getByRole('menuitem', { name: 'Ready for no network' })).toBeVisible();
  });
});

test('deleted from under an open page, the data is offered and put back', async ({ page, context }) => {
  await open(page, '/');
  // Another page of the address, without the app.
  const other = await context.newPage();
  await other.goto('/api/health');
  await other.evaluate(
    () =>
      new Promise<void>((done, failed) => {
        const request = indexedDB.deleteDatabase('lynxeye');
        request.onsuccess = () => done();
        request.onerror = () => failed(new Error('not deleted'));
      }),
  );
  await other.close();
  await expect(page.getByRole('heading', { name: 'Your data was deleted here' })).toBeVisible();
  await expect(page.getByText('The page still holds 20 shots, 2 outings')).toBeVisible();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await page.locator('main[data-ready="true"]').waitFor();
  await expect(page.getByText('Upper gorge run').first()).toBeVisible();
});
