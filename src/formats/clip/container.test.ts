import { MkvOutputFormat, MovOutputFormat, Mp4OutputFormat, WebMOutputFormat } from 'mediabunny';
import type { OutputFormat } from 'mediabunny';
import { describe, expect, it } from 'vitest';
import { madeContainer, wav } from '../../../bench/madeContainer';
import { PLAIN_CLIP, y4mOf } from '../../../bench/madeClip';
import { faultText } from '@/words/faultText';
import { unreadOf } from '@/core/inspect/measuredClip';
import { unreadText } from '@/words/findingText';
import { openClip } from './container';
import { factsOf } from './look';
import { outlineOf } from './outline';
import { readY4m, readY4mFrame } from './y4m';
import { measuredY4m } from './y4mPictures';
import { soundBeside } from './sound';

const opened = async (file: Blob, name = 'a.mp4'): ReturnType<typeof openClip> => {
  const clip = await openClip(file, name);
  if (clip.ok) clip.value.close();
  return clip;
};
const facts = async (file: Blob): Promise<object> => {
  const clip = await opened(file);
  if (!clip.ok) throw new Error(clip.faults.map(faultText).join('; '));
  return clip.value.container;
};
const words = async (file: Blob): Promise<string> => {
  const clip = await opened(file);
  return clip.ok ? '' : clip.faults.map(faultText).join('; ');
};

describe('containers', () => {
  it.each<[string, () => OutputFormat]>([
    ['mp4', () => new Mp4OutputFormat({ fastStart: 'in-memory' })],
    ['mov', () => new MovOutputFormat({ fastStart: 'in-memory' })],
    ['mkv', () => new MkvOutputFormat()],
    ['webm', () => new WebMOutputFormat()],
  ])('%s: format, codec, size, frames, rate, length, bits', async (name, format) => {
    expect(await facts(await madeContainer({ format: format() }))).toMatchObject({
      format: name,
      videoCodec: 'vp9',
      width: 640,
      height: 360,
      rotationDeg: 0,
      frames: 50,
      nominalFps: 25,
      variable: false,
      audio: null,
    });
  });

  it('rates: 29.97 is itself, a varying one says so with its mean, a turned one keeps its turn', async () => {
    const format = new Mp4OutputFormat({ fastStart: 'in-memory' });
    expect(await facts(await madeContainer({ format, gaps: [1001 / 30_000] }))).toMatchObject({
      nominalFps: 29.97,
      variable: false,
    });
    const varying = await facts(await madeContainer({ format, gaps: [0.03, 0.04, 0.07], rotation: 90 }));
    expect(varying).toMatchObject({ variable: true, rotationDeg: 90, nominalFps: 25 });
    expect((varying as { frameRate: number }).frameRate).toBeCloseTo(50 / 2.31, 1);
  });

  it('sound: none, and 5.1', async () => {
    const sound = await facts(
      await madeContainer({ format: new MovOutputFormat(), audio: { codec: 'pcm-s16', channels: 6 } }),
    );
    expect(sound).toMatchObject({ audio: { codec: 'pcm-s16', channels: 6, sampleRate: 48_000 } });
  });

  it('when it was made, as the file says', async () => {
    const before = Date.now();
    const mp4 = (await facts(await madeContainer({ format: new Mp4OutputFormat() }))) as {
      createdAt: string;
    };
    expect(Math.abs(Date.parse(mp4.createdAt) - before)).toBeLessThan(60_000);
  });
});

describe('files that are not as they should be', () => {
  it('empty, no clip at all, sound alone: each in words', async () => {
    expect(await words(new Blob([]))).toMatch(/empty/);
    expect(await words(new Blob(['These are the notes of the day.']))).toMatch(/no clip: expected MP4/);
    expect(await words(wav(1, 0.5))).toMatch(/sound alone/);
    expect(await words(new Blob([new Uint8Array(5000).fill(7)]))).toMatch(/no clip/);
  });

  it('cut in the middle: without its index it is refused, with it what is there is read', async () => {
    const late = await madeContainer({ format: new Mp4OutputFormat({ fastStart: false }) });
    expect(await words(late.slice(0, late.size - 600))).toMatch(/index is missing/);
    const early = await madeContainer({ format: new Mp4OutputFormat({ fastStart: 'in-memory' }) });
    const cut = await opened(early.slice(0, early.size - 30_000));
    expect(cut.ok && cut.value.cutShort).toBe(true);
    expect((await opened(early)).ok && (await outlineOf(early))?.cutShort).toBe(false);
    const mkv = await madeContainer({ format: new MkvOutputFormat() });
    expect((await outlineOf(mkv))?.cutShort).toBe(false);
    expect((await outlineOf(mkv.slice(0, mkv.size - 20_000)))?.cutShort).toBe(true);
  });

  it('a codec that cannot be decoded here still gives its facts, and says that its pictures stay unread', async () => {
    const file = await madeContainer({
      format: new Mp4OutputFormat({ fastStart: 'in-memory' }),
      codec: 'hevc',
      codecString: 'hvc1.1.6.L93.B0',
    });
    const read = await factsOf(file, 'a.mp4');
    if (!read.ok) throw new Error('not read');
    const { container, decoded, cutShort } = read.value;
    expect(container).toMatchObject({
      videoCodec: 'hevc',
      width: 640,
      height: 360,
      frames: 50,
      nominalFps: 25,
    });
    expect(decoded).toBe(false);
    const unread = unreadOf(container, { cutShort, decoded });
    expect(unreadText({ container, unread })).toMatch(/does not decode hevc/);
  });

  it('what an opening told is not told again', async () => {
    const file = await madeContainer({ format: new Mp4OutputFormat({ fastStart: 'in-memory' }) });
    const first = await opened(file);
    if (!first.ok) throw new Error('not opened');
    const told = { container: { ...first.value.container, frames: 7 }, cutShort: true };
    const again = await openClip(file, 'a.mp4', told);
    expect(again).toMatchObject({ ok: true, value: { ...told, source: { kind: 'coded' } } });
  });

  it('no frames is a fact, not a fault', async () => {
    const none = new Blob(['YUV4MPEG2 W64 H36 F25:1 Cmono\n']);
    expect(await facts(none)).toMatchObject({ frames: 0, durationSeconds: 0 });
    const empty = await madeContainer({ format: new Mp4OutputFormat({ fastStart: 'in-memory' }), frames: 0 });
    expect(await words(empty)).toMatch(/no pictures/i);
  });
});

describe('sound beside', () => {
  it('is read with all of its channels; what is none is none', async () => {
    const heard = await soundBeside(wav(6, 2));
    expect(heard).toMatchObject({ audio: { channels: 6, sampleRate: 16_000, durationSeconds: 2 } });
    expect(heard?.sound?.peakDb).toBeCloseTo(20 * Math.log10(12_000 / 32_768), 0);
    expect(await soundBeside(new Blob(['nothing']))).toBeNull();
  });
});

describe('uncompressed pictures', () => {
  const clip = { ...PLAIN_CLIP, width: 96, height: 54, seconds: 0.4 };

  it('frames are read in colour and without, with the range that they use', async () => {
    for (const mono of [false, true]) {
      const file = y4mOf(clip, mono);
      const read = await readY4m(file);
      expect(read).toMatchObject({
        ok: true,
        value: { width: 96, height: 54, fps: 25, frames: 10, cutShort: false, fullRange: false },
      });
      if (read.ok) expect((await measuredY4m(file, read.value)).ok).toBe(true);
    }
  });

  it('full range is known by what the file says, or by its codes', async () => {
    const frame = new Uint8Array(64 * 36).fill(120).fill(0, 0, 500);
    const file = (x: string): Blob => new Blob([`YUV4MPEG2 W64 H36 F25:1 Cmono${x}\n`, 'FRAME\n', frame]);
    for (const [x, full] of [
      ['', true],
      [' XCOLORRANGE=LIMITED', false],
      [' XCOLORRANGE=FULL', true],
    ] as const) {
      const read = await readY4m(file(x));
      expect(read.ok && read.value.fullRange, x).toBe(full);
    }
  });

  it('ten bits are read as such', async () => {
    const codes = new Uint16Array(64 * 36).fill(502);
    const file = new Blob(['YUV4MPEG2 W64 H36 F50:1 Cmono10\n', 'FRAME\n', codes]);
    const read = await readY4m(file);
    if (!read.ok) throw new Error('not read');
    const frame = await readY4mFrame(file, read.value, 0);
    expect(frame).toMatchObject({ ok: true, value: { black: 64, white: 940 } });
    const measured = await measuredY4m(file, read.value);
    expect(measured.ok && measured.value.frames[0]?.linear).toBeCloseTo(
      ((0.5 + 0.099) / 1.099) ** (1 / 0.45),
      3,
    );
  });

  it('each thing amiss in the first line is named, and a frame that is not there', async () => {
    expect(await words(new Blob(['YUV4MPEG2 Wx H9999999 F25:0 C420p16\n']))).toMatch(
      /W: .*; H: .*; F: .*; C: /,
    );
    expect(await words(new Blob(['YUV4MPEG2 W64 H36 F25:1']))).toMatch(/first line/);
    const whole = await y4mOf(clip).arrayBuffer();
    const cut = new Blob([whole.slice(0, whole.byteLength - 100)]);
    const read = await readY4m(cut);
    expect(read).toMatchObject({ ok: true, value: { frames: 9, cutShort: true } });
    const spoilt = new Uint8Array(whole.slice(0));
    if (!read.ok) throw new Error('not read');
    const { from, lineBytes, planesBytes } = read.value;
    spoilt.fill(0, from + 3 * (lineBytes + planesBytes), from + 3 * (lineBytes + planesBytes) + 6);
    const measured = await measuredY4m(new Blob([spoilt]), read.value);
    expect(measured.ok ? '' : measured.faults.map(faultText).join()).toMatch(/frame 4/);
  });
});
