import type { Gear } from '../records/outing';
import type { DayRemedy } from './dayRemedy';
import type { DaySheet, Resource } from './daySheet';
import type { Cut } from './levels';
import type { Memo } from './partWork';
import type { Bench } from './remedyBench';
import { partsOfCamera } from './schedule';
import type { Schedule } from './schedule';
import { byMode, byRate } from './settingRemedies';
import { cardRemedies, powerRemedies } from './spareRemedies';
import { heatRemedies } from './stopRemedies';
import type { Recorded } from './stretches';

/** The remedies of a camera's shortage that work, the gentlest first. */
export function dayRemediesOf(
  day: Schedule,
  gear: readonly Gear[],
  sheet: DaySheet,
  out: { cameraId: string; what: Resource } & Cut,
  memo: Memo,
): DayRemedy[] {
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
    out.what === 'card'
      ? cardRemedies(bench)
      : out.what === 'power'
        ? powerRemedies(bench)
        : heatRemedies(bench);
  return [...settings, ...things].sort((a, b) => effortOf(a) - effortOf(b));
}

/** Pictures lost, and the trouble of a change, on one scale (start). */
function effortOf(remedy: DayRemedy): number {
  const trouble: Record<DayRemedy['how'], number> = {
    codec: 0.05,
    bitRate: 0.1,
    card: 0.2,
    charge: 0.25,
    spareCard: 0.3,
    spareCell: 0.3,
    frameRate: 0.3,
    resolution: 0.4,
    pauses: 0.5,
  };
  return trouble[remedy.how] + remedy.addedLoss + ('pause' in remedy && remedy.pause ? 0.3 : 0);
}
