/**
 * Everything that a test run looks at a part of: all samples of every test, from a seed that rolls and is told, every machine's
 * zone, every place in every theme, every browser test. `npm run fuzz [SHARE] [SEED]`: so many times the samples, 1 where none is told;
 * the seed, to have a run again.
 */
import { bin, buildApp, call, installChromium, prepare } from './steps.mjs';

const [share = '1', seed = String(Math.floor(Date.now() / 60_000) % 1_000_000_000)] = process.argv.slice(2);
await prepare();
await installChromium();
console.log(`Seed ${seed}: "npm run fuzz ${share} ${seed}" draws the same.`);
const env = { ...process.env, LYNXEYE_SAMPLES: share, LYNXEYE_SEED: seed };
const steps = {
  unit: () => call(bin('vitest'), ['run'], { env }),
  build: buildApp,
  browser: () => call(bin('playwright'), ['test'], { env }),
};
const failed = [];
for (const [name, step] of Object.entries(steps)) if ((await step()) !== 0) failed.push(name);
console.log(`Seed ${seed}: ${failed.length === 0 ? 'all passed' : `failed: ${failed.join(', ')}`}`);
process.exitCode = failed.length === 0 ? 0 : 1;
