import { ARCHETYPE_IDS } from '../camera/archetypes';
import type { ArchetypeId } from '../camera/archetypes';
import { camerasOf } from '../day/schedule';
import type { DayPart } from '../day/schedule';
import { stopsRange } from '../filters/kit';
import type { Filter } from '../filters/kit';
import { usualShakeDegPerSRms } from '../motion/shake';
import { start } from '../units/estimate';
import { MOUNTS } from '../vocabulary/mounts';
import type { MountKind } from '../vocabulary/mounts';

/** A thing that a person could get. What goes on or into a camera is for one of them. */
export type Getting =
  | { what: 'filter'; cameraId: string; filter: Filter }
  | { what: 'mount'; mount: MountKind }
  /** In the place of the camera that is there. */
  | { what: 'camera'; cameraId: string; archetype: ArchetypeId }
  | { what: 'card' | 'cell' | 'bank'; cameraId: string };

/** One name for a thing wherever it is priced. */
export function gettingId(thing: Getting): string {
  switch (thing.what) {
    case 'filter':
      return `filter/${thing.cameraId}/${thing.filter.id}`;
    case 'mount':
      return `mount/${thing.mount}`;
    case 'camera':
      return `camera/${thing.cameraId}/${thing.archetype}`;
    case 'card':
    case 'cell':
    case 'bank':
      return `${thing.what}/${thing.cameraId}`;
  }
}

/** Neutral filters that are offered, stops: two to two hundred and fifty-six times darker. */
const STOPS = [1, 2, 3, 4, 5, 6, 7, 8];
/** A filter as strong as one at hand, within so many stops, is none more. */
const SAME_STOPS = 0.4;
export const OFFERED_BANK_AH = start(10, 'what a pocket bears; a phone is charged from it as well');

/** What might help some recordings: every strength of filter not at hand, a steadier mount, another camera. */
export function offeredFor(parts: readonly DayPart[]): Getting[] {
  return [...filters(parts), ...mounts(parts), ...cameras(parts)];
}

function filters(parts: readonly DayPart[]): Getting[] {
  return camerasOf(parts).flatMap(({ id: cameraId, views }) => {
    // Nothing goes before both lenses of a sphere.
    if (views.some(({ fromSphere }) => fromSphere)) return [];
    const bags = parts.filter(({ camera }) => camera.id === cameraId).map(({ brief }) => brief.filters);
    return STOPS.filter((stops) => bags.some((bag) => !bag.some((one) => covers(one, stops)))).map(
      (stops): Getting => ({
        what: 'filter',
        cameraId,
        filter: { id: `nd${2 ** stops}`, kind: 'nd', stops },
      }),
    );
  });
}

function covers(filter: Filter, stops: number): boolean {
  if (filter.kind !== 'nd' && filter.kind !== 'variable') return false;
  const { min, max } = stopsRange(filter);
  return stops >= min - SAME_STOPS && stops <= max + SAME_STOPS;
}

function mounts(parts: readonly DayPart[]): Getting[] {
  const used = new Set(parts.map(({ brief }) => brief.mount.kind));
  const steadier = parts.flatMap((part) =>
    MOUNTS[part.brief.mount.kind].others.filter((one) => isSteadier(part, one)),
  );
  return [...new Set(steadier)]
    .filter((mount) => !used.has(mount))
    .map((mount): Getting => ({ what: 'mount', mount }));
}

/** Whether a mount carries the camera of a part more quietly than its own; where what it films from allows it at all. */
export function isSteadier({ brief }: DayPart, mount: MountKind): boolean {
  const { kind, ground, activity } = brief.mount;
  if (!MOUNTS[kind].others.includes(mount)) return false;
  const { shakeDegPerSRms, travelMps } = brief.motion;
  return usualShakeDegPerSRms(mount, ground, activity, { travelMps }) < shakeDegPerSRms;
}

function cameras(parts: readonly DayPart[]): Getting[] {
  return camerasOf(parts).flatMap(({ id: cameraId }) =>
    ARCHETYPE_IDS.filter((archetype) => archetype !== cameraId).map((archetype): Getting => ({
      what: 'camera',
      cameraId,
      archetype,
    })),
  );
}
