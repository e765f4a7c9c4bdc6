import type { Gear } from '../records/outing';
import type { DaySheet, Resource } from '../day/daySheet';
import type { Cut } from '../day/levels';
import type { Memo } from '../day/partWork';
import { partsOfCamera } from '../day/schedule';
import type { Schedule } from '../day/schedule';
import type { Recorded } from '../day/stretches';
import type { Bench } from './bench';
import { byMode, byRate } from './bySettings';
import { cardCures, powerCures } from './bySpares';
import { heatCures } from './byStops';
import type { Cure } from './cure';

/** The cures of a camera's shortage that work, the gentlest first. */
export function curesOf(
  day: Schedule,
  gear: readonly Gear[],
  sheet: DaySheet,
  out: { cameraId: string; what: Resource } & Cut,
  memo: Memo,
): Cure[] {
  const parts = partsOfCamera(day.parts, out.cameraId);
  const first = parts[0];
  if (!first) return [];
  const recorded = parts.flatMap((part): Recorded[] => {
    const answer = sheet.parts.get(part.id)?.carried;
    return answer ? [{ part, answer }] : [];
  });
  const own = gear.find(({ cameraId }) => cameraId === out.cameraId);
  const bench: Bench = { day, camera: first.camera, recorded, gear: own, out, memo };
  const settings = [...byRate(bench), ...byMode(bench)];
  const things =
    out.what === 'card' ? cardCures(bench) : out.what === 'power' ? powerCures(bench) : heatCures(bench);
  return [...settings, ...things].sort((a, b) => effortOf(a) - effortOf(b));
}

/** Pictures lost, and the trouble of a change, on one scale (start). */
function effortOf(cure: Cure): number {
  const trouble: Record<Cure['how'], number> = {
    codec: 0.05,
    bitRate: 0.1,
    card: 0.2,
    charge: 0.25,
    spareCard: 0.3,
    spareCell: 0.3,
    frameRate: 0.3,
    resolution: 0.4,
    stops: 0.5,
  };
  return trouble[cure.how] + cure.addedLoss + ('stop' in cure && cure.stop ? 0.3 : 0);
}
