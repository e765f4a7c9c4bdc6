import { SeededRandom } from '../units/seededRandom';

/**
 * LT codes (Luby 2002, "LT Codes", FOCS 43): each droplet is the sum of some blocks, drawn by its number. How many it sums
 * follows a fair coin for each block instead of his soliton: that is made for a receiver who can only use droplets with one
 * unknown block left, while ours solves for all at once and then needs fewest by the coin (the random linear fountain of
 * MacKay 2005, "Fountain codes", IEE Proc. Commun. 152-6: about two more than there are blocks, however many there are).
 */
export interface Mixing {
  blocks: number;
  /** The blocks, from 0, that the droplet of this number is the sum of (exclusive or). */
  of: (number: number) => readonly number[];
}

/** The first droplets are the blocks themselves, one each: where nothing is missed, nothing needs solving. */
export function mixing(blocks: number): Mixing {
  const all = Array.from({ length: blocks }, (_, block) => block);
  return {
    blocks,
    of: (number) => {
      if (number < blocks) return [number];
      const drawn = new SeededRandom(number, blocks);
      const chosen = all.filter((block) => drawn.even(block + 1) < 0.5);
      return chosen.length > 0 ? chosen : [Math.floor(drawn.even(0) * blocks)];
    },
  };
}

/** Cuts bytes into blocks of one size, the last filled with noughts. */
export function blocksOf(bytes: Uint8Array, blockBytes: number): Uint8Array[] {
  return Array.from({ length: Math.max(1, Math.ceil(bytes.length / blockBytes)) }, (_, at) => {
    const block = new Uint8Array(blockBytes);
    block.set(bytes.subarray(at * blockBytes, (at + 1) * blockBytes));
    return block;
  });
}

/** The droplet of a number. */
export function dropletOf(blocks: readonly Uint8Array[], { of }: Mixing, number: number): Uint8Array {
  const [first, ...others] = of(number).map((at) => blocks[at] as Uint8Array);
  const droplet = Uint8Array.from(first ?? []);
  for (const other of others) add(droplet, other);
  return droplet;
}

/** Exclusive or, into the first. */
export function add(into: Uint8Array, other: Uint8Array): void {
  for (let at = 0; at < into.length; at++) into[at] = (into[at] ?? 0) ^ (other[at] ?? 0);
}
