import axe from 'axe-core';
import type { ElementContext, RunOptions } from 'axe-core';
import { expect, test as base } from '@playwright/test';
import type { Page } from '@playwright/test';
import { whole } from '../testing/samples';

/** `SLOW=4` slows the pages so many times: a test that does not wait for what it needs fails then. */
const SLOW = Number(process.env.SLOW ?? 1);

/**
 * Walked with `npm run fuzz` alone: what it finds, the screens' own tests find too, or those of the core; which, says
 * `docs/testing.md`. What only a browser tells is walked in every test run.
 */
export const WHOLE = { tag: '@whole' };

/**
 * Every test fails on a request to another origin, on one that is not answered, on an error in the console, and on an uncaught one in the page; but for
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
      context.on('response', (response) => {
        if (response.status() >= 400) wrong.push(`answer ${response.status()} ${response.url()}`);
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

/**
 * Marks one of each kind of text: where tag, classes, state and own style are the same all the way up, so are the colours, but
 * for what a picture puts behind them. With `npm run fuzz` all are looked at.
 */
async function markKindsOfText(page: Page): Promise<void> {
  await page.evaluate(() => {
    const TOLD =
      /^(class|style|role|disabled|data-|aria-(current|selected|pressed|checked|disabled|expanded))/;
    const seen = new Set<string>();
    for (const marked of document.querySelectorAll('[data-looked-at]'))
      marked.removeAttribute('data-looked-at');
    const kinds = new Map<Element, string>();
    const kindOf = (element: Element | null): string => {
      if (!element) return '';
      const known = kinds.get(element);
      if (known !== undefined) return known;
      const own = [...element.attributes]
        .filter(({ name }) => TOLD.test(name))
        .map(({ name, value }) => `${name}=${name === 'style' ? value.replace(/[\d.]+(px|%)/g, '') : value}`);
      const kind = `${kindOf(element.parentElement)}>${element.tagName} ${own.join(' ')}`;
      kinds.set(element, kind);
      return kind;
    };
    for (const element of document.body.querySelectorAll('*')) {
      if (![...element.childNodes].some((node) => node.nodeType === Node.TEXT_NODE && node.nodeValue?.trim()))
        continue;
      const kind = kindOf(element);
      if (seen.has(kind)) continue;
      seen.add(kind);
      element.setAttribute('data-looked-at', '');
    }
  });
}

/** Nothing that axe finds, on the screen as it stands; colours alone, where the rest was looked at before. */
export async function axeFindsNothing(
  page: Page,
  where: string,
  what: 'all' | 'colours' = 'all',
): Promise<void> {
  // One load of it a page, and what passes is not listed: half the time.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  if (!whole) await markKindsOfText(page);
  const found = await page.evaluate(
    async ({ whole, what }) => {
      const { run } = (window as unknown as { axe: typeof axe }).axe;
      const COLOURS = 'color-contrast';
      const runs: [ElementContext, RunOptions][] = [];
      if (what === 'all') runs.push([document, { rules: { [COLOURS]: { enabled: whole } } }]);
      if (what === 'colours' || !whole)
        runs.push([whole ? document : '[data-looked-at]', { runOnly: [COLOURS] }]);
      const found: string[] = [];
      for (const [context, options] of runs)
        for (const { id, nodes } of (await run(context, { ...options, resultTypes: ['violations'] }))
          .violations)
          found.push(`${id}: ${nodes.map(({ html }) => html.slice(0, 120)).join(' | ')}`);
      return found;
    },
    { whole, what },
  );
  expect(found, where).toEqual([]);
}

/** What a test opens on its way is looked at where all is looked at: every run looks at each kind of screen. */
export async function expectNoAxeFindings(page: Page, where: string): Promise<void> {
  if (whole) await axeFindsNothing(page, where);
}

export const tile = (page: Page, name: string): ReturnType<Page['getByRole']> =>
  page.getByRole('button', { name: new RegExp(`^${name}: `) });
