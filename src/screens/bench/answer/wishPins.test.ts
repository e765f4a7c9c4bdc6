import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ARCHETYPES } from '@/core/camera/archetypes';
import { modesOf } from '@/core/camera/modeTable';
import { valuesOf, WISH_KEYS } from '@/core/camera/wishes';
import type { ModeWishes } from '@/core/camera/wishes';
import { mapOf } from '../../ui/modeMap/cells';
import { encodingNames, encodingsFrom } from '../../kit/encodingNames';
import { otherPins, pinsOfWishes, wishesOf } from './wishPins';
import { sampling } from '../../../../testing/samples';

const { main } = ARCHETYPES;
const anyWishes = fc.record(
  Object.fromEntries(WISH_KEYS.map((key) => [key, fc.constantFrom(...valuesOf(main, key))])),
  { requiredKeys: [] },
) as fc.Arbitrary<ModeWishes>;

describe('wishes of the mode map', () => {
  it('become pins and come back, and leave other pins alone', () => {
    fc.assert(
      fc.property(anyWishes, (wishes) => {
        const pins = { ...pinsOfWishes(wishes, main), iso: { min: 100, max: 400 } };
        expect(wishesOf(pins, main)).toEqual(wishes);
        expect(otherPins(pins)).toEqual({ iso: { min: 100, max: 400 } });
      }),
    );
  });

  it('light as many modes as grant them, each in its cell', () => {
    fc.assert(
      fc.property(anyWishes, (wishes) => {
        const { cells, stabilizations, views } = mapOf(main, wishes);
        const flat = cells.flat();
        const there = modesOf(main).filter(
          ({ recording }) => wishes.recording === undefined || recording === wishes.recording,
        );
        for (const { marks, granted, resolutionId, frameRate } of flat) {
          expect(marks).toHaveLength(stabilizations.length);
          expect(marks.every((row) => row.length === views.length)).toBe(true);
          expect(marks.flat().includes('lit')).toBe(granted > 0);
          const here = there.some(
            (mode) => mode.resolution.id === resolutionId && mode.frameRate === frameRate,
          );
          expect(marks.flat().some((mark) => mark !== 'none')).toBe(here);
        }
      }),
      sampling(60),
    );
  });
});

describe('encodings as short names', () => {
  it('are read back as they were, and what cannot be read is refused', () => {
    for (const profile of Object.values(ARCHETYPES))
      for (const { encodings } of profile.rules)
        expect(encodingsFrom(encodingNames(encodings))).toEqual(encodings);
    expect(encodingsFrom(['AVC-45'])).toEqual([{ codec: 'avc', bitDepth: 8, bitRatesMbps: [45] }]);
    for (const name of ['hevc', 'hevc-12-60', '60', 'hevc-10-fast'])
      expect(encodingsFrom([name]), name).toBeNull();
  });
});
