import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyProfile } from '../../../bench/anyProfile';
import { anyShot } from '../../../bench/anyShot';
import { exhaustiveSearch } from '../../../bench/exhaustive';
import { modesOf } from '../camera/modeTable';
import { briefOf } from '../brief/brief';
import { ShotSchema } from '../records/shot';
import { lossOf } from './candidate';
import { search, searchBelow } from './search';
import { spaceFor } from './space';
import { scoreOf } from '../loss/table';
import { sampling } from '../../../testing/samples';

describe('the fast search against looking at everything', () => {
  const agrees = (input: unknown): void => {
    const made = spaceFor(briefOf(ShotSchema.parse(input)).brief);
    if (!made.ok) return;
    const plain = exhaustiveSearch(made.space);
    const fast = search(made.space);
    expect(fast === null, 'one finds an answer and the other none').toBe(plain === null);
    if (!fast || !plain) return;
    expect(fast.score, 'the least loss differs').toBeCloseTo(plain.score, 9);
    const { weights } = made.space.school;
    expect(scoreOf(lossOf(made.space, fast.candidate), weights), 'score and terms differ').toBeCloseTo(
      fast.score,
      9,
    );
  };

  it('finds the same least loss on random briefs of the smaller cameras', () => {
    fc.assert(fc.property(anyShot(['budget', 'phone', 'sphere']), agrees), sampling(600, 20261003));
  });

  it('finds the same least loss on random briefs of the big mode tables', () => {
    fc.assert(fc.property(anyShot(['mini', 'main']), agrees), sampling(60, 20261004));
  });

  it('holds on random cameras, and every answer stands in the table', () => {
    fc.assert(
      fc.property(anyProfile, anyShot(['main']), (profile, input) => {
        // Hard to bound: a shutter that may run, the whole bag, and nothing pinned.
        const shot = ShotSchema.parse({
          ...input,
          camera: { profile: { ...profile, shutter: { ...profile.shutter, auto: true } } },
          pins: {},
        });
        agrees(shot);
        const { brief } = briefOf(shot);
        const made = spaceFor(brief);
        const found = made.ok ? search(made.space) : null;
        if (found) expect(modesOf(brief.camera)).toContain(found.candidate.mode);
      }),
      sampling(1000, 20261005),
    );
  });
});

describe('a search below a limit', () => {
  it('finds the same answer where it is below, and none where it is not', () => {
    fc.assert(
      fc.property(
        anyShot(['mini', 'phone']),
        fc.double({ min: 0.2, max: 3, noNaN: true }),
        (input, share) => {
          const made = spaceFor(briefOf(ShotSchema.parse(input)).brief);
          if (!made.ok) return;
          const best = search(made.space)!;
          const below = searchBelow(made.space, best.score * share);
          if (share <= 1) expect(below).toBeNull();
          else expect(below?.score).toBeCloseTo(best.score, 12);
        },
      ),
      sampling(200, 14),
    );
  });
});
