import type { Page } from '@playwright/test';
import { expect, expectNoAxeFindings, open, test } from './fixture';
import { settled } from './layout';
import { FIRST, OUTING, PLACES, SAMPLE } from './places';

/** How places hold in any look at any width, with long names, is read in the pseudo-language: `e2e/pseudo/`. */
const THEMES = ['paper', 'night', 'glare'] as const;
type Theme = (typeof THEMES)[number];
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
  test(`axe finds nothing on a screen of each kind, in any theme (${part + 1} of ${PARTS.length})`, async ({
    page,
  }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    for (const place of SAMPLE.filter((_, at) => at % PARTS.length === part)) {
      await page.setViewportSize({ width: 1280, height: 800 });
      await open(page, place);
      await settled(page);
      await lookedAtByAxe(page, place);
      if (!FIRST.includes(place)) continue;
      await page.setViewportSize({ width: 390, height: 844 });
      await expectNoAxeFindings(page, `${place} on a phone`, 'allButColours');
    }
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
