import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { usualShakeDegPerSRms } from '../motion/shake';
import type { MeasuredRecord } from '../records/measured';
import { figureAt } from '../records/figures';
import { learn } from './learn';
import { measuredShakeEvidence } from './measuredShake';

const AT = '2026-10-03T10:00:00Z';
const measured = (degPerSRms: number, id: string, change: Partial<MeasuredRecord> = {}): MeasuredRecord => ({
  kind: 'lynxeye/measured',
  version: 3,
  id,
  createdAt: AT,
  updatedAt: AT,
  demo: false,
  of: { shotId: 'demo-02' },
  mount: { kind: 'pole' },
  ground: 'rough',
  activity: 'riding',
  by: 'phone',
  figure: { is: 'shake', degPerSRms, strongestHz: 2, seconds: 40, perSecond: 60 },
  ...change,
});
const utc = () => (date: string, time: string) => Date.parse(`${date}T${time}:00Z`);

describe('a shake measured on the spot', () => {
  it('draws the shake of its kind of mount towards what was measured, the more the oftener', () => {
    const usual = usualShakeDegPerSRms('pole', 'rough', 'riding');
    const factorAfter = (times: number): number => {
      const kept = {
        ...makeDemo(),
        measured: Array.from({ length: times }, (_, at) => measured(1.6 * usual, `m${at}`)),
      };
      const found = learn(kept, utc).find(({ figure }) => figure.of === 'shake' && figure.mount === 'pole');
      return found ? figureAt(found, found.off) / usual : 1;
    };
    const [none, one, four] = [0, 1, 4].map(factorAfter) as [number, number, number];
    // The demo's own clips say a little of it.
    expect(Math.abs(none - 1)).toBeLessThan(0.1);
    expect(one).toBeGreaterThan(1.2 * none);
    expect(four).toBeGreaterThan(one);
    expect(four).toBeLessThan(1.6);
  });

  it('says nothing where it is a level, none at all, of nobody knows what use, or of a mount that does not shake', () => {
    const level = { is: 'level', tiltDeg: 2, pitchDeg: 5, unsteadyDeg: 0.2 } as const;
    expect(measuredShakeEvidence(measured(1, 'm', { figure: level }))).toEqual([]);
    expect(measuredShakeEvidence(measured(0, 'm'))).toEqual([]);
    expect(measuredShakeEvidence(measured(30, 'm', { ground: undefined }))).toEqual([]);
    expect(measuredShakeEvidence(measured(3, 'm', { mount: { kind: 'tripod' }, activity: 'still' }))).toEqual(
      usualShakeDegPerSRms('tripod', 'rough', 'still') > 0 ? expect.anything() : [],
    );
  });
});
