import { PLAIN } from '../../../bench/plainTake';
import { SCENERIES } from '../vocabulary/activities';
import { describe, expect, it } from 'vitest';
import { pctWidthPerDegree, PROJECTIONS } from '../optics/projection';
import type { Lens } from '../optics/projection';
import { decoded } from './develop';
import type { Picture } from './develop';
import { Renderer } from './render';
import { greyScene, sceneOf, testScene } from './scene';
import { evAt, meter, reelOf } from './take';
import type { Scene } from './scene';
import type { PreviewTake } from './take';

const MIDDLE = { number: 25, atSeconds: 1 };

const row = ({ width, height, rgba }: Picture, at = Math.floor(height / 2)): number[] =>
  Array.from({ length: width }, (_, column) => decoded(rgba[4 * (at * width + column)]!));
/** Mean of a block of rows in the middle: noise out, bar in. */
const profile = (picture: Picture): number[] => {
  const rows = Array.from({ length: 24 }, (_, at) => row(picture, Math.floor(picture.height / 2) - 12 + at));
  return rows[0]!.map((_, column) => rows.reduce((sum, one) => sum + one[column]!, 0) / rows.length);
};
/**
 * Width of the ramp at an edge: an even blur of that width has the twelfth of its square as variance, and so has a
 * pixel. Neighbours are taken together, since their rays are cast at instants in between one another's.
 */
function rampPx(single: readonly number[], near: number): number {
  const values = single.map((value, at) => (value + single[at + 1]!) / 2);
  const steps = values.slice(near - 60, near + 60).map((value, at) => value - values[near - 61 + at]!);
  const all = steps.reduce((sum, step) => sum + step, 0);
  const middle = steps.reduce((sum, step, at) => sum + at * step, 0) / all;
  const variance = steps.reduce((sum, step, at) => sum + (at - middle) ** 2 * step, 0) / all;
  return Math.sqrt(12 * variance - 1 - 3);
}

/** The board moved so that its bright bar begins on the lens's axis. */
const onAxis = (scene: Scene): Scene => ({
  ...scene,
  surfaces: scene.surfaces.map((surface) => ({ ...surface, acrossFrom: -0.25 * surface.tileM[0] })),
});

describe('pixels against the figures of the core', () => {
  it.each(PROJECTIONS)('blur of a turn is as long as the core says, within a tenth, %s', (projection) => {
    const lens: Lens = { horizontalDeg: 90, projection };
    for (const [turnDegPerS, shutter] of [
      [60, 1 / 25],
      [120, 1 / 50],
      [60, 1 / 60],
    ] as const) {
      const take: PreviewTake = {
        ...PLAIN,
        lens,
        movement: { ...PLAIN.movement, turnDegPerS },
        exposure: {
          ...PLAIN.exposure,
          longestLog: Math.log2(shutter),
          filterStops: Math.log2(100 * shutter),
        },
      };
      const picture = new Renderer(take, onAxis(testScene(2, 4, 0.4)), 640).picture(MIDDLE);
      const wantedPx = (turnDegPerS * shutter * pctWidthPerDegree(90, projection) * 640) / 100;
      const values = profile(picture);
      const edge = values.findIndex((value, at) => at > 200 && value > 0.2 && values[at - 1]! <= 0.2);
      const measured = rampPx(values, edge);
      expect(Math.abs(measured / wantedPx - 1), `${measured} px against ${wantedPx} px`).toBeLessThan(0.1);
    }
  });

  it('a subject’s blur is as long as the core says', () => {
    const shutter = 1 / 25;
    const take: PreviewTake = {
      ...PLAIN,
      subject: { speedMps: 3, distanceM: 4, sizeM: 1.8, sideM: 0 },
      heightM: 1,
      exposure: { ...PLAIN.exposure, longestLog: Math.log2(shutter), filterStops: 2 },
    };
    const still: PreviewTake = { ...take, subject: { ...take.subject!, speedMps: 0 } };
    const width = 640;
    // An even blur of length L adds L²/12 to the variance of whatever stands out from the grey.
    const variance = (one: PreviewTake): number => {
      const out = profile(new Renderer(one, greyScene(), width).picture(MIDDLE)).map((value) => value - 0.18);
      const all = out.reduce((sum, value) => sum + value, 0);
      const middle = out.reduce((sum, value, at) => sum + at * value, 0) / all;
      return out.reduce((sum, value, at) => sum + (at - middle) ** 2 * value, 0) / all;
    };
    const measured = Math.sqrt(12 * (variance(take) - variance(still)));
    const wanted = ((3 / 4) * shutter * (180 / Math.PI) * pctWidthPerDegree(90, 'curved') * width) / 100;
    expect(Math.abs(measured / wanted - 1), `${measured} px against ${wanted} px`).toBeLessThan(0.1);
  });

  it('two filters differ by their stops, within a tenth', () => {
    const mean = (stops: number): number => {
      const take = { ...PLAIN, exposure: { ...PLAIN.exposure, filterStops: stops } };
      const values = row(new Renderer(take, greyScene(), 320).picture(MIDDLE));
      return values.reduce((sum, value) => sum + value, 0) / values.length;
    };
    for (const [a, b] of [
      [0, 1],
      [0, 2],
      [1, 3],
      [0, 3.5],
    ] as const)
      expect(Math.log2(mean(a) / mean(b))).toBeCloseTo(b - a, 1);
    // Proper exposure puts a grey card at 0.18.
    expect(mean(0)).toBeCloseTo(0.18, 2);
  });

  it('noise rises by 3 dB a stop of ISO', () => {
    const spread = (stops: number): number => {
      // The filter takes what the ISO adds, so that only the noise changes.
      const exposure = { ...PLAIN.exposure, noiseStops: 0, isoMinLog: stops, filterStops: stops };
      const { width, height, rgba } = new Renderer({ ...PLAIN, exposure }, greyScene(), 320).picture(MIDDLE);
      let sum = 0;
      let squares = 0;
      for (let pixel = 0; pixel < width * height; pixel++) {
        const value = decoded(rgba[4 * pixel + 1]!);
        sum += value;
        squares += value * value;
      }
      const count = width * height;
      return Math.sqrt(squares / count - (sum / count) ** 2);
    };
    const dB = [1, 2, 3, 4].map((stops) => 20 * Math.log10(spread(stops + 1) / spread(stops)));
    for (const step of dB) expect(Math.abs(step - 3.01), `${step} dB`).toBeLessThan(0.35);
  });

  it.each(PROJECTIONS)('the view is as wide as it says, within a degree, %s', (projection) => {
    for (const horizontalDeg of [60, 90, 110]) {
      const width = 640;
      // A bar whose edges stand 20° to either side, at 1 m: the middle half of a tile.
      const half = Math.tan((20 * Math.PI) / 180);
      const tileM = half / 0.25;
      const scene = testScene(1, tileM, 0.4);
      const shifted = {
        ...scene,
        surfaces: scene.surfaces.map((surface) => ({
          ...surface,
          acrossFrom: -tileM / 2,
          acrossTo: tileM / 2,
        })),
      };
      const take: PreviewTake = { ...PLAIN, lens: { horizontalDeg, projection } };
      const values = profile(new Renderer(take, shifted, width).picture(MIDDLE));
      const lit = values.reduce((sum, value) => sum + value, 0) / 0.4;
      // Turn the measured width back into the view of the whole frame, by the projection's own law.
      const shareOf = (deg: number): number => {
        const law = {
          straight: Math.tan,
          curved: (t: number) => t,
          stretched: (t: number) => t,
          equisolid: (t: number) => 2 * Math.sin(t / 2),
        };
        return law[projection]((20 * Math.PI) / 180) / law[projection]((deg / 2) * (Math.PI / 180));
      };
      let [low, high] = [42, 175];
      for (let step = 0; step < 60; step++) {
        const middle = (low + high) / 2;
        if (shareOf(middle) > lit / width) low = middle;
        else high = middle;
      }
      expect(Math.abs(low - horizontalDeg), `${low}° against ${horizontalDeg}°`).toBeLessThan(1);
    }
  });
});

describe('what steadying does in the picture', () => {
  const shaken: PreviewTake = {
    ...PLAIN,
    shake: { rmsDegPerS: 40, bands: [{ lowHz: 1, highHz: 4, share: 1 }], seed: 5 },
    exposure: { ...PLAIN.exposure, longestLog: Math.log2(1 / 50), filterStops: 1 },
  };
  const board = { ...testScene(2, 1.2, 0.4) };
  const profiles = (take: PreviewTake): number[][] => {
    const renderer = new Renderer(take, board, 320);
    return reelOf(take).captured.map((frame) => profile(renderer.picture(frame)));
  };
  const edges = (take: PreviewTake): number[] =>
    profiles(take).map((values) => {
      const top = Math.max(...values);
      return values.findIndex((value, at) => at > 60 && values[at - 1]! < 0.5 * top && value >= 0.5 * top);
    });
  const sharpness = (take: PreviewTake): number[] =>
    profiles(take).map((values) =>
      Math.max(...values.slice(1).map((value, at) => Math.abs(value - values[at]!))),
    );
  const spread = (values: number[]): number => Math.max(...values) - Math.min(...values);

  it('holds the picture still between frames, and leaves the smear within them, which then pulses', () => {
    const held = { ...shaken, heldDeg: 20, rollHeldDeg: 45 };
    // What holds for a second holds; what pulses takes two to be seen.
    expect(spread(edges({ ...held, filmSeconds: 1 }))).toBeLessThan(4);
    expect(spread(edges({ ...shaken, filmSeconds: 1 }))).toBeGreaterThan(8);
    const short = {
      ...held,
      exposure: { ...held.exposure, longestLog: Math.log2(1 / 1000), filterStops: -3.3219 },
    };
    const long = sharpness(held);
    const crisp = sharpness(short);
    // The long shutter is sharp in some frames and smeared in others; the short one is sharp in all.
    expect(Math.min(...long) / Math.max(...long)).toBeLessThan(0.6);
    expect(Math.min(...crisp) / Math.max(...crisp)).toBeGreaterThan(0.6);
  });

  it('lets through what goes past its margin', () => {
    expect(spread(edges({ ...shaken, heldDeg: 1, rollHeldDeg: 45 }))).toBeGreaterThan(4);
  });
});

describe('a reel', () => {
  it('repeats frames where too few were captured, drops none else, and a third three times is one', () => {
    expect(reelOf({ ...PLAIN, captureFps: 30, slowdown: 2, filmSeconds: 0.4 }).shown).toEqual([
      0, 0, 1, 1, 2, 3, 3, 4, 4, 5,
    ]);
    const smooth = reelOf({ ...PLAIN, captureFps: 50, slowdown: 2, filmSeconds: 1 });
    expect(smooth.captured).toHaveLength(25);
    const real = reelOf({ ...PLAIN, captureFps: 75, slowdown: 1, filmSeconds: 1 });
    expect(real.captured.map(({ number }) => number).slice(0, 4)).toEqual([0, 3, 6, 9]);
    expect(reelOf({ ...PLAIN, filmSeconds: 0.01 }).captured).toHaveLength(1);
  });

  it('meters as the solver does: shutter first, then ISO, and what is left shows', () => {
    const exposure = { ...PLAIN.exposure, noiseStops: 0, isoSpanStops: 2, shutterSpanStops: 3 };
    expect(meter(exposure, 9.61471)).toMatchObject({ isoStopsAboveBase: expect.closeTo(0, 4) as number });
    expect(meter(exposure, 11.61471).shutterSeconds).toBeCloseTo(1 / 400, 6);
    expect(meter(exposure, 13.61471).offStops).toBeCloseTo(1, 4);
    expect(meter(exposure, 8.61471).isoStopsAboveBase).toBeCloseTo(1, 4);
    expect(meter(exposure, 6.61471).offStops).toBeCloseTo(-1, 4);
    const through = { ...PLAIN, light: { ...PLAIN.light, evMin: 8, evMax: 14, moment: 'run' as const } };
    expect([0, 0.5, 1, 2].map((at) => Math.round(evAt(through, at)))).toEqual([8, 11, 14, 8]);
  });
});

describe('every scene', () => {
  it.each(SCENERIES)(
    '%s draws something of middling brightness, with detail, near the figures’ grey',
    (kind) => {
      const take: PreviewTake = { ...PLAIN, movement: { ...PLAIN.movement, travelMps: 4 } };
      const picture = new Renderer(take, sceneOf(kind, 1.5, 1.6), 160).picture(MIDDLE);
      const values = Array.from({ length: picture.height }, (_, at) => row(picture, at)).flat();
      const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
      expect(mean).toBeGreaterThan(0.06);
      expect(mean).toBeLessThan(0.5);
      expect(spreadOf(values)).toBeGreaterThan(0.03);
    },
  );
});

function spreadOf(values: readonly number[]): number {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length);
}
