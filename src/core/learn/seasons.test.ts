import { describe, expect, it } from 'vitest';
import { figureId } from '../records/figures';
import { season } from '../../../bench/season';
import type { Noise } from '../../../bench/season';
import { learn, ninetyOf } from './learn';
import { figureAt } from '../records/figures';
import { samples, seeded, whole } from '../../../testing/samples';

const utc = () => (date: string, time: string) => Date.parse(`${date}T${time}:00Z`);
const SEASONS = samples(100);

describe('what is learned from seasons whose truth is known', () => {
  const noises: Noise[] = ['asTaken', 'normal', 'wider', 'skewed', 'wild'];
  it.each(noises)('the 90 % intervals hold the truth in 85 to 95 of 100 where errors are %s', (noise) => {
    let [held, all] = [0, 0];
    for (let seed = 0; seed < SEASONS; seed++) {
      const { kept, truth } = season(seeded(1000 * noises.indexOf(noise) + seed), {
        noise,
        days: 2 + (seed % 6),
      });
      for (const one of learn(kept, utc)) {
        const off = truth.get(figureId(one.figure));
        if (off === undefined) throw new Error(`no truth of ${figureId(one.figure)}`);
        const [low, high] = ninetyOf(one);
        const at = figureAt(one, off);
        all += 1;
        if (at >= low && at <= high) held += 1;
      }
    }
    const share = held / all;
    // Fewer seasons are further from what many would be.
    const slack = whole ? 0 : 0.4 / Math.sqrt(all);
    expect(share, `${held} of ${all}`).toBeGreaterThan(0.85 - slack);
    expect(share, `${held} of ${all}`).toBeLessThan(0.95 + slack);
  });
});
