/** Installs what is missing, then runs every check and says what it ran. Stops at the first that fails. */
import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { bin, installChromium, prepare, root } from './steps.mjs';

await prepare();
installChromium();

const counted = `${root}test-results`;
const pseudo = { LYNXEYE_LANGUAGE: 'pseudo' };
/** The step "types" comes before every build: no build need check them again. */
const typed = { LYNXEYE_TYPES: 'checked' };
const depcruise = (config, ...folders) => [bin('depcruise'), ['--config', config, ...folders]];

/**
 * What is run, in order; lanes of a round run side by side, which two cores bear where one program keeps one core busy.
 * A step is a name, a program, its arguments and what is added to its environment.
 */
const rounds = [
  [
    [['lint', bin('eslint'), ['.', '--max-warnings', '0']]],
    [
      ['types', bin('next'), ['typegen']],
      ['types', bin('tsc'), ['--noEmit']],
      ['boundaries', ...depcruise('.dependency-cruiser.cjs', 'src', 'cli', 'demo', 'bench', 'e2e', 'fuzz')],
      ['folders', ...depcruise('.dependency-cruiser.folders.mjs', 'src', 'cli', 'demo')],
      ['styles', bin('stylelint'), ['src/**/*.css', '--max-warnings', '0']],
      ['format', bin('prettier'), ['--check', '.']],
      ['schemas', bin('tsx'), ['scripts/writeSchemas.ts', '--check']],
      ['page of losses', bin('tsx'), ['scripts/writeLosses.ts', '--check']],
      ['pseudo build', process.execPath, [`${root}scripts/build.mjs`], { ...pseudo, ...typed }],
    ],
  ],
  [
    [
      [
        'unit',
        bin('vitest'),
        ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${counted}/unit.json`],
      ],
      ['build', process.execPath, [`${root}scripts/build.mjs`], typed],
      // Read once in the pseudo-language: nothing outside the catalogue, and room for a longer one.
      ['pseudo', bin('playwright'), ['test'], pseudo],
      ['browser', bin('playwright'), ['test']],
    ],
  ],
];

const ran = [];
const running = new Set();

/** Runs a step and gives its exit status; what it prints goes to the terminal line by line, under its name. */
function run([name, program, args, env = {}]) {
  const began = Date.now();
  const child = spawn(program, args, {
    cwd: root,
    env: { FORCE_COLOR: '0', ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  running.add(child);
  for (const stream of [child.stdout, child.stderr])
    createInterface({ input: stream }).on('line', (line) => console.log(`${name.padEnd(8)} │ ${line}`));
  return new Promise((done) => {
    child.on('error', (error) => {
      console.error(`cannot run ${program}: ${error.message}`);
      done(1);
    });
    child.on('close', (status) => {
      running.delete(child);
      ran.push(`${name} ${Math.round((Date.now() - began) / 1000)} s`);
      done(status ?? 1);
    });
  });
}

for (const lanes of rounds)
  await Promise.all(
    lanes.map(async (steps) => {
      for (const step of steps) {
        const status = await run(step);
        if (status === 0) continue;
        for (const child of running) child.kill();
        console.error(`\n${step[0]} failed. Ran: ${ran.join(', ')}`);
        process.exit(status);
      }
    }),
  );
const read = (file) => JSON.parse(readFileSync(`${counted}/${file}`, 'utf8'));
const passed =
  read('unit.json').numPassedTests + read('pseudo.json').stats.expected + read('browser.json').stats.expected;
console.log(`\nRan: ${ran.join(', ')}`);
console.log(`${passed} passed, 0 failed`);
