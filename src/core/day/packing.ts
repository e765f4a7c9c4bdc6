import type { Caution } from '../vocabulary/cautions';
import type { MountKind } from '../vocabulary/mounts';
import { evRangeOf } from '../light/lightRange';
import { habitsOf } from '../vocabulary/mounts';
import { cautionsFor, isDueIn } from '../motion/cautions';
import type { DayPart, Schedule } from './schedule';
import type { WorkedDay } from './workedDay';

/** What goes into the bag for an outing, from what its days really use. Every line has an id to tick it by. */
export type PackItem = { id: string; count: number } & (
  | { what: 'camera'; name: string }
  | { what: 'filter'; camera: string; cameraId: string; filterId: string }
  | { what: 'card'; camera: string; name: string }
  | { what: 'cell'; camera: string }
  | { what: 'bank'; ampereHours: number }
  | { what: 'mount'; kind: MountKind }
  | { what: 'tether' }
  | { what: 'lamp' }
  | { what: 'cloth' }
  | { what: 'codes' }
);

/** Darker than this at its darkest, a shot wants a lamp to be set up by, EV100 (start). */
const LAMP_BELOW_EV = 4.5;

export function packingOf(days: readonly WorkedDay[]): PackItem[] {
  const parts = days.flatMap((day) => day.parts);
  const items = new Map<string, PackItem>();
  const put = (item: PackItem): void => {
    const there = items.get(item.id);
    if (!there || there.count < item.count) items.set(item.id, item);
  };
  for (const { camera } of parts)
    put({ id: `camera:${camera.id}`, what: 'camera', name: camera.name, count: 1 });
  for (const part of parts)
    for (const filterId of part.answer?.carried?.settings.filter.ids ?? [])
      put({
        id: `filter:${part.camera.id}:${filterId}`,
        what: 'filter',
        camera: part.camera.name,
        cameraId: part.camera.id,
        filterId,
        count: 1,
      });
  const cameras = new Map(days.flatMap((day) => day.cameras.map((one) => [one.id, one])));
  for (const { profile: camera, gear: own } of cameras.values()) {
    const cards = new Map<string, number>();
    for (const { name } of own?.cards ?? []) cards.set(name, (cards.get(name) ?? 0) + 1);
    if (cards.size === 0) cards.set('', 1);
    for (const [name, count] of cards)
      put({ id: `card:${camera.id}:${name}`, what: 'card', camera: camera.name, name, count });
    put({ id: `cell:${camera.id}`, what: 'cell', camera: camera.name, count: own?.cells?.count ?? 1 });
    if (own?.bank && own.charging !== 'none')
      put({ id: `bank:${own.bank.ampereHours}`, what: 'bank', ampereHours: own.bank.ampereHours, count: 1 });
  }
  for (const { brief } of parts)
    put({ id: `mount:${brief.mount.kind}`, what: 'mount', kind: brief.mount.kind, count: 1 });
  const tethered = new Set(
    parts.filter(wantsTether).map(({ brief, camera }) => `${brief.mount.kind}:${camera.id}`),
  ).size;
  if (tethered > 0) put({ id: 'tether', what: 'tether', count: tethered });
  if (parts.some(({ brief }) => evRangeOf(brief.light).evMin < LAMP_BELOW_EV))
    put({ id: 'lamp', what: 'lamp', count: 1 });
  put({ id: 'cloth', what: 'cloth', count: 1 });
  if (parts.some(({ camera }) => camera.start.includes('code')))
    put({ id: 'codes', what: 'codes', count: 1 });
  return [...items.values()];
}

function wantsTether({ brief: { mount } }: DayPart): boolean {
  return (
    habitsOf(mount.kind, mount.place).cautions.includes('secondTether') ||
    mount.activity === 'paddling' ||
    mount.activity === 'surfing'
  );
}

/** A caution, and what it is about: each part of a shot once, however often it is filmed. A caution is read once an outing. */
interface SafetyCard {
  caution: Caution;
  parts: readonly DayPart[];
}

export function safetyCards(days: readonly Pick<Schedule, 'parts' | 'air'>[]): SafetyCard[] {
  const cards = new Map<Caution, Map<string, DayPart>>();
  const filmed = days.flatMap(({ parts, air }) => parts.map((part) => ({ part, air })));
  for (const { part, air } of filmed) {
    const { kind, activity } = part.brief.mount;
    for (const caution of cautionsFor(kind, activity).filter((one) => isDueIn(one, air)))
      cards.set(
        caution,
        (cards.get(caution) ?? new Map<string, DayPart>()).set(`${part.shotId}/${part.part}`, part),
      );
  }
  // People filmed are asked on every outing, whatever the mount.
  if (filmed.length > 0 && !cards.has('othersFilmed')) cards.set('othersFilmed', new Map());
  return [...cards].map(([caution, about]) => ({ caution, parts: [...about.values()] }));
}
