/** Ten thousand mutated inputs for each reader, and ten thousand walks over the store's actions, from one seed: `npm run fuzz [RUNS] [SEED]`. */
import { bin, call, prepare } from './steps.mjs';

const [runs = '10000', seed = '1'] = process.argv.slice(2);
await prepare();
process.exitCode = call(bin('vitest'), ['run', 'fuzz', '--testTimeout=3600000'], {
  env: { ...process.env, LYNXEYE_FUZZ_RUNS: runs, LYNXEYE_FUZZ_SEED: seed },
});
