import { str as crc32 } from 'crc-32';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CODECS, COLOURS, RECORDINGS, STABILIZATIONS } from '@/core/vocabulary/modes';
import { readSetup, storable, writeSetup } from './setupCode';
import type { Setup } from './setupCode';
import { sampling } from '../../../testing/samples';

const setup: Setup = {
  name: 'Helmet 25',
  cameraId: 'otter',
  settings: {
    recording: 'video',
    frameRate: 25,
    shutterSeconds: 0.005,
    shutterMode: 'fixed',
    iso: { min: 100, max: 800 },
    resolution: { width: 3840, height: 2160 },
    view: { id: 'wide', horizontalDeg: 110 },
    bitRateMbps: 60,
    codec: 'hevc',
    bitDepth: 10,
    stabilization: 'strong',
    whiteBalance: 5500,
    colour: 'log',
    exposureOffsetStops: -0.3,
    sharpening: 'low',
    noiseReduction: 'low',
  },
  intervalSeconds: null,
  clock: null,
  startAfterSeconds: null,
};

/** The code with some pairs told otherwise, signed anew. */
function told(change: (pairs: string[]) => string[]): string {
  const line = writeSetup(setup);
  const pairs = line.slice(0, line.lastIndexOf(';crc=')).split(';');
  const body = change(pairs).join(';');
  return `${body};crc=${(crc32(body) >>> 0).toString(16).toUpperCase().padStart(8, '0')}`;
}
const withKey = (key: string, value: string): string =>
  told((pairs) => pairs.map((pair) => (pair.startsWith(`${key}=`) ? `${key}=${value}` : pair)));

describe('a code of a set-up', () => {
  const anySetup: fc.Arbitrary<Setup> = fc
    .record({
      name: fc.string({ minLength: 1, maxLength: 20 }),
      cameraId: fc.stringMatching(/^[A-Za-z0-9 ;=%&-]{1,40}$/).filter((id) => id.trim() !== ''),
      recording: fc.constantFrom(...RECORDINGS),
      frameRate: fc.constantFrom(24, 25, 29.97, 50, 59.94, 240),
      over: fc.constantFrom(300, 500, 1000, 8000),
      auto: fc.boolean(),
      iso: fc.tuple(fc.constantFrom(100, 200), fc.constantFrom(400, 6400)),
      stabilization: fc.constantFrom(...STABILIZATIONS),
      codec: fc.constantFrom(...CODECS),
      bitDepth: fc.constantFrom(8 as const, 10 as const),
      colour: fc.constantFrom(...COLOURS),
      whiteBalance: fc.constantFrom('auto' as const, 5500, 3200),
      exposureOffsetStops: fc.constantFrom(-1, -0.3, 0, 0.7),
      intervalSeconds: fc.option(fc.constantFrom(0.5, 2, 60), { nil: null }),
      clock: fc.option(fc.constantFrom('2026-10-03T10:10:00+02:00', '2026-10-03T08:10:00Z'), { nil: null }),
      startAfterSeconds: fc.option(fc.constantFrom(0, 10, 86_400), { nil: null }),
    })
    .map(
      ({
        name,
        cameraId,
        over,
        auto,
        iso: [min, max],
        intervalSeconds,
        clock,
        startAfterSeconds,
        ...more
      }) => ({
        name,
        cameraId,
        intervalSeconds,
        clock,
        startAfterSeconds,
        settings: {
          ...setup.settings,
          ...more,
          iso: { min, max },
          shutterSeconds: 1 / over,
          ...(auto ? { shutterMode: 'auto' as const, shutterFloorSeconds: 1 / (over * 4) } : {}),
        },
      }),
    );

  it('comes back as it was written, whatever is in it', () => {
    fc.assert(
      fc.property(anySetup, (one) => {
        const line = writeSetup(one);
        const read = readSetup(line);
        if (!read.ok) throw new Error(JSON.stringify(read.fault));
        expect({ ...read.setup, name: '' }).toEqual({ ...one, name: '' });
        expect(writeSetup(read.setup)).toBe(line);
        expect(line).toMatch(/^[\x21-\x7e]+$/);
      }),
      sampling(300, 71),
    );
  });

  it('shortens a name to twelve letters, whole ones, and leaves no line break in it', () => {
    const named = (name: string): string => {
      const read = readSetup(writeSetup({ ...setup, name }));
      return read.ok ? read.setup.name : JSON.stringify(read.fault);
    };
    expect(named('A very long name indeed')).toBe('A very long ');
    expect(named('👩‍🚀'.repeat(12))).not.toContain('\ufffd');
    expect(named('two\nlines')).toBe('twolines');
    expect(named('  \t ')).toBe('Set-up');
  });

  it('bears blanks around it and small letters in its sum', () => {
    const line = writeSetup(setup);
    expect(readSetup(`  ${line}\n`).ok).toBe(true);
    expect(readSetup(line.replace(/[0-9A-F]{8}$/, (sum) => sum.toLowerCase())).ok).toBe(true);
  });

  it('is told from what is foreign, of a later version, damaged or too long', () => {
    expect(readSetup('https://example.org')).toEqual({ ok: false, fault: { code: 'foreign' } });
    expect(readSetup('')).toEqual({ ok: false, fault: { code: 'foreign' } });
    expect(readSetup(told(([, ...pairs]) => ['lynxeye-setup/3', ...pairs]))).toEqual({
      ok: false,
      fault: { code: 'version', version: '3' },
    });
    expect(readSetup(writeSetup(setup).replace('fps=25', 'fps=50'))).toEqual({
      ok: false,
      fault: { code: 'damaged' },
    });
    expect(readSetup('lynxeye-setup/2;n=x')).toEqual({ ok: false, fault: { code: 'damaged' } });
    expect(readSetup(withKey('cam', 'x'.repeat(1000)))).toMatchObject({ fault: { code: 'damaged' } });
  });

  it('names the key that is missing, unknown, twice or wrong', () => {
    expect(readSetup(told((pairs) => pairs.filter((pair) => !pair.startsWith('iso='))))).toEqual({
      ok: false,
      fault: { code: 'missing', key: 'iso' },
    });
    expect(readSetup(told((pairs) => [...pairs, 'zoom=2']))).toEqual({
      ok: false,
      fault: { code: 'unknown', key: 'zoom' },
    });
    expect(readSetup(told((pairs) => [...pairs, 'fps=25']))).toMatchObject({ fault: { code: 'damaged' } });
    const wrong: [string, string][] = [
      ['fps', '0'],
      ['fps', '2e1'],
      ['fps', '025'],
      ['iso', '0100-800'],
      ['res', '03840x2160'],
      ['res', '3840*2160'],
      ['res', '8x8'],
      ['view', 'wide'],
      ['view', 'wide@999'],
      ['stab', 'magic'],
      ['sh', 'fixed:0.5'],
      ['sh', 'auto:0.001:0.01'],
      ['sh', 'auto:0.01'],
      ['iso', '800-100'],
      ['wb', '500'],
      ['wb', 'warm'],
      ['ev', '9'],
      ['rate', '0'],
      ['codec', 'prores'],
      ['bits', '12'],
      ['sharp', 'extreme'],
      ['col', '%E0%A4%A'],
    ];
    for (const [key, value] of wrong)
      expect(readSetup(withKey(key, value)), `${key}=${value}`).toMatchObject({
        ok: false,
        fault: { code: 'value', key },
      });
  });

  it('keeps its interval, its clock and its wait within a day', () => {
    const more = (pair: string): unknown => readSetup(told((pairs) => [...pairs, pair]));
    for (const [pair, key] of [
      ['every=0.01', 'every'],
      ['every=86401', 'every'],
      ['go=-1', 'go'],
      ['go=86401', 'go'],
      ['at=2026-13-03T10:10:00Z', 'at'],
      ['at=tomorrow', 'at'],
    ] as const)
      expect(more(pair), pair).toMatchObject({ ok: false, fault: { code: 'value', key } });
    expect(more('go=86400')).toMatchObject({ ok: true, setup: { startAfterSeconds: 86_400 } });
  });

  it('of a time-lapse may hold its shutter open for longer than a frame of the film', () => {
    const slow = told((pairs) => [
      ...pairs.map((pair) => (pair.startsWith('sh=') ? 'sh=fixed:0.5' : pair)),
      'every=2',
    ]);
    expect(readSetup(slow)).toMatchObject({ ok: true, setup: { settings: { shutterSeconds: 0.5 } } });
  });

  it('of version 1 is read with its word for the hold', () => {
    const old = (word: string): unknown =>
      readSetup(
        told(([, ...pairs]) => [
          'lynxeye-setup/1',
          ...pairs.map((pair) => (pair.startsWith('stab=') ? `stab=${word}` : pair)),
        ]),
      );
    expect(old('boost')).toMatchObject({ ok: true, setup: { settings: { stabilization: 'strong' } } });
    expect(old('strong')).toMatchObject({
      ok: false,
      fault: { code: 'value', key: 'stab', value: 'strong' },
    });
    expect(readSetup(withKey('stab', 'boost'))).toMatchObject({ ok: false });
  });

  it('holds no filter, which no camera can put on', () => {
    const full = { ...setup.settings, filter: { ids: ['nd8'], stops: 3 }, shutterAngleDeg: 45 };
    expect(storable(full)).toEqual(setup.settings);
  });

  it('never throws, whatever is read', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 80 }), fc.string({ maxLength: 12 }), (text, value) => {
        expect(typeof readSetup(text).ok).toBe('boolean');
        expect(typeof readSetup(`lynxeye-setup/2;${text}`).ok).toBe('boolean');
        expect(typeof readSetup(withKey('view', encodeURIComponent(value))).ok).toBe('boolean');
      }),
      sampling(300, 72),
    );
  });
});
