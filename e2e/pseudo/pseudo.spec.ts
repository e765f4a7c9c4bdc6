import { readdirSync, readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, open, test } from '../fixture';
import { amiss, settled } from '../layout';
import { PLACES } from '../places';
import { LONG_NAME, longNames } from '../longNames';

/**
 * The app built in the pseudo-language: every sentence of the catalogue accented and a third longer, between brackets.
 * What stands in plain letters is in no catalogue; what is cut or covered has no room for a longer language.
 */

const NAMED = new Set(
  'id name shotName note place where country zone file summary because says why text'.split(' '),
);
const ARCHETYPES = 'src/core/camera/archetypes';
/** Names are data, in whatever language they were given. */
const NAMES_TOLD = [
  ...names(JSON.parse(readFileSync('public/demo.json', 'utf8'))),
  ...readdirSync(ARCHETYPES)
    .filter((file) => file.endsWith('.json'))
    .flatMap((file) => names(JSON.parse(readFileSync(`${ARCHETYPES}/${file}`, 'utf8')))),
];
const NAMES = [...new Set(NAMES_TOLD)]
  .filter((name) => name.length > 1)
  .sort((a, b) => b.length - a.length)
  .map((name) => new RegExp(name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'), 'gi'));

/** The library's own hidden buttons and icons speak English. */
const LEFT_OUT =
  'script, style, noscript, next-route-announcer, .anticon, .ant-input-number-actions, .ant-input-number-action';

function names(value: unknown, key = ''): string[] {
  if (typeof value === 'string') return NAMED.has(key) ? [value] : [];
  if (value === null || typeof value !== 'object') return [];
  return Object.entries(value).flatMap(([own, inner]) => names(inner, Array.isArray(value) ? key : own));
}

const written = (options: Intl.DateTimeFormatOptions): string[] =>
  // Twelve months and all seven days of the week.
  Array.from({ length: 12 }, (_, at) =>
    new Intl.DateTimeFormat('en-GB', { ...options, timeZone: 'UTC' }).format(
      Date.UTC(2026, at, at % 2 === 0 ? 2 : 14),
    ),
  );
const DATES = [
  ...written({ month: 'long' }),
  ...written({ month: 'short' }),
  ...written({ weekday: 'long' }),
  ...written({ weekday: 'short' }),
];
/** Signs of units and standards, keys, and dates as the locale writes them. */
const SIGNS = new RegExp(
  `\\b(fps|Mbit|ISO|EV|ND\\d*|HEVC|AVC|EXIF|GPX|JSON|CSV|ICS|ZIP|UTC|GMT|lux|rms|(?:hevc|avc)-\\d+-\\d+|log2|Ctrl|Shift|${DATES.join('|')})\\b`,
  'g',
);

const PLAIN = /(?<![\p{L}\d])[A-Za-z]{3,}(?!\p{L})/u;

/** Words in plain letters: as shown, and as told to those who do not see. */
async function plainWords(page: Page): Promise<string[]> {
  const told = await page.evaluate((leftOut) => {
    const texts: string[] = [];
    const words = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = words.nextNode(); node; node = words.nextNode()) {
      if (node.parentElement?.closest(leftOut)) continue;
      texts.push(node.textContent ?? '');
    }
    for (const element of document.body.querySelectorAll(`*:not(${leftOut})`))
      for (const name of [
        'aria-label',
        'placeholder',
        'title',
        'alt',
        'aria-valuetext',
        'aria-roledescription',
      ])
        texts.push(element.getAttribute(name) ?? '');
    return [...new Set(texts)];
  }, LEFT_OUT);
  return told.filter((text) => {
    if (!PLAIN.test(text)) return false;
    const left = NAMES.reduce((rest, name) => rest.replace(name, ' '), text.replace(LONG_NAME, ' ')).replace(
      SIGNS,
      ' ',
    );
    // A drawing cuts a long name short.
    const cut = left.endsWith('…') && NAMES_TOLD.some((name) => name.startsWith(left.slice(0, -1).trim()));
    return !cut && PLAIN.test(left);
  });
}

const PARTS = [0, 1, 2, 3];
const WIDTHS = [320, 390, 1280];
/** What changes sizes: the night is the paper in other colours. */
const LOOKS = ['paper', 'glare', 'forced colours'];

/** Three of the nine, each width and each look among them; the next place gets the next three. */
const looksOf = (at: number): { width: number; look: string }[] =>
  WIDTHS.map((width, index) => ({ width, look: LOOKS[(index + at) % LOOKS.length]! }));

async function wear(page: Page, look: string, width: number): Promise<void> {
  await page.setViewportSize({ width, height: 844 });
  await page.emulateMedia({ forcedColors: look === 'forced colours' ? 'active' : 'none' });
  await page.evaluate(
    (theme) => (document.documentElement.dataset.theme = theme),
    look === 'forced colours' ? 'paper' : look,
  );
  await page.evaluate(
    () => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))),
  );
}

for (const part of PARTS)
  test(`every place has room for a longer language and the longest names, and no word outside the catalogue (${part + 1} of ${PARTS.length})`, async ({
    page,
  }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await open(page, '/');
    await longNames(page);
    const found: string[] = [];
    for (const [at, place] of PLACES.entries()) {
      if (at % PARTS.length !== part) continue;
      await open(page, place);
      await settled(page);
      // Names and texts of licences stay as they were given.
      if (place !== '/licences')
        for (const word of await plainWords(page)) found.push(`${place}: plain "${word.slice(0, 80)}"`);
      for (const { width, look } of looksOf(Math.floor(at / PARTS.length))) {
        await wear(page, look, width);
        for (const what of await amiss(page)) found.push(`${place} ${look} ${width}: ${what}`);
      }
    }
    expect(found).toEqual([]);
  });
