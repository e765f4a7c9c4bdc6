/**
 * Writes public/demo.json, the demo's records with every answer worked out, so that no browser has to; and beside it what
 * its sample clips are drawn from.
 */
import { writeFileSync } from 'node:fs';
import { holmSamples } from '../demo/holmLake';
import { makeDemo } from '../demo/makeDemo';

for (const [name, what] of [
  ['demo', makeDemo()],
  ['sampleClips', holmSamples()],
] as const)
  writeFileSync(new URL(`../public/${name}.json`, import.meta.url), JSON.stringify(what));
