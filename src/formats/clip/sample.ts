import { AudioSample, VideoSample } from 'mediabunny';
import { solve } from '@/core/answer/solve';
import type { Brief } from '@/core/brief/brief';
import { heldBySettings } from '@/core/inspect/planned';
import { happenedTake } from '@/core/preview/happened';
import type { Happened } from '@/core/preview/happened';
import { Renderer } from '@/core/preview/render';
import { sceneOf } from '@/core/preview/scene';
import { soundtrack } from '@/core/preview/soundtrack';
import type { FindingCode } from '@/core/vocabulary/findings';
import type { Settings } from '@/core/records/settings';
import { encodedClip } from './encode';

/** A clip of the made-up outing that ships: drawn and written in the page, so that nothing of it has to be sent along. */
export interface SampleClip {
  name: string;
  outingId: string;
  dayId: string;
  entryId: string;
  part: number;
  /** By the clock of its camera. */
  createdAt: string;
  happened: Happened;
  /** When it begins by the time of the run, and how windy it is at its microphone. */
  heard: { fromSeconds: number; wind: number };
  /** What was put into it, and is to be found. */
  found: readonly FindingCode[];
}

/** Pictures are drawn so wide and written as large as the camera films. */
const DRAWN_WIDTH = 384;
/** All clips of an outing together stay under 4 MB. */
const BITS = 330_000;
const KEY_FRAME_SECONDS = 3;
const SAMPLE_RATE = 48_000;

/** Draws one as it came out and writes it as its camera would have. `null`: nothing fits the shot any more. */
export async function filmedSample(
  { name, createdAt, happened, heard }: SampleClip,
  brief: Brief,
  settings: Settings,
  onProgress: (share: number) => void,
): Promise<File | null> {
  const outcome = solve({ ...brief, pins: heldBySettings(brief, settings) });
  if (!outcome.solved) return null;
  const { space, candidate } = outcome.solution;
  const take = happenedTake(space, candidate, happened);
  const { movement, heightM, scene, captureFps: frameRate } = take;
  const renderer = new Renderer(take, sceneOf(scene, movement.sideDistanceM, heightM), DRAWN_WIDTH);
  const small = new OffscreenCanvas(renderer.width, renderer.height);
  const full = new OffscreenCanvas(settings.resolution.width, settings.resolution.height);
  const [from, to] = [small.getContext('2d'), full.getContext('2d')];
  if (!from || !to) return null;
  const count = Math.round(happened.seconds * frameRate);
  function* pictures(): Generator<VideoSample> {
    for (let number = 0; number < count; number++) {
      const atSeconds = number / frameRate;
      if (number % (happened.everyNth ?? 1) === 0) {
        const { rgba, width, height } = renderer.picture({ number, atSeconds });
        from?.putImageData(new ImageData(rgba, width, height), 0, 0);
        to?.drawImage(small, 0, 0, full.width, full.height);
      }
      onProgress(number / count);
      yield new VideoSample(full, { timestamp: atSeconds, duration: 1 / frameRate });
    }
  }
  const sound = new AudioSample({
    data: soundtrack({
      ...heard,
      seconds: happened.seconds,
      sampleRate: SAMPLE_RATE,
      seed: 1,
      ownSeed: happened.seed,
    }),
    format: 'f32',
    numberOfChannels: 1,
    sampleRate: SAMPLE_RATE,
    timestamp: 0,
  });
  const bytes = await encodedClip(pictures(), sound, {
    codec: 'vp9',
    format: 'mp4',
    bitrate: BITS,
    keyFrameSeconds: KEY_FRAME_SECONDS,
    frameRate,
    createdAt: new Date(createdAt),
  });
  return new File([bytes], name, { type: 'video/mp4' });
}
