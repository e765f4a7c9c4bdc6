import { readFileSync, writeFileSync } from 'node:fs';
import { format, resolveConfig } from 'prettier';
import { lossPage } from './lossPage';

/** Writes docs/loss.md from the table of losses; with --check only says whether what stands there is still true. */
const file = new URL('../docs/loss.md', import.meta.url).pathname;
const options = await resolveConfig(file);
const text = await format(lossPage(), { ...options, filepath: file });
if (!process.argv.includes('--check')) writeFileSync(file, text);
else if (readFileSync(file, 'utf8') !== text) {
  console.error('docs/loss.md is behind the table of losses: run "npm run losses"');
  process.exitCode = 1;
}
