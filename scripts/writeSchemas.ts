import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { jsonSchemaOf, SCHEMA_NAMES } from '../src/core/plan/schemas';

/** Writes docs/schema from the Zod schemas; with --check only says whether what stands there is still true. */
const folder = new URL('../docs/schema/', import.meta.url);
const check = process.argv.includes('--check');
mkdirSync(folder, { recursive: true });
const stale = SCHEMA_NAMES.filter((name) => {
  const file = new URL(`${name}.schema.json`, folder);
  const text = `${JSON.stringify(jsonSchemaOf(name), null, 2)}\n`;
  if (!check) {
    writeFileSync(file, text);
    return false;
  }
  try {
    return readFileSync(file, 'utf8') !== text;
  } catch {
    return true;
  }
});
if (stale.length > 0) {
  console.error(`docs/schema is behind the code for ${stale.join(', ')}: run "npm run schemas"`);
  process.exitCode = 1;
}
