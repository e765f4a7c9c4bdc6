import type { CameraProfile } from '../camera/profile';
import type { Gear } from '../records/outing';
import type { CameraSheet, DaySheet, PartSheet } from './daySheet';
import { camerasOf, partsOfCamera } from './schedule';
import type { DayPart, Schedule } from './schedule';

/**
 * A day joined: every part with its answer, every camera with its parts, gear and sheet, each found by its id. The day
 * is placed once, by whoever asks for it; its sheet may come later, and is then of the day as it was a moment ago.
 */
export interface WorkedDay extends Schedule {
  /** The day without anything worked out: plain data, for the worker. */
  schedule: Schedule;
  parts: readonly WorkedPart[];
  cameras: readonly WorkedCamera[];
  /** `null` until the day is worked out. */
  sheet: DaySheet | null;
  part: (id: string) => WorkedPart | undefined;
  /** The parts of an entry, the first camera first. */
  partsOf: (entryId: string) => readonly WorkedPart[];
  camera: (id: string) => WorkedCamera | undefined;
}

export interface WorkedPart extends DayPart {
  /** What the day makes of it; `null` until it is worked out. */
  answer: PartSheet | null;
}

export interface WorkedCamera {
  id: string;
  profile: CameraProfile;
  /** In time. */
  parts: readonly WorkedPart[];
  /** What it is fed from, where anybody said. */
  gear: Gear | undefined;
  sheet: CameraSheet | null;
}

export function workedDay(schedule: Schedule, gear: readonly Gear[], sheet: DaySheet | null): WorkedDay {
  const parts = schedule.parts.map((part): WorkedPart => ({
    ...part,
    answer: sheet?.parts.get(part.id) ?? null,
  }));
  const byId = new Map(parts.map((part) => [part.id, part]));
  const byEntry = new Map<string, WorkedPart[]>();
  for (const part of parts) byEntry.set(part.entryId, [...(byEntry.get(part.entryId) ?? []), part]);
  const sheets = new Map(sheet?.cameras.map((one) => [one.cameraId, one]));
  const fed = new Map(gear.map((one) => [one.cameraId, one]));
  const cameras = camerasOf(parts).map((profile): WorkedCamera => ({
    id: profile.id,
    profile,
    parts: partsOfCamera(parts, profile.id),
    gear: fed.get(profile.id),
    sheet: sheets.get(profile.id) ?? null,
  }));
  const byCamera = new Map(cameras.map((one) => [one.id, one]));
  return {
    ...schedule,
    schedule,
    parts,
    cameras,
    sheet,
    part: (id) => byId.get(id),
    partsOf: (entryId) => byEntry.get(entryId) ?? [],
    camera: (id) => byCamera.get(id),
  };
}
