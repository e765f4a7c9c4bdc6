import { describe, expect, it } from 'vitest';
import { sheetsOf } from './folding';

describe('pocket cards', () => {
  it('have every page once, neighbours in the booklet where the folds bring them together', () => {
    const [sheet, second, ...more] = sheetsOf(13);
    expect(more).toHaveLength(0);
    expect(sheet!.map(({ page }) => page).sort((a, b) => a - b)).toEqual([0, 1, 2, 3, 4, 5, 6, 7]);
    expect(second!.map(({ page }) => page)).toEqual(sheet!.map(({ page }) => page + 8));
    // Front and back share the outer fold at the right of the lower row; heads meet at the middle fold.
    expect(sheet!.slice(6).map(({ page }) => page)).toEqual([7, 0]);
    for (let column = 0; column < 4; column += 1) {
      expect(sheet![column]!.turned).toBe(true);
      expect(sheet![column + 4]!.turned).toBe(false);
    }
    // Pages of one opening lie side by side: 1 with 2, 3 with 4, 5 with 6.
    const place = (page: number): number => sheet!.findIndex((panel) => panel.page === page);
    for (const left of [1, 3, 5]) expect(Math.abs(place(left) - place(left + 1))).toBe(1);
  });
});
