import { curesOf } from '@/core/cures/cures';
import { daySheet, outsOf } from '@/core/day/daySheet';
import type { Memo } from '@/core/day/partWork';
import { scheduleOf } from '@/core/day/schedule';
import { workedDay } from '@/core/day/workedDay';
import type { Outing } from '@/core/records/outing';
import type { ShotRecord } from '@/core/records/shotRecord';
import { isoIn, wallClock } from '@/formats/clock';
import { cureText, leavesText } from '@/words/outingText';
import { dayPartName } from '@/words/shotName';
import { FILE_VERSION } from '@/core/schema/versions';

/** The days of an outing worked out, as plain JSON: settings by part, filter changes, set-ups, what runs out and cures. */
export function daysReport(outing: Outing, shots: readonly ShotRecord[]): object {
  const { zone, gear } = outing;
  const kept = new Map(shots.map((shot) => [shot.id, shot]));
  const memo: Memo = new Map();
  const at = (ms: number): string => isoIn(ms, zone);
  return {
    kind: 'lynxeye/days',
    version: FILE_VERSION,
    outing: outing.name,
    days: outing.days.map(({ id }) => {
      const schedule = scheduleOf(outing, id, kept, wallClock(zone));
      const sheet = daySheet(schedule, gear, memo);
      const day = workedDay(schedule, gear, sheet);
      const nameOf = (partId: string): string => dayPartName(day.part(partId), partId);
      const entryAt = (entryId: string): number | null => day.partsOf(entryId)[0]?.fromMs ?? null;
      return {
        date: day.date,
        parts: day.parts.map((part) => {
          const own = part.answer;
          return {
            name: dayPartName(part),
            camera: part.camera.id,
            from: at(part.fromMs),
            to: at(part.toMs),
            settings: own?.carried?.settings ?? null,
            intervalSeconds: own?.carried?.intervalSeconds ?? null,
            score: own?.carried?.loss ?? null,
            preset: own?.preset ?? null,
            overStops: own?.overStops ?? 0,
            underStops: own?.underStops ?? 0,
          };
        }),
        cameras: sheet.cameras.map((camera) => ({
          camera: camera.cameraId,
          swaps: camera.filterChanges.map(({ partId, window, from, to }) => ({
            before: nameOf(partId),
            from: at(window.fromMs),
            to: at(window.toMs),
            off: from,
            on: to,
          })),
          presets: camera.presets.map(({ settings, intervalSeconds, partIds }) => ({
            settings,
            intervalSeconds,
            serves: partIds.map(nameOf),
          })),
          cardGb: { needs: camera.budget.card.needs, has: camera.budget.card.has },
          powerWh: { needs: camera.budget.power.needs, has: camera.budget.power.has },
          hottestC: Number.isFinite(camera.budget.heat.hottestC) ? camera.budget.heat.hottestC : null,
          runsOut: outsOf(camera.budget).map((out) => ({
            of: out.what,
            at: at(out.atMs),
            during: nameOf(out.partId),
            cures: curesOf(day, gear, sheet, out, memo).map(
              (cure) => `${cureText(cure, zone, entryAt)}${leavesText(cure)}`,
            ),
          })),
        })),
      };
    }),
  };
}
