import { ALL_FORMATS, AudioSampleSink, BlobSource, Input } from 'mediabunny';
import type { InputAudioTrack } from 'mediabunny';
import { SoundMeter } from '@/core/inspect/sound';
import { tablesProblem } from './tables';
import type { LookWindow } from '@/core/inspect/windows';
import type { Container, Sound } from '@/core/records/clipReport';

const WHOLE: readonly LookWindow[] = [{ fromSeconds: 0, toSeconds: Infinity }];

/** Measures a track, in windows of it or the whole; what breaks off keeps what was heard. `null`: it cannot be decoded here. */
export async function heardIn(
  track: InputAudioTrack,
  windows: readonly LookWindow[] = WHOLE,
): Promise<SoundMeter | null> {
  if (!(await track.canDecode())) return null;
  const sink = new AudioSampleSink(track);
  let meter: SoundMeter | null = null;
  try {
    for (const { fromSeconds, toSeconds } of [...windows].sort((a, b) => a.fromSeconds - b.fromSeconds))
      for await (const sample of sink.samples(fromSeconds, toSeconds)) {
        meter ??= new SoundMeter(sample.sampleRate);
        const channels = Array.from({ length: sample.numberOfChannels }, (_, planeIndex) => {
          const channel = new Float32Array(sample.numberOfFrames);
          sample.copyTo(channel, { planeIndex, format: 'f32-planar' });
          return channel;
        });
        meter.add(channels, sample.timestamp);
        sample.close();
      }
  } catch {
    return meter;
  }
  return meter;
}

/** Recordings are aligned by so much of their beginning, at this rate: the cross-correlation holds both at once. */
const ALIGNED_SECONDS = 60;
export const ALIGNED_RATE = 8000;

/** One channel of the beginning of a file, at `ALIGNED_RATE`; `null`: it has no sound that can be decoded here. */
export async function beginningOf(file: Blob): Promise<Float32Array | null> {
  if (await tablesProblem(file)) return null;
  const input = new Input({ formats: ALL_FORMATS, source: new BlobSource(file) });
  try {
    const track = await input.getPrimaryAudioTrack();
    if (!track || !(await track.canDecode())) return null;
    const heard = new Float32Array(ALIGNED_SECONDS * ALIGNED_RATE);
    let end = 0;
    for await (const sample of new AudioSampleSink(track).samples(0, ALIGNED_SECONDS)) {
      const every = sample.sampleRate / ALIGNED_RATE;
      const channel = new Float32Array(sample.numberOfFrames);
      sample.copyTo(channel, { planeIndex: 0, format: 'f32-planar' });
      const from = Math.round(sample.timestamp * ALIGNED_RATE);
      for (let at = Math.max(0, -from); from + at < heard.length; at++) {
        const first = Math.round(at * every);
        const last = Math.min(channel.length, Math.round((at + 1) * every));
        if (first >= last) break;
        // The mean of what falls between two places keeps most of what lies above them out.
        let sum = 0;
        for (let place = first; place < last; place++) sum += channel[place] ?? 0;
        heard[from + at] = sum / (last - first);
        end = Math.max(end, from + at + 1);
      }
      sample.close();
    }
    return heard.subarray(0, end);
  } catch {
    return null;
  } finally {
    input.dispose();
  }
}

/** What a container says of its sound. */
export async function soundFacts(track: InputAudioTrack): Promise<NonNullable<Container['audio']>> {
  const [codec, channels, sampleRate, durationSeconds] = await Promise.all([
    track.getCodec(),
    track.getNumberOfChannels(),
    track.getSampleRate(),
    track.computeDuration({ metadataOnly: true }),
  ]);
  return { codec: codec ?? UNKNOWN, channels, sampleRate, durationSeconds };
}

/** A codec that has no name here. */
export const UNKNOWN = 'unknown';

/** Sound that lies beside a clip as uncompressed WAV. `null`: the file is none. */
export async function soundBeside(
  file: Blob,
): Promise<{ audio: NonNullable<Container['audio']>; sound: Sound | null } | null> {
  if (await tablesProblem(file)) return null;
  const input = new Input({ formats: ALL_FORMATS, source: new BlobSource(file) });
  try {
    const track = await input.getPrimaryAudioTrack();
    const audio = track && (await soundFacts(track));
    if (!track || !audio?.codec.startsWith('pcm')) return null;
    return { audio, sound: (await heardIn(track))?.result() ?? null };
  } catch {
    return null;
  } finally {
    input.dispose();
  }
}
