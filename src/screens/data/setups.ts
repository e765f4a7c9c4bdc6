'use client';

import * as messages from '@/language/data';
import type { CameraSheet } from '@/core/day/daySheet';
import type { Preset } from '@/core/day/storedSetups';
import type { WorkedDay } from '@/core/day/workedDay';
import type { Outing } from '@/core/records/outing';
import { presetNames } from '@/words/outingText';
import { useRepository } from './repository';

/** A stored set-up with its slot and the name it goes by on the camera's own screen. */
interface NamedSetup {
  slot: number;
  name: string;
  preset: Preset;
}

export function namedSetups({ presets }: CameraSheet, day: WorkedDay): NamedSetup[] {
  const names = presetNames(
    presets.map(({ settings, intervalSeconds, partIds }) => ({
      settings,
      intervalSeconds,
      mount: day.part(partIds[0] ?? '')?.brief.mount.kind ?? 'hand',
    })),
  );
  return presets.map((preset, at) => ({
    slot: at + 1,
    name: names[at] ?? messages.setUp({ at: at + 1 }),
    preset,
  }));
}

/** Lines of an outing that are ticked: packed, read, checked, done. */
export function useTicks(outing: Outing): {
  has: (id: string) => boolean;
  tick: (ids: readonly string[], on: boolean) => void;
} {
  const repository = useRepository();
  return {
    has: (id) => outing.ticked.includes(id),
    tick: (ids, on) =>
      void repository?.changeOuting(outing.id, on ? messages.tickALine : messages.untickALine, (before) => ({
        ...before,
        ticked: [...before.ticked.filter((one) => !ids.includes(one)), ...(on ? ids : [])],
      })),
  };
}
