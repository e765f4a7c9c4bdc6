import { infer } from '@/core/learn/infer';
import { evidenceIn, learn } from '@/core/learn/learn';
import { wallClock } from '@/formats/clock';
import { season } from './season';

/** A log of some two thousand recordings over six hundred days, with what was measured of each, and with verdicts alone. */
const { kept } = season(1, { noise: 'normal', days: 600 });
const verdicts = new Map(kept.clips.map(({ entryId, verdicts: its }) => [`log-${entryId ?? ''}`, its]));
const alone = {
  ...kept,
  clips: [],
  log: kept.log.map((one) => ({ ...one, verdicts: verdicts.get(one.id) ?? [] })),
};

const timed = (work: () => unknown): number => {
  const took = Array.from({ length: 7 }, () => {
    const from = performance.now();
    work();
    return performance.now() - from;
  });
  return Math.min(...took);
};

const pieces = evidenceIn(kept, wallClock);
console.log(`learning from ${kept.log.length} log entries`);
console.log(
  `  with a measured clip each  ${timed(() => learn(kept, wallClock)).toFixed(0)} ms, ${pieces.length} pieces`,
);
console.log(`  of which inference         ${timed(() => infer(pieces)).toFixed(0)} ms`);
console.log(`  with verdicts alone        ${timed(() => learn(alone, wallClock)).toFixed(0)} ms`);
const half = {
  ...kept,
  log: kept.log.slice(0, kept.log.length / 2),
  clips: kept.clips.slice(0, kept.clips.length / 2),
};
console.log(
  `  whole over half            ${(timed(() => learn(kept, wallClock)) / timed(() => learn(half, wallClock))).toFixed(1)}`,
);
