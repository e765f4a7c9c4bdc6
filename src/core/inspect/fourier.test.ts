import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hann, peakBetween, powerAt, powerOfTwoFrom, spectrumOf, transform2d } from './fourier';
import { sampling } from '../../../testing/samples';

const value = fc.double({ min: -5, max: 5, noNaN: true });

/** One line, summed as the definition says. */
function plainPower(series: readonly number[], line: number, size: number): number {
  let [real, imaginary] = [0, 0];
  series.forEach((one, at) => {
    real += one * Math.cos((2 * Math.PI * line * at) / size);
    imaginary -= one * Math.sin((2 * Math.PI * line * at) / size);
  });
  return real ** 2 + imaginary ** 2;
}

describe('a spectrum', () => {
  it('is what the definition sums to, padded with nothing', () => {
    fc.assert(
      fc.property(fc.array(value, { minLength: 2, maxLength: 40 }), (series) => {
        const spectrum = spectrumOf(series, 25);
        const size = powerOfTwoFrom(series.length);
        for (let line = 0; line <= size / 2; line++)
          expect(powerAt(spectrum, line)).toBeCloseTo(plainPower(series, line, size), 6);
        expect(spectrum.perLine).toBeCloseTo(25 / size, 12);
      }),
      sampling(60),
    );
  });

  it('holds all the power of the series', () => {
    fc.assert(
      fc.property(fc.array(value, { minLength: 2, maxLength: 64 }), (series) => {
        const size = powerOfTwoFrom(series.length);
        const spectrum = spectrumOf(series, 1);
        let sum = 0;
        // Every line but the first and the last stands for two.
        for (let line = 0; line <= size / 2; line++)
          sum += powerAt(spectrum, line) * (line === 0 || line === size / 2 ? 1 : 2);
        const power = series.reduce((all, one) => all + one ** 2, 0);
        expect(sum / size).toBeCloseTo(power, 6);
      }),
    );
  });

  it('has a tone on the line of its frequency', () => {
    const tone = Array.from({ length: 128 }, (_, at) => Math.sin((2 * Math.PI * 8 * at) / 64));
    const spectrum = spectrumOf(tone, 64);
    const powers = Array.from({ length: 65 }, (_, line) => powerAt(spectrum, line));
    expect(powers.indexOf(Math.max(...powers)) * spectrum.perLine).toBeCloseTo(8, 9);
  });

  it('takes the next power of two, never less than two', () => {
    expect([0, 1, 2, 3, 4, 5, 1000, 1024].map(powerOfTwoFrom)).toEqual([2, 2, 2, 4, 4, 8, 1024, 1024]);
  });
});

describe('a transform of two dimensions', () => {
  it('comes back as it was', () => {
    fc.assert(
      fc.property(fc.array(value, { minLength: 32, maxLength: 32 }), (values) => {
        const field = new Float64Array(64);
        values.forEach((one, at) => (field[2 * at] = one));
        const before = [...field];
        transform2d(field, 8, 4, 'forward');
        transform2d(field, 8, 4, 'inverse');
        before.forEach((one, at) => expect(field[at]!).toBeCloseTo(one, 9));
      }),
      sampling(60),
    );
  });

  it('has a single wave at its place across and down', () => {
    const [width, height, across, down] = [16, 8, 3, 2];
    const field = new Float64Array(2 * width * height);
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++)
        field[2 * (y * width + x)] = Math.cos(2 * Math.PI * ((across * x) / width + (down * y) / height));
    transform2d(field, width, height, 'forward');
    const strong: string[] = [];
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++)
        if (Math.hypot(field[2 * (y * width + x)]!, field[2 * (y * width + x) + 1]!) > 1)
          strong.push(`${x} ${y}`);
    expect(strong).toEqual([`${across} ${down}`, `${width - across} ${height - down}`]);
  });
});

describe('beside a spectrum', () => {
  it('the window is nothing at its ends, one in its middle and the same both ways', () => {
    const window = hann(64);
    expect(window[0]).toBeLessThan(0.001);
    expect(Math.max(...window)).toBeGreaterThan(0.999);
    window.forEach((one, at) => expect(one).toBeCloseTo(window[63 - at]!, 12));
    expect(window.reduce((sum, one) => sum + one, 0)).toBeCloseTo(32, 9);
  });

  it('the top of a parabola is found between three values, and none where there is no top', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.5, max: 0.5, noNaN: true }),
        fc.double({ min: 0.1, max: 9, noNaN: true }),
        (top, bend) => {
          const at = (x: number): number => 4 - bend * (x - top) ** 2;
          expect(peakBetween(at(-1), at(0), at(1))).toBeCloseTo(top, 9);
        },
      ),
    );
    expect(peakBetween(2, 1, 2)).toBe(0);
    expect(peakBetween(1, 1, 1)).toBe(0);
    expect(peakBetween(9, 1, 0)).toBe(0);
  });
});
