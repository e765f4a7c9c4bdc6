import { modesOf } from '../camera/modeTable';
import type { Pins } from '../records/settings';
import type { PartAnswer } from '../day/partAnswer';
import type { Recorded } from '../day/stretches';
import { left, pinned } from './bench';
import type { Bench } from './bench';
import type { Cure } from './cure';

/** Fewer bits: of the codec at hand, and of the leaner one. */
export function byRate(bench: Bench): Cure[] {
  const { camera, out, recorded } = bench;
  if (out.what !== 'card') return [];
  const rates = descending(
    modesOf(camera).flatMap(({ encodings }) => encodings.map(({ bitRateMbps }) => bitRateMbps)),
  );
  const fewer = firstThatLasts(bench, rates, ({ answer: { settings } }, mbps) =>
    settings.bitRateMbps > mbps ? { ...kept(settings), codec: settings.codec, bitRateMbps: mbps } : null,
  );
  const avc = recorded.some(({ answer }) => answer.settings.codec === 'avc');
  const leaner = firstThatLasts(bench, avc ? rates : [], ({ answer: { settings } }, mbps) =>
    settings.codec === 'avc' && settings.bitRateMbps >= mbps
      ? { ...kept(settings), codec: 'hevc', bitRateMbps: mbps }
      : null,
  );
  return [
    ...fewer.map(({ chosen: mbps, ...its }): Cure => ({ ...its, how: 'bitRate', mbps })),
    ...leaner.map(({ chosen: mbps, ...its }): Cure => ({ ...its, how: 'codec', mbps })),
  ];
}

/** The frame stays as it is when only the bits change. */
function kept({ frameRate, resolution, stabilization, colour }: PartAnswer['settings']): Pins {
  return { frameRate, resolution, stabilization, colour };
}

/** Fewer frames, or smaller ones: less to write, less power, less heat. */
export function byMode(bench: Bench): Cure[] {
  const modes = modesOf(bench.camera).filter(({ recording }) => recording === 'video');
  const rates = descending(modes.map(({ frameRate }) => frameRate));
  const fewer = firstThatLasts(bench, rates, ({ part, answer: { settings } }, fps) =>
    settings.frameRate > fps && fps >= part.brief.playback.timelineFps - 1
      ? { frameRate: fps, resolution: settings.resolution }
      : null,
  );
  const sizes = [...new Map(modes.map(({ resolution }) => [pixels(resolution), resolution])).values()].sort(
    (a, b) => pixels(b) - pixels(a),
  );
  const smaller = firstThatLasts(bench, sizes, ({ part, answer: { settings } }, { width, height }) =>
    pixels(settings.resolution) > pixels({ width, height }) && width >= part.brief.playback.deliver.width
      ? { frameRate: settings.frameRate, resolution: { width, height } }
      : null,
  );
  return [
    ...fewer.map(({ chosen: fps, ...its }): Cure => ({ ...its, how: 'frameRate', fps })),
    ...smaller.map(({ chosen, ...its }): Cure => ({ ...its, how: 'resolution', ...chosen })),
  ];
}

function pixels({ width, height }: { width: number; height: number }): number {
  return width * height;
}

function descending(values: readonly number[]): number[] {
  return [...new Set(values)].sort((a, b) => b - a);
}

type Lasting<T> = Pick<Cure, 'cameraId' | 'what' | 'leaves' | 'addedLoss' | 'changes'> & {
  chosen: T;
};

/** The first of these that changes something and cures what runs out; they come with the gentlest first. */
function firstThatLasts<T>(
  bench: Bench,
  among: readonly T[],
  pinsFor: (one: Recorded, tried: T) => Pins | null,
): [] | [Lasting<T>] {
  const { camera, out, gear } = bench;
  for (const chosen of among) {
    const { recorded, pins, addedLoss } = pinned(bench, (one) => pinsFor(one, chosen));
    const leaves = pins.length === 0 ? null : left(bench, recorded, gear);
    if (leaves)
      return [
        {
          cameraId: camera.id,
          what: out.what,
          chosen,
          leaves,
          addedLoss,
          changes: [{ what: 'pins', pins }],
        },
      ];
  }
  return [];
}
