import { describe, expect, it } from 'vitest';
import { evRangeOf } from '@/core/light/lightRange';
import { evOfReading } from '@/core/light/readings';
import { emptyShot } from '@/core/records/emptyShot';
import { readShot } from '@/core/records/shot';
import type { Shot } from '@/core/records/shot';
import {
  adding,
  changing,
  readingOfPhoto,
  readingsOf,
  removing,
  usualLux,
  usualReading,
  widened,
} from './readingEditing';

const scene: Shot['light'] = { kind: 'scene', from: 'openShade', to: 'openSun' };
const start: Shot = { ...emptyShot('x'), light: scene };

describe('readings of a shot', () => {
  it('the first takes the place of a guess at its own light, more widen it, all stay valid', () => {
    const camera = usualReading(scene, 2.8);
    expect(evOfReading(camera)).toBeCloseTo(15, 6);
    const one = adding(camera)(start);
    expect(evRangeOf(one.light!)).toEqual({ evMin: evOfReading(camera), evMax: evOfReading(camera) });
    const two = adding({ lux: 2560, where: 'gate' })(one);
    expect(evRangeOf(two.light!).evMin).toBeCloseTo(10, 6);
    expect(readShot(two)).toMatchObject({ ok: true });
    const wide = widened({ darkerStops: 1, brighterStops: 0.5 })(two);
    expect(evRangeOf(wide.light!)).toEqual({ evMin: 9, evMax: evOfReading(camera) + 0.5 });
    expect(evOfReading(usualLux(scene))).toBeCloseTo(15, 3);
  });

  it('one is changed or taken away; the last leaves its range behind', () => {
    const two = adding({ lux: 2560 })(adding({ lux: 81_920 })(start));
    const changed = changing(1, () => ({ lux: 5120 }))(two);
    expect(evRangeOf(changed.light!).evMin).toBeCloseTo(11, 6);
    const one = removing(0)(changed);
    expect(readingsOf(one.light!)?.readings).toEqual([{ lux: 5120 }]);
    expect(removing(0)(one).light).toEqual({ kind: 'range', evMin: 11, evMax: 11 });
    expect(removing(0)(start)).toBe(start);
    expect(changing(0, (reading) => reading)(start)).toBe(start);
  });

  it('a single reading of the older kind becomes the first of several, its light unchanged', () => {
    const light = {
      kind: 'reading',
      fNumber: 2.8,
      shutterSeconds: 0.002,
      iso: 100,
      filterStops: 3,
      darkerStops: 2,
      brighterStops: 1,
    } as const;
    const told = readingsOf(light)!;
    expect(evRangeOf(told)).toEqual(evRangeOf(light));
  });

  it('a photograph’s reading carries what was on and how it came out', () => {
    const facts = {
      fNumber: 2.8,
      shutterSeconds: 0.002,
      iso: 100,
      offsetStops: 0,
      place: null,
      takenAt: null,
      takenOffset: null,
      model: null,
    };
    const reading = readingOfPhoto(facts, 3, -0.43, 'a'.repeat(100));
    expect(evOfReading(reading)).toBeCloseTo(11.9366 + 3 - 0.4, 3);
    expect(reading.where).toHaveLength(80);
  });
});
