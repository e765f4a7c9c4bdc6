import { describe, expect, it } from 'vitest';
import type { Filter } from './kit';
import { filterSettings, stackOf } from './kit';

const kit: Filter[] = [
  { id: 'nd8', kind: 'nd', stops: 3 },
  { id: 'cpl', kind: 'polarizer', stops: 1.5 },
  { id: 'vario', kind: 'variable', stopsMin: 2, stopsMax: 3.2 },
];

describe('the filter kit', () => {
  it('gives none, each filter, and a variable one at each half stop and both ends, lightest first', () => {
    expect(filterSettings(kit).map(({ ids, stops }) => [...ids, stops])).toEqual([
      [0],
      ['cpl', 1.5],
      ['vario', 2],
      ['vario', 2.5],
      ['nd8', 3],
      ['vario', 3],
      ['vario', 3.2],
    ]);
  });

  it('stacks only what may be stacked, and goes by what was measured', () => {
    const stacking: Filter[] = [
      { id: 'nd8', kind: 'nd', stops: 3, measuredStops: 3.3 },
      { id: 'cpl', kind: 'polarizer', stops: 1.5, stacksOn: ['nd8', 'gone'] },
    ];
    expect(filterSettings(stacking)).toEqual([
      { ids: [], stops: 0, cast: 0, glare: 0 },
      { ids: ['cpl'], stops: 1.5, cast: 0.1, glare: 0 },
      { ids: ['nd8'], stops: 3.3, cast: 0, glare: 0 },
      { ids: ['nd8', 'cpl'], stops: 4.8, cast: expect.closeTo(0.3, 9) as number, glare: 0 },
    ]);
  });

  it('adds up a stack made by hand, and says no to what it cannot give', () => {
    expect(stackOf(kit, ['nd8', 'cpl'], undefined)).toEqual([
      { ids: ['nd8', 'cpl'], stops: 4.5, cast: expect.closeTo(0.3, 9) as number, glare: 0 },
    ]);
    expect(stackOf(kit, ['vario'], 2.7)).toMatchObject([{ stops: 2.7 }]);
    expect(stackOf(kit, ['vario'], 4)).toBeNull();
    expect(stackOf(kit, ['nd8'], 4)).toBeNull();
    expect(stackOf(kit, ['lost'], undefined)).toBeNull();
    expect(stackOf(kit, [], undefined)).toEqual([{ ids: [], stops: 0, cast: 0, glare: 0 }]);
  });
});
