/**
 * Compiles the catalogue of a language into src/language/: `node scripts/writeMessages.mjs [code]`, English when none is
 * named, or the LYNXEYE_LANGUAGE of the environment.
 */
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import { compile } from './messages.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));

function catalogue(code) {
  const file = `${root}languages/${code}.json`;
  if (!existsSync(file)) {
    const there = readdirSync(`${root}languages`).map((name) => name.replace('.json', ''));
    throw new Error(`there is no languages/${code}.json; there are ${there.join(', ')}`);
  }
  return JSON.parse(readFileSync(file, 'utf8'));
}

/**
 * Writes the modules of a language; throws with every sentence that is amiss, named by its place. What stands there already is
 * not touched: others may be reading it.
 */
export function writeMessages(code = process.env.LYNXEYE_LANGUAGE ?? 'en', into = `${root}src/language`) {
  const english = catalogue('en');
  const told = code === 'en' ? english : catalogue(code);
  const { files, amiss, missing } = compile(english, told);
  if (amiss.length > 0) throw new Error(`languages/${code}.json:\n${amiss.join('\n')}`);
  if (missing.length > 0) console.log(`languages/${code}.json: ${missing.length} sentences stand in English`);
  mkdirSync(into, { recursive: true });
  for (const name of readdirSync(into, { recursive: true }))
    if (name.endsWith('.ts') && !files.has(name.slice(0, -'.ts'.length))) rmSync(`${into}/${name}`);
  for (const [place, source] of files) {
    const file = `${into}/${place}.ts`;
    if (existsSync(file) && readFileSync(file, 'utf8') === source) continue;
    mkdirSync(dirname(file), { recursive: true });
    writeFileSync(file, source);
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) writeMessages(process.argv[2]);
