import { mixing } from './droplet';
import type { Mixing } from './droplet';

/** One equation, in words of 32 bits: which blocks are summed, a bit each, and then their sum. */
type Row = Uint32Array;

/**
 * Gathers droplets, in whatever order and however many are missed, until the blocks follow from them. It solves by Gaussian
 * elimination over bits: a few more than there are blocks are enough. Of n blocks a droplet costs n/2 sums of rows, and the
 * end n²/4 sums of blocks.
 */
export class Bucket {
  private readonly mixing: Mixing;
  private readonly rows: (Row | undefined)[];
  private readonly bitWords: number;
  private blockBytes = 0;
  private filled = 0;

  constructor(readonly blocks: number) {
    this.mixing = mixing(blocks);
    this.rows = Array.from({ length: blocks }, () => undefined);
    this.bitWords = Math.ceil(blocks / 32);
  }

  /** How many blocks are as good as known. */
  get known(): number {
    return this.filled;
  }

  get isFull(): boolean {
    return this.filled === this.blocks;
  }

  /** Takes a droplet in, all of one size; whether it said anything new. */
  take(number: number, droplet: Uint8Array): boolean {
    if (this.isFull) return false;
    this.blockBytes = droplet.length;
    const row = new Uint32Array(this.bitWords + Math.ceil(droplet.length / 4));
    new Uint8Array(row.buffer).set(droplet, 4 * this.bitWords);
    for (const block of this.mixing.of(number))
      row[block >>> 5] = ((row[block >>> 5] ?? 0) ^ (1 << (block & 31))) >>> 0;
    for (let block = 0; block < this.blocks; block++) {
      if (!isSet(row, block)) continue;
      const other = this.rows[block];
      if (!other) {
        this.rows[block] = row;
        this.filled += 1;
        return true;
      }
      // Whatever it names comes no earlier than its own block.
      addFrom(row, other, block >>> 5);
    }
    return false;
  }

  /** The blocks one after the other; `null` while some are missing. */
  bytes(): Uint8Array | null {
    if (!this.isFull) return null;
    // From the last back: each later row is by then its own block alone, and only sums are left to add.
    for (let block = this.blocks - 1; block >= 0; block--) {
      const row = this.rows[block] as Row;
      for (let word = block >>> 5; word < this.bitWords; word++) {
        let bits = row[word] as number;
        if (word === block >>> 5) bits &= ~(1 << (block & 31));
        for (; bits !== 0; bits &= bits - 1)
          addFrom(row, this.rows[32 * word + lowestBit(bits)] as Row, this.bitWords);
      }
    }
    const all = new Uint8Array(this.blockBytes * this.blocks);
    this.rows.forEach((row, at) => {
      if (row) all.set(new Uint8Array(row.buffer, 4 * this.bitWords, this.blockBytes), at * this.blockBytes);
    });
    return all;
  }
}

function isSet(bits: Uint32Array, at: number): boolean {
  return (((bits[at >>> 5] ?? 0) >>> (at & 31)) & 1) === 1;
}

/** Which is the lowest bit that is set, of one at least. */
function lowestBit(bits: number): number {
  return 31 - Math.clz32(bits & -bits);
}

/** Exclusive or, from one word on. */
function addFrom(into: Row, other: Row, first: number): void {
  for (let at = first; at < into.length; at++) into[at] = (into[at] as number) ^ (other[at] as number);
}
