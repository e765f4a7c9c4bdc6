import { ALL_FORMATS, AudioSampleSink, BlobSource, Input } from 'mediabunny';
import type { InputAudioTrack } from 'mediabunny';
import { SoundMeter } from '@/core/inspect/sound';
import type { Window } from '@/core/inspect/windows';
import type { Container, Sound } from '@/core/records/clipReport';

const WHOLE: readonly Window[] = [{ fromSeconds: 0, toSeconds: Infinity }];

/** Measures a track, in windows of it or the whole; what breaks off keeps what was heard. `null`: it cannot be decoded here. */
export async function heardIn(
  track: InputAudioTrack,
  windows: readonly Window[] = WHOLE,
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
