import fc from 'fast-check';
import Papa from 'papaparse';
import { ARCHETYPES } from '@/core/camera/archetypes';
import { modesOf } from '@/core/camera/modeTable';
import { briefOf } from '@/core/brief/brief';
import type { Brief } from '@/core/brief/brief';
import { ShotSchema } from '@/core/records/shot';
import { search } from '@/core/search/search';
import { solve } from '@/core/answer/solve';
import { spaceFor } from '@/core/search/space';
import { readModeSheet } from '@/formats/modeSheet/read';
import { answerShot } from '@/words/answer';
import { anyShot } from './anyShot';
import { bigSheet } from './bigSheet';
import { exhaustiveSearch } from './exhaustive';
import { FILE_VERSION } from '@/core/schema/versions';

/** Times the solver for `main` against looking at everything, in one process and one run. Milliseconds. */
const SAMPLES = 40;
const briefs: Brief[] = fc
  .sample(anyShot(['main']), { numRuns: 400, seed: 20261003 })
  .map((input) => ({ ...briefOf(ShotSchema.parse(input)).brief, pins: {} }))
  .filter((brief) => spaceFor(brief).ok)
  .slice(0, SAMPLES);

/** The least of some turns of so many rounds each: what else the machine does meanwhile is not the solver's time. */
const TURNS = 5;

function each(run: (brief: Brief) => void, rounds: number, turns = TURNS): number[] {
  const least = briefs.map(() => Infinity);
  for (let turn = 0; turn < turns; turn++)
    briefs.forEach((brief, at) => {
      const start = performance.now();
      // A fresh brief each time: nothing may be remembered from the round before.
      for (let round = 0; round < rounds; round++) run({ ...brief });
      least[at] = Math.min(least[at] ?? Infinity, (performance.now() - start) / rounds);
    });
  return least;
}

const median = (values: number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;
const worst = (values: number[]): number => Math.max(...values);
const figure = (ms: number): string => `${ms.toFixed(3)} ms`;

const searchOnly = (brief: Brief): void => {
  const made = spaceFor(brief);
  if (made.ok) search(made.space);
};

const fast = each(searchOnly, 20);
const whole = each((brief) => {
  const outcome = solve(brief);
  // Worked out when they are asked for: here all are.
  return outcome.solved && [outcome.solution.alternatives, outcome.solution.warnings, outcome.solution.holds];
}, 10);
let seen = 0;
const plain = each(
  (brief) => {
    const made = spaceFor(brief);
    if (made.ok) seen += exhaustiveSearch(made.space, false)?.seen ?? 0;
  },
  1,
  1,
);
const worded = each((brief) => {
  answerShot({ kind: 'lynxeye/shot', version: FILE_VERSION, playback: brief.playback, mount: brief.mount });
}, 10);

const ratios = plain.map((ms, index) => ms / (fast[index] ?? ms));
console.log(
  `main: ${modesOf(briefs[0]!.camera).length} modes, ${briefs.length} random briefs, ${Math.round(seen / briefs.length)} candidates each`,
);
console.log(`search alone            median ${figure(median(fast))}, worst ${figure(worst(fast))}`);
console.log(`answer with alternatives median ${figure(median(whole))}, worst ${figure(worst(whole))}`);
console.log(`answer in words         median ${figure(median(worded))}, worst ${figure(worst(worded))}`);
console.log(`exhaustive search       median ${figure(median(plain))}, worst ${figure(worst(plain))}`);
console.log(
  `exhaustive / search     median ${median(ratios).toFixed(0)}×, least ${Math.min(...ratios).toFixed(0)}×`,
);

const sheet = Papa.unparse(bigSheet());
const readings = Array.from({ length: 20 }, () => {
  const start = performance.now();
  readModeSheet(sheet, ARCHETYPES.main);
  return performance.now() - start;
});
console.log(`a sheet of 500 rows     median ${figure(median(readings))}, worst ${figure(worst(readings))}`);
