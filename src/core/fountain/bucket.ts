import { add, mixing } from './droplet';
import type { Mixing } from './droplet';

/** One equation: which blocks are summed, a bit each, and their sum. */
interface Row {
  bits: Uint32Array;
  sum: Uint8Array;
}

/**
 * Gathers droplets, in whatever order and however many are missed, until the blocks follow from them. It solves by Gaussian
 * elimination over bits: a few more than there are blocks are enough.
 */
export class Bucket {
  private readonly mixing: Mixing;
  private readonly rows = new Map<number, Row>();

  constructor(readonly blocks: number) {
    this.mixing = mixing(blocks);
  }

  /** How many blocks are as good as known. */
  get known(): number {
    return this.rows.size;
  }

  get isFull(): boolean {
    return this.rows.size === this.blocks;
  }

  /** Takes a droplet in; whether it said anything new. */
  take(number: number, droplet: Uint8Array): boolean {
    if (this.isFull) return false;
    const row: Row = { bits: new Uint32Array(Math.ceil(this.blocks / 32)), sum: Uint8Array.from(droplet) };
    for (const block of this.mixing.of(number)) flip(row.bits, block);
    for (let block = 0; block < this.blocks; block++) {
      if (!isSet(row.bits, block)) continue;
      const other = this.rows.get(block);
      if (!other) {
        this.rows.set(block, row);
        return true;
      }
      addRow(row, other);
    }
    return false;
  }

  /** The blocks one after the other; `null` while some are missing. */
  bytes(): Uint8Array | null {
    if (!this.isFull) return null;
    // From the last back: each row then names its own block only.
    for (let block = this.blocks - 1; block >= 0; block--)
      for (let later = block + 1; later < this.blocks; later++) {
        const row = this.rows.get(block);
        const other = this.rows.get(later);
        if (row && other && isSet(row.bits, later)) addRow(row, other);
      }
    const each = Array.from(
      { length: this.blocks },
      (_, block) => this.rows.get(block)?.sum ?? new Uint8Array(),
    );
    const size = each[0]?.length ?? 0;
    const all = new Uint8Array(size * this.blocks);
    each.forEach((sum, at) => all.set(sum, at * size));
    return all;
  }
}

function isSet(bits: Uint32Array, at: number): boolean {
  return (((bits[at >>> 5] ?? 0) >>> (at & 31)) & 1) === 1;
}

function flip(bits: Uint32Array, at: number): void {
  bits[at >>> 5] = ((bits[at >>> 5] ?? 0) ^ (1 << (at & 31))) >>> 0;
}

function addRow(into: Row, other: Row): void {
  for (let at = 0; at < into.bits.length; at++)
    into.bits[at] = ((into.bits[at] ?? 0) ^ (other.bits[at] ?? 0)) >>> 0;
  add(into.sum, other.sum);
}
