import AxeBuilder from '@axe-core/playwright';
import { expect, test as base } from '@playwright/test';
import type { Page } from '@playwright/test';

/** `SLOW=4` slows the pages so many times: a test that does not wait for what it needs fails then. */
const SLOW = Number(process.env.SLOW ?? 1);

/**
 * Walked with `npm run fuzz` alone: what it finds, the screens' own tests find too, or those of the core; which, says
 * `docs/testing.md`. What only a browser tells is walked in every test run.
 */
export const WHOLE = { tag: '@whole' };

/**
 * Every test fails on a request to another origin, on an error in the console, and on an uncaught one in the page; but for
 * the errors that a test provokes and names in `provoked`.
 */
export const test = base.extend<{ watched: undefined; provoked: RegExp | null }>({
  provoked: [null, { option: true }],
  watched: [
    async ({ context, baseURL, provoked }, use) => {
      const wrong: string[] = [];
      const home = new URL(baseURL!).origin;
      context.on('request', (request) => {
        const url = request.url();
        if (!url.startsWith('data:') && !url.startsWith('blob:') && new URL(url).origin !== home)
          wrong.push(`request to ${url}`);
      });
      context.on('console', (message) => {
        if (message.type() === 'error') wrong.push(`console: ${message.text()}`);
      });
      context.on('weberror', (error) => wrong.push(`uncaught: ${error.error().message}`));
      if (SLOW > 1)
        context.on('page', (page) => {
          void context
            .newCDPSession(page)
            .then((session) => session.send('Emulation.setCPUThrottlingRate', { rate: SLOW }))
            .catch(() => undefined);
        });
      await use(undefined);
      expect(wrong.filter((what) => !provoked?.test(what))).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

/** Goes to a place and waits until the person's data is open. */
export async function open(page: Page, url: string): Promise<void> {
  await page.goto(url);
  await page.locator('main[data-ready="true"]').waitFor();
}

/** The whole sentence of the Bench, with every word in sight. */
export async function allWords(page: Page): Promise<void> {
  const all = page.getByRole('button', { name: 'All words' });
  await all.click();
  await expect(all).toHaveAttribute('aria-pressed', 'true');
}

/** A copy of a shot that stands in no plan, so that its day and clock are its own, on the Bench or on a panel of it. */
export async function openAlone(page: Page, shot: string, part?: string): Promise<void> {
  await open(page, `/bench?shot=${shot}`);
  const name = page.getByRole('textbox', { name: 'Name of the shot' });
  await expect(name).not.toHaveValue('');
  await page.keyboard.press('d');
  await page.waitForURL(/name=new/);
  await expect(name).toHaveValue(/, copy$/);
  if (part) await open(page, `${page.url()}&part=${part}`);
}

/** Undoes until it is so: moves that a slow machine spreads over time are several steps. */
export async function undoUntil(page: Page, isSo: (timeout: number) => Promise<void>): Promise<void> {
  const undo = page.getByRole('button', { name: /^Undo/ });
  await expect(async () => {
    if (await undo.isVisible()) await undo.click();
    await isSo(3000);
  }).toPass();
}

const COLOURS = ['color-contrast'];

/** Nothing that axe finds, on the screen as it stands; colours alone, or all but colours, where the rest was looked at before. */
export async function expectNoAxeFindings(
  page: Page,
  where: string,
  what: 'all' | 'colours' | 'allButColours' = 'all',
): Promise<void> {
  // The page has no frames, and what passes need not be listed: a third of the time.
  const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode(true);
  if (what === 'colours') axe.withRules(COLOURS);
  if (what === 'allButColours') axe.disableRules(COLOURS);
  const { violations } = await axe.analyze();
  const found = violations.map(
    ({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 120)).join(' | ')}`,
  );
  expect(found, where).toEqual([]);
}

export const tile = (page: Page, name: string): ReturnType<Page['getByRole']> =>
  page.getByRole('button', { name: new RegExp(`^${name}: `) });
