import {
  BufferTarget,
  EncodedAudioPacketSource,
  EncodedPacket,
  EncodedVideoPacketSource,
  Output,
} from 'mediabunny';
import type { AudioCodec, OutputFormat, VideoCodec } from 'mediabunny';

/** A decoder record without parameter sets. Source: ISO/IEC 14496-15, 8.3.3.1. */
const HVCC = Uint8Array.from({ length: 23 }, (_, at) => (at === 0 ? 1 : 0));

/** What a container is made with. */
export interface MadeContainer {
  format: OutputFormat;
  codec?: VideoCodec;
  codecString?: string;
  /** Seconds of each frame. */
  gaps?: number[];
  rotation?: 0 | 90 | 180 | 270;
  audio?: { codec: AudioCodec; channels: number } | null;
  frames?: number;
}

/** A file whose container is whole and whose pictures are made of nothing. */
export async function madeContainer({
  format,
  codec = 'vp9',
  codecString = 'vp09.00.10.08',
  gaps,
  rotation = 0,
  audio = null,
  frames = 50,
}: MadeContainer): Promise<File> {
  const target = new BufferTarget();
  const output = new Output({ format, target });
  const video = new EncodedVideoPacketSource(codec);
  output.addVideoTrack(video, { rotation });
  const sound = audio && new EncodedAudioPacketSource(audio.codec);
  if (sound) output.addAudioTrack(sound);
  await output.start();
  let at = 0;
  for (let number = 0; number < frames; number++) {
    const seconds = gaps?.[number % gaps.length] ?? 1 / 25;
    await video.add(
      new EncodedPacket(new Uint8Array(2000).fill(number), number % 25 === 0 ? 'key' : 'delta', at, seconds),
      {
        decoderConfig: {
          codec: codecString,
          codedWidth: 640,
          codedHeight: 360,
          ...(codec === 'hevc' ? { description: HVCC } : {}),
        },
      },
    );
    at += seconds;
  }
  if (audio)
    for (let piece = 0; piece < 20; piece++)
      await sound?.add(
        new EncodedPacket(new Uint8Array(2 * audio.channels * 4800), 'key', piece / 10, 1 / 10),
        { decoderConfig: { codec: audio.codec, numberOfChannels: audio.channels, sampleRate: 48_000 } },
      );
  await output.finalize();
  return new File([target.buffer ?? new ArrayBuffer(0)], 'made');
}

/** A file of 16-bit sound of so many channels. */
export function wav(channels: number, seconds: number): Blob {
  const rate = 16_000;
  const samples = Int16Array.from({ length: rate * seconds * channels }, (_, at) =>
    Math.round(12_000 * Math.sin(at / (7 * channels))),
  );
  const head = new DataView(new ArrayBuffer(44));
  const put = (at: number, text: string): void => {
    for (let letter = 0; letter < text.length; letter++) head.setUint8(at + letter, text.charCodeAt(letter));
  };
  put(0, 'RIFF');
  head.setUint32(4, 36 + samples.byteLength, true);
  put(8, 'WAVEfmt ');
  head.setUint32(16, 16, true);
  head.setUint16(20, 1, true);
  head.setUint16(22, channels, true);
  head.setUint32(24, rate, true);
  head.setUint32(28, rate * 2 * channels, true);
  head.setUint16(32, 2 * channels, true);
  head.setUint16(34, 16, true);
  put(36, 'data');
  head.setUint32(40, samples.byteLength, true);
  return new Blob([head.buffer, samples]);
}
