import { describe, expect, it } from 'vitest';
import { candelaOf, faceEvWith, faceLight, luxAt, luxOfEv, reachM } from './face';
import { evOfReading, linearOfSrgb, MID_GREY, toneOf } from './readings';

/** An even picture of one grey, 0…255. */
const grey = (value: number, pixels = 64): Uint8ClampedArray =>
  Uint8ClampedArray.from({ length: pixels * 4 }, (_, at) => (at % 4 === 3 ? 255 : value));

describe('readings', () => {
  const camera = { fNumber: 2.8, shutterSeconds: 0.002, iso: 100, filterStops: 3, offStops: 0 };

  it('add the filter that was on and what the picture came out too bright by', () => {
    expect(evOfReading(camera)).toBeCloseTo(11.9366 + 3, 3);
    expect(evOfReading({ ...camera, offStops: -0.5 })).toBeCloseTo(11.9366 + 2.5, 3);
    expect(evOfReading({ lux: 2.5 * 2 ** 9 })).toBeCloseTo(9, 9);
  });

  it('a mid-grey picture is right, one of twice its light a stop over, and the ends are counted', () => {
    const middle = Math.round(255 * (1.055 * MID_GREY ** (1 / 2.4) - 0.055));
    expect(toneOf(grey(middle)).offStops).toBeCloseTo(0, 1);
    const double = Math.round(255 * (1.055 * (2 * MID_GREY) ** (1 / 2.4) - 0.055));
    expect(toneOf(grey(double)).offStops - toneOf(grey(middle)).offStops).toBeCloseTo(1, 1);
    const half = new Uint8ClampedArray([...grey(255, 8), ...grey(0, 8)]);
    expect(toneOf(half)).toMatchObject({ clippedShare: 0.5, blackShare: 0.5 });
    expect(linearOfSrgb(1)).toBe(1);
    expect(linearOfSrgb(0.04045)).toBeCloseTo(0.0031308, 6);
  });
});

describe('a face against the sky', () => {
  const lamp = { lumen: 300, beamDeg: 100 };

  it('needs what lifts it to the wanted gap, and loses what it is short by', () => {
    const told = faceLight(9, 14, 1.5);
    expect(told.gapStops).toBe(5);
    expect(told.neededLux).toBeCloseTo(luxOfEv(12.5), 6);
    expect(told.missingLux).toBeCloseTo(luxOfEv(12.5) - luxOfEv(9), 6);
    expect(told).toMatchObject({ backgroundOverStops: 5, faceUnderStops: 5 });
    expect(faceLight(14, 13)).toMatchObject({ missingLux: 0, backgroundOverStops: 0, faceUnderStops: 0 });
  });

  it('a lamp falls with the square of its distance, and its reach gives back the light it was asked for', () => {
    expect(luxAt(lamp, 2)).toBeCloseTo(luxAt(lamp, 1) / 4, 9);
    expect(luxAt(lamp, reachM(lamp, 250))).toBeCloseTo(250, 6);
    expect(reachM(lamp, 0)).toBe(Infinity);
    // All of the sphere: Φ / 4π.
    expect(candelaOf({ lumen: 4 * Math.PI, beamDeg: 360 })).toBeCloseTo(1, 9);
    const told = faceLight(8, 12);
    const there = faceEvWith(8, lamp, reachM(lamp, told.missingLux));
    expect(12 - there).toBeCloseTo(1.5, 6);
  });
});
