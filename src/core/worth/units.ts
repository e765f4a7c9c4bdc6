import type { Brief } from '../brief/brief';
import { briefOnMount, isSteadier } from '../brief/otherMount';
import { withOfferedBank } from '../changes/bank';
import { briefWithCamera } from '../changes/camera';
import { oneCardMore } from '../changes/card';
import { oneCellMore } from '../changes/cell';
import { gearOfCamera } from '../changes/feed';
import { withFilters } from '../filters/bag';
import { cameraBudget } from '../day/budget';
import { daySheet, outsOf } from '../day/daySheet';
import type { Memo } from '../day/partWork';
import { camerasOf, partsOfCamera } from '../day/schedule';
import type { DayPart, Schedule } from '../day/schedule';
import type { Recorded } from '../day/stretches';
import type { Gear } from '../records/outing';
import { LOST_CLIP } from '../rehearse/simulated';
import { search } from '../search/search';
import { spaceFor } from '../search/space';
import type { Unit } from './bestSet';
import type { Purchase } from './purchase';

/** Least loss of a brief under its school; `null`: its pins leave no way. */
function lossOf(brief: Brief): number | null {
  const made = spaceFor(brief);
  return made.ok ? (search(made.space)?.score ?? null) : null;
}

/** Of a brief as it is: every thing is held against it. */
const asItIs = new WeakMap<Brief, { loss: number | null }>();

function lossAsItIs(brief: Brief): number | null {
  const known = asItIs.get(brief) ?? { loss: lossOf(brief) };
  asItIs.set(brief, known);
  return known.loss;
}

interface Choice {
  needs: number;
  change: (brief: Brief) => Brief;
}
const AS_IT_IS: Choice = { needs: 0, change: (brief) => brief };

/**
 * What one recording loses, and what it would with any of some things at hand: solved again with each, and with each that
 * go together (a camera on a mount behind a filter).
 *
 * @param things by place; needs are bits of those places
 */
export function recordingUnit(part: DayPart, things: readonly Purchase[]): Unit | null {
  const loss = lossAsItIs(part.brief);
  if (loss === null) return null;
  const of = <W extends Purchase['what']>(
    what: W,
    fits: (thing: Extract<Purchase, { what: W }>) => boolean,
    change: (thing: Extract<Purchase, { what: W }>, brief: Brief) => Brief,
  ): Choice[] => [
    AS_IT_IS,
    ...things.flatMap((thing, at): Choice[] => {
      const own = thing.what === what ? (thing as Extract<Purchase, { what: W }>) : null;
      return own && fits(own) ? [{ needs: 1 << at, change: (brief) => change(own, brief) }] : [];
    }),
  ];
  const mine = ({ cameraId }: { cameraId: string }): boolean => cameraId === part.camera.id;
  const filters = of('filter', mine, ({ filter }, brief) => withFilters(brief, [filter]));
  const mounts = of(
    'mount',
    ({ mount }) => isSteadier(part.brief, mount),
    ({ mount }, brief) => briefOnMount(brief, mount),
  );
  const cameras = of('camera', mine, (change, brief) => briefWithCamera(brief, change));
  const ways = cameras.flatMap((camera) =>
    mounts.flatMap((mount) =>
      filters.flatMap((filter) => {
        const needs = camera.needs | mount.needs | filter.needs;
        if (needs === 0) return [];
        const left = lossOf(filter.change(mount.change(camera.change(part.brief))));
        return left !== null && left < loss ? [{ needs, loss: left }] : [];
      }),
    ),
  );
  return { loss, ways };
}

/** What a camera loses of a day because something runs out, and what it would with more to feed it. */
export function feedUnits(
  day: Schedule,
  gear: readonly Gear[],
  things: readonly Purchase[],
  memo: Memo,
): Unit[] {
  const sheet = daySheet(day, gear, memo);
  return camerasOf(day.parts).flatMap((camera) => {
    const recorded = partsOfCamera(day.parts, camera.id).flatMap((part): Recorded[] => {
      const answer = sheet.parts.get(part.id)?.carried;
      return answer ? [{ part, answer }] : [];
    });
    const lost = (own: Gear): number =>
      lostOf(
        recorded,
        outsOf(cameraBudget(camera, recorded, day, own)).filter(({ what }) => what !== 'heat'),
      );
    const own = gearOfCamera(gear, camera.id);
    const loss = lost(own);
    if (loss === 0) return [];
    const bit = (what: 'card' | 'cell' | 'bank'): number => {
      const at = things.findIndex((thing) => thing.what === what && thing.cameraId === camera.id);
      return at < 0 ? 0 : 1 << at;
    };
    const more: [number, (gear: Gear) => Gear][] = [
      [bit('card'), oneCardMore],
      [bit('cell'), oneCellMore],
      [bit('bank'), withOfferedBank],
    ];
    const sets = Array.from({ length: 2 ** more.length - 1 }, (_, at) =>
      more.filter((__, place) => ((at + 1) >> place) & 1),
    ).filter((set) => set.every(([needs]) => needs !== 0));
    const ways = sets.flatMap((set) => {
      const needs = set.reduce((bits, [one]) => bits | one, 0);
      const left = lost(set.reduce((fed, [, with1]) => with1(fed), own));
      return left < loss ? [{ needs, loss: left }] : [];
    });
    return [{ loss, ways }];
  });
}

/** From where the first thing runs out a camera's clips of the day are lost: as many, by share, as loss says of each. */
function lostOf(recorded: readonly Recorded[], outs: readonly { atMs: number }[]): number {
  const fromMs = Math.min(...outs.map(({ atMs }) => atMs));
  if (fromMs === Infinity) return 0;
  const share = recorded.reduce((sum, { part }) => {
    const whole = part.stretches.reduce((ms, { fromMs: a, toMs: b }) => ms + b - a, 0);
    const gone = part.stretches.reduce(
      (ms, { fromMs: a, toMs: b }) => ms + Math.max(0, b - Math.max(a, fromMs)),
      0,
    );
    return sum + (whole > 0 ? gone / whole : 0);
  }, 0);
  return LOST_CLIP * share;
}
