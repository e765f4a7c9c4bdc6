/**
 * Numbers of one drawn day, each by its name: the same seed, day and name give the same number whatever else is asked, so
 * that two plans are lived through on the very same days.
 */
export class SeededRandom {
  private readonly base: number;

  constructor(seed: number, day: number) {
    this.base = mixed(mixed(seed ^ 0x9e3779b9) ^ day);
  }

  /** Evenly from 0 to 1, neither end. */
  even(name: number): number {
    return (mixed(this.base ^ mixed(name)) + 0.5) / 4294967296;
  }

  /** Standard normal. Source: Box & Muller 1958. */
  normal(name: number): number {
    return Math.sqrt(-2 * Math.log(this.even(name))) * Math.cos(2 * Math.PI * this.even(name ^ 0x5bd1e995));
  }
}

/** The name of an input as a number. Source: FNV-1a, Fowler, Noll & Vo. */
export function named(name: string): number {
  let hash = 0x811c9dc5;
  for (let at = 0; at < name.length; at++) hash = Math.imul(hash ^ name.charCodeAt(at), 0x01000193);
  return hash >>> 0;
}

/** Every bit of the one on every bit of the other. Source: MurmurHash3's finalizer, Appleby, public domain. */
function mixed(value: number): number {
  let hash = value >>> 0;
  hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b);
  hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35);
  return (hash ^ (hash >>> 16)) >>> 0;
}
