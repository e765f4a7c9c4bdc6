import { ACTIVITIES } from './vocabulary/activities';
import { GROUNDS, MOUNT_KINDS } from './vocabulary/mounts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cardSeconds, cardUse, encodingBitsPerPixel } from './camera/card';
import { windowOf } from './light/exposureValue';
import { evRangeOf, lightRangeOf } from './light/lightRange';
import type { Light } from './records/shot';
import { SCENES } from './vocabulary/scenes';
import { usualShakeDegPerSRms, shakeFloorSeconds, peakShakeSmearPct } from './motion/shake';
import { straightenKeeps, widthInShape } from './optics/crop';
import { PROJECTIONS } from './optics/projection';
import { angularSizeDeg, viewThatFitsDeg } from './optics/framing';
import { pctWidthPerDegree, viewAfterCropDeg } from './optics/projection';
import { cadenceOf, familyOf } from './playback/cadence';
import { EYE_PX_PER_DEGREE, pixelsPerSightDegree } from './playback/screens';
import { THIRD_STOP_SHUTTERS } from './units/stops';

/** What a shot says of its lamps when it says nothing. */
const EUROPE = { lamps: 'byLight', mainsHz: 50, screenHz: 60 } as const;

const between = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });

describe('light', () => {
  it('the window is what the setting exposes at its two ends, moved up by the filter', () => {
    const bare = {
      fNumber: 2.8,
      shortestSeconds: 1 / 100,
      longestSeconds: 1 / 100,
      isoMin: 100,
      isoMax: 800,
      filterStops: 0,
    };
    const window = windowOf(bare);
    expect(window.evMax).toBeCloseTo(9.6147, 4);
    expect(window.evMax - window.evMin).toBeCloseTo(3, 9);
    expect(windowOf({ ...bare, filterStops: 5 }).evMin).toBeCloseTo(window.evMin + 5, 9);
  });

  it('a range is the same whichever way it is told', () => {
    expect(evRangeOf({ kind: 'scene', from: 'openSun', to: 'gorgeFloor' })).toEqual({ evMin: 10, evMax: 15 });
    expect(evRangeOf({ kind: 'scene', from: 'denseWood', to: 'denseWood' })).toEqual({ evMin: 8, evMax: 9 });
    expect(evRangeOf({ kind: 'lux', luxMin: 2.5 * 2 ** 10, luxMax: 2.5 * 2 ** 15 })).toEqual({
      evMin: 10,
      evMax: 15,
    });
    const camera = { fNumber: 4, shutterSeconds: 1 / 1024, iso: 100, filterStops: 1 };
    const more = { darkerStops: 2, brighterStops: 0.5 };
    expect(evRangeOf({ kind: 'reading', ...camera, ...more })).toEqual({ evMin: 13, evMax: 15.5 });
    const readings = [{ ...camera, offStops: 0 }, { ...camera, offStops: -1.5 }, { lux: 2.5 * 2 ** 14 }];
    expect(evRangeOf({ kind: 'readings', readings, ...more })).toEqual({ evMin: 11.5, evMax: 15.5 });
  });

  it('knows where lamps are at work, and what they pulse at', () => {
    const pulse = (light: Light, told = {}): number | null =>
      lightRangeOf(light, { limits: { ...EUROPE, ...told }, mount: { kind: 'helmet' } }).pulseHz;
    for (const [name, { lamps }] of Object.entries(SCENES))
      expect(pulse({ kind: 'scene', from: name as keyof typeof SCENES, to: 'openSun' }), name).toBe(
        lamps ? 100 : null,
      );
    // As dark as a lit room, and lit by the sky, unless lamps are told.
    const dusk: Light = { kind: 'range', evMin: 6, evMax: 7 };
    expect(pulse(dusk)).toBeNull();
    expect(pulse({ ...dusk, lamps: 'sodium' }, { mainsHz: 60 })).toBe(120);
    expect(pulse({ ...dusk, lamps: 'sodium' }, { lamps: 'none' })).toBeNull();
    expect(pulse(dusk, { lamps: 'screen', screenHz: 75 })).toBe(75);
    expect(pulse({ kind: 'range', evMin: 11.2, evMax: 14.7 }, { lamps: 'mains' })).toBe(100);
  });
});

describe('frame-rate families', () => {
  it('hold whole multiples, drop-frame rates included', () => {
    const cases: [number, number | null][] = [
      [25, 25],
      [50, 25],
      [200, 25],
      [29.97, 30],
      [119.88, 30],
      [120, 30],
      [23.976, 24],
      [48, 24],
      [27, null],
    ];
    for (const [fps, family] of cases) expect(familyOf(fps), `${fps} fps`).toBe(family);
  });
});

describe('playback', () => {
  it('tells even from uneven and repeated from dropped', () => {
    expect(cadenceOf(50, 25, 2)).toMatchObject({ seenFps: 25, repeats: false, uneven: false, shownFps: 50 });
    expect(cadenceOf(60, 25, 1)).toMatchObject({ repeats: false, uneven: true, shownFps: 25 });
    expect(cadenceOf(30, 30, 2)).toMatchObject({ seenFps: 15, repeats: true, uneven: false });
    expect(cadenceOf(50, 30, 2)).toMatchObject({ repeats: true, uneven: true });
    expect(cadenceOf(24, 23.976, 1)).toMatchObject({ repeats: false, uneven: false });
    expect(cadenceOf(60, 29.97, 2)).toMatchObject({ repeats: false, uneven: false });
  });
});

describe('screens', () => {
  it('1280 pixels are enough for the eye on a phone in the hand, and not on a television', () => {
    // 15 cm at 35 cm span 24.2°, 1.2 m at 2.5 m span 27.0°.
    expect(pixelsPerSightDegree(1280, 'phone')).toBeCloseTo(1280 / 24.2, 0);
    expect(pixelsPerSightDegree(1280, 'tv')).toBeCloseTo(1280 / 27, 0);
    expect(pixelsPerSightDegree(1920, 'tv')).toBeGreaterThan(EYE_PX_PER_DEGREE);
  });
});

describe('optics', () => {
  it('crops agree with the projection: straight by tangents, curved by angle', () => {
    fc.assert(
      fc.property(between(20, 160), between(0.3, 1), (view, keeps) => {
        const tan = (degrees: number): number => Math.tan((degrees * Math.PI) / 360);
        expect(tan(viewAfterCropDeg(view, keeps, 'straight'))).toBeCloseTo(keeps * tan(view), 9);
        expect(viewAfterCropDeg(view, keeps, 'curved')).toBeCloseTo(keeps * view, 9);
        expect(pctWidthPerDegree(view, 'straight')).toBeLessThanOrEqual(
          pctWidthPerDegree(view, 'curved') * 1.0000001,
        );
      }),
    );
  });

  it('straightening fits inside the turned frame and loses more the more it turns', () => {
    fc.assert(
      fc.property(
        between(0, 40),
        between(0.1, 5),
        fc.constantFrom<[number, number]>([16, 9], [4, 3], [9, 16]),
        (angle, more, [w, h]) => {
          const keeps = straightenKeeps(angle, w, h);
          expect(keeps).toBeLessThanOrEqual(1);
          expect(straightenKeeps(angle + more, w, h)).toBeLessThan(keeps);
          // The corner of the kept rectangle, turned back, lies inside the frame.
          const a = (angle * Math.PI) / 180;
          const [x, y] = [(keeps * w) / 2, (keeps * h) / 2];
          expect(x * Math.cos(a) + y * Math.sin(a)).toBeLessThanOrEqual(w / 2 + 1e-9);
          expect(x * Math.sin(a) + y * Math.cos(a)).toBeLessThanOrEqual(h / 2 + 1e-9);
        },
      ),
    );
  });

  it('upright delivery takes the height of the frame', () => {
    expect(widthInShape({ width: 3840, height: 2160 }, { width: 1080, height: 1920 })).toBe(1215);
    expect(widthInShape({ width: 3840, height: 2880 }, { width: 1920, height: 1080 })).toBe(3840);
  });

  it('a subject asks for a wider view the nearer it is', () => {
    expect(angularSizeDeg(2, 1)).toBeCloseTo(90, 9);
    fc.assert(
      fc.property(
        between(0.1, 3),
        between(0.3, 20),
        between(0.1, 5),
        fc.constantFrom(...PROJECTIONS),
        (size, distance, further, projection) =>
          viewThatFitsDeg(
            { sizeM: size, distanceM: distance + further, sideM: 0 },
            STAYS,
            projection,
            16,
            9,
          ) <= viewThatFitsDeg({ sizeM: size, distanceM: distance, sideM: 0 }, STAYS, projection, 16, 9),
      ),
    );
  });
});

/** A subject that goes nowhere. */
const STAYS = { upM: 0, acrossM: 0 };

describe('shake', () => {
  it('smears exactly the tolerance at the floor', () => {
    fc.assert(
      fc.property(
        between(0.1, 200),
        between(20, 150),
        fc.constantFrom('straight' as const, 'curved' as const),
        (rms, view, projection) => {
          const floor = shakeFloorSeconds(rms, view, projection);
          expect(peakShakeSmearPct(rms, floor, view, projection)).toBeCloseTo(0.35, 9);
        },
      ),
    );
    expect(shakeFloorSeconds(0, 110, 'curved')).toBe(Infinity);
  });

  it('has a rate for every mount, ground and activity, never less on rougher ground', () => {
    for (const mount of MOUNT_KINDS)
      for (const activity of ACTIVITIES) {
        const rates = GROUNDS.map((ground) => usualShakeDegPerSRms(mount, ground, activity));
        expect(
          rates.every((rate) => rate > 0 && rate <= 200),
          mount,
        ).toBe(true);
        expect(
          [...rates].sort((a, b) => a - b),
          `${mount} ${activity}`,
        ).toEqual(rates);
      }
  });
});

describe('card', () => {
  it('lasts as long as its use says, sound and reserve counted', () => {
    fc.assert(
      fc.property(between(5, 300), between(16, 1024), (mbps, gb) => {
        expect(cardUse(mbps, cardSeconds(mbps, gb), gb)).toBeCloseTo(1, 9);
      }),
    );
    expect(cardUse(100, 8, 0.1)).toBeGreaterThan(1);
  });

  it('counts an HEVC bit for more than an AVC one', () => {
    const mode = { resolution: { width: 3840, height: 2160 }, frameRate: 30 };
    const avc = encodingBitsPerPixel(mode, { codec: 'avc', bitRateMbps: 60 });
    expect(avc).toBeCloseTo(60e6 / (3840 * 2160 * 30), 12);
    expect(encodingBitsPerPixel(mode, { codec: 'hevc', bitRateMbps: 60 })).toBeCloseTo(avc / 0.6, 12);
  });
});

describe('the shutter ladder', () => {
  it('runs from short to long in thirds of a stop, near enough for engraved values', () => {
    THIRD_STOP_SHUTTERS.slice(1).forEach((seconds, index) => {
      const stops = Math.log2(seconds / THIRD_STOP_SHUTTERS[index]!);
      expect(stops, `1/${1 / seconds}`).toBeGreaterThan(0.2);
      expect(stops, `1/${1 / seconds}`).toBeLessThan(0.45);
    });
  });
});
