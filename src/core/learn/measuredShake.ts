import { usualShakeDegPerSRms } from '../motion/shake';
import type { MeasuredRecord } from '../records/measured';
import type { Evidence } from './evidence';
import { ERRORS } from './figures';

/** What a shake recorded on the spot says of the shake of its mount, where it is told how it was used. log2 of deg/s. */
export function measuredShakeEvidence({
  id,
  createdAt,
  mount,
  ground,
  activity,
  travelMps,
  figure,
}: MeasuredRecord): Evidence[] {
  if (figure.is !== 'shake' || figure.degPerSRms <= 0 || !ground || !activity) return [];
  const { kind, place } = mount;
  const usual = usualShakeDegPerSRms(kind, ground, activity, { place, travelMps });
  if (usual <= 0) return [];
  return [
    {
      id,
      of: [{ figure: { of: 'shake', mount: kind, activity, ground }, usual, times: 1 }],
      says: 'is',
      at: Math.log2(figure.degPerSRms / usual),
      error: ERRORS.sensor.value,
      day: { date: createdAt.slice(0, 10), kind: 'shake' },
    },
  ];
}
