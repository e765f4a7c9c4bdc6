import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blockWords } from './dayShape';

const WIDTH = 600;
const anyBlocks = fc
  .array(fc.tuple(fc.integer({ min: 2, max: 90 }), fc.integer({ min: 6, max: 120 })), {
    minLength: 1,
    maxLength: 8,
  })
  .map((steps) => {
    let at = 92;
    return steps.flatMap(([gap, wide]) => {
      const left = at + gap;
      at = left + wide;
      return at <= WIDTH - 20 ? [{ left, wide }] : [];
    });
  })
  .filter((blocks) => blocks.length > 0);

describe('the words of one camera’s blocks', () => {
  it('never reach those of another, nor out of the ribbon', () => {
    fc.assert(
      fc.property(anyBlocks, (blocks) => {
        // Where there is no room no words stand.
        const spans = blockWords(blocks, WIDTH).flatMap(({ at, anchor, room }) =>
          room === 0 ? [] : [anchor === 'start' ? [at, at + room] : [at - room, at]],
        );
        for (const [at, span] of spans.entries()) {
          expect(span[1]).toBeLessThanOrEqual(WIDTH);
          const next = spans[at + 1];
          if (next) expect(span[1]).toBeLessThanOrEqual(next[0]!);
        }
      }),
    );
  });

  it('stand in a wide block, beside a narrow one, and before the last where the ribbon ends', () => {
    const [wide, narrow, last] = blockWords(
      [
        { left: 100, wide: 80 },
        { left: 220, wide: 10 },
        { left: 570, wide: 10 },
      ],
      WIDTH,
    );
    expect(wide).toEqual({ at: 105, anchor: 'start', room: 111 });
    expect(narrow).toMatchObject({ at: 234, anchor: 'start' });
    expect(last).toEqual({ at: 566, anchor: 'end', room: 110 });
  });
});
