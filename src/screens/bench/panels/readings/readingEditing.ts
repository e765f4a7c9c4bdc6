import type { CameraReading, Reading } from '@/core/light/readings';
import { REFERENCE_ISO, secondsOfEv100 } from '@/core/light/exposureValue';
import { luxOfEv } from '@/core/light/face';
import { evRangeOf } from '@/core/light/lightRange';
import type { Light, Shot } from '@/core/records/shot';
import type { PhotoFacts } from '@/formats/photo/readPhoto';

/** Readings of a shot's light: taken over from however it was told before, added, changed, taken away. */
type ReadingsLight = Extract<Light, { kind: 'readings' }>;

/** The light as readings; `null` when it was told another way. */
export function readingsOf(light: Light): ReadingsLight | null {
  if (light.kind === 'readings') return light;
  if (light.kind !== 'reading') return null;
  const { fNumber, shutterSeconds, iso, filterStops, darkerStops, brighterStops } = light;
  return {
    kind: 'readings',
    readings: [{ fNumber, shutterSeconds, iso, filterStops, offStops: 0 }],
    darkerStops,
    brighterStops,
  };
}

const MOST = 40;

/** The first reading replaces what was guessed; more widen the range. */
export function adding(reading: Reading): (shot: Shot) => Shot {
  return (shot) => {
    const before = shot.light ? readingsOf(shot.light) : null;
    const readings = [...(before?.readings ?? []), reading].slice(-MOST);
    return {
      ...shot,
      light: {
        kind: 'readings',
        readings,
        darkerStops: before?.darkerStops ?? 0,
        brighterStops: before?.brighterStops ?? 0,
      },
    };
  };
}

export function changing(at: number, change: (reading: Reading) => Reading): (shot: Shot) => Shot {
  return (shot) => {
    const before = shot.light ? readingsOf(shot.light) : null;
    if (!before) return shot;
    const readings = before.readings.map((reading, index) => (index === at ? change(reading) : reading));
    return { ...shot, light: { ...before, readings } };
  };
}

/** The last reading taken away leaves its range behind, so that the light does not jump. */
export function removing(at: number): (shot: Shot) => Shot {
  return (shot) => {
    const before = shot.light ? readingsOf(shot.light) : null;
    if (!before) return shot;
    const readings = before.readings.filter((_, index) => index !== at);
    if (readings.length > 0) return { ...shot, light: { ...before, readings } };
    const { evMin, evMax } = evRangeOf(before);
    return { ...shot, light: { kind: 'range', evMin: tenth(evMin), evMax: tenth(evMax) } };
  };
}

export function widened(by: { darkerStops?: number; brighterStops?: number }): (shot: Shot) => Shot {
  return (shot) => {
    const before = shot.light ? readingsOf(shot.light) : null;
    return before ? { ...shot, light: { ...before, ...by } } : shot;
  };
}

/** What a photograph says of the light, with the filter that was on and, if wanted, how its picture came out. */
export function readingOfPhoto(
  facts: PhotoFacts,
  filterStops: number,
  offStops: number,
  where: string,
): CameraReading {
  return {
    fNumber: facts.fNumber,
    shutterSeconds: facts.shutterSeconds,
    iso: facts.iso,
    filterStops,
    offStops: tenth(offStops),
    where: where.slice(0, 80),
  };
}

/** A camera reading to start from, which says what the shot's light is now. */
export function usualReading(light: Light, fNumber: number): CameraReading {
  const ev = evRangeOf(light).evMax;
  return {
    fNumber,
    shutterSeconds: Math.min(1, Math.max(1e-5, secondsOfEv100(ev, fNumber, REFERENCE_ISO))),
    iso: 100,
    filterStops: 0,
    offStops: 0,
  };
}

export function usualLux(light: Light): Reading {
  return { lux: Math.max(0.01, Math.round(luxOfEv(evRangeOf(light).evMax))) };
}

const tenth = (value: number): number => Math.round(value * 10) / 10;
