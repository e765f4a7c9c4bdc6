/** How many inputs of each kind, and from which seed: few in every test run, many with `npm run fuzz`. */
export const RUNS = Number(process.env.LYNXEYE_FUZZ_RUNS ?? 300);
export const SEED = Number(process.env.LYNXEYE_FUZZ_SEED ?? 1);
