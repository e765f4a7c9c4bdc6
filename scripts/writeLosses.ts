import { readFileSync, writeFileSync } from 'node:fs';
import { format } from 'oxfmt';
import { lossPage } from './lossPage';
import { lossSentences } from './lossSentences';

/**
 * Writes docs/loss.md and the catalogue's sentences of losses from the table of losses; with --check only says whether
 * what stands there is still true.
 */
const page = new URL('../docs/loss.md', import.meta.url).pathname;
const catalogue = new URL('../languages/en.json', import.meta.url).pathname;
const english = JSON.parse(readFileSync(catalogue, 'utf8')) as Record<string, unknown>;
const written: readonly [string, string][] = [
  [page, (await format('loss.md', lossPage())).code],
  [catalogue, `${JSON.stringify({ ...english, 'words/losses': lossSentences() }, null, 2)}\n`],
];
for (const [file, text] of written)
  if (!process.argv.includes('--check')) writeFileSync(file, text);
  else if (readFileSync(file, 'utf8') !== text) {
    console.error(
      `${file.split('/').slice(-2).join('/')} is behind the table of losses: run "npm run losses"`,
    );
    process.exitCode = 1;
  }
