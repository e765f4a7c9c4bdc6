import { bin, buildApp, installChromium, must, prepare, root } from './steps.mjs';

await prepare();
for (const name of ['solve', 'preview', 'day', 'learn', 'rehearse', 'hostile']) {
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
// Last, hands on the app as it is built.
await installChromium();
if ((await buildApp()) !== 0) process.exit(1);
must('hands on the app', process.execPath, [`${root}scripts/handTimes.mjs`]);
