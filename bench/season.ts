import { ARCHETYPES } from '@/core/camera/archetypes';
import { modePowerW } from '@/core/camera/modeTable';
import { DAY_SPREADS, ERRORS, spreadOf, USUAL_LATENESS } from '@/core/learn/figures';
import type { DayKind } from '@/core/learn/figures';
import type { Kept } from '@/core/learn/takes';
import { SCENES } from '@/core/vocabulary/scenes';
import type { SceneName } from '@/core/vocabulary/scenes';
import { shakeFloorSeconds, usualShakeDegPerSRms } from '@/core/motion/shake';
import type { Clip } from '@/core/records/clip';
import { figureId } from '@/core/records/figures';
import type { Figure } from '@/core/records/learned';
import type { LogEntry } from '@/core/records/logEntry';
import type { Verdict } from '@/core/vocabulary/verdicts';
import type { Outing } from '@/core/records/outing';
import type { Settings } from '@/core/records/settings';
import { readShot } from '@/core/records/shot';
import type { Shot } from '@/core/records/shot';
import { item } from '@/core/units/items';

/** How what is measured errs: as it is taken to, or otherwise. */
export type Noise = 'asTaken' | 'normal' | 'wider' | 'skewed' | 'wild';

/** Everything of a made-up season: what came back, and the truth behind it, each figure against the usual. */
export interface Season {
  kept: Kept;
  truth: ReadonlyMap<string, number>;
}

/** Numbers from 0 to 1. Source: mulberry32, public domain. */
export function random(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/** Standard normal. Source: Box & Muller 1958. */
export function normal(draw: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - draw())) * Math.cos(2 * Math.PI * draw());
}

const AT = '2026-01-01T00:00:00.000Z';
const CAMERA = ARCHETYPES.main;
const WIDE = item(CAMERA.views, 0);
const SCENE_PAIRS: readonly (readonly [SceneName, SceneName])[] = [
  ['openSun', 'openSun'],
  ['openShade', 'openSun'],
  ['lightWood', 'openShade'],
  ['gorgeFloor', 'gorgeFloor'],
];
const MOUNTS = [
  { kind: 'helmet', activity: 'riding', ground: 'rough' },
  { kind: 'chest', activity: 'running', ground: 'mixed' },
] as const;
const GLASSES = [
  { id: 'nd8', kind: 'nd', stops: 3 },
  { id: 'nd16', kind: 'nd', stops: 4 },
] as const;
const CELL = { ampereHours: 1.7, volts: 3.85, count: 6 };

export function season(seed: number, { noise, days }: { noise: Noise; days: number }): Season {
  const draw = random(seed);
  const truth = new Map<string, number>();
  const of = (figure: Figure): number => {
    const id = figureId(figure);
    const known = truth.get(id) ?? spreadOf(figure) * normal(draw);
    truth.set(id, known);
    return known;
  };
  const err = (scale: number): number => scale * errorOf(noise, draw);
  const pick = <T>(list: readonly T[]): T => item(list, Math.floor(draw() * list.length));
  const shots = SCENE_PAIRS.flatMap((pair, at) =>
    MOUNTS.map((mount, by) => shotOf(`${at}${by}`, pair, mount)),
  );
  const log: LogEntry[] = [];
  const clips: Clip[] = [];
  const outings: Outing[] = [];
  for (let day = 0; day < days; day++) {
    const date = new Date(Date.UTC(2026, 4, 1 + day)).toISOString().slice(0, 10);
    const offs = Object.fromEntries(
      Object.entries(DAY_SPREADS).map(([kind, { value }]) => [kind, value * normal(draw)]),
    ) as Record<DayKind, number>;
    const runs = 2 + Math.floor(draw() * 4);
    const lateness = USUAL_LATENESS + of({ of: 'lateness' });
    const entries: Outing['days'][number]['entries'] = [];
    let wattHours = 0;
    for (let run = 0; run < runs; run++) {
      const shot = pick(shots);
      const take = takeOf({ shot, draw, pick, of, err, offs });
      const minute = 540 + Math.round((480 * run) / runs);
      const hours = (minute - 540) / 60;
      const lateMinutes = lateness * hours + (hours > 0 ? err(ERRORS.late.value) : 0);
      const at = Date.parse(`${date}T00:00:00Z`) + (minute + lateMinutes) * 60_000;
      const entryId = `${day}-${run}`;
      entries.push({
        what: 'shot',
        id: entryId,
        shotId: shot.id,
        at: new Date(minute * 60_000).toISOString().slice(11, 16),
        pauses: [],
        note: '',
      });
      wattHours += (modePowerW(CAMERA, take.settings) * take.measured.container.durationSeconds) / 3600;
      log.push(entryOf(`log-${entryId}`, shot, take.settings, new Date(at).toISOString()));
      clips.push({
        ...EMPTY,
        id: `clip-${entryId}`,
        outingId: `o${day}`,
        dayId: `d${day}`,
        entryId,
        startAt: new Date(at).toISOString(),
        ...take,
      });
    }
    const powered = of({ of: 'power', cameraId: CAMERA.id, height: 2160, frameRate: 50 });
    const cellsUsed =
      (wattHours * 2 ** (powered + err(ERRORS.cells.value))) / (CELL.ampereHours * CELL.volts);
    outings.push(outingOf(day, date, entries, cellsUsed));
  }
  return { kept: { shots, outings, log, clips, measured: [] }, truth };
}

interface Drawing {
  shot: Kept['shots'][number];
  draw: () => number;
  pick: <T>(list: readonly T[]) => T;
  of: (figure: Figure) => number;
  err: (scale: number) => number;
  offs: Record<DayKind, number>;
}

/** One clip as the truth would have it come out. */
function takeOf({
  shot,
  draw,
  pick,
  of,
  err,
  offs,
}: Drawing): Pick<Clip, 'measured' | 'verdicts'> & { settings: Settings } {
  const { light, mount, motion } = shot.shot;
  if (light?.kind !== 'scene') throw new Error('a season is told by scenes');
  const glass = pick(GLASSES);
  const ISOS = [100, 200, 400, 800, 1600];
  const iso = pick([...ISOS.map((one) => [one, one] as const), [100, 800] as const]);
  const shutterSeconds = 1 / pick([50, 100, 200, 400, 800]);
  const stabilization = pick(['off', 'standard'] as const);
  const settings: Settings = {
    frameRate: 50,
    shutterSeconds,
    shutterAngleDeg: 360 * 50 * shutterSeconds,
    shutterMode: 'fixed',
    iso: { min: iso[0], max: iso[1] },
    resolution: { width: 3840, height: 2160 },
    bitRateMbps: 100,
    codec: 'hevc',
    stabilization,
    whiteBalance: 5500,
    colour: 'standard',
    exposureOffsetStops: 0,
    sharpening: 'low',
    noiseReduction: 'low',
    recording: 'video',
    bitDepth: 8,
    filter: { ids: [glass.id], stops: glass.stops },
    view: { id: WIDE.id, horizontalDeg: WIDE.horizontalDeg },
  };
  const [dark, bright] = [light.from, light.to].map((scene) => ({
    ev: SCENES[scene].evMin,
    off: of({ of: 'scene', scene }),
  }));
  if (!dark || !bright) throw new Error('two ends');
  const dims = glass.stops + of({ of: 'filter', filterId: glass.id });
  const setAt = (at: number): number =>
    Math.log2(CAMERA.fNumber ** 2 / shutterSeconds) - Math.log2(at / 100) + dims;
  const verdicts: Verdict[] = [];
  const guard = CAMERA.highlightGuardStops.standard + of({ of: 'guard', cameraId: CAMERA.id });
  if (bright.ev + bright.off + offs.light + err(ERRORS.end.value) > setAt(iso[0]) + guard)
    verdicts.push('whiteSky');
  if (dark.ev + dark.off + offs.light + err(ERRORS.end.value) < setAt(iso[1]) - 1) verdicts.push('tooDark');
  const { kind = 'helmet', ground = 'rough', activity = 'riding' } = mount ?? {};
  const usual = usualShakeDegPerSRms(kind, ground, activity, { travelMps: motion?.travelMps });
  const shakes = Math.log2(usual) + offs.shake + of({ of: 'shake', mount: kind, activity, ground });
  const limit = shakeFloorSeconds(1, WIDE.horizontalDeg, WIDE.projection) / shutterSeconds;
  if (shakes + err(ERRORS.smear.value) > Math.log2(limit)) verdicts.push('smear');
  const usable = Math.log2(800) + of({ of: 'iso', cameraId: CAMERA.id }) + offs.eye + err(ERRORS.noise.value);
  if (Math.log2(iso[0] * 2 ** (draw() * Math.log2(iso[1] / iso[0]))) > usable) verdicts.push('noisy');
  const middle = (dark.ev + dark.off + bright.ev + bright.off) / 2 + offs.light + err(ERRORS.middle.value);
  const median = middle - setAt(iso[0]);
  return {
    settings,
    verdicts: verdicts.length > 0 ? verdicts : ['good'],
    measured: {
      ...EMPTY.measured,
      container: {
        ...EMPTY.measured.container,
        durationSeconds: 120,
        bitRateMbps:
          100 * 2 ** (of({ of: 'bitRate', cameraId: CAMERA.id }) + offs.bits + err(ERRORS.bitRate.value)),
      },
      pictures: {
        ...PICTURES,
        middleStops: { median, min: median, max: median },
        movement: {
          shakePctWidthPerSRms: 10,
          shakeDegPerSRms: 2 ** (shakes + err(ERRORS.movement.value)),
          strongestHz: 2,
          rollDegPerSRms: 0,
          speedPctWidthPerS: 10,
          confidence: 0.9,
        },
      },
    },
  };
}

function errorOf(noise: Noise, draw: () => number): number {
  const g = normal(draw);
  switch (noise) {
    case 'normal':
      return g;
    case 'wider':
      return 1.5 * g;
    case 'skewed':
      return -Math.log(1 - draw()) - 1;
    case 'wild':
      return draw() < 0.06 ? 20 * (draw() - 0.5) : g;
    case 'asTaken': {
      const chi = Array.from({ length: 4 }, () => normal(draw) ** 2).reduce((sum, one) => sum + one, 0);
      return g / Math.sqrt(chi / 4);
    }
  }
}

function shotOf(
  id: string,
  [from, to]: readonly [SceneName, SceneName],
  mount: (typeof MOUNTS)[number],
): Kept['shots'][number] {
  const read = readShot({
    kind: 'lynxeye/shot',
    version: 3,
    name: id,
    mount,
    filters: GLASSES,
    light: { kind: 'scene', from, to },
    motion: { travelMps: mount.activity === 'running' ? 3 : 6 },
  });
  if (!read.ok) throw new Error(`a shot of the season: ${JSON.stringify(read.faults)}`);
  return { id, createdAt: AT, updatedAt: AT, demo: false, ticked: [], shot: read.value };
}

function entryOf(
  id: string,
  { id: shotId, shot }: { id: string; shot: Shot },
  settings: Settings,
  at: string,
): LogEntry {
  return {
    kind: 'lynxeye/log-entry',
    version: 3,
    id,
    shotId,
    shotName: shotId,
    at,
    settings,
    shot,
    verdicts: [],
    note: '',
  };
}

function outingOf(
  day: number,
  date: string,
  entries: Outing['days'][number]['entries'],
  cellsUsed: number,
): Outing {
  return {
    kind: 'lynxeye/outing',
    version: 3,
    id: `o${day}`,
    createdAt: AT,
    updatedAt: AT,
    demo: false,
    archived: false,
    name: `Day ${day}`,
    note: '',
    zone: 'UTC',
    days: [
      {
        id: `d${day}`,
        date,
        // Warm enough for a cell to give all it has.
        air: { lowC: 20, highC: 26 },
        entries,
        ends: [{ cameraId: CAMERA.id, cellsUsed }],
      },
    ],
    gear: [{ cameraId: CAMERA.id, cards: [], cells: CELL, charging: 'none' }],
    ticked: [],
  };
}

const share = { median: 0, worst: 0, worstAtSeconds: 0 };
const PICTURES: NonNullable<Clip['measured']['pictures']> = {
  clippedPct: share,
  crushedPct: share,
  middleStops: { median: 0, min: 0, max: 0 },
  exposureSteps: 0,
  pulsingPct: null,
  blur: null,
  repeatedPct: null,
  repeatPattern: null,
  movement: null,
  tiltDeg: null,
  tiltConfidence: 0,
  flicker: null,
  noiseDb: null,
  noiseDarkDb: null,
  noiseMiddleDb: null,
  blockedPct: null,
  blocking: null,
};
const EMPTY: Clip = {
  kind: 'lynxeye/clip',
  version: 3,
  id: 'clip',
  createdAt: AT,
  updatedAt: AT,
  demo: false,
  outingId: 'o',
  dayId: 'd',
  group: '/C',
  cameraId: CAMERA.id,
  entryId: null,
  part: 0,
  doubt: 0,
  other: null,
  piece: null,
  byHand: false,
  startAt: null,
  looked: 'whole',
  cutShort: false,
  filmed: null,
  rawShake: null,
  measured: {
    file: { name: 'C1.MP4', bytes: 1 },
    container: {
      format: 'mp4',
      videoCodec: 'hevc',
      width: 3840,
      height: 2160,
      rotationDeg: 0,
      frames: 6000,
      frameRate: 50,
      nominalFps: 50,
      variable: false,
      durationSeconds: 120,
      bitRateMbps: 100,
      createdAt: null,
      audio: null,
    },
    pictures: null,
    sound: null,
    unread: null,
    findings: [],
  },
  curves: null,
  frames: [],
  verdicts: [],
  note: '',
};
