import { EncodedPacketSink, VideoSampleSink } from 'mediabunny';
import type { VideoSample } from 'mediabunny';
import { lumaRange } from '@/core/inspect/plane';
import type { CodedLuma } from '@/core/inspect/plane';
import type { LookWindow } from '@/core/inspect/windows';
import type { OpenClip } from './container';
import { readY4mFrame } from './y4m';

/** One picture of a clip on its way through: its luma to be measured, and itself small, for keeping. */
export interface DecodedFrame {
  atSeconds: number;
  luma: CodedLuma;
  /** A small JPEG as a data URL, turned upright; only while the frame is at hand. */
  small: () => Promise<string>;
}

/** Pictures from one time on up to another, in order. What cannot be decoded throws; the caller has asked `canDecode`. */
export async function* framesOf(
  { source, file }: OpenClip,
  fromSeconds: number,
  toSeconds: number,
): AsyncGenerator<DecodedFrame> {
  if (source.kind === 'y4m') {
    const { y4m } = source;
    const first = Math.max(0, Math.ceil(fromSeconds * y4m.fps - 1e-6));
    for (let number = first; number < y4m.frames && number / y4m.fps < toSeconds; number++) {
      const read = await readY4mFrame(file, y4m, number);
      if (!read.ok) return;
      const luma = read.value;
      yield { atSeconds: number / y4m.fps, luma, small: () => smallOfLuma(luma) };
    }
    return;
  }
  const begins = await source.video.getFirstTimestamp();
  const samples = new VideoSampleSink(source.video).samples(fromSeconds + begins, toSeconds + begins);
  for await (const sample of samples) {
    try {
      const luma = await lumaOf(sample);
      yield { atSeconds: sample.timestamp - begins, luma, small: () => smallOf(sample) };
    } finally {
      sample.close();
    }
  }
}

/** A key frame is decoded without those before it: a window moved back to one costs nothing but what is seen of it. */
const MOST_BACK_SECONDS = 4;

export async function fromKeyFrame({ source }: OpenClip, window: LookWindow): Promise<LookWindow> {
  if (source.kind === 'y4m' || window.fromSeconds <= 0) return window;
  const begins = await source.video.getFirstTimestamp();
  const key = await new EncodedPacketSink(source.video).getKeyPacket(window.fromSeconds + begins, {
    metadataOnly: true,
  });
  const back = key ? window.fromSeconds + begins - key.timestamp : Infinity;
  return back > MOST_BACK_SECONDS
    ? window
    : { fromSeconds: window.fromSeconds - back, toSeconds: window.toSeconds - back };
}

export async function canDecode({ source }: OpenClip): Promise<boolean> {
  return source.kind === 'y4m' || source.video.canDecode();
}

let room = new ArrayBuffer(0);

/** Luma as decoded; of pictures that do not lie in planes, of a drawing of them. */
async function lumaOf(sample: VideoSample): Promise<CodedLuma> {
  const { format } = sample;
  const bits = format === null ? null : PLANAR[format];
  if (bits === undefined || bits === null) return lumaOfDrawing(sample);
  const size = sample.allocationSize();
  if (room.byteLength < size) room = new ArrayBuffer(size);
  const [plane] = await sample.copyTo(new Uint8Array(room, 0, size));
  if (!plane) return lumaOfDrawing(sample);
  const { width, height } = sample.visibleRect;
  const range = lumaRange(bits, sample.colorSpace.fullRange ?? false);
  return bits === 8
    ? { width, height, stride: plane.stride, codes: new Uint8Array(room, plane.offset), ...range }
    : { width, height, stride: plane.stride / 2, codes: new Uint16Array(room, plane.offset), ...range };
}

/** Formats whose first plane is luma, and their bits. */
const PLANAR: Partial<Record<NonNullable<VideoSample['format']>, 8 | 10>> = {
  I420: 8,
  I420A: 8,
  I422: 8,
  I444: 8,
  NV12: 8,
  I420P10: 10,
  I422P10: 10,
  I444P10: 10,
};

/** What is drawn is sRGB of full range. */
function lumaOfDrawing(sample: VideoSample): CodedLuma {
  const { width, height } = sample.visibleRect;
  const scale = Math.min(1, 640 / Math.max(width, height));
  const [wide, high] = [Math.max(16, Math.round(width * scale)), Math.max(16, Math.round(height * scale))];
  const context = contextOf(wide, high);
  const upright = sample.rotation % 180 === 0;
  sample.draw(context, 0, 0, upright ? wide : high, upright ? high : wide);
  const { data } = context.getImageData(0, 0, wide, high);
  const codes = new Uint8Array(wide * high);
  // Source: ITU-R BT.709-6, item 3.2.
  for (let at = 0; at < codes.length; at++)
    codes[at] = Math.round(
      0.2126 * (data[4 * at] ?? 0) + 0.7152 * (data[4 * at + 1] ?? 0) + 0.0722 * (data[4 * at + 2] ?? 0),
    );
  return { width: wide, height: high, stride: wide, codes, ...lumaRange(8, true) };
}

/** Longer side of the pictures that are kept, pixels. */
const SMALL_PX = 200;

async function smallOf(sample: VideoSample): Promise<string> {
  const { displayWidth, displayHeight } = sample;
  const scale = SMALL_PX / Math.max(displayWidth, displayHeight);
  const [wide, high] = [
    Math.max(1, Math.round(displayWidth * scale)),
    Math.max(1, Math.round(displayHeight * scale)),
  ];
  const context = contextOf(wide, high);
  sample.draw(context, 0, 0, wide, high);
  return asDataUrl(context.canvas);
}

async function smallOfLuma({ width, height, stride, codes, black, white }: CodedLuma): Promise<string> {
  const step = Math.max(1, Math.round(Math.max(width, height) / SMALL_PX));
  const [wide, high] = [Math.floor(width / step), Math.floor(height / step)];
  const image = new ImageData(wide, high);
  for (let row = 0; row < high; row++)
    for (let column = 0; column < wide; column++) {
      const code = codes[row * step * stride + column * step] ?? 0;
      const tone = (255 * (code - black)) / (white - black);
      image.data.set([tone, tone, tone, 255], 4 * (row * wide + column));
    }
  const context = contextOf(wide, high);
  context.putImageData(image, 0, 0);
  return asDataUrl(context.canvas);
}

function contextOf(width: number, height: number): OffscreenCanvasRenderingContext2D {
  const context = new OffscreenCanvas(width, height).getContext('2d');
  if (!context) throw new Error('noDrawing');
  return context;
}

async function asDataUrl(canvas: OffscreenCanvas): Promise<string> {
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.6 });
  const bytes = new Uint8Array(await blob.arrayBuffer());
  let text = '';
  for (const byte of bytes) text += String.fromCharCode(byte);
  return `data:image/jpeg;base64,${btoa(text)}`;
}
