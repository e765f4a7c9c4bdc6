import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { FILE_NAMES, jsonSchemaOf } from '../src/core/records/files';

/** Writes docs/schema from the Zod schemas; with --check only says whether what stands there is still true. */
const folder = new URL('../docs/schema/', import.meta.url);
const check = process.argv.includes('--check');
mkdirSync(folder, { recursive: true });
const stale: string[] = [];
for (const name of FILE_NAMES) {
  const file = new URL(`${name}.schema.json`, folder);
  const text = `${JSON.stringify(await jsonSchemaOf(name), null, 2)}\n`;
  if (!check) writeFileSync(file, text);
  else if (!existsSync(file) || readFileSync(file, 'utf8') !== text) stale.push(name);
}
if (stale.length > 0) {
  console.error(`docs/schema is behind the code for ${stale.join(', ')}: run "npm run schemas"`);
  process.exitCode = 1;
}
