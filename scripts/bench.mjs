import { bin, must, prepare, root } from './steps.mjs';

await prepare();
for (const name of ['solve', 'preview', 'day', 'hostile']) {
  must(`bundling the bench of ${name}`, bin('esbuild'), [
    `bench/${name}.bench.ts`,
    '--bundle',
    '--platform=node',
    '--format=esm',
    '--target=node20',
    '--alias:@=./src',
    `--outfile=dist/${name}.bench.mjs`,
    '--log-level=warning',
  ]);
  must(`the bench of ${name}`, process.execPath, [`${root}dist/${name}.bench.mjs`]);
}
