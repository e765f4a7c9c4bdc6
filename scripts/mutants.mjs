/**
 * Mutates a chapter of the code and says how many of the mutants its own tests find: `npm run mutants src/core/filters`.
 * The page of mutants goes to `test-results/mutants`.
 */
import { existsSync } from 'node:fs';
import { bin, call, root } from './steps.mjs';

const chapter = (process.argv[2] ?? '').replace(/\/+$/, '');
if (!chapter || !existsSync(`${root}${chapter}`)) {
  console.error('Which chapter? For example: npm run mutants src/core/filters');
  process.exit(2);
}
process.exitCode = call(bin('stryker'), ['run', 'scripts/stryker.config.mjs'], {
  env: { ...process.env, LYNXEYE_CHAPTER: chapter },
});
