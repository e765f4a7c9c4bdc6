import fc from 'fast-check';
import { linearOf } from '@/core/inspect/exposure';
import { FrameMeter } from '@/core/inspect/frameMeter';
import { picturesOf } from '@/core/inspect/pictures';
import { medianOf } from '@/core/inspect/series';
import type { Pictures } from '@/core/records/clipReport';
import { coded, madeFrames, PLAIN_CLIP } from './madeClip';
import type { MadeClip } from './madeClip';
import { sampling } from '../testing/samples';

/** What is measured of a made clip. */
export interface RenderedClip {
  pictures: Pictures;
  /** Stops from grey of what was drawn, before it was coded. */
  middleStops: number;
}

export function seen(over: Partial<MadeClip>): RenderedClip {
  const clip = { ...PLAIN_CLIP, ...over };
  const meter = new FrameMeter();
  const middles: number[] = [];
  const frames = [...madeFrames(clip)].map((frame) => {
    // A part of the pixels, in no row or column: the mean is that of all to a hundredth of a stop.
    const some = frame.luma.filter((_, at) => at % 7 === 0);
    const light = some.reduce((sum, luma) => sum + linearOf(Math.min(1.05, luma)), 0);
    middles.push(Math.log2(light / some.length / 0.18));
    return meter.measure(coded(clip, frame), frame.atSeconds);
  });
  const pictures = picturesOf([frames], meter.planeWidth);
  if (!pictures) throw new Error('no pictures');
  return { pictures, middleStops: medianOf(middles) };
}

export const between = (min: number, max: number): fc.Arbitrary<number> =>
  fc.double({ min, max, noNaN: true });
export const seed = fc.integer({ min: 1, max: 40 });
/** The same clips in every run, and none drawn again for a smaller one that fails too: they take too long for either. */
export const few = (numRuns: number): object => ({ ...sampling(numRuns, 14), endOnFailure: true });
/** As small and short as each measure bears, so that many can be drawn. */
export const SMALL = { width: 160, height: 90, seconds: 2 };
