/**
 * Mutates a chapter of the code, or one file of it, and says how many of the mutants the chapter's own tests find:
 * `npm run mutants src/core/filters`. `LYNXEYE_SAMPLES=1` lets them draw all their samples. The page of mutants goes to
 * `test-results/mutants`.
 */
import { existsSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import { bin, call, root } from './steps.mjs';

const wanted = (process.argv[2] ?? '').replace(/\/+$/, '');
if (!wanted || !existsSync(`${root}${wanted}`)) {
  console.error('Which chapter, or which file of one? For example: npm run mutants src/core/filters');
  process.exit(2);
}
const isFile = statSync(`${root}${wanted}`).isFile();
process.exitCode = call(bin('stryker'), ['run', 'scripts/stryker.config.mjs'], {
  env: {
    ...process.env,
    LYNXEYE_CHAPTER: isFile ? dirname(wanted) : wanted,
    LYNXEYE_MUTATED: isFile ? wanted : `${wanted}/**/*.ts`,
  },
});
