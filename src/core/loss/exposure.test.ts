import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ARCHETYPES } from '../camera/archetypes';
import { briefOf } from '../brief/brief';
import { modesOf } from '../camera/modeTable';
import { ShotSchema } from '../records/shot';
import type { ShotInput } from '../records/shot';
import { expose, isoWindow, shutterSetting } from './exposure';
import type { Exposure, ShutterSetting } from './exposure';
import type { FilterSetting } from '../filters/kit';
import { deliveredFrame, demandsOf, leastViewDeg, mostViewDeg, tiltHeldDeg } from './frame';
import {
  anglePrice,
  darkNailedPrice,
  filterPrice,
  isoMaxPrice,
  isoSpanPrice,
  heldPrice,
  runningPrice,
  stabilizationPrice,
  whiteNailedPrice,
} from './wishes';
import { sampling } from '../../../testing/samples';

const between = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });
const sensor = { fNumberLog: 2 * Math.log2(2.8) };

/** Light that a picture at these settings takes as medium grey, EV100. */
const evOf = (secondsLog: number, iso: number, filterStops: number): number =>
  sensor.fNumberLog - secondsLog - Math.log2(iso / 100) + filterStops;

describe('how a camera exposes', () => {
  const anyCase = fc.record({
    evMin: between(-2, 16),
    span: between(0, 6),
    over: between(30, 4000),
    runs: fc.constantFrom(1, 2, 8, 64),
    isoMin: fc.constantFrom(100, 200, 400),
    isoTimes: fc.constantFrom(1, 2, 8, 64),
    filterStops: between(0, 8),
  });
  const exposed = (one: {
    evMin: number;
    span: number;
    over: number;
    runs: number;
    isoMin: number;
    isoTimes: number;
    filterStops: number;
  }): Exposure =>
    expose(
      sensor,
      { evMin: one.evMin, evMax: one.evMin + one.span },
      shutterSetting(1 / (one.over * one.runs), 1 / one.over),
      one.filterStops,
      isoWindow(one.isoMin, one.isoMin * one.isoTimes),
    );

  it('the window is as wide as shutter and ISO can run, and what falls out of it is lost at its end', () => {
    fc.assert(
      fc.property(anyCase, (one) => {
        const { windowEvMin, windowEvMax, underStops, overStops } = exposed(one);
        expect(windowEvMax - windowEvMin).toBeCloseTo(Math.log2(one.runs * one.isoTimes), 9);
        expect(underStops).toBeCloseTo(Math.max(0, windowEvMin - one.evMin), 9);
        expect(overStops).toBeCloseTo(Math.max(0, one.evMin + one.span - windowEvMax), 9);
      }),
      sampling(200, 91),
    );
  });

  it('light comes out right at both ends as far as the window goes', () => {
    fc.assert(
      fc.property(anyCase, (one) => {
        const { windowEvMin, windowEvMax, brightLog, darkLog, brightIsoStops, darkIsoStops } = exposed(one);
        const held = (ev: number): number => Math.min(windowEvMax, Math.max(windowEvMin, ev));
        const isoAt = (stops: number): number => one.isoMin * 2 ** stops;
        const bright = evOf(brightLog, isoAt(brightIsoStops), one.filterStops);
        const dark = evOf(darkLog, isoAt(darkIsoStops), one.filterStops);
        expect(bright).toBeCloseTo(held(one.evMin + one.span), 6);
        expect(dark).toBeCloseTo(held(one.evMin), 6);
      }),
      sampling(200, 92),
    );
  });

  it('an automatic camera lengthens its shutter first, and raises ISO only when that is at its longest', () => {
    fc.assert(
      fc.property(anyCase, (one) => {
        const { darkLog, darkIsoStops, brightLog, brightIsoStops } = exposed(one);
        const longest = Math.log2(1 / one.over);
        if (darkIsoStops > 1e-9) expect(darkLog).toBeCloseTo(longest, 9);
        if (brightIsoStops > 1e-9) expect(brightLog).toBeCloseTo(longest, 9);
        expect(darkLog).toBeGreaterThanOrEqual(brightLog - 1e-9);
        expect(darkIsoStops).toBeGreaterThanOrEqual(brightIsoStops - 1e-9);
      }),
      sampling(200, 93),
    );
  });

  it('a stop of glass moves the window a stop up, and nothing else', () => {
    fc.assert(
      fc.property(anyCase, (one) => {
        const bare = exposed(one);
        const glass = exposed({ ...one, filterStops: one.filterStops + 1 });
        expect(glass.windowEvMin).toBeCloseTo(bare.windowEvMin + 1, 9);
        expect(glass.windowEvMax).toBeCloseTo(bare.windowEvMax + 1, 9);
      }),
      sampling(100, 94),
    );
  });
});

describe('a shutter that stands where it could run', () => {
  const price = { value: 2, source: '', start: true } as never;
  const wish = { lightKept: { price } };
  const iso = isoWindow(100, 100);
  const none: FilterSetting = { ids: [], stops: 0, cast: 0, glare: 0 };
  const glass = (stops: number): FilterSetting => ({ ids: ['nd'], stops, cast: 0, glare: 0 });
  const stands = (seconds: number): ShutterSetting => shutterSetting(seconds, seconds);
  const runs = shutterSetting(1 / 8000, 1 / 50);
  // f/2.8, 1/50 s and ISO 100 expose EV 8.6.
  const paid = (
    evMin: number,
    evMax: number,
    shutter = stands(1 / 50),
    filter = none,
    canRun = true,
  ): number => {
    const light = { evMin, evMax };
    const exposure = expose(sensor, light, shutter, filter.stops, iso);
    const facts = { sensor: { runs: canRun }, light, shutter, filter, exposure };
    return whiteNailedPrice(wish, facts) + darkNailedPrice(wish, facts);
  };

  it('pays for white that a running one would have kept, and not for the step of a dial', () => {
    expect([8.6, 8.9, 9.2, 12].map((evMax) => paid(8.6, evMax))).toEqual([0, 0, 2, 2]);
    expect(paid(8.6, 12, runs)).toBe(0);
    expect(paid(8.6, 12, stands(1 / 50), none, false)).toBe(0);
  });

  it('pays for dark that its glass or its own shortness takes, not for dark that nothing helps', () => {
    expect(paid(9, 12, stands(1 / 400), glass(2.4))).toBe(2);
    expect(paid(9, 9.5, stands(1 / 200))).toBe(2);
    // Night: at 1/50 s behind nothing that is all there is.
    expect(paid(4, 5)).toBe(0);
    expect(paid(4, 5, stands(1 / 50), glass(2))).toBe(2);
    expect(paid(4, 5, stands(1 / 50), glass(2), false)).toBe(0);
  });

  it('pays as much where a running one stands at its longest all the way, and nothing where it runs at all', () => {
    expect(paid(8.8, 9, runs, glass(2))).toBe(2);
    expect(paid(8.8, 12, runs, glass(2))).toBe(0);
  });
});

describe('what is left of a frame', () => {
  const briefWith = (more: Partial<ShotInput> = {}) =>
    briefOf(ShotSchema.parse({ kind: 'lynxeye/shot', version: 3, ...more })).brief;

  it('is never more than the mode gives, and less once it is steadied in the edit', () => {
    const brief = briefWith({ mount: { kind: 'helmet', ground: 'rough', activity: 'riding' } });
    for (const camera of Object.values(ARCHETYPES))
      for (const mode of modesOf(camera)) {
        const plain = deliveredFrame(brief, mode, false);
        const edited = deliveredFrame(brief, mode, true);
        expect(plain.widthPx, camera.id).toBeLessThanOrEqual(mode.resolution.width);
        expect(plain.horizontalDeg).toBeLessThanOrEqual(mode.view.horizontalDeg + 1e-9);
        expect(edited.widthPx).toBeLessThanOrEqual(plain.widthPx + 1e-9);
        expect(edited.horizontalDeg).toBeLessThanOrEqual(plain.horizontalDeg + 1e-9);
        expect(edited.swingDeg).toBeGreaterThanOrEqual(plain.swingDeg - 1e-9);
        expect(edited.editKeeps).toBeGreaterThan(0);
        expect(edited.editKeeps).toBeLessThanOrEqual(1 + 1e-9);
      }
  });

  it('upright takes its width from the height of a wide frame', () => {
    const upright = briefWith({ playback: { deliver: { width: 1080, height: 1920 } } });
    const wide = modesOf(ARCHETYPES.main).find(
      ({ resolution, view }) => resolution.width === 3840 && resolution.height === 2160 && !view.fromSphere,
    )!;
    expect(deliveredFrame(upright, wide, false).widthPx).toBe(1215);
  });

  it('of a sphere is its share of the whole circle, and held whatever it does', () => {
    const sphere = modesOf(ARCHETYPES.sphere).find(({ view }) => view.fromSphere)!;
    const { widthPx, swingDeg } = deliveredFrame(briefWith(), sphere, true);
    expect(widthPx).toBeLessThanOrEqual((sphere.resolution.width * sphere.view.horizontalDeg) / 360 + 1e-9);
    expect(swingDeg).toBe(90);
    expect(tiltHeldDeg(sphere)).toBe(180);
  });

  it('is demanded wide enough for the nearer of ride and subject', () => {
    const [mode] = modesOf(ARCHETYPES.main);
    const alone = demandsOf(briefWith());
    const near = demandsOf(briefWith({ motion: { subject: { sizeM: 1.8, distanceM: 0.7 } } }));
    expect(alone.subjectShare).toBeNull();
    expect(leastViewDeg(alone, mode!)).toBe(alone.rideViewDeg);
    expect(leastViewDeg(near, mode!)).toBeGreaterThan(alone.rideViewDeg);
    expect(mostViewDeg(near, mode!)).toBeGreaterThanOrEqual(leastViewDeg(near, mode!));
  });
});

describe('what a school’s wishes cost', () => {
  const price = { value: 2, source: '', start: true } as never;
  const fixed = shutterSetting(1 / 50, 1 / 50);
  const running = shutterSetting(1 / 1000, 1 / 50);

  it('nothing where the school wishes for nothing', () => {
    const figures = { shownLog: Math.log2(1 / 25) } as never;
    expect(heldPrice({}, fixed)).toBe(0);
    expect(runningPrice({}, figures, running, { brightLog: -9, darkLog: -5 })).toBe(0);
    expect(anglePrice({}, figures, running)).toBe(0);
    expect(filterPrice({}, { ids: ['nd8'], stops: 3, cast: 0, glare: 0 })).toBe(0);
    expect(isoSpanPrice({}, isoWindow(100, 6400))).toBe(0);
    expect(isoMaxPrice({}, isoWindow(100, 6400))).toBe(0);
    expect(stabilizationPrice({}, { swingDeg: 9 } as never, 'off')).toBe(0);
  });

  it('the price of a shutter that runs where it should stand, and the other way', () => {
    const figures = { shownLog: Math.log2(1 / 25) } as never;
    const wish = { shutterMode: { mode: 'fixed', price } } as const;
    const fromTo = (dark: number, bright: number): number => {
      const at = (stops: number): number => Math.log2(1 / 50) - stops;
      return (
        Math.round(1e6 * runningPrice(wish, figures, running, { brightLog: at(bright), darkLog: at(dark) })) /
        1e6
      );
    };
    expect([0, 2, 4, 6].map((bright) => fromTo(0, bright))).toEqual([0, 1, 2, 2]);
    // From crisp to crisper no look changes any more.
    expect([2, 4, 6].map((bright) => fromTo(2, bright))).toEqual([0, 1, 1]);
    expect(fromTo(4, 6)).toBe(0);
    expect(runningPrice(wish, figures, fixed, { brightLog: -9, darkLog: -5 })).toBe(0);
    expect(heldPrice(wish, fixed)).toBe(0);
    expect(heldPrice({ shutterMode: { mode: 'auto', price } }, fixed)).toBe(2);
    expect(heldPrice({ shutterMode: { mode: 'auto', price } }, running)).toBe(0);
  });

  it('an angle is kept at its ends and lost beside them, and a shutter that runs keeps none', () => {
    const figures = { shownLog: Math.log2(1 / 25) } as never;
    const wish = { angle: { fromDeg: 90, toDeg: 180, price } };
    const at = (degrees: number): number => {
      const seconds = degrees / 360 / 25;
      return anglePrice(wish, figures, shutterSetting(seconds, seconds));
    };
    expect([90, 135, 180].map(at)).toEqual([0, 0, 0]);
    expect([89, 181, 360].map(at)).toEqual([2, 2, 2]);
    expect(anglePrice(wish, figures, running)).toBe(2);
  });

  it('stops of ISO past what is wished, each at its price, none for rounding', () => {
    const span = (max: number): number => isoSpanPrice({ isoSpan: { stops: 2, price } }, isoWindow(100, max));
    expect([100, 400, 800, 1600].map((max) => Math.round(span(max) * 1e6) / 1e6)).toEqual([0, 0, 2, 4]);
    const most = (max: number): number => isoMaxPrice({ isoMax: { iso: 800, price } }, isoWindow(100, max));
    expect([400, 800, 1600].map((max) => Math.round(most(max) * 1e6) / 1e6)).toEqual([0, 0, 2]);
  });

  it('a hold only where there is something to hold, unless none is wished for', () => {
    const held = { stabilization: { among: ['standard' as const], price } };
    expect(stabilizationPrice(held, { swingDeg: 5 } as never, 'off')).toBe(2);
    expect(stabilizationPrice(held, { swingDeg: 0.01 } as never, 'off')).toBe(0);
    expect(stabilizationPrice(held, { swingDeg: 5 } as never, 'standard')).toBe(0);
    const off = { stabilization: { among: ['off' as const], price } };
    expect(stabilizationPrice(off, { swingDeg: 0.01 } as never, 'strong')).toBe(2);
  });
});
