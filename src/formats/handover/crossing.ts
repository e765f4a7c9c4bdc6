import { buf } from 'crc-32';
import { Bucket } from '@/core/fountain/bucket';
import { blocksOf, dropletOf, mixing } from '@/core/fountain/droplet';
import type { Mixing } from '@/core/fountain/droplet';
import { MOST_TOTAL, readFrame, writeFrame } from './frame';
import type { CodeFrame } from './frame';
import { packed, unpacked } from './pack';

/** Codes a second that a screen shows and a phone's camera still reads one by one. */
export const CODES_PER_SECOND = [10, 5, 2] as const;

/** So many blocks are aimed at: few enough that a code more hardly counts, many enough that a code stays small. */
const BLOCKS = 40;
/** Bytes of a droplet: codes of 49 to 77 squares across at correction level M (ISO/IEC 18004, versions 8 to 15). */
const BLOCK_BYTES = { least: 120, most: 380 };

/** A parcel on its way: any of its codes, by number. */
export interface Sending {
  /** Bytes of the parcel. */
  total: number;
  blocks: number;
  code: (number: number) => Uint8Array;
}

/** Packs a text to be shown as codes; `null`: it is too large to cross so. */
export async function sending(text: string): Promise<Sending | null> {
  const bytes = await packed(text);
  if (bytes.length > MOST_TOTAL) return null;
  const blockBytes = Math.max(
    BLOCK_BYTES.least,
    Math.min(BLOCK_BYTES.most, Math.ceil(bytes.length / BLOCKS)),
  );
  const blocks = blocksOf(bytes, blockBytes);
  const mixed: Mixing = mixing(blocks.length);
  const head = { total: bytes.length, blockBytes, checksum: buf(bytes) >>> 0 };
  return {
    total: bytes.length,
    blocks: blocks.length,
    code: (number) => writeFrame({ ...head, number, droplet: dropletOf(blocks, mixed, number) }),
  };
}

/** Seconds that a parcel takes at so many codes a second with a share of them missed; about two more than there are blocks. */
export function secondsToCross(
  { blocks }: Pick<Sending, 'blocks'>,
  perSecond: number,
  missed: number,
): number {
  return (blocks + 2) / (1 - missed) / perSecond;
}

/** What came of one code. */
export type Taken =
  /** No code of a handover. */
  | { is: 'other' }
  /** It did not come whole: nothing of it was used. */
  | { is: 'torn' }
  /** Of another parcel than the one begun, which goes on; the person may want that one instead. */
  | { is: 'another' }
  | { is: 'part'; known: number; blocks: number }
  /** All of it came, but not as it was sent: it begins anew. */
  | { is: 'damaged' }
  | { is: 'whole'; text: string };

/** Gathers the codes of a parcel, in any order; those of another are passed over until the person says otherwise. */
export class Receiving {
  private of: CodeFrame | null = null;
  private another: CodeFrame | null = null;
  private bucket = new Bucket(1);

  async take(bytes: Uint8Array): Promise<Taken> {
    const frame = readFrame(bytes);
    if (frame === 'other') return { is: 'other' };
    if (frame === 'damaged') return { is: 'torn' };
    if (this.of && !isOfOne(this.of, frame)) {
      this.another = frame;
      return { is: 'another' };
    }
    if (!this.of) this.begin(frame);
    this.bucket.take(frame.number, frame.droplet);
    const all = this.bucket.bytes();
    if (!all) return { is: 'part', known: this.bucket.known, blocks: this.bucket.blocks };
    const whole = all.slice(0, frame.total);
    const text = buf(whole) >>> 0 === frame.checksum ? await unpacked(whole) : null;
    if (text !== null) return { is: 'whole', text };
    this.of = null;
    return { is: 'damaged' };
  }

  /** Begins with the other parcel that was seen last. */
  takeAnother(): void {
    if (this.another) this.begin(this.another);
    this.another = null;
  }

  private begin(frame: CodeFrame): void {
    this.of = frame;
    this.bucket = new Bucket(Math.ceil(frame.total / frame.blockBytes));
  }
}

function isOfOne(one: CodeFrame, other: CodeFrame): boolean {
  return one.checksum === other.checksum && one.total === other.total && one.blockBytes === other.blockBytes;
}
