import { ALL_FORMATS, AudioSampleSink, BlobSource, Input } from 'mediabunny';
import type { InputAudioTrack } from 'mediabunny';
import { SoundMeter } from '@/core/inspect/sound';
import type { Container, Sound } from '@/core/records/clipReport';

/** Samples of a track piece by piece, one array for each channel; stops when `goOn` says no. */
export async function* samplesOf(
  track: InputAudioTrack,
  goOn: () => boolean = () => true,
): AsyncGenerator<{ channels: Float32Array[]; rate: number }> {
  for await (const sample of new AudioSampleSink(track).samples()) {
    const channels = Array.from({ length: sample.numberOfChannels }, (_, planeIndex) => {
      const channel = new Float32Array(sample.numberOfFrames);
      sample.copyTo(channel, { planeIndex, format: 'f32-planar' });
      return channel;
    });
    const rate = sample.sampleRate;
    sample.close();
    yield { channels, rate };
    if (!goOn()) return;
  }
}

/** Measures a track. `null`: it cannot be decoded here, or is shorter than a window. */
export async function soundIn(track: InputAudioTrack, goOn?: () => boolean): Promise<Sound | null> {
  if (!(await track.canDecode())) return null;
  let meter: SoundMeter | null = null;
  for await (const { channels, rate } of samplesOf(track, goOn)) {
    meter ??= new SoundMeter(rate);
    meter.add(channels);
  }
  return meter?.result() ?? null;
}

/** Sound that lies beside a clip as uncompressed WAV. `null`: the file is none. */
export async function soundBeside(
  file: Blob,
): Promise<{ audio: NonNullable<Container['audio']>; sound: Sound | null } | null> {
  const input = new Input({ formats: ALL_FORMATS, source: new BlobSource(file) });
  try {
    const track = await input.getPrimaryAudioTrack();
    if (!track) return null;
    const [codec, channels, sampleRate, durationSeconds] = await Promise.all([
      track.getCodec(),
      track.getNumberOfChannels(),
      track.getSampleRate(),
      track.computeDuration(),
    ]);
    if (!codec?.startsWith('pcm')) return null;
    return { audio: { codec, channels, sampleRate, durationSeconds }, sound: await soundIn(track) };
  } catch {
    return null;
  } finally {
    input.dispose();
  }
}
