import type { Page } from '@playwright/test';
import { whole } from '../testing/samples';
import { expect, axeFindsNothing, open, test } from './fixture';
import { lengthen, textsOutside } from './language';
import { amiss, settled, wordsOver } from './layout';
import { longNames } from './longNames';
import { OF_EACH_KIND, OUTING, PLACES } from './places';

/** Every test run looks at a screen of each kind, `npm run fuzz` at all there are. */
const LOOKED_AT = whole ? PLACES : OF_EACH_KIND;
const THEMES = ['paper', 'night', 'glare'] as const;
type Theme = (typeof THEMES)[number];
/** So many tests share the places, each with a browser of its own. */
const SHARES = 4;

/** Menu and all: what a theme gives to the library's own parts is looked at as well. */
async function wear(page: Page, theme: Theme): Promise<void> {
  if ((await page.locator('html').getAttribute('data-theme')) === theme) return;
  await page.getByRole('button', { name: 'Menu' }).click();
  await page.getByRole('menuitem', { name: new RegExp(`^${theme}$`, 'i') }).click();
  await expect(page.locator('html')).toHaveAttribute('data-theme', theme);
}

/**
 * Names and roles are the same in every theme and looked at in one; colours in that, which the place before left worn, and
 * in the next, so that each theme is worn at two screens of three; where all is looked at in each.
 */
async function lookedAtByAxe(page: Page, place: string): Promise<void> {
  const worn = await page.locator('html').getAttribute('data-theme');
  await axeFindsNothing(page, `${place} in ${worn ?? ''}`);
  const at = THEMES.findIndex((one) => one === worn);
  const next = [...THEMES.slice(at + 1), ...THEMES.slice(0, at)];
  for (const theme of whole ? next : next.slice(0, 1)) {
    await wear(page, theme);
    await axeFindsNothing(page, `${place} in ${theme}`, 'colours');
  }
}

/** A laptop, the narrowest phone that is still about, and where all is looked at a phone as they are. */
const SIZES = [
  { width: 1280, height: 800 },
  { width: 360, height: 740 },
  ...(whole ? [{ width: 390, height: 844 }] : []),
];

async function wordsOverIn(page: Page): Promise<string[]> {
  const found: string[] = [];
  for (const size of SIZES) {
    await page.setViewportSize(size);
    await settled(page);
    for (const over of await wordsOver(page)) found.push(`${size.width}: ${over}`);
  }
  return found;
}

const WIDTHS = [320, 390, 1280];
/** What changes sizes: the night is the paper in other colours. */
const LOOKS = ['paper', 'glare', 'forced colours'];

/** Three of the nine, each width and each look among them; the next place gets the next three. */
const looksOf = (at: number): { width: number; look: string }[] =>
  WIDTHS.map((width, index) => ({ width, look: LOOKS[(index + at) % LOOKS.length]! }));

/** In a longer language, in three looks at three widths: what is cut or covered has no room for it. */
async function lengthenedIn(page: Page, at: number): Promise<string[]> {
  const found: string[] = [];
  for (const { width, look } of looksOf(at)) {
    await page.setViewportSize({ width, height: 844 });
    await page.emulateMedia({ forcedColors: look === 'forced colours' ? 'active' : 'none' });
    await page.evaluate(
      (theme) => (document.documentElement.dataset.theme = theme),
      look === 'forced colours' ? 'paper' : look,
    );
    await page.evaluate(
      () => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))),
    );
    await lengthen(page);
    for (const what of await amiss(page)) found.push(`${look} ${width}: ${what}`);
  }
  await page.emulateMedia({ forcedColors: 'none' });
  return found;
}

for (let share = 0; share < SHARES; share++)
  test(`every kind of screen: axe finds nothing in any theme, no words stand over others, all is said by the catalogue, and a longer language has room (${share + 1} of ${SHARES})`, async ({
    page,
  }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await open(page, '/');
    await longNames(page);
    const found: string[] = [];
    const mine = LOOKED_AT.filter((_, at) => at % SHARES === share);
    expect(mine.length).toBeGreaterThan(3);
    for (const [at, place] of mine.entries()) {
      await page.setViewportSize(SIZES[0]!);
      await open(page, place);
      await settled(page);
      // Names and texts of licences stay as they were given.
      if (place !== '/licences')
        for (const text of await textsOutside(page)) found.push(`${place}: outside the catalogue: ${text}`);
      await lookedAtByAxe(page, place);
      for (const over of await wordsOverIn(page)) found.push(`${place}: words over words at ${over}`);
      for (const what of await lengthenedIn(page, at)) found.push(`${place} ${what}`);
    }
    expect(found).toEqual([]);
  });

test('the kinds of screen are among the places there are; the keys hold on a phone', async ({ page }) => {
  expect(PLACES.length).toBeGreaterThanOrEqual(64);
  expect(OF_EACH_KIND.filter((place) => !PLACES.includes(place))).toEqual([]);
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, '/');
  await page.keyboard.press('?');
  await axeFindsNothing(page, 'the keys on a phone');
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
    ['/bench?shot=demo-05', 'button[data-chosen=true]', 'button[data-chosen=false]'],
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
