import { parse } from '@messageformat/parser';
import type { Select } from '@messageformat/parser';
import type { Page } from '@playwright/test';
import { readdirSync, readFileSync } from 'node:fs';
import { LONG_NAME } from './longNames';

/** What a place says, held against the catalogue; and the same place in a longer language, made of it in the page. */

type Token = Select['cases'][number]['tokens'][number];

/** Words of a sentence that stand together, between what is put into it. */
function piecesOf(tokens: readonly Token[]): string[] {
  return tokens.flatMap((token) => {
    if (token.type === 'content') return token.value.split(/<\d+\/>/);
    return 'cases' in token ? token.cases.flatMap(({ tokens: inner }) => piecesOf(inner)) : [];
  });
}

function sentences(value: unknown): string[] {
  return typeof value === 'string' ? [value] : Object.values(value as object).flatMap(sentences);
}

const NAMED = new Set(
  'id name shotName note place where country zone file summary because says why text'.split(' '),
);
const ARCHETYPES = 'src/core/camera/archetypes';

/** Names are data, in whatever language they were given. */
function names(value: unknown, key = ''): string[] {
  if (typeof value === 'string') return NAMED.has(key) ? [value] : [];
  if (value === null || typeof value !== 'object') return [];
  return Object.entries(value).flatMap(([own, inner]) => names(inner, Array.isArray(value) ? key : own));
}

const plain = (text: string): string => text.replace(/\s+/g, ' ').toLowerCase();
const trimmed = (text: string): string => plain(text).replace(/^[^\p{L}\d]+|[^\p{L}\d]+$/gu, '');
const WORD = /[\p{L}\d]+/u;

/** What may be said, by its first word. */
function saidBy(texts: readonly string[]): ReadonlyMap<string, readonly string[]> {
  const by = new Map<string, Set<string>>();
  for (const text of texts.map(trimmed)) {
    const [first] = WORD.exec(text) ?? [];
    if (first) by.set(first, (by.get(first) ?? new Set()).add(text));
  }
  return new Map([...by].map(([first, list]) => [first, [...list]]));
}

const json = (file: string): unknown => JSON.parse(readFileSync(file, 'utf8'));
const by = saidBy([
  ...sentences(json('languages/en.json')).flatMap((sentence) => piecesOf(parse(sentence))),
  ...names(json('public/demo.json')),
  ...readdirSync(ARCHETYPES)
    .filter((file) => file.endsWith('.json'))
    .flatMap((file) => names(json(`${ARCHETYPES}/${file}`))),
]);

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
const SIGNS = `fps|Mbit|ISO|EV|ND\\d*|HEVC|AVC|EXIF|GPX|JSON|CSV|ICS|ZIP|UTC|GMT|lux|rms|(?:hevc|avc)-\\d+-\\d+|log2|Ctrl|Shift|[NESW]{2,3}|${DATES.join('|')}`;
const SIGN = new RegExp(`^(${SIGNS})$`, 'i');

/** The words of a text that neither the catalogue nor a name accounts for, pieced together in the way that leaves fewest. */
export function outside(text: string): string[] {
  const whole = plain(text.replace(LONG_NAME, ' '));
  /** By place in the text, from its end: what is left over from there on. */
  const left = Array.from({ length: whole.length + 1 }, (): readonly string[] => []);
  for (let at = whole.length - 1; at >= 0; at--) {
    const [word] = /^[\p{L}\d]+/u.exec(whole.slice(at)) ?? [];
    const inWord = at > 0 && /[\p{L}\d]{2}/u.test(whole.slice(at - 1, at + 1));
    if (!word || inWord) {
      left[at] = left[at + 1]!;
      continue;
    }
    const known = by.get(word) ?? [];
    const after = whole.slice(at);
    // A drawing cuts a long name short.
    if (after.endsWith('…') && known.some((one) => one.startsWith(after.slice(0, -1).trim()))) continue;
    const own = /\p{L}{3}/u.test(word) && !SIGN.test(word) ? [word] : [];
    left[at] = known
      .filter((one) => after.startsWith(one) && !/[\p{L}\d]/u.test(after[one.length] ?? ' '))
      .map((one) => left[at + one.length]!)
      .reduce(
        (fewest, other) => (other.length < fewest.length ? other : fewest),
        [...own, ...left[at + word.length]!],
      );
  }
  return [...left[0]!];
}

/** The library's own hidden buttons and icons speak English. */
const LEFT_OUT =
  'script, style, noscript, next-route-announcer, .anticon, .ant-input-number-actions, .ant-input-number-action';

/** Texts of a place that are in no catalogue: as shown, and as told to those who do not see. */
export async function textsOutside(page: Page): Promise<string[]> {
  const told = await page.evaluate((leftOut) => {
    const texts: string[] = [];
    const words = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = words.nextNode(); node; node = words.nextNode())
      if (!node.parentElement?.closest(leftOut)) texts.push(node.textContent ?? '');
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
  return told.flatMap((text) => {
    const words = outside(text);
    return words.length > 0 ? [`"${words.join(' ')}" in "${text.slice(0, 80)}"`] : [];
  });
}

/**
 * Lengthens every sentence of the page as it stands by a third, between brackets; numbers with their units stay, names are
 * as long as may be already. A drawing measures its words before it draws them: it stays too.
 */
export async function lengthen(page: Page): Promise<void> {
  await page.evaluate(
    ({ leftOut, signs, long }) => {
      const sign = new RegExp(`\\b(${signs})\\b`, 'g');
      const name = new RegExp(long, 'g');
      const words = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
      for (let node = words.nextNode(); node; node = words.nextNode()) {
        const text = node.textContent ?? '';
        if (text.startsWith('[') || node.parentElement?.closest(`${leftOut}, svg, select`)) continue;
        const letters = text.replace(sign, '').replace(name, '').match(/\p{L}/gu)?.length ?? 0;
        if (letters < 2) continue;
        const longer = '~'.repeat(Math.max(1, Math.round(letters / 3) - 2));
        node.textContent = `[${text}${longer.replace(/~{8}(?=~)/g, '$& ')}]`;
      }
    },
    { leftOut: LEFT_OUT, signs: SIGNS, long: LONG_NAME.source },
  );
}
