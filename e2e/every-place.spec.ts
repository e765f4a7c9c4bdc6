import type { Page } from '@playwright/test';
import { expect, expectNoAxeFindings, open, test } from './fixture';
import { amiss, settled } from './layout';
import { FIRST, OUTING, PLACES, SAMPLE } from './places';
import { patchKept } from './records';

const WIDTHS = [320, 390, 1280] as const;
const THEMES = ['paper', 'night', 'glare'] as const;
type Theme = (typeof THEMES)[number];
/** What changes sizes: the night is the paper in other colours. */
const LOOKS = ['paper', 'glare', 'forced colours'] as const;

/** A name as long as names may be, without a blank to break at. */
const long = (letters: number, start: string): string => start.padEnd(letters, 'wideWIDEwide');

async function longNames(page: Page): Promise<void> {
  const entry = (day: number, at: number): (string | number)[] => ['days', day, 'entries', at, 'name'];
  await patchKept(page, [
    { table: 'shots', path: ['shot', 'name'], value: long(120, 'Shot') },
    { table: 'shots', path: ['shot', 'camera', 'profile', 'name'], value: long(80, 'Camera') },
    { table: 'shots', path: ['shot', 'light', 'place'], value: long(120, 'Place') },
    { table: 'outings', path: ['name'], value: long(120, 'Outing') },
    ...[0, 1].flatMap((day) =>
      Array.from({ length: 17 }, (_, at) => ({
        table: 'outings' as const,
        path: entry(day, at),
        value: long(120, 'Entry'),
      })),
    ),
    { table: 'log', path: ['shotName'], value: long(120, 'Recorded') },
    { table: 'log', path: ['note'], value: long(400, 'Note') },
    { table: 'kit', path: ['thing', 'name'], value: long(80, 'Thing') },
    { table: 'kit', path: ['thing', 'profile', 'name'], value: long(80, 'Camera') },
    { table: 'kit', path: ['note'], value: long(400, 'Note') },
  ]);
}

const PARTS = [0, 1, 2, 3];

/** Menu and all: what a theme gives to the library's own parts is looked at as well. */
async function wear(page: Page, theme: Theme): Promise<void> {
  if ((await page.locator('html').getAttribute('data-theme')) === theme) return;
  await page.getByRole('button', { name: 'Menu' }).click();
  await page.getByRole('menuitem', { name: new RegExp(`^${theme}$`, 'i') }).click();
  await expect(page.locator('html')).toHaveAttribute('data-theme', theme);
}

/** Names and roles are the same in every theme and looked at in one; colours in each. */
async function lookedAtByAxe(page: Page, place: string): Promise<void> {
  const worn = await page.locator('html').getAttribute('data-theme');
  await expectNoAxeFindings(page, `${place} in ${worn ?? ''}`);
  for (const theme of THEMES.filter((one) => one !== worn)) {
    await wear(page, theme);
    await expectNoAxeFindings(page, `${place} in ${theme}`, 'colours');
  }
}

for (const part of PARTS)
  test(`every place holds in any look at any width, with the longest names (${part + 1} of ${PARTS.length})`, async ({
    page,
  }) => {
    test.setTimeout(900_000);
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await open(page, '/');
    await longNames(page);
    const found: string[] = [];
    for (const place of PLACES.filter((_, at) => at % PARTS.length === part)) {
      await page.emulateMedia({ forcedColors: 'none' });
      await page.setViewportSize({ width: 1280, height: 800 });
      await open(page, place);
      await settled(page);
      if (SAMPLE.includes(place)) await lookedAtByAxe(page, place);
      for (const width of WIDTHS) {
        await page.setViewportSize({ width, height: 800 });
        for (const look of LOOKS) {
          await page.emulateMedia({ forcedColors: look === 'forced colours' ? 'active' : 'none' });
          await page.evaluate(
            (theme) => (document.documentElement.dataset.theme = theme),
            look === 'forced colours' ? 'paper' : look,
          );
          await page.evaluate(
            () => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))),
          );
          for (const what of await amiss(page)) found.push(`${place} ${look} ${width}: ${what}`);
        }
      }
      if (!FIRST.includes(place)) continue;
      await page.emulateMedia({ forcedColors: 'none' });
      await page.setViewportSize({ width: 390, height: 844 });
      await expectNoAxeFindings(page, `${place} on a phone`, 'allButColours');
    }
    expect(found).toEqual([]);
  });

test('the places that axe looks at are among those walked; the keys hold on a phone', async ({ page }) => {
  expect(PLACES.length).toBeGreaterThanOrEqual(64);
  expect(SAMPLE.filter((place) => !PLACES.includes(place))).toEqual([]);
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, '/');
  await page.keyboard.press('?');
  await expectNoAxeFindings(page, 'the keys on a phone');
});

test('in forced colours the chosen tab and place are told by more than colour', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  const marks = (selector: string): Promise<string[]> =>
    page.locator(selector).evaluateAll((elements) =>
      elements.map((element) => {
        const { borderBottomWidth, borderBottomStyle, fontWeight, textDecorationLine, outlineStyle } =
          getComputedStyle(element);
        return [borderBottomWidth, borderBottomStyle, fontWeight, textDecorationLine, outlineStyle].join(' ');
      }),
    );
  for (const [place, chosen, others] of [
    ['/bench?shot=demo-05', 'nav a[aria-current=page]', 'nav[aria-label=Places] a:not([aria-current])'],
    ['/bench?shot=demo-05', '[role=tab][aria-selected=true]', '[role=tab][aria-selected=false]'],
    [`/outing?${OUTING}&day=saturday`, '[role=tab][aria-selected=true]', '[role=tab][aria-selected=false]'],
    [
      `/outing?${OUTING}&day=saturday`,
      'nav[aria-label=Days] a[aria-current]',
      'nav[aria-label=Days] a:not([aria-current])',
    ],
    ['/log', 'button[aria-pressed=true]', 'button[aria-pressed=false]'],
  ] as const) {
    await open(page, place);
    await page.locator(chosen).first().waitFor();
    const [mark] = await marks(chosen);
    for (const other of await marks(others)) expect(other, `${place} ${chosen}`).not.toBe(mark);
  }
});
