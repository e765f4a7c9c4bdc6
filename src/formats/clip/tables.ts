/**
 * What the tables of an MP4 or MOV promise, held against the file's own size before anything builds on them: a table of
 * twenty bytes can promise four thousand million samples. They are read in slices, and nothing is kept of them but sums.
 * Source: ISO/IEC 14496-12, 8.6 and 8.7 (sample tables), 8.8.8 (track runs).
 */
export type TablesProblem =
  /** More boxes than any recording has. */
  | 'boxes'
  /** More samples, or more bytes of them, than the file can hold. */
  | 'samples'
  /** No clock to tell a time by. */
  | 'clock';

/** Boxes of one index: a camera writes some hundred. */
const MOST_IN_INDEX = 5000;
/** Boxes of all kinds: a fragmented file of hours has some tens of thousands. */
const MOST_BOXES = 200_000;
/** Coded pictures are no smaller than this in the mean, bytes: one that repeats the one before takes some ten. */
const LEAST_PICTURE = 8;
/** Times and offsets may be told of a few samples more than there are: some writers do. */
const SLACK = { times: 2, more: 1000 };
/** Bytes read at once. */
const SLICE = 1 << 18;

const WITHIN = new Set(['moov', 'trak', 'mdia', 'minf', 'stbl', 'moof', 'traf']);
const FIRST = new Set(['ftyp', 'moov', 'mdat', 'wide', 'free', 'skip', 'pnot', 'styp', 'moof']);

/** `null`: nothing is amiss, or it is no such file. Never throws. */
export async function tablesProblem(file: Blob): Promise<TablesProblem | null> {
  const bytes = new Slices(file);
  if (!FIRST.has(await bytes.name(4))) return null;
  try {
    await walked({ bytes, size: file.size, boxes: 0, indexed: 0, runs: 0, tracks: [] }, 0, file.size, null);
    return null;
  } catch (error) {
    if (error instanceof Amiss) return error.problem;
    throw error;
  }
}

class Amiss extends Error {
  constructor(readonly problem: TablesProblem) {
    super(problem);
  }
}

/** What one track's tables say, by box. */
interface Track {
  /** Of its sound, its pictures, or neither. */
  handler: string;
  samples: number;
  chunks: number;
  /** Samples that times are told of. */
  timed: number;
}

interface Walk {
  bytes: Slices;
  size: number;
  boxes: number;
  /** Boxes of the index. */
  indexed: number;
  /** Samples of all runs of fragments. */
  runs: number;
  tracks: Track[];
}

async function walked(walk: Walk, from: number, to: number, inside: string | null): Promise<void> {
  const { bytes } = walk;
  for (let at = from; at + 8 <= to;) {
    walk.boxes += 1;
    if (inside !== null && inside !== 'moof' && inside !== 'traf') walk.indexed += 1;
    if (walk.boxes > MOST_BOXES || walk.indexed > MOST_IN_INDEX) throw new Amiss('boxes');
    const short = await bytes.u32(at);
    const name = await bytes.name(at + 4);
    const head = short === 1 ? 16 : 8;
    const size = short === 1 ? await bytes.u64(at + 8) : short === 0 ? to - at : short;
    if (size < head) return;
    const end = Math.min(to, at + size);
    if (name === 'trak') walk.tracks.push({ handler: '', samples: 0, chunks: 0, timed: 0 });
    if (WITHIN.has(name)) await walked(walk, at + head, end, name);
    else await held(walk, name, at + head, end);
    if (name === 'trak') fits(walk.tracks.at(-1), walk.size);
    at += size;
  }
}

/** Looks at one box that holds no others, its version and flags being its first four bytes. */
async function held(walk: Walk, name: string, from: number, to: number): Promise<void> {
  const { bytes, size } = walk;
  const track = walk.tracks.at(-1);
  const rows = async (bytesEach: number, first = from + 8): Promise<number> => {
    const count = await bytes.u32(first - 4);
    if (first + count * bytesEach > to) throw new Amiss('samples');
    return count;
  };
  switch (name) {
    case 'mvhd':
    case 'mdhd': {
      const at = from + ((await bytes.u8(from)) === 1 ? 20 : 12);
      if (at + 4 <= to && (await bytes.u32(at)) === 0) throw new Amiss('clock');
      return;
    }
    case 'hdlr':
      if (track && track.handler === '') track.handler = await bytes.name(from + 8);
      return;
    case 'stsz': {
      const each = await bytes.u32(from + 4);
      const count = each > 0 ? await bytes.u32(from + 8) : await rows(4, from + 12);
      if (count * each > size) throw new Amiss('samples');
      if (track) track.samples = count;
      return;
    }
    case 'stz2': {
      const count = await bytes.u32(from + 8);
      if (from + 12 + (count * (await bytes.u8(from + 7))) / 8 > to) throw new Amiss('samples');
      if (track) track.samples = count;
      return;
    }
    case 'stco':
    case 'co64': {
      const count = await rows(name === 'stco' ? 4 : 8);
      if (track) track.chunks = count;
      return;
    }
    case 'stss':
      await rows(4);
      return;
    case 'stts':
    case 'ctts': {
      const count = await rows(8);
      let sum = 0;
      for (let row = 0; row < count; row++) sum += await bytes.u32(from + 8 + 8 * row);
      if (track) track.timed = Math.max(track.timed, sum);
      return;
    }
    case 'stsc': {
      const count = await rows(12);
      let before = 0;
      for (let row = 0; row < count; row++) {
        const at = from + 8 + 12 * row;
        const chunk = await bytes.u32(at);
        // Chunks come in order, and none holds more samples than the file has bytes.
        if (chunk <= before || (await bytes.u32(at + 4)) > size) throw new Amiss('samples');
        before = chunk;
      }
      return;
    }
    case 'trun':
      walk.runs += await bytes.u32(from + 4);
      if (walk.runs * LEAST_PICTURE > size) throw new Amiss('samples');
  }
}

/** The tables of one track against each other. */
function fits(track: Track | undefined, size: number): void {
  if (!track) return;
  const { handler, samples, timed } = track;
  if (timed > samples * SLACK.times + SLACK.more) throw new Amiss('samples');
  if (handler === 'vide' && samples * LEAST_PICTURE > size) throw new Amiss('samples');
}

/** A file read by slices, the last one kept. */
class Slices {
  private from = 0;
  private view = new DataView(new ArrayBuffer(0));

  constructor(private readonly file: Blob) {}

  async u8(at: number): Promise<number> {
    return (await this.at(at, 1)).getUint8(at - this.from);
  }

  async u32(at: number): Promise<number> {
    // Most of a table lies in the slice that is there.
    const inside = at - this.from;
    if (inside >= 0 && inside + 4 <= this.view.byteLength) return this.view.getUint32(inside);
    return (await this.at(at, 4)).getUint32(at - this.from);
  }

  async u64(at: number): Promise<number> {
    return Number((await this.at(at, 8)).getBigUint64(at - this.from));
  }

  async name(at: number): Promise<string> {
    const view = await this.at(at, 4);
    return String.fromCharCode(...[0, 1, 2, 3].map((byte) => view.getUint8(at - this.from + byte)));
  }

  /** Past the end of the file there are noughts. */
  private async at(at: number, length: number): Promise<DataView> {
    if (at < this.from || at + length > this.from + this.view.byteLength) {
      const slice = new Uint8Array(await this.file.slice(at, at + SLICE).arrayBuffer());
      const padded = new Uint8Array(Math.max(slice.length, length));
      padded.set(slice);
      this.view = new DataView(padded.buffer);
      this.from = at;
    }
    return this.view;
  }
}
