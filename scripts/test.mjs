/** Installs what is missing, then runs every check in order and says what it ran. Stops at the first that fails. */
import { readFileSync } from 'node:fs';
import { bin, call, installChromium, prepare, root } from './steps.mjs';

await prepare();
installChromium();

const counted = `${root}test-results`;
const steps = [
  ['types', bin('next'), ['typegen']],
  ['types', bin('tsc'), ['--noEmit']],
  ['lint', bin('eslint'), ['.', '--max-warnings', '0']],
  [
    'boundaries',
    bin('depcruise'),
    ['--config', '.dependency-cruiser.cjs', 'src', 'cli', 'demo', 'bench', 'e2e', 'fuzz'],
  ],
  ['folders', bin('depcruise'), ['--config', '.dependency-cruiser.folders.mjs', 'src', 'cli', 'demo']],
  ['format', bin('prettier'), ['--check', '.']],
  ['schemas', bin('tsx'), ['scripts/writeSchemas.ts', '--check']],
  ['page of losses', bin('tsx'), ['scripts/writeLosses.ts', '--check']],
  [
    'unit',
    bin('vitest'),
    ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${counted}/unit.json`],
  ],
  // Read once in the pseudo-language: nothing outside the catalogue, and room for a longer one.
  ['pseudo build', process.execPath, [`${root}scripts/build.mjs`], { LYNXEYE_LANGUAGE: 'pseudo' }],
  ['pseudo', bin('playwright'), ['test'], { LYNXEYE_LANGUAGE: 'pseudo' }],
  ['build', process.execPath, [`${root}scripts/build.mjs`]],
  ['browser', bin('playwright'), ['test']],
];

const ran = [];
for (const [name, program, args, env = {}] of steps) {
  console.log(`\n== ${name} ==`);
  const start = Date.now();
  const status = call(program, args, { env: { ...process.env, ...env } });
  ran.push(`${name} ${Math.round((Date.now() - start) / 1000)} s`);
  if (status !== 0) {
    console.error(`\n${name} failed. Ran: ${ran.join(', ')}`);
    process.exit(status);
  }
}
const read = (file) => JSON.parse(readFileSync(`${counted}/${file}`, 'utf8'));
const passed =
  read('unit.json').numPassedTests + read('pseudo.json').stats.expected + read('browser.json').stats.expected;
console.log(`\nRan: ${ran.join(', ')}`);
console.log(`${passed} passed, 0 failed`);
