import {
  ALL_FORMATS,
  AudioSample,
  BlobSource,
  BufferTarget,
  EncodedPacketSink,
  EncodedVideoPacketSource,
  Input,
  Mp4OutputFormat,
  Output,
  VideoSample,
} from 'mediabunny';
import { encodedClip } from '@/formats/clip/encode';
import type { ClipEncoding } from '@/formats/clip/encode';
import { coded, madeFrames, PLAIN_CLIP } from './madeClip';
import type { MadeClip } from './madeClip';

/** A made clip as a camera would have written it. Runs in a page: its browser encodes. */
export interface MadeEncoding extends Pick<ClipEncoding, 'codec' | 'bitrate' | 'rotation'> {
  /** A tone of this level, 0…1, driven over the top above 1. */
  sound?: number;
}

export async function encoded(over: Partial<MadeClip>, { sound, ...how }: MadeEncoding): Promise<string> {
  const clip: MadeClip = { ...PLAIN_CLIP, ...over };
  const heard = sound === undefined ? null : tone(clip.seconds, sound);
  return base64(
    await encodedClip(pictures(clip), heard, {
      ...how,
      format: how.codec === 'avc' ? 'mp4' : 'webm',
      frameRate: clip.fps,
    }),
  );
}

function* pictures(clip: MadeClip): Generator<VideoSample> {
  const grey = new Uint8Array((clip.width * clip.height) / 2).fill(128);
  for (const frame of madeFrames(clip)) {
    const planes = new Uint8Array(clip.width * clip.height + grey.length);
    planes.set(coded(clip, frame).codes);
    planes.set(grey, clip.width * clip.height);
    yield new VideoSample(planes, {
      format: 'I420',
      codedWidth: clip.width,
      codedHeight: clip.height,
      timestamp: frame.atSeconds,
      duration: 1 / clip.fps,
      colorSpace: { primaries: 'bt709', transfer: 'bt709', matrix: 'bt709', fullRange: false },
    });
  }
}

function tone(seconds: number, level: number): AudioSample {
  const rate = 48_000;
  const data = Float32Array.from({ length: Math.round(rate * seconds) }, (_, at) =>
    Math.max(-1, Math.min(1, level * Math.sin((2 * Math.PI * 440 * at) / rate))),
  );
  return new AudioSample({ data, format: 'f32', numberOfChannels: 1, sampleRate: rate, timestamp: 0 });
}

function base64(bytes: Uint8Array): string {
  let text = '';
  for (let at = 0; at < bytes.length; at += 8192)
    text += String.fromCharCode(...bytes.subarray(at, at + 8192));
  return btoa(text);
}

/** A clip played so many times over, as one file: long ones are made from short ones. Stays in the page. */
export async function repeated(text: string, times: number): Promise<Blob> {
  const bytes = Uint8Array.from(atob(text), (letter) => letter.charCodeAt(0));
  const input = new Input({ formats: ALL_FORMATS, source: new BlobSource(new Blob([bytes])) });
  const track = await input.getPrimaryVideoTrack();
  const decoderConfig = await track?.getDecoderConfig();
  if (!track || !decoderConfig) throw new Error('no pictures');
  const length = await track.computeDuration();
  const target = new BufferTarget();
  const output = new Output({ format: new Mp4OutputFormat({ fastStart: 'in-memory' }), target });
  const video = new EncodedVideoPacketSource('avc');
  output.addVideoTrack(video);
  await output.start();
  for (let turn = 0; turn < times; turn++)
    for await (const packet of new EncodedPacketSink(track).packets())
      await video.add(packet.clone({ timestamp: packet.timestamp + turn * length }), { decoderConfig });
  await output.finalize();
  return new Blob([target.buffer ?? new ArrayBuffer(0)], { type: 'video/mp4' });
}

Object.assign(globalThis, { encoded, repeated });
