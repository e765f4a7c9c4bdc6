import { stopped, unstopped } from '../changes/stop';
import { airAtC, pausePlan } from '../day/heat';
import { recordingLoad } from '../day/recording';
import { left } from './bench';
import type { Bench } from './bench';
import type { Cure } from './cure';

/** A stop to cool, minutes (start). */
const COOL_MINUTES = [3, 5, 8, 12, 20];

/** Stops to cool, the shortest that work. */
export function heatCures(bench: Bench): Cure[] {
  const { camera, recorded, out, day } = bench;
  const one = recorded.find(({ part }) => part.id === out.partId);
  if (!one) return [];
  const { part, answer } = one;
  const load = recordingLoad(part, answer);
  const airC = airAtC(day.air, (part.fromMs - day.fromMs) / 3_600_000);
  const recordMinutes = part.brief.limits.recordSeconds / 60;
  for (const minutes of COOL_MINUTES) {
    const stops = pausePlan(camera.heat, { ...load, airC }, recordMinutes, airC + load.sunC, minutes);
    if (!stops || stops.length === 0) continue;
    const cooled = { ...one, part: stopped(unstopped(part), stops) };
    const leaves = left(
      bench,
      recorded.map((other) => (other === one ? cooled : other)),
      bench.gear,
    );
    if (leaves) {
      const { entryId } = part;
      const changes = [{ what: 'stops', entryId, stops } as const];
      return [
        { cameraId: camera.id, what: out.what, addedLoss: 0, leaves, changes, how: 'stops', entryId, stops },
      ];
    }
  }
  return [];
}
