import { describe, expect, it } from 'vitest';
import { evOfReading } from '@/core/light/readings';
import { heicWith, jpegWith, jpegWithout } from '../../../e2e/photos/makePhoto';
import { readPhoto } from './readPhoto';

const FULL = { fNumber: [28, 10], exposureTime: [1, 500], iso: 100 } as const;
const shown = { fNumber: [...FULL.fNumber], exposureTime: [...FULL.exposureTime], iso: FULL.iso } as {
  fNumber: [number, number];
  exposureTime: [number, number];
  iso: number;
};

describe('a photograph', () => {
  it('gives its exposure, place and clock, from JPEG and from HEIC, to 0.05 EV', () => {
    for (const [kind, bytes] of [
      ['jpeg', jpegWith(shown)],
      ['heic', heicWith(shown)],
    ] as const) {
      const read = readPhoto(bytes);
      if (!read.ok) expect.fail(`${kind}: ${read.fault}`);
      expect(read.facts).toMatchObject({
        fNumber: 2.8,
        shutterSeconds: 0.002,
        iso: 100,
        takenAt: '2026-10-03T12:40:00',
        takenOffset: null,
        model: 'Otter',
      });
      expect(read.facts.offsetStops).toBeCloseTo(-1 / 3, 6);
      expect(read.facts.place?.lat).toBeCloseTo(46.62, 4);
      expect(read.facts.place?.lon).toBeCloseTo(-12.3, 4);
      const ev = evOfReading({ ...read.facts, filterStops: 3, offStops: 0 });
      expect(Math.abs(ev - 14.9366), kind).toBeLessThan(0.05);
    }
  });

  it('without exposure says so, with half of it what is missing', () => {
    expect(readPhoto(jpegWithout())).toEqual({ ok: false, fault: 'noExif', missing: [] });
    expect(readPhoto(jpegWith({ iso: 200, exposureTime: [1, 60] }))).toEqual({
      ok: false,
      fault: 'incomplete',
      missing: ['f-number'],
    });
  });

  it('broken says so, cut anywhere or not a picture at all, and never throws', () => {
    expect(readPhoto(new TextEncoder().encode('not a picture').buffer)).toMatchObject({
      ok: false,
      fault: 'broken',
    });
    expect(readPhoto(new ArrayBuffer(0))).toMatchObject({ ok: false, fault: 'broken' });
    const whole = jpegWith(shown);
    for (let cut = 2; cut < 300; cut += 7) {
      const read = readPhoto(whole.slice(0, cut));
      if (!read.ok) expect(['broken', 'noExif', 'incomplete']).toContain(read.fault);
    }
  });
});
