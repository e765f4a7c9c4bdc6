import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';

const root = fileURLToPath(new URL('..', import.meta.url));
const pagesIn = (folder: string): string[] =>
  readdirSync(`${root}${folder}`)
    .filter((name) => name.endsWith('.md'))
    .map((name) => `${folder}${name}`);
const PAGES = ['README.md', 'CONTRIBUTING.md', ...pagesIn('docs/'), ...pagesIn('docs/decisions/')];

/** Folders at the root, and those of `src` and its core, which the pages name without what they lie in. */
const ROOTS = ['', 'src/', 'src/core/'];
const heads = new Set(ROOTS.flatMap((from) => readdirSync(`${root}${from}`)));
// What is made by setting up and building is not there in a fresh clone.
for (const made of ['public', 'dist', '.next', 'node_modules', 'test-results']) heads.delete(made);

/** Paths in backticks: what begins with a folder that there is. A word in capitals stands for a name of one's own. */
function pathsIn(page: string): string[] {
  const text = readFileSync(`${root}${page}`, 'utf8');
  return [...text.matchAll(/`([\w.-]+(?:\/[\w.-]+)*\/?)`/g)]
    .map(([, path = '']) => path)
    .filter(
      (path) => path.includes('/') && heads.has(path.split('/')[0] ?? '') && !/\b[A-Z]{3,}\b/.test(path),
    );
}

describe('the pages', () => {
  it.each(PAGES)('%s names only files and folders that there are', (page) => {
    const gone = pathsIn(page).filter(
      (path) =>
        !ROOTS.some((from) => existsSync(`${root}${from}${path}`) || existsSync(`${root}${from}${path}.ts`)),
    );
    expect(gone).toEqual([]);
  });

  it('name enough of them for this to be a test', () => {
    expect(PAGES.flatMap(pathsIn).length).toBeGreaterThan(60);
  });

  it('CONTRIBUTING tells two dozen changes, each with its files', () => {
    const rows = readFileSync(`${root}CONTRIBUTING.md`, 'utf8')
      .split('\n')
      .filter((line) => /^\| [^-|]/.test(line) && line.includes('`'));
    expect(rows.length).toBeGreaterThanOrEqual(24);
    for (const row of rows) expect(row, row).toMatch(/`[^`]*\/[^`]*`/);
  });
});
