import { Mp4OutputFormat } from 'mediabunny';
import { describe, expect, it } from 'vitest';
import { madeContainer } from '../../../bench/madeContainer';
import { faultText } from '@/words/faultText';
import { openClip } from './container';
import { tablesProblem } from './tables';

const made = async (fragmented = false): Promise<Uint8Array<ArrayBuffer>> => {
  const format = new Mp4OutputFormat({ fastStart: fragmented ? 'fragmented' : 'in-memory' });
  return new Uint8Array(await (await madeContainer({ format })).arrayBuffer());
};

/** Where the content of the first box of this name begins. */
function boxAt(bytes: Uint8Array, name: string): number {
  for (let at = 4; at + 4 <= bytes.length; at += 1)
    if (Array.from(name).every((letter, index) => bytes[at + index] === letter.charCodeAt(0))) return at + 4;
  throw new Error(`there is no ${name}`);
}

/** A sound clip with numbers of four bytes changed, each so many bytes into the box of that name. */
async function broken(
  changes: readonly [box: string, at: number, to: number][],
  fragmented = false,
): Promise<Blob> {
  const bytes = await made(fragmented);
  const view = new DataView(bytes.buffer);
  for (const [box, at, to] of changes) view.setUint32(boxAt(bytes, box) + at, to);
  return new Blob([bytes]);
}

describe('tables that promise more than their file can hold', () => {
  it.each<[string, string, [string, number, number][]]>([
    [
      'one size for a hundred million pictures',
      'samples',
      [
        ['stsz', 4, 1],
        ['stsz', 8, 100_000_000],
      ],
    ],
    ['more sizes than the table has room for', 'samples', [['stsz', 8, 100_000_000]]],
    ['a time told of a hundred million', 'samples', [['stts', 8, 100_000_000]]],
    ['as many times as can be counted', 'samples', [['stts', 4, 0xffff_ffff]]],
    ['as many samples in a chunk as can be counted', 'samples', [['stsc', 12, 0xffff_ffff]]],
    ['more runs of chunks than there are', 'samples', [['stsc', 4, 0xffff_fff0]]],
    ['more chunks than the table has room for', 'samples', [['stco', 4, 0xfff_ffff]]],
    ['a clock that stands still', 'clock', [['mdhd', 12, 0]]],
  ])('%s', async (_, problem, changes) => {
    const file = await broken(changes);
    expect(await tablesProblem(file)).toBe(problem);
    const opened = await openClip(file, 'a.mp4');
    expect(opened.ok ? '' : opened.faults.map(faultText).join()).toContain('copy the clip anew');
  });

  it('a run of a fragment', async () => {
    expect(await tablesProblem(await broken([['trun', 4, 100_000_000]], true))).toBe('samples');
    expect(await tablesProblem(new Blob([await made(true)]))).toBeNull();
  });

  it('a million boxes in the index', async () => {
    const boxes = 1_000_000;
    const bytes = new Uint8Array(16 + 8 + 8 * boxes);
    const view = new DataView(bytes.buffer);
    const box = (at: number, size: number, name: string): void => {
      view.setUint32(at, size);
      Array.from(name).forEach((letter, index) => view.setUint8(at + 4 + index, letter.charCodeAt(0)));
    };
    box(0, 16, 'ftyp');
    box(16, 8 + 8 * boxes, 'moov');
    for (let at = 0; at < boxes; at += 1) box(24 + 8 * at, 8, 'free');
    expect(await tablesProblem(new Blob([bytes]))).toBe('boxes');
  });

  it('and none of a sound file, whole or cut short, or of another kind', async () => {
    const bytes = await made();
    for (const part of [1, 0.7, 0.3, 0.05])
      expect(await tablesProblem(new Blob([bytes.slice(0, bytes.length * part)])), `${part}`).toBeNull();
    expect(await tablesProblem(new Blob(['YUV4MPEG2 W16 H16']))).toBeNull();
    expect(await tablesProblem(new Blob([new Uint8Array(3)]))).toBeNull();
  });
});
