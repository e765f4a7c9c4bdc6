'use client';

import { useMemo } from 'react';
import { logbookOf } from '@/core/inspect/logbook';
import type { Recording } from '@/core/inspect/logbook';
import type { KitItem } from '@/core/records/kitItem';
import type { LogEntry } from '@/core/records/logEntry';
import { ownZone, todayIn } from '@/formats/today';
import type { Told } from '@/formats/outing/logCsv';
import { shotName } from '@/words/shotName';
import * as messages from '@/language/log';
import { useAllClips } from '../data/clips';
import { useKit } from '../data/kit';
import { useOutings } from '../data/outings';
import { useLog, useShots } from '../data/repository';

export interface Logbook extends Told {
  book: readonly Recording[];
  /** Shots that are still kept. */
  kept: ReadonlySet<string>;
  dateOf: (recording: Recording) => string;
}

/** Every recording with what came back of it, and how each is told; undefined while it loads. */
export function useLogbook(): Logbook | undefined {
  const log = useLog();
  const shots = useShots();
  const outings = useOutings();
  const clips = useAllClips();
  const kit = useKit();
  const book = useMemo(
    () => (log && clips && outings ? logbookOf(log, clips, outings) : undefined),
    [log, clips, outings],
  );
  return useMemo(() => {
    if (!book || !shots || !outings) return undefined;
    const names = new Map(shots.map(({ id, shot }) => [id, shotName(shot)]));
    const zones = new Map(
      outings.flatMap(({ zone, days }) =>
        days.flatMap(({ entries }) =>
          entries.flatMap((entry) => (entry.what === 'shot' ? [[entry.shotId, zone] as const] : [])),
        ),
      ),
    );
    const cameraNames = new Map([...camerasIn(book), ...camerasOf(kit ?? [])]);
    const zoneOf = ({ zone, shotId, entry }: Recording): string =>
      zone ?? zones.get(shotId ?? '') ?? zoneOfEntry(entry);
    return {
      book,
      kept: new Set(names.keys()),
      nameOf: ({ shotId, entry }) => entry?.shotName ?? names.get(shotId ?? '') ?? messages.unplanned,
      zoneOf,
      cameraNameOf: (id) => cameraNames.get(id) ?? id,
      dateOf: (recording) => todayIn(zoneOf(recording), recording.atMs),
    };
  }, [book, shots, outings, kit]);
}

/** Cameras as the shots of the log have them. */
function camerasIn(book: readonly Recording[]): [string, string][] {
  return book.flatMap(({ entry }): [string, string][] => {
    const camera = entry?.shot.camera;
    return camera && 'profile' in camera ? [[camera.profile.id, camera.profile.name]] : [];
  });
}

function camerasOf(kit: readonly KitItem[]): [string, string][] {
  return kit.flatMap(({ thing }): [string, string][] =>
    thing.what === 'camera' ? [[thing.profile.id, thing.profile.name]] : [],
  );
}

/** Of a recording without an outing: the clock of its place, else this computer's. */
function zoneOfEntry(entry: LogEntry | null): string {
  const light = entry?.shot.light;
  return (light?.kind === 'sun' ? light.zone : undefined) ?? ownZone();
}
