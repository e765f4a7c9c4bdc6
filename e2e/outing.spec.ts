import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, open, test, WHOLE } from './fixture';
import { DEMO_OUTING } from './records';

const SATURDAY = '/outing?outing=demo-outing&day=saturday';

test(
  'the demo outing is there: both days worked out, and what they do not manage',
  WHOLE,
  async ({ page }) => {
    await open(page, '/outing');
    await expect(page.getByText(/\d things this day does not manage, the worst first/)).toBeVisible();
    const ribbon = page.getByRole('group', { name: 'Ribbon of the day' });
    await expect(ribbon.getByRole('button', { name: /^Sun gate, .*25 fps/ })).toBeVisible();
    await expect(
      ribbon.getByRole('img', { name: /^Otter: card [\d.]+ of 248 GB, power [\d.]+ of [\d.]+ Wh/ }),
    ).toBeVisible();
    await page.getByRole('link', { name: 'Sun 4 Oct 2026' }).click();
    await expect(page.getByText(/this day does not manage|every camera lasts/)).toBeVisible();
    await page.getByRole('tab', { name: 'Filters and set-ups' }).click();
    const otter = page.getByRole('region', { name: 'Otter' });
    await expect(otter.getByRole('cell').first()).toBeVisible();
    await expect(otter.getByText(/of 5 slots serve every shot/)).toBeVisible();
  },
);

test('a block is moved by hand and by key, the day is solved anew, and undo brings it back', async ({
  page,
}) => {
  await open(page, SATURDAY);
  const ribbon = page.getByRole('group', { name: 'Ribbon of the day' });
  const gate = (): ReturnType<Page['getByRole']> => ribbon.getByRole('button', { name: /^Sun gate, / });
  await expect(gate()).toHaveAccessibleName(/12:40–13:10/);
  await gate().focus();
  await page.keyboard.press('ArrowRight');
  await expect(gate()).toHaveAccessibleName(/12:45–13:15/);
  await page.keyboard.press('Shift+ArrowRight');
  await expect(gate()).toHaveAccessibleName(/13:15–13:45/);
  await gate().scrollIntoViewIfNeeded();
  const box = (await gate().boundingBox())!;
  await page.mouse.move(box.x + 20, box.y + 15);
  await page.mouse.down();
  await page.mouse.move(box.x + 120, box.y + 15, { steps: 6 });
  await page.mouse.up();
  await expect(gate()).not.toHaveAccessibleName(/13:15/);
  for (let step = 0; step < 3; step += 1)
    await page.getByRole('button', { name: 'Undo: move in time' }).click();
  await expect(gate()).toHaveAccessibleName(/12:40–13:10/);
  // The light of the shot went with it and came back with it.
  await page.goto('/bench?shot=demo-05&part=light&outing=demo-outing&day=saturday');
  await expect(page.getByText('12:40–13:10').first()).toBeVisible();
  await page.getByRole('link', { name: 'Sat 3 Oct 2026, 12:40' }).click();
  await expect(gate()).toHaveAccessibleName(/12:40–13:10/);
});

test(
  'the order is changed by grip, a shot goes to the other day, breaks are added and searched',
  WHOLE,
  async ({ page }) => {
    // Tall enough that the first arrow moves the entry and not the page.
    await page.setViewportSize({ width: 1280, height: 1900 });
    await open(page, SATURDAY);
    const rows = page.getByRole('region', { name: 'In order' }).getByRole('listitem');
    const entries = DEMO_OUTING.days[0]!.entries.length;
    await expect(rows).toHaveCount(entries);
    await expect(page.getByText(/\d things this day does not manage, the worst first/)).toBeVisible();
    await page.getByRole('button', { name: 'Move Weir drop in the order' }).focus();
    await page.keyboard.press('Space');
    await expect(page.getByText('Lifted Weir drop.')).toBeAttached();
    await page.keyboard.press('ArrowDown');
    await expect(page.getByText('Weir drop is at the place of Lunch on the gravel.')).toBeAttached();
    await page.keyboard.press('ArrowDown');
    await expect(page.getByText('Weir drop is at the place of Sun gate.')).toBeAttached();
    await page.keyboard.press('Space');
    await expect(rows.filter({ hasText: 'Weir drop' })).not.toContainText('11:50');
    await page.getByRole('button', { name: /^Undo: change the order/ }).click();
    await expect(rows.filter({ hasText: 'Weir drop' })).toContainText('11:50');

    await page.getByRole('button', { name: 'Add a break' }).click();
    await expect(rows).toHaveCount(entries + 1);
    const chosen = page.getByRole('region', { name: 'Chosen on this day' });
    await chosen.getByRole('textbox', { name: 'Called' }).fill('Tea');
    await chosen.getByRole('textbox', { name: 'Called' }).press('Enter');
    await expect(rows.filter({ hasText: 'Tea' })).toHaveCount(1);
    await page.getByRole('textbox', { name: 'Find on this day by name' }).fill('gate');
    await expect(rows).toHaveCount(1);
    await rows.getByRole('button', { name: /^Sun gate/ }).click();
    await expect(chosen.getByRole('heading', { name: 'Sun gate' })).toBeVisible();
    await chosen.getByRole('combobox', { name: 'On', exact: true }).click();
    await page.getByTitle('Sun 4 Oct 2026').click();
    await expect(rows).toHaveCount(0);
    await page.getByRole('link', { name: 'Sun 4 Oct 2026' }).click();
    await expect(page.getByRole('button', { name: /^Sun gate, / })).toBeVisible();

    await page.getByRole('button', { name: 'More for this outing' }).click();
    await page.getByRole('menuitem', { name: 'Duplicate this day' }).click();
    await expect(page.getByRole('link', { name: 'Mon 5 Oct 2026' })).toHaveAttribute('aria-current', 'page');
    await page.getByRole('button', { name: 'More for this outing' }).click();
    await page.getByRole('menuitem', { name: 'Archive this outing' }).click();
    await page.getByRole('button', { name: 'More for this outing' }).click();
    await expect(page.getByRole('menuitem', { name: 'Take out of the archive' })).toBeVisible();
  },
);

test('what runs out is told with its minute, and the cure that is taken works', WHOLE, async ({ page }) => {
  await open(page, `${SATURDAY}&part=budget`);
  const otter = page.getByRole('region', { name: 'Otter' });
  await expect(otter.getByText('Lasts the day.')).toBeVisible();
  const cells = otter.getByRole('spinbutton', { name: 'of', exact: true });
  await cells.fill('0.2');
  await cells.press('Enter');
  await expect(otter.getByText(/^Otter is out of power at \d\d:\d\d, during/)).toBeVisible();
  await expect(
    page
      .getByRole('banner')
      .or(page.locator('header'))
      .getByText(/^Otter is out of power at/),
  ).toBeVisible();
  const remedies = otter.getByRole('listitem').filter({ hasText: 'then it lasts' });
  expect(await remedies.count()).toBeGreaterThanOrEqual(1);
  await remedies.getByRole('button').first().click();
  await expect(otter.getByText('Lasts the day.')).toBeVisible();
  await page.getByRole('button', { name: /^Undo: take a cure/ }).click();
  await expect(otter.getByText(/^Otter is out of power at/)).toBeVisible();
});

test('the day solved together proposes changes with reasons, taken one by one', WHOLE, async ({ page }) => {
  await open(page, `${SATURDAY}&part=joint`);
  const joint = page.getByRole('region', { name: 'Solve the day together' });
  await joint.getByRole('button', { name: 'Solve together' }).click();
  await expect(joint.getByText(/^(Nothing to change|Before [\d.]+:)/)).toBeVisible();
  const changes = joint.getByRole('listitem');
  const count = await changes.count();
  expect(count).toBeGreaterThan(0);
  await expect(changes.first()).toContainText('so that');
  if (count > 1) await changes.last().getByRole('checkbox').uncheck();
  await joint.getByRole('button', { name: /^Take / }).click();
  await expect(page.getByText(/^Took \d+ changes? as pins\. Undo takes them back\.$/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Undo: solve the day together' })).toBeEnabled();
});

test('packing and safety are ticked and kept', WHOLE, async ({ page }) => {
  await open(page, `${SATURDAY}&part=packing`);
  const cells = page.getByRole('checkbox', { name: '3 cells for Otter, charged' });
  await cells.click();
  await expect(page.getByRole('heading', { name: /^In the bag: 1 of / })).toBeVisible();
  const caution = page.getByRole('checkbox', { name: /^What stands out can snag/ });
  await caution.click();
  await expect(caution).toBeChecked();
  await page.reload();
  await expect(cells).toBeChecked();
  await expect(page.getByRole('checkbox', { name: /^What stands out can snag/ })).toBeChecked();
});

test(
  'files of the outing go out and come back; everything as one ZIP restores a wiped browser',
  WHOLE,
  async ({ page }) => {
    await open(page, SATURDAY);
    const saved = async (item: string): Promise<string> => {
      await page.getByRole('button', { name: 'More for this outing' }).click();
      const download = page.waitForEvent('download');
      await page.getByRole('menuitem', { name: item }).click();
      return (await download).path();
    };
    const json = JSON.parse(readFileSync(await saved('Outing with its shots (JSON)'), 'utf8')) as {
      shots: unknown[];
    };
    const planned = DEMO_OUTING.days.flatMap(({ entries }) =>
      entries.flatMap((one) => (one.what === 'shot' ? [one.shotId] : [])),
    );
    expect(json.shots).toHaveLength(new Set(planned).size);
    const csv = readFileSync(await saved('Shot list (CSV)'), 'utf8');
    expect(csv.split('\r\n')[0]).toMatch(/^date,start,minutes,what,name/);
    expect(readFileSync(await saved('Days for a calendar (ICS)'), 'utf8')).toContain(
      'TZID=Europe/Rome:20261003T124000',
    );

    const everything = async (): Promise<string> =>
      page.evaluate(async () => {
        const open = await new Promise<IDBDatabase>((resolve, reject) => {
          const request = indexedDB.open('lynxeye');
          request.onsuccess = () => resolve(request.result);
          request.onerror = () => reject(new Error('no database'));
        });
        const all: Record<string, unknown> = {};
        for (const table of ['shots', 'log', 'kit', 'outings'])
          all[table] = await new Promise((resolve) => {
            const request = open.transaction(table).objectStore(table).getAll();
            request.onsuccess = () => resolve(request.result);
          });
        open.close();
        // The order of keys says nothing: it is made one and the same.
        const sorted = (value: unknown): unknown =>
          Array.isArray(value)
            ? value.map(sorted)
            : typeof value === 'object' && value !== null
              ? Object.fromEntries(
                  Object.entries(value)
                    .sort(([a], [b]) => (a < b ? -1 : 1))
                    .map(([key, one]) => [key, sorted(one)]),
                )
              : value;
        return JSON.stringify(sorted(all));
      });
    const before = await everything();
    await page.getByRole('button', { name: 'Menu' }).click();
    const download = page.waitForEvent('download');
    await page.getByRole('menuitem', { name: 'Everything as one ZIP' }).click();
    const zip = await (await download).path();

    await page.evaluate(
      () =>
        new Promise<void>((resolve, reject) => {
          const request = indexedDB.open('lynxeye');
          request.onsuccess = () => {
            const names = ['shots', 'log', 'kit', 'outings'];
            const wipe = request.result.transaction(names, 'readwrite');
            for (const name of names) wipe.objectStore(name).clear();
            wipe.oncomplete = () => {
              request.result.close();
              resolve();
            };
            wipe.onerror = () => reject(new Error('not wiped'));
          };
        }),
    );
    await open(page, '/outing');
    await expect(page.getByRole('heading', { name: 'No outing yet' })).toBeVisible();
    await page.getByRole('button', { name: 'Menu' }).click();
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('menuitem', { name: 'Import a file' }).click();
    await (
      await chooser
    ).setFiles({ name: 'lynxeye-everything.zip', mimeType: 'application/zip', buffer: readFileSync(zip) });
    await expect(
      page.getByText(/Left behind: \d+ files of the archive: sheets, calendars and pictures/),
    ).toBeVisible();
    await expect(page.getByText(/\d things this day does not manage, the worst first/)).toBeVisible();
    expect(await everything()).toBe(before);
  },
);

test('a shot list makes an outing, and a faulty one is told line by line', WHOLE, async ({ page }) => {
  await open(page, '/outing');
  const take = async (name: string, text: string): Promise<void> => {
    await page.getByRole('button', { name: 'Menu' }).click();
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('menuitem', { name: 'Import a file' }).click();
    await (await chooser).setFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  };
  await take('plan.csv', 'date,start,minutes,what,name\n2027-01-02,9 am,10,shot,Ice\n');
  await expect(page.getByRole('dialog')).toContainText('row 2, start');
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).last().click();
  await take(
    'plan.csv',
    'date,start,minutes,what,name\n2027-01-02,09:00,10,shot,Ice\n2027-01-02,09:15,20,break,Tea\n',
  );
  await expect(page.getByText(/^Made an outing of 2 lines, 1 shots of them new/)).toBeVisible();
});

test('two hundred shots on one day stay fluid', WHOLE, async ({ page }) => {
  await open(page, SATURDAY);
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const request = indexedDB.open('lynxeye');
        request.onsuccess = () => {
          const change = request.result.transaction('outings', 'readwrite').objectStore('outings');
          const get = change.get('demo-outing');
          get.onsuccess = () => {
            const outing = get.result as { days: { entries: unknown[] }[] };
            outing.days[0]!.entries = Array.from({ length: 200 }, (_, at) => ({
              what: 'shot',
              id: `many-${at}`,
              shotId: `demo-${String((at % 13) + 1).padStart(2, '0')}`,
              at: `${String(6 + Math.floor(at / 14)).padStart(2, '0')}:${String((at % 14) * 4).padStart(2, '0')}`,
              pauses: [],
              note: '',
            }));
            change.put(outing);
            change.transaction.oncomplete = () => {
              request.result.close();
              resolve();
            };
          };
        };
      }),
  );
  await page.reload();
  // Of a long list only the rows in view are drawn; each says how long it is.
  const rows = page.getByRole('region', { name: 'In order' }).getByRole('listitem');
  await expect(rows.first()).toHaveAttribute('aria-setsize', '200');
  expect(await rows.count()).toBeLessThan(60);
  await expect(
    page
      .getByRole('status')
      .filter({ hasText: /200 shots|does not manage/ })
      .first(),
  ).toBeVisible();
  // While the list is scrolled and a block moved, the page keeps drawing.
  const longest = await page.evaluate(async () => {
    let worst = 0;
    let before = performance.now();
    let going = true;
    const tick = (now: number): void => {
      worst = Math.max(worst, now - before);
      before = now;
      if (going) requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
    for (let at = 0; at < 30; at += 1) {
      window.scrollBy(0, 200);
      await new Promise((resolve) => requestAnimationFrame(resolve));
    }
    going = false;
    return worst;
  });
  test.info().annotations.push({ type: 'longest frame', description: `${Math.round(longest)} ms` });
  await page
    .getByRole('button', { name: /^Sun gate, / })
    .first()
    .focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('button', { name: 'Undo: move in time' })).toBeEnabled();
});

test(
  'a picked folder holds everything after every change, and many changes are reminded of',
  WHOLE,
  async ({ page }) => {
    // The browser's own private folder stands in for one that a person picks.
    await page.addInitScript(() => {
      Object.assign(window, { showDirectoryPicker: () => navigator.storage.getDirectory() });
      localStorage.setItem('lynxeye-device', 'laptop');
    });
    await open(page, SATURDAY);
    const inFolder = async (): Promise<string> =>
      page.evaluate(async () => {
        const folder = await navigator.storage.getDirectory();
        try {
          return await (await (await folder.getFileHandle('lynxeye-backup-laptop.json')).getFile()).text();
        } catch {
          return '';
        }
      });
    await page.getByRole('button', { name: 'Add a break' }).click();
    await page.getByRole('button', { name: 'Menu' }).click();
    await page.getByRole('menuitem', { name: 'Back up to a folder, always' }).click();
    await expect(page.getByText(/^Everything is written to lynxeye-backup-laptop\.json/)).toBeVisible();
    const first = await inFolder();
    expect((JSON.parse(first) as { outings: unknown[] }).outings).toHaveLength(2);
    const called = page.getByRole('textbox', { name: 'Called' });
    await called.fill('Second breakfast');
    await called.press('Enter');
    await expect.poll(inFolder).toContain('Second breakfast');

    await page.evaluate(
      () =>
        new Promise<void>((resolve) => {
          const request = indexedDB.open('lynxeye');
          request.onsuccess = () => {
            const write = request.result.transaction('choices', 'readwrite');
            write.objectStore('choices').put({ key: 'changesSinceExport', value: '70' });
            write.oncomplete = () => {
              request.result.close();
              resolve();
            };
          };
        }),
    );
    await called.fill('Third breakfast');
    await called.press('Enter');
    const reminder = page.getByText(/^7\d changes since everything was last exported/);
    await expect(reminder).toBeVisible();
    const download = page.waitForEvent('download');
    await reminder.getByRole('button', { name: 'Export everything' }).click();
    await download;
    await expect(reminder).toBeHidden();
  },
);
