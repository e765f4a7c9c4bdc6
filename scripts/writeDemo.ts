/** Writes public/demo.json: the demo's records with every answer worked out, so that no browser has to. */
import { writeFileSync } from 'node:fs';
import { makeDemo } from '../demo/makeDemo';

writeFileSync(new URL('../public/demo.json', import.meta.url), JSON.stringify(makeDemo()));
