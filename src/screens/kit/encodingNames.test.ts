import { describe, expect, it } from 'vitest';
import { ARCHETYPES } from '@/core/camera/archetypes';
import { encodingNames, encodingsFrom } from './encodingNames';

describe('names of encodings', () => {
  it('say codec, bits and rate, each once, and are read back', () => {
    for (const { id, rules } of Object.values(ARCHETYPES))
      for (const { encodings } of rules) {
        const names = encodingNames(encodings);
        expect(new Set(names).size, id).toBe(names.length);
        expect(encodingNames(encodingsFrom(names)!), id).toEqual(names);
      }
  });

  it('may leave the bits out, and stand in capitals or with blanks', () => {
    expect(encodingsFrom(['avc-45'])).toEqual([{ codec: 'avc', bitDepth: 8, bitRatesMbps: [45] }]);
    expect(encodingsFrom([' HEVC-10-62.5 '])).toEqual([
      { codec: 'hevc', bitDepth: 10, bitRatesMbps: [62.5] },
    ]);
  });

  it('of one codec and depth go together', () => {
    expect(encodingsFrom(['hevc-10-60', 'avc-60', 'hevc-10-100'])).toEqual([
      { codec: 'hevc', bitDepth: 10, bitRatesMbps: [60, 100] },
      { codec: 'avc', bitDepth: 8, bitRatesMbps: [60] },
    ]);
  });

  it('that cannot be read take nothing, not even the others', () => {
    for (const wrong of ['', 'avc', 'vp9-60', 'hevc-12-60', 'hevc-10', 'hevc-10-fast'])
      expect(encodingsFrom(['avc-60', wrong]), wrong).toEqual(
        wrong === 'hevc-10'
          ? [
              { codec: 'avc', bitDepth: 8, bitRatesMbps: [60] },
              { codec: 'hevc', bitDepth: 8, bitRatesMbps: [10] },
            ]
          : null,
      );
  });
});
