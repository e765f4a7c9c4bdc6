import * as messages from '@/language/formats/clip';
import { lumaRange } from '@/core/inspect/plane';
import type { CodedLuma } from '@/core/inspect/plane';
import { worded } from '@/core/schema/fault';
import type { Checked, Fault } from '@/core/schema/fault';

/**
 * Uncompressed pictures, YUV4MPEG2: a line of parameters, then for each frame a line that begins with FRAME and its planes,
 * luma first. Only luma is read. The range, where the file does not say, is limited, as is the rule, unless codes below it
 * are in use.
 */
export interface Y4m {
  width: number;
  height: number;
  fps: number;
  bits: 8 | 10;
  fullRange: boolean;
  frames: number;
  /** Bytes of the file after the last whole frame. */
  cutShort: boolean;
  /** Where the first frame's line begins, how long that line is, and how much follows it. */
  from: number;
  lineBytes: number;
  planesBytes: number;
}

/** Bytes of a frame beside its luma, by the sampling of colour: per pixel of luma. */
const COLOUR_SHARE: readonly [pattern: RegExp, share: (width: number, height: number) => number][] = [
  [/^mono/, () => 0],
  [/^420/, (width, height) => 2 * Math.ceil(width / 2) * Math.ceil(height / 2)],
  [/^422/, (width, height) => 2 * Math.ceil(width / 2) * height],
  [/^411/, (width, height) => 2 * Math.ceil(width / 4) * height],
  [/^444(?!alpha)/, (width, height) => 2 * width * height],
  [/^444alpha/, (width, height) => 3 * width * height],
];
const LONGEST_LINE = 512;
const SIGNATURE = 'YUV4MPEG2';

export async function isY4m(file: Blob): Promise<boolean> {
  return (await file.slice(0, SIGNATURE.length).text()) === SIGNATURE;
}

/** Reads the line of parameters. A fault names the parameter. */
export async function readY4m(file: Blob): Promise<Checked<Y4m>> {
  const line = await lineAt(file, 0);
  if (line === null) return no([worded('', messages.firstLineHasNoEnd)]);
  const given = new Map(
    line
      .split(' ')
      .slice(1)
      .map((word) => [word.slice(0, 1), word.slice(1)]),
  );
  const full = /XCOLORRANGE=(FULL|LIMITED)/.exec(line)?.[1];
  const width = Number(given.get('W'));
  const height = Number(given.get('H'));
  const [over = NaN, under = NaN] = (given.get('F') ?? '').split(':').map(Number);
  const colours = given.get('C') ?? '420';
  const bits = /p10$|mono10$/.test(colours) ? 10 : 8;
  const share = COLOUR_SHARE.find(([pattern]) => pattern.test(colours))?.[1];
  const faults: Fault[] = [];
  if (!isSize(width)) faults.push(worded('W', messages.expectedASize({ got: given.get('W') ?? '' })));
  if (!isSize(height)) faults.push(worded('H', messages.expectedASize({ got: given.get('H') ?? '' })));
  if (!(over > 0 && under > 0 && over / under <= 1000))
    faults.push(worded('F', messages.expectedARate({ got: given.get('F') ?? '' })));
  if (!share || (/p\d+$|mono\d+$/.test(colours) && bits === 8))
    faults.push(worded('C', messages.expectedASampling({ got: colours })));
  if (faults.length > 0 || !share) return no(faults);
  const from = line.length + 1;
  const planesBytes = (bits === 10 ? 2 : 1) * (width * height + share(width, height));
  const first = await lineAt(file, from);
  const lineBytes = (first?.length ?? 5) + 1;
  const each = lineBytes + planesBytes;
  const frames = Math.floor((file.size - from) / each);
  const y4m: Y4m = {
    width,
    height,
    fps: over / under,
    bits,
    fullRange: full === 'FULL',
    frames,
    cutShort: from + frames * each !== file.size,
    from,
    lineBytes,
    planesBytes,
  };
  if (full === undefined && frames > 0) y4m.fullRange = await usesAllCodes(file, y4m);
  return { ok: true, value: y4m };
}

const SIZES = { least: 16, most: 16_384 };

function isSize(pixels: number): boolean {
  return Number.isInteger(pixels) && pixels >= SIZES.least && pixels <= SIZES.most;
}

/** Limited range keeps away from the lowest codes, whatever the picture; above it, highlights may reach. */
const NEVER_IN_LIMITED = 4;
const MORE_THAN_STRAYS = 0.002;

async function usesAllCodes(file: Blob, y4m: Y4m): Promise<boolean> {
  for (const frame of new Set([0, Math.floor(y4m.frames / 2), y4m.frames - 1])) {
    const read = await readY4mFrame(file, y4m, frame);
    if (!read.ok) return false;
    const { codes } = read.value;
    const least = NEVER_IN_LIMITED * 2 ** (y4m.bits - 8);
    let below = 0;
    for (const code of codes) if (code < least) below++;
    if (below > MORE_THAN_STRAYS * codes.length) return true;
  }
  return false;
}

/** Luma of one frame, the first being 0. A fault names the frame whose line is not there. */
export async function readY4mFrame(file: Blob, y4m: Y4m, frame: number): Promise<Checked<CodedLuma>> {
  const { from, lineBytes, planesBytes, width, height, bits, fullRange } = y4m;
  const at = from + frame * (lineBytes + planesBytes);
  const lumaBytes = (bits === 10 ? 2 : 1) * width * height;
  const bytes = await file.slice(at, at + lineBytes + lumaBytes).arrayBuffer();
  const mark = String.fromCharCode(...new Uint8Array(bytes, 0, Math.min(5, bytes.byteLength)));
  if (mark !== 'FRAME' || bytes.byteLength < lineBytes + lumaBytes)
    return no([worded('', messages.expectedAFrame({ frame: frame + 1 }))]);
  const luma = bytes.slice(lineBytes);
  const codes = bits === 10 ? new Uint16Array(luma) : new Uint8Array(luma);
  return { ok: true, value: { width, height, stride: width, codes, ...lumaRange(bits, fullRange) } };
}

/** `null`: no line ends here. */
async function lineAt(file: Blob, at: number): Promise<string | null> {
  const bytes = new Uint8Array(await file.slice(at, at + LONGEST_LINE).arrayBuffer());
  const end = bytes.indexOf(10);
  return end < 0 ? null : String.fromCharCode(...bytes.subarray(0, end));
}

function no(faults: Fault[]): Extract<Checked<never>, { ok: false }> {
  return { ok: false, faults };
}
