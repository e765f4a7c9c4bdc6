import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SeededRandom } from '../units/seededRandom';
import { Bucket } from './bucket';
import { blocksOf, dropletOf, mixing } from './droplet';
import { sampling } from '../../../testing/samples';

const bytesOf = (count: number, seed: number): Uint8Array => {
  const drawn = new SeededRandom(seed, count);
  return Uint8Array.from({ length: count }, (_, at) => drawn.even(at) * 256);
};

/** Droplets needed over the least when so many of a hundred are missed from a start on; and what came out. */
function crossed(
  bytes: Uint8Array,
  size: number,
  start: number,
  missed: (number: number) => boolean,
): { over: number; out: Uint8Array } {
  const blocks = blocksOf(bytes, size);
  const mixed = mixing(blocks.length);
  const bucket = new Bucket(blocks.length);
  let taken = 0;
  for (let number = start; !bucket.isFull; number++) {
    if (missed(number)) continue;
    bucket.take(number, dropletOf(blocks, mixed, number));
    taken++;
  }
  return { over: taken / blocks.length, out: bucket.bytes()!.subarray(0, bytes.length) };
}

describe('a fountain of droplets', () => {
  it('fills a bucket with the same bytes, whatever is missed and wherever one begins', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 4000 }),
        fc.integer({ min: 1, max: 300 }),
        fc.nat(5000),
        fc.nat(1e6),
        (count, size, start, seed) => {
          const bytes = bytesOf(count, seed);
          const luck = new SeededRandom(seed, 1);
          const { out } = crossed(
            bytes,
            Math.ceil(Math.max(size, count / 60)),
            start,
            (number) => luck.even(number) < 1 / 3,
          );
          expect(out).toEqual(bytes);
        },
      ),
      sampling(150, 5),
    );
  });

  it('needs hardly more than there are blocks with a third missed, and no more with none', () => {
    for (const blocks of [20, 40, 120]) {
      const bytes = bytesOf(blocks * 50, blocks);
      expect(crossed(bytes, 50, 0, () => false).over).toBe(1);
      const overs = Array.from({ length: 40 }, (_, run) => {
        const luck = new SeededRandom(run, 2);
        return crossed(bytes, 50, 0, (number) => luck.even(number) < 1 / 3).over;
      }).sort((one, other) => one - other);
      // About two more than there are, however many there are.
      expect(
        (overs.reduce((sum, over) => sum + over, 0) / overs.length - 1) * blocks,
        `${blocks}`,
      ).toBeLessThan(3);
      expect((overs.at(-1)! - 1) * blocks, `${blocks}`).toBeLessThan(12);
    }
  });

  it('takes nothing from a droplet it had, and has no bytes before it is full', () => {
    const blocks = blocksOf(bytesOf(300, 1), 100);
    const bucket = new Bucket(3);
    expect(bucket.take(1, blocks[1]!)).toBe(true);
    expect(bucket.take(1, blocks[1]!)).toBe(false);
    expect([bucket.known, bucket.bytes()]).toEqual([1, null]);
  });
});
