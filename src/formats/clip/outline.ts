/**
 * The outline of a container's file: when it says it was made, and whether it is all there. What mediabunny does not tell.
 */
export interface Outline {
  createdAt: Date | null;
  /** The file ends before what it says it holds. */
  cutShort: boolean;
  /** MP4 and MOV: without their index nothing in them can be found. */
  indexed: boolean;
}

/** `null`: neither kind of file. */
export async function outlineOf(file: Blob): Promise<Outline | null> {
  const head = new DataView(await file.slice(0, 16).arrayBuffer());
  if (head.byteLength < 8) return null;
  if (head.getUint32(0) === 0x1a45dfa3) return matroskaOutline(file);
  return KNOWN_FIRST.includes(fourOf(head, 4)) ? isoOutline(file) : null;
}

const KNOWN_FIRST = ['ftyp', 'moov', 'mdat', 'wide', 'free', 'skip', 'pnot'];
/** Boxes walked at the top: a fragmented file of hours has some thousands. */
const MOST_BOXES = 20_000;
/** Seconds from 1904 to 1970. */
export const SINCE_1904 = 2_082_844_800;

/** Boxes one after another, each with its size. Source: ISO/IEC 14496-12, 4.2 and 8.2.2 (mvhd). */
async function isoOutline(file: Blob): Promise<Outline> {
  let [at, indexed] = [0, false];
  let createdAt: Date | null = null;
  for (let count = 0; count < MOST_BOXES && at + 8 <= file.size; count++) {
    const head = new DataView(await file.slice(at, at + 16).arrayBuffer());
    const name = fourOf(head, 4);
    const long = head.getUint32(0) === 1 && head.byteLength >= 16;
    const size = long ? Number(head.getBigUint64(8)) : head.getUint32(0);
    const end = size === 0 ? file.size : at + size;
    if (!/^[\x20-\x7e]{4}$/.test(name) || (size !== 0 && size < 8))
      return { createdAt, indexed, cutShort: true };
    if (end > file.size) return { createdAt, indexed, cutShort: true };
    if (name === 'moov') {
      indexed = true;
      createdAt = await movieTime(file, at + (long ? 16 : 8), end);
    }
    at = end;
  }
  return { createdAt, indexed, cutShort: at < file.size };
}

async function movieTime(file: Blob, from: number, to: number): Promise<Date | null> {
  for (let at = from; at + 8 <= to;) {
    const head = new DataView(await file.slice(at, at + 24).arrayBuffer());
    const size = head.getUint32(0);
    if (fourOf(head, 4) === 'mvhd' && head.byteLength >= 20) {
      const seconds = head.getUint8(8) === 1 ? Number(head.getBigUint64(12)) : head.getUint32(12);
      return dateOf(1000 * (seconds - SINCE_1904));
    }
    if (size < 8) return null;
    at += size;
  }
  return null;
}

const SINCE_2001_MS = Date.UTC(2001, 0, 1);

/** EBML: the segment and its size; the date lies near the front. Source: RFC 8794, 4 and 5; RFC 9559, 5.1.2 (DateUTC). */
async function matroskaOutline(file: Blob): Promise<Outline> {
  const front = new DataView(await file.slice(0, 65_536).arrayBuffer());
  const header = sizeAt(front, 4);
  const segmentAt = header ? 4 + header.length + header.size : -1;
  const isSegment =
    segmentAt > 0 && segmentAt + 12 < front.byteLength && front.getUint32(segmentAt) === 0x18538067;
  const segment = isSegment ? sizeAt(front, segmentAt + 4) : null;
  const cutShort =
    segment !== null && !segment.unknown && segmentAt + 4 + segment.length + segment.size > file.size;
  for (let at = 0; at + 11 <= front.byteLength; at++)
    if (front.getUint16(at) === 0x4461 && front.getUint8(at + 2) === 0x88) {
      const createdAt = dateOf(SINCE_2001_MS + Number(front.getBigInt64(at + 3) / 1_000_000n));
      return { createdAt, cutShort, indexed: true };
    }
  return { createdAt: null, cutShort, indexed: true };
}

/** A number of one to eight bytes, whose first tells how many; all ones: unknown. */
function sizeAt(view: DataView, at: number): { length: number; size: number; unknown: boolean } | null {
  if (at >= view.byteLength) return null;
  const first = view.getUint8(at);
  const length = Math.clz32(first) - 23;
  if (length > 8 || at + length > view.byteLength) return null;
  let size = first & (0xff >> length);
  let unknown = size === 0xff >> length;
  for (let byte = 1; byte < length; byte++) {
    size = 256 * size + view.getUint8(at + byte);
    unknown &&= view.getUint8(at + byte) === 0xff;
  }
  return { length, size, unknown };
}

/** A camera whose clock was never set writes the beginning of its count: that is no date. */
function dateOf(ms: number): Date | null {
  const date = new Date(ms);
  return Number.isNaN(ms) || date.getUTCFullYear() < 1990 || date.getUTCFullYear() > 2190 ? null : date;
}

function fourOf(view: DataView, at: number): string {
  return String.fromCharCode(...Array.from({ length: 4 }, (_, byte) => view.getUint8(at + byte)));
}
