import * as messages from '@/language/formats';
import ExifReader from 'exifreader';
import type { LatLon } from '@/core/light/sun/position';

/** What a photograph tells of its exposure and its place, from EXIF in JPEG, HEIC, PNG, TIFF or WebP. */
export interface PhotoFacts {
  fNumber: number;
  shutterSeconds: number;
  iso: number;
  /** Exposure offset the camera was set to, stops; 0 when not told. */
  offsetStops: number;
  place: LatLon | null;
  /** As the camera's clock had it, without a zone unless the file gives one: "2026-10-03T12:40:00". */
  takenAt: string | null;
  takenOffset: string | null;
  model: string | null;
}

export type PhotoRead =
  | { ok: true; facts: PhotoFacts }
  | { ok: false; fault: 'noExif' | 'incomplete' | 'broken'; missing: string[] };

/** A photograph has some dozen segments before its picture; thousands are a trap for its reader. */
const MOST_SEGMENTS = 2000;

/** Reads the bytes of a photograph. Never throws. */
export function readPhoto(bytes: ArrayBuffer): PhotoRead {
  if (!hasFewSegments(new DataView(bytes))) return { ok: false, fault: 'broken', missing: [] };
  let tags: ExifReader.ExpandedTags;
  try {
    tags = ExifReader.load(bytes, { expanded: true });
  } catch (error) {
    const none = error instanceof ExifReader.errors.MetadataMissingError;
    return { ok: false, fault: none ? 'noExif' : 'broken', missing: [] };
  }
  const exif = tags.exif;
  if (!exif) return { ok: false, fault: 'noExif', missing: [] };
  const fNumber = positive(rational(exif.FNumber?.value)) ?? ofApex(rational(exif.ApertureValue?.value), 2);
  const shutterSeconds =
    positive(rational(exif.ExposureTime?.value)) ??
    reciprocal(ofApex(rational(exif.ShutterSpeedValue?.value), 1));
  const iso = positive(first(exif.ISOSpeedRatings?.value));
  const missing = [
    fNumber === null ? messages.fNumber : '',
    shutterSeconds === null ? messages.shutter : '',
    iso === null ? messages.iso : '',
  ].filter((name) => name !== '');
  if (fNumber === null || shutterSeconds === null || iso === null)
    return { ok: false, fault: missing.length === 3 ? 'noExif' : 'incomplete', missing };
  const { Latitude: lat, Longitude: lon } = tags.gps ?? {};
  return {
    ok: true,
    facts: {
      fNumber,
      shutterSeconds,
      iso: Math.round(iso),
      offsetStops: rational(exif.ExposureBiasValue?.value) ?? 0,
      place: placeOf(lat, lon),
      takenAt: clock(exif.DateTimeOriginal?.description),
      takenOffset: /^[+-]\d\d:\d\d$/.exec(exif.OffsetTimeOriginal?.description ?? '')?.[0] ?? null,
      model: exif.Model?.description.trim() ?? null,
    },
  };
}

/** Whether a JPEG comes to its picture within a bearable number of segments; other formats do. Source: ITU-T T.81, B.1. */
function hasFewSegments(bytes: DataView): boolean {
  if (bytes.byteLength < 4 || bytes.getUint16(0) !== 0xffd8) return true;
  let at = 2;
  for (let count = 0; at + 4 <= bytes.byteLength; count += 1) {
    const marker = bytes.getUint16(at);
    // The picture begins, or this is no segment: the reader sees for itself.
    if (marker === 0xffda || marker < 0xff01) return true;
    if (count >= MOST_SEGMENTS) return false;
    at += 2 + bytes.getUint16(at + 2);
  }
  return true;
}

/** `null` without a fix: a camera then writes no number, or zeros below the line. */
function placeOf(lat: unknown, lon: unknown): LatLon | null {
  if (typeof lat !== 'number' || typeof lon !== 'number') return null;
  // NaN is within no bounds.
  return Math.abs(lat) <= 90 && Math.abs(lon) <= 180 ? { lat, lon } : null;
}

/** An APEX value back to a number: N = 2^(A/2), 1/t = 2^T. Source: EXIF 2.32, annex C. */
function ofApex(value: number | null, of: 1 | 2): number | null {
  return value === null ? null : 2 ** (value / of);
}

function reciprocal(value: number | null): number | null {
  return value === null ? null : 1 / value;
}

function positive(value: number | null): number | null {
  return value !== null && value > 0 && Number.isFinite(value) ? value : null;
}

/** A fraction as EXIF keeps it: numerator and denominator. */
function rational(value: unknown): number | null {
  if (typeof value === 'number') return value;
  if (!Array.isArray(value)) return null;
  const [above, below] = value as unknown[];
  return typeof above === 'number' && typeof below === 'number' && below !== 0 ? above / below : null;
}

function first(value: unknown): number | null {
  const one: unknown = Array.isArray(value) ? value[0] : value;
  return typeof one === 'number' ? one : null;
}

/** "2026:10:03 12:40:00" as EXIF writes it. */
function clock(text: string | undefined): string | null {
  const found = /^(\d{4}):(\d\d):(\d\d) (\d\d:\d\d:\d\d)/.exec(text ?? '');
  return found ? `${found[1]}-${found[2]}-${found[3]}T${found[4]}` : null;
}
