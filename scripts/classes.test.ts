import { readFileSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';
import { execFileSync } from 'node:child_process';
import { describe, expect, it } from 'vitest';

const root = new URL('..', import.meta.url).pathname;
const listed = (pattern: string): string[] =>
  execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard', pattern], {
    cwd: root,
    encoding: 'utf8',
  })
    .split('\n')
    .filter(Boolean);

/** Classes that a sheet defines. */
function classesOf(sheet: string): Set<string> {
  const css = readFileSync(join(root, sheet), 'utf8')
    .replace(/\/\*[\s\S]*?\*\//g, '')
    .replace(/:global\([^)]*\)+/g, '');
  const heads = css.replace(/\{[^{}]*\}/g, '{}');
  return new Set([...heads.matchAll(/\.([a-zA-Z][\w-]*)/g)].map(([, name]) => name ?? ''));
}

/** What every screen takes from its sheets: pairs of sheet and class. */
const taken = listed('src/**/*.tsx')
  .filter((file) => !file.endsWith('.test.tsx'))
  .flatMap((file) => {
    const code = readFileSync(join(root, file), 'utf8');
    return [...code.matchAll(/import (\w+) from '(\.[^']*\.module\.css)';/g)].flatMap(([, name, path]) => {
      const sheet = normalize(join(dirname(file), path ?? ''));
      const uses = [...code.replace(/^import .*$/gm, '').matchAll(new RegExp(`\\b${name}\\.(\\w+)`, 'g'))];
      return uses.map(([, used]) => ({ file, sheet, used: used ?? '' }));
    });
  });

describe('styles', () => {
  it('are there for every class that a screen names', () => {
    const missing = taken.filter(({ sheet, used }) => !classesOf(sheet).has(used));
    expect(missing).toEqual([]);
    expect(taken.length).toBeGreaterThan(200);
  });

  it('hold no class that no screen names', () => {
    const unused = listed('src/**/*.module.css').flatMap((sheet) => {
      const used = new Set(taken.filter((one) => one.sheet === sheet).map((one) => one.used));
      return [...classesOf(sheet)].filter((name) => !used.has(name)).map((name) => `${sheet} .${name}`);
    });
    expect(unused).toEqual([]);
  });
});
