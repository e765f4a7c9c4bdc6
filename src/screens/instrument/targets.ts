import * as messages from '@/language/instrument';
import type { KitItem } from '@/core/records/kitItem';
import { thingName } from '@/core/records/kitItem';
import type { ShotRecord } from '@/core/records/shotRecord';
import type { MeasuredOf } from '@/store/measuring';
import { shotName } from '@/words/shotName';

/** A shot or a mount of the kit that takes a measured figure over. */
export interface Target {
  key: string;
  label: string;
  of: MeasuredOf;
}

/** What can be measured, the shot or mount that the address names first. */
export function targetsOf(
  shots: readonly ShotRecord[],
  kit: readonly KitItem[],
  wanted: { shotId: string | null; kitId: string | null },
): Target[] {
  const all = [
    ...shots.map(({ id, shot }): Target => ({
      key: `shot ${id}`,
      label: messages.shotCalled({ name: shotName(shot) }),
      of: { shotId: id },
    })),
    ...kit
      .filter(({ thing, archived }) => thing.what === 'mount' && !archived)
      .map(({ id, thing }): Target => ({
        key: `kit ${id}`,
        label: messages.mountCalled({ name: thingName(thing) }),
        of: { kitId: id },
      })),
  ];
  const isWanted = ({ of }: Target): boolean =>
    'shotId' in of ? of.shotId === wanted.shotId : of.kitId === wanted.kitId;
  return [...all.filter(isWanted), ...all.filter((target) => !isWanted(target))];
}
