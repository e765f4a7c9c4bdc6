import {
  AudioSampleSource,
  BufferTarget,
  Mp4OutputFormat,
  Output,
  Quality,
  VideoSampleSource,
  WebMOutputFormat,
} from 'mediabunny';
import type { AudioSample, VideoSample } from 'mediabunny';
import { SINCE_1904 } from './outline';

/** How a clip is written. */
export interface ClipEncoding {
  codec: 'avc' | 'vp9';
  format: 'mp4' | 'webm';
  /** Of the pictures, bits a second. */
  bitrate: number;
  frameRate: number;
  rotation?: 0 | 90 | 180 | 270;
  /** A picture that stands alone every so often. */
  keyFrameSeconds?: number;
  /** By the clock of the camera; MP4 only. */
  createdAt?: Date;
}

const SOUND_BITS = 48_000;

/** Writes pictures, and a sound, as a clip; each is closed when it is written. Needs the WebCodecs of a browser. */
export async function encodedClip(
  pictures: Iterable<VideoSample> | AsyncIterable<VideoSample>,
  sound: AudioSample | null,
  { codec, format, bitrate, frameRate, rotation = 0, keyFrameSeconds = 1, createdAt }: ClipEncoding,
): Promise<Uint8Array<ArrayBuffer>> {
  const target = new BufferTarget();
  const output = new Output({
    format: format === 'mp4' ? new Mp4OutputFormat({ fastStart: 'in-memory' }) : new WebMOutputFormat(),
    target,
  });
  const video = new VideoSampleSource({
    codec,
    quality: new Quality({ bitrate }),
    keyFrameInterval: keyFrameSeconds,
  });
  output.addVideoTrack(video, { rotation, frameRate });
  const audio =
    sound && new AudioSampleSource({ codec: 'opus', quality: new Quality({ bitrate: SOUND_BITS }) });
  if (audio) output.addAudioTrack(audio);
  await output.start();
  if (audio) {
    await audio.add(sound);
    sound.close();
  }
  for await (const picture of pictures) {
    await video.add(picture);
    picture.close();
  }
  await output.finalize();
  const bytes = new Uint8Array(target.buffer ?? new ArrayBuffer(0));
  if (createdAt && format === 'mp4') date(bytes, createdAt);
  return bytes;
}

const MVHD = [0x6d, 0x76, 0x68, 0x64];

/** Sets when the camera's clock says it began, in place, where the file has room for it. Source: ISO/IEC 14496-12, 8.2.2. */
export function date(mp4: Uint8Array<ArrayBuffer>, createdAt: Date): void {
  const at = mp4.findIndex((_, place) => MVHD.every((letter, off) => mp4[place + off] === letter));
  if (at < 0 || mp4[at + 4] !== 0) return;
  new DataView(mp4.buffer, mp4.byteOffset).setUint32(
    at + 8,
    Math.round(createdAt.getTime() / 1000) + SINCE_1904,
  );
}
