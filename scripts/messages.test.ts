import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { afterAll, describe, expect, it } from 'vitest';
import { compile } from './messages.mjs';

type Catalogue = Record<string, Record<string, string | Record<string, string>>>;
const ENGLISH = JSON.parse(readFileSync('languages/en.json', 'utf8')) as Catalogue;
const locale = { code: 'en-GB' };

function sources(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = `${folder}/${entry.name}`;
    if (entry.isDirectory()) return path === 'src/language' ? [] : sources(path);
    return /\.tsx?$/.test(path) ? [readFileSync(path, 'utf8')] : [];
  });
}

function strings(value: unknown): string[] {
  return typeof value === 'string' ? [value] : Object.values(value as object).flatMap(strings);
}

let written = 0;
const scratch = 'test-results/language';
afterAll(() => rmSync(scratch, { recursive: true, force: true }));

/** What a compiled module of one place exports. */
async function exported(source: string): Promise<Record<string, unknown>> {
  mkdirSync(scratch, { recursive: true });
  const file = `${process.cwd()}/${scratch}/place${written++}.ts`;
  writeFileSync(file, source);
  return (await import(file)) as Record<string, unknown>;
}

const one = (message: string, own = message): ReturnType<typeof compile> =>
  compile({ locale, place: { key: message } }, { locale, place: { key: own } });

async function saidBy(message: string): Promise<(given: Record<string, unknown>) => string> {
  const { key } = await exported(one(message).files.get('place')!);
  return key as (given: Record<string, unknown>) => string;
}

describe('the catalogue', () => {
  it('compiles whole, in English and in a language of its own', () => {
    const own = (value: unknown): unknown =>
      typeof value === 'string'
        ? `» ${value}`
        : Object.fromEntries(Object.entries(value as object).map(([key, inner]) => [key, own(inner)]));
    for (const told of [ENGLISH, { ...(own(ENGLISH) as Catalogue), locale: ENGLISH.locale! }]) {
      const { amiss, missing, files } = compile(ENGLISH, told);
      expect(amiss).toEqual([]);
      expect(missing).toEqual([]);
      expect([...files.keys()]).toEqual(Object.keys(ENGLISH));
    }
  });

  it('holds sentences alone: no style, no font, no query', () => {
    const code = strings(ENGLISH).filter((text) =>
      /\b(sans-serif|monospace)\b|\((min|max)-(width|height)|\bvar\(--|^\(prefers-/.test(text),
    );
    expect(code).toEqual([]);
  });

  it('has no sentence that nothing says, and no place that nothing imports', () => {
    const texts = sources('src');
    const unsaid = Object.entries(ENGLISH).flatMap(([place, messages]) => {
      const here = texts.filter((text) => text.includes(`'@/language/${place}'`)).join('\n');
      return Object.keys(messages)
        .filter((key) => !new RegExp(`messages\\.${key}\\b|\\{ ${key} as `).test(here))
        .map((key) => `${place}.${key}`);
    });
    expect(unsaid).toEqual([]);
  });

  it('types no number in what reasons the answers: each is worked out and put in', () => {
    const typed = Object.entries(ENGLISH)
      .filter(([place]) => /^(reasons|reasons\/formulas|words\/reasonTitle|words\/word)$/.test(place))
      .flatMap(([place, messages]) =>
        strings(messages)
          .filter((text) => /\d/.test(text.replaceAll(/\{\w+\}/g, '').replaceAll(/=\d+/g, '')))
          .map((text) => `${place}: ${text}`),
      );
    expect(typed).toEqual([]);
  });

  it('counts by the rules of the language and chooses by yes and no', async () => {
    const shots = await saidBy('{count, plural, =0 {no shot} one {1 shot} other {# shots}} kept');
    expect([0, 1, 2].map((count) => shots({ count }))).toEqual([
      'no shot kept',
      '1 shot kept',
      '2 shots kept',
    ]);
    const sky = await saidBy('The sky is {over, select, true {white} other {held}}.');
    expect(sky({ over: true })).toBe('The sky is white.');
    expect(sky({ over: false })).toBe('The sky is held.');
  });

  it('keeps what a sentence is made of from being read as code', async () => {
    const said = await saidBy("`$'{'x'}'` and \\ of ${name}");
    expect(said({ name: '${2}' })).toBe('`${x}` and \\ of $${2}');
  });

  it('names a sentence that is no message, asks for what is not given, or loses a part', () => {
    expect(one('{count, plural, one {1}').amiss[0]).toMatch(/^place\.key: /);
    expect(one('{name} left', '{nobody} left').amiss).toEqual([
      'place.key: {nobody} is not what the English sentence gives',
    ]);
    expect(one('Lit from <0/> to <1/>', 'Von <0/>').amiss).toEqual(['place.key: the part <1/> is left out']);
    const stray = compile({ locale, place: { key: 'a' } }, { locale, place: { other: 'b' }, nowhere: {} });
    expect(stray.amiss).toEqual(['nowhere: no such place', 'place.other: no such sentence']);
  });

  it('lets what is not translated stand in English', async () => {
    const { files, missing } = compile({ locale, place: { key: 'Light' } }, { locale: { code: 'de' } });
    expect(missing).toEqual(['place.key']);
    expect((await exported(files.get('place')!)).key).toBe('Light');
  });
});
