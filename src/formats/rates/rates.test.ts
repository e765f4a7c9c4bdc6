import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { faultsInWords } from '@/words/faultText';
import { readRates, writeRates } from './rates';
import { sampling } from '../../../testing/samples';

const rate = fc.tuple(
  fc.integer({ min: 1, max: 40 }),
  ...([0, 1, 2] as const).map(() => fc.integer({ min: -900_000, max: 900_000 })),
);

const amiss = (text: string): string[] => {
  const read = readRates(text);
  return read.ok ? [] : faultsInWords(read.faults).map(({ path, text: said }) => `${path}: ${said}`);
};

describe('a sheet of rates', () => {
  it('comes back as it was written', () => {
    fc.assert(
      fc.property(fc.array(rate, { minLength: 1, maxLength: 80 }), (steps) => {
        let at = 0;
        const rates = steps.map(([step, x, y, z], index) => ({
          atSeconds: index === 0 ? 0 : (at += step) / 1000,
          x: x! / 1000,
          y: y! / 1000,
          z: z! / 1000,
        }));
        expect(readRates(writeRates(rates))).toEqual({ ok: true, value: rates });
      }),
      sampling(100, 3),
    );
  });

  it('is read as others write it: other names, milliseconds, radians, decimal commas, a late start', () => {
    const read = readRates(
      'Time (ms);gyro_x (rad/s);gyro_y (rad/s);gyro_z (rad/s);note\n1000;1;0;0,5;a\n1020;-1;0;0;b\n',
    );
    const deg = 180 / Math.PI;
    if (!read.ok) throw new Error();
    expect(read.value[0]).toMatchObject({ atSeconds: 0, x: deg, y: 0 });
    expect(read.value[0]!.z).toBeCloseTo(deg / 2, 9);
    expect(read.value[1]!.atSeconds).toBeCloseTo(0.02, 9);
  });

  it('that cannot be one is refused with the place and the way out', () => {
    expect(amiss('a,b\n1,2\n')).toEqual([expect.stringMatching(/^row 1: .*seconds, x, y, z/)]);
    expect(amiss('seconds,x,y,z\n0,1,2,3\n0.1,1,,3\n')).toEqual([
      expect.stringMatching(/^row 3, y: expected a number/),
    ]);
    expect(amiss('seconds,x,y,z\n0.1,1,2,3\n0.1,1,2,3\n')).toEqual([
      expect.stringMatching(/^row 3, seconds: .*later/),
    ]);
  });
});
