import type { Gear, Outing } from '../records/outing';
import { shotOfPart, withPart } from '../records/secondAngles';
import type { Shot } from '../records/shot';
import type { DayRemedy, PartPins } from './dayRemedy';
import type { DayPart } from './schedule';

/** What taking a remedy changes: the outing's gear or pauses, and pins of shots. */
export interface Taken {
  outing: Outing;
  shots: ReadonlyMap<string, (shot: Shot) => Shot>;
}

export function applyDayRemedy(
  outing: Outing,
  dayId: string,
  parts: readonly DayPart[],
  remedy: DayRemedy,
): Taken {
  let next = outing;
  if ('gear' in remedy) next = withGear(next, remedy.gear);
  if ('pause' in remedy && remedy.pause) {
    const { entryId, afterMinutes, minutes } = remedy.pause;
    next = withPauses(next, dayId, entryId, (old) => [...old, { afterMinutes, minutes }]);
  }
  if (remedy.how === 'pauses') next = withPauses(next, dayId, remedy.entryId, () => [...remedy.pauses]);
  return { outing: next, shots: 'pins' in remedy ? pinning(parts, remedy.pins) : new Map() };
}

/** The changes of shots that hold these pins. */
export function pinning(
  parts: readonly DayPart[],
  pins: readonly PartPins[],
): ReadonlyMap<string, (shot: Shot) => Shot> {
  const wanted = new Map(pins.map((one) => [one.partId, one.pins]));
  return partChanges(
    parts.filter(({ id }) => wanted.has(id)),
    (shot, { id }) => ({ ...shot, pins: { ...shot.pins, ...wanted.get(id) } }),
  );
}

/** The changes of shots that change each of these parts so; parts of one shot change it together. */
export function partChanges<P extends DayPart>(
  parts: readonly P[],
  change: (own: Shot, part: P) => Shot,
): ReadonlyMap<string, (shot: Shot) => Shot> {
  const changes = new Map<string, (shot: Shot) => Shot>();
  for (const part of parts) {
    const before = changes.get(part.shotId);
    const own = (shot: Shot): Shot => withPart(shot, part.part, change(shotOfPart(shot, part.part), part));
    changes.set(part.shotId, before ? (shot) => own(before(shot)) : own);
  }
  return changes;
}

export function withGear(outing: Outing, gear: Gear): Outing {
  const others = outing.gear.filter(({ cameraId }) => cameraId !== gear.cameraId);
  return { ...outing, gear: [...others, gear] };
}

function withPauses(outing: Outing, dayId: string, entryId: string, change: (old: Pauses) => Pauses): Outing {
  return {
    ...outing,
    days: outing.days.map((day) =>
      day.id === dayId
        ? {
            ...day,
            entries: day.entries.map((entry) =>
              entry.what === 'shot' && entry.id === entryId
                ? { ...entry, pauses: change(entry.pauses) }
                : entry,
            ),
          }
        : day,
    ),
  };
}

type Pauses = { afterMinutes: number; minutes: number }[];
