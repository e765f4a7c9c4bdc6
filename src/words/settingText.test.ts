import { describe, expect, it } from 'vitest';
import { shutterFraction, tenths, trimmed } from '@/core/units/format';
import { densityText, durationText, filterText, offsetText } from './settingText';

describe('numbers in words', () => {
  it('write shutters as their fraction', () => {
    expect([0.01, 1 / 50, 1 / 59.94, 1 / 2.5, 1, 2.5].map(shutterFraction)).toEqual([
      '1/100',
      '1/50',
      '1/59.9',
      '1/2.5',
      '1',
      '2.5',
    ]);
  });

  it('write filters by factor, stops or density', () => {
    const kit = [
      { id: 'a', kind: 'nd', stops: 4 },
      { id: 'b', kind: 'polarizer', stops: 1.5 },
    ] as const;
    expect(filterText({ ids: [], stops: 0 }, kit)).toBe('none');
    expect(filterText({ ids: ['a'], stops: 4 }, kit)).toBe('ND16');
    expect(filterText({ ids: ['a', 'b'], stops: 5.5 }, kit)).toBe('ND16 + polarizer 5.5');
    // Called by its ring, whatever two readings found; in stops and density what it takes.
    const measured = [{ id: 'm', kind: 'nd' as const, stops: 5, measuredStops: 5.2 }];
    expect(filterText({ ids: ['m'], stops: 5.2 }, measured)).toBe('ND32');
    expect(filterText({ ids: ['m'], stops: 5.2 }, measured, 'stops')).toBe('5.2 stops');
    expect([densityText(4, 'stops'), densityText(4, 'density'), densityText(9.966, 'factor')]).toEqual([
      '4 stops',
      'ND 1.2',
      'ND1000',
    ]);
  });

  it('keep signs, zeros and times readable', () => {
    expect([offsetText(0), offsetText(-0.3), offsetText(0.5)]).toEqual(['0', '−0.3', '+0.5']);
    expect([tenths(-0.01), trimmed(-0.001, 2), trimmed(2.5, 2)]).toEqual(['0.0', '0', '2.5']);
    expect([45, 1200, 16_484].map(durationText)).toEqual(['45 s', '20 min', '4 h 35 min']);
  });
});
