import { ARCHETYPE_IDS } from '@/core/camera/archetypes';
import { ACTIVITIES } from '@/core/vocabulary/activities';
import { GRADES } from '@/core/vocabulary/modes';
import { GROUNDS, MOUNT_KINDS } from '@/core/vocabulary/mounts';
import { SHADES, SKIES } from '@/core/vocabulary/outdoors';
import { SCHOOL_IDS } from '@/core/vocabulary/schools';
import { SCREENS } from '@/core/vocabulary/screens';
import fc from 'fast-check';
import { LAMPS } from '@/core/light/lamps';
import { SCENE_NAMES } from '@/core/vocabulary/scenes';
import type { ShotInput } from '@/core/records/shot';
import { FILE_VERSION } from '@/core/schema/versions';

/** Random shots over everything the file can say, for property tests and the bench. */
const between = (min: number, max: number): fc.Arbitrary<number> =>
  fc.double({ min, max, noNaN: true, noDefaultInfinity: true });

const light = fc.oneof(
  fc
    .tuple(between(-3, 17), between(0, 7))
    .map(([evMin, span]) => ({ kind: 'range' as const, evMin, evMax: evMin + span })),
  fc.record({
    kind: fc.constant('scene' as const),
    from: fc.constantFrom(...SCENE_NAMES),
    to: fc.constantFrom(...SCENE_NAMES),
  }),
  fc.record({
    kind: fc.constant('reading' as const),
    fNumber: between(1.4, 8),
    shutterSeconds: between(0.0002, 0.04),
    iso: fc.constantFrom(100, 200, 400, 800),
    filterStops: between(0, 6),
    darkerStops: between(0, 4),
    brighterStops: between(0, 2),
  }),
  fc
    .tuple(
      between(-65, 65),
      between(-180, 180),
      fc.integer({ min: 0, max: 364 * 24 }),
      fc.integer({ min: 0, max: 240 }),
      fc.constantFrom(...SKIES),
      fc.subarray([...SHADES], { minLength: 1 }),
      fc.array(fc.integer({ min: 0, max: 359 }), { maxLength: 3 }),
    )
    .map(([lat, lon, hour, minutes, sky, shade, headings]) => ({
      kind: 'sun' as const,
      lat,
      lon,
      from: new Date(Date.UTC(2026, 0, 1, hour)).toISOString(),
      to: new Date(Date.UTC(2026, 0, 1, hour, minutes)).toISOString(),
      sky,
      shade,
      ...(headings.length > 0 ? { headingsDeg: headings } : {}),
    })),
  fc
    .array(between(1, 90_000), { minLength: 1, maxLength: 4 })
    .map((all) => ({ kind: 'readings' as const, readings: all.map((lux) => ({ lux })) })),
  fc
    .tuple(between(1, 30_000), between(1, 30))
    .map(([luxMin, ratio]) => ({ kind: 'lux' as const, luxMin, luxMax: luxMin * ratio })),
);

const filters = fc
  .subarray([
    { kind: 'nd' as const, stops: 2 },
    { kind: 'nd' as const, stops: 3.1 },
    { kind: 'nd' as const, stops: 4 },
    { kind: 'nd' as const, stops: 5 },
    { kind: 'nd' as const, stops: 6.2 },
    { kind: 'polarizer' as const, stops: 1.5 },
    { kind: 'variable' as const, stopsMin: 2, stopsMax: 4.7 },
    { kind: 'haze' as const, stops: 0.2, stacksOn: ['f0', 'f1'] },
    { kind: 'nd' as const, stops: 3, measuredStops: 3.4 },
  ])
  .map((kit) => kit.map((filter, index) => ({ id: `f${index}`, ...filter })));

const motion = fc.record(
  {
    travelMps: between(0, 25),
    nearestM: between(0.3, 20),
    panDegPerS: between(0, 200),
    shakeDegPerSRms: between(0, 150),
    subject: fc.record({ speedMps: between(0, 15), distanceM: between(0.3, 60), sizeM: between(0.1, 4) }),
  },
  { requiredKeys: [] },
);

const pins = fc.oneof(
  { weight: 3, arbitrary: fc.constant({}) },
  {
    weight: 2,
    arbitrary: fc.record(
      {
        frameRate: fc.constantFrom(24, 25, 30, 50, 60, 100, 120),
        stabilization: fc.constantFrom('off' as const, 'standard' as const, 'levelHold' as const),
        shutterSeconds: fc.constantFrom(1 / 50, 1 / 100, 1 / 137, 1 / 1000),
        shutterMode: fc.constantFrom('fixed' as const, 'auto' as const),
        recording: fc.constantFrom(
          'video' as const,
          'slowMotion' as const,
          'hdr' as const,
          'lowLight' as const,
        ),
        bitDepth: fc.constantFrom(8 as const, 10 as const),
        codec: fc.constantFrom('hevc' as const, 'avc' as const),
        iso: fc.constantFrom({ min: 100, max: 100 }, { min: 100, max: 400 }, { min: 200, max: 800 }),
        view: fc.constantFrom({ id: 'wide' }, { id: 'straight' }),
        colour: fc.constantFrom('standard' as const, 'flat' as const, 'log' as const),
      },
      { requiredKeys: [] },
    ),
  },
);

/** A shot whose camera is one of `archetypes`; a few archetypes keep the exhaustive search short. */
export function anyShot(
  archetypes: readonly (typeof ARCHETYPE_IDS)[number][] = ARCHETYPE_IDS,
): fc.Arbitrary<ShotInput> {
  return fc.record(
    {
      kind: fc.constant('lynxeye/shot' as const),
      version: fc.constant(FILE_VERSION),
      playback: fc.record({
        timelineFps: fc.constantFrom(24, 25, 29.97, 30, 50, 60),
        slowdown: fc.constantFrom(1, 1.5, 2, 4, 8),
        alsoSlowdowns: fc.array(fc.constantFrom(0.5, 1, 2, 3, 8), { maxLength: 2 }),
        deliver: fc.constantFrom(
          { width: 1920, height: 1080 },
          { width: 1080, height: 1920 },
          { width: 3840, height: 2160 },
        ),
        screen: fc.constantFrom(...SCREENS),
      }),
      look: fc.record({ school: fc.constantFrom(...SCHOOL_IDS), grade: fc.constantFrom(...GRADES) }),
      camera: fc.constantFrom(...archetypes).map((archetype) => ({ archetype })),
      mount: fc.record({
        kind: fc.constantFrom(...MOUNT_KINDS),
        ground: fc.constantFrom(...GROUNDS),
        activity: fc.constantFrom(...ACTIVITIES),
        tiltDeg: between(-50, 50),
      }),
      motion,
      light,
      filters,
      pins,
      limits: fc.record(
        {
          isoCeiling: fc.constantFrom(100, 200, 400, 640, 800, 1600, 3200),
          mainsHz: fc.constantFrom(50 as const, 60 as const),
          lamps: fc.constantFrom(...LAMPS),
          screenHz: fc.constantFrom(60, 75, 240),
          recordSeconds: between(10, 20_000),
          cardGb: fc.constantFrom(32, 64, 128, 256),
        },
        { requiredKeys: [] },
      ),
    },
    { requiredKeys: ['kind', 'version', 'camera'] },
  );
}
