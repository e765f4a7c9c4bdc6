/** Installs what is missing, then runs every check and says what it ran, and how long each took. Ends at the first that fails. */
import { readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { bin, installChromium, prepare, root } from './steps.mjs';

const began = Date.now();
const browser = installChromium();
await prepare();
await browser;
// Among the packages that were just put in place.
const { default: concurrently } = await import('concurrently');

const counted = `${root}test-results`;
const node = JSON.stringify(process.execPath);

/**
 * What is run, by name, the longest first and all side by side, one more at once than the machine has cores, since tests often
 * wait: for a page, for a timer. The browser tests need the build and begin with it. None has a time of its own to keep.
 */
const commands = {
  browser: `${node} scripts/build.mjs && ${bin('playwright')} test`,
  unit: `${bin('vitest')} run --reporter=default --reporter=json --outputFile.json=${counted}/unit.json`,
  // Types as well: it is built on the compiler.
  lint: `${bin('oxlint')} .`,
  boundaries: `${bin('depcruise')} --config .dependency-cruiser.cjs src cli demo bench e2e fuzz testing`,
  schemas: `${bin('tsx')} scripts/writeSchemas.ts --check`,
  losses: `${bin('tsx')} scripts/writeLosses.ts --check`,
  styles: `${bin('stylelint')} "src/**/*.css" --max-warnings 0 --cache --cache-location node_modules/.cache/stylelint/`,
  format: `${bin('oxfmt')} --check .`,
};

const ran = [`set-up ${Math.round((Date.now() - began) / 1000)} s`];
const { result } = concurrently(
  Object.entries(commands).map(([name, command]) => ({ name, command, cwd: root })),
  {
    maxProcesses: availableParallelism() + 1,
    prefix: 'name',
    padPrefix: true,
    killOthersOn: ['failure'],
    handleInput: false,
  },
);
const ended = await result.then(
  (all) => ({ ok: true, all }),
  (all) => ({ ok: false, all }),
);
if (!Array.isArray(ended.all)) throw ended.all;
for (const { command, timings } of ended.all)
  ran.push(`${command.name} ${Math.round(timings.durationSeconds)} s`);
const told = `Ran: ${ran.join(', ')}; in all ${Math.round((Date.now() - began) / 1000)} s`;
if (!ended.ok) {
  const [failed] = ended.all.filter(({ exitCode, killed }) => exitCode !== 0 && !killed);
  console.error(`\n${failed?.command.name ?? 'a check'} failed. ${told}`);
  process.exit(1);
}
const read = (file) => JSON.parse(readFileSync(`${counted}/${file}`, 'utf8'));
const passed = read('unit.json').numPassedTests + read('browser.json').stats.expected;
console.log(`\n${told}`);
console.log(`${passed} passed, 0 failed`);
