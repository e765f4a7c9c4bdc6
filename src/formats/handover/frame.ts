import { buf } from 'crc-32';

/**
 * One frame of a moving row of codes, as bytes, numbers with their largest byte first:
 *
 *     0   2  the letters "LX"
 *     2   1  version of this layout, 2
 *     3   4  bytes of the whole parcel
 *     7   2  bytes of a block
 *     9   4  CRC-32 of the parcel
 *    13   2  number of the droplet, beginning anew after 65535
 *    15   4  CRC-32 of all before and of the droplet
 *    19   …  the droplet
 *
 * Each so tells by itself whether it came whole: one that did not spoils nothing of what came.
 */
export interface CodeFrame {
  total: number;
  blockBytes: number;
  checksum: number;
  number: number;
  droplet: Uint8Array;
}

const MARK = [0x4c, 0x58] as const;
const VERSION = 2;
const CHECK = 15;
const HEAD = CHECK + 4;
export const NUMBERS = 65_536;

/** Largest parcel taken, bytes: at ten codes a second, a third of them missed, it takes seven minutes. */
export const MOST_TOTAL = 1_000_000;
/** More blocks than this are not solved for: a receiver's memory is not a stranger's to fill. */
const MOST_BLOCKS = 4000;

export function writeFrame({ total, blockBytes, checksum, number, droplet }: CodeFrame): Uint8Array {
  const bytes = new Uint8Array(HEAD + droplet.length);
  const view = new DataView(bytes.buffer);
  bytes.set(MARK);
  view.setUint8(2, VERSION);
  view.setUint32(3, total);
  view.setUint16(7, blockBytes);
  view.setUint32(9, checksum);
  view.setUint16(13, number % NUMBERS);
  bytes.set(droplet, HEAD);
  view.setUint32(CHECK, checkOf(bytes));
  return bytes;
}

/** Of a frame, but for the check itself. */
function checkOf(bytes: Uint8Array): number {
  return buf(bytes.subarray(HEAD), buf(bytes.subarray(0, CHECK))) >>> 0;
}

/** `other`: no frame of ours, or one that says what cannot be; `damaged`: it did not come whole. */
export function readFrame(bytes: Uint8Array): CodeFrame | 'other' | 'damaged' {
  if (bytes.length <= HEAD || bytes[0] !== MARK[0] || bytes[1] !== MARK[1] || bytes[2] !== VERSION)
    return 'other';
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (view.getUint32(CHECK) !== checkOf(bytes)) return 'damaged';
  const frame = {
    total: view.getUint32(3),
    blockBytes: view.getUint16(7),
    checksum: view.getUint32(9),
    number: view.getUint16(13),
    droplet: bytes.slice(HEAD),
  };
  const { total, blockBytes, droplet } = frame;
  const fits =
    total > 0 && total <= MOST_TOTAL && droplet.length === blockBytes && total <= blockBytes * MOST_BLOCKS;
  return fits ? frame : 'other';
}
