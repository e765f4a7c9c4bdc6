import type { DayPart } from '../day/schedule';
import { shotOfPart, withPart } from '../records/secondAngles';
import type { Shot } from '../records/shot';

/** What becomes of shots, by their ids. */
export type ShotChanges = ReadonlyMap<string, (shot: Shot) => Shot>;

/** Each of these parts changed so; parts of one shot change it together. */
export function changesOfParts<P extends DayPart>(
  parts: readonly P[],
  change: (own: Shot, part: P) => Shot,
): ShotChanges {
  return allOf(
    parts.map(
      (part) =>
        new Map([
          [part.shotId, (shot: Shot) => withPart(shot, part.part, change(shotOfPart(shot, part.part), part))],
        ]),
    ),
  );
}

/** One after the other. */
export function allOf(all: readonly ShotChanges[]): ShotChanges {
  const changes = new Map<string, (shot: Shot) => Shot>();
  for (const own of all)
    for (const [id, change] of own) {
      const before = changes.get(id);
      changes.set(id, before ? (shot) => change(before(shot)) : change);
    }
  return changes;
}
