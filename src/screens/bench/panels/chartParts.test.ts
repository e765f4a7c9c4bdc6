import { describe, expect, it } from 'vitest';
import { TERMS } from '@/core/loss/table';
import { lookOf } from './chartParts';

describe('the look of a loss', () => {
  it('is its own: no two share hue and ruling', () => {
    const looks = TERMS.map((term) => JSON.stringify(lookOf(term)));
    expect(new Set(looks).size).toBe(TERMS.length);
  });

  it('differs in hue among those that most often stand side by side', () => {
    const often = ['noise', 'strobing', 'angle', 'steadiness', 'over', 'under', 'smear'] as const;
    expect(new Set(often.map((term) => lookOf(term).hue)).size).toBe(often.length);
  });
});
