import { describe, expect, it } from 'vitest';
import { briefOf } from '../brief/brief';
import { ARCHETYPES } from '../camera/archetypes';
import type { ShotInput } from '../records/shot';
import { readShot } from '../records/shot';
import { solve } from '../answer/solve';
import type { Container, Found, Pictures, Sound } from '../records/clipReport';
import { endedBy } from './ended';
import { findingsOf } from './findings';
import type { ClipMeasures } from './seen';
import { LIMITS } from './limits';
import { nextTime } from './nextTime';
import type { Pins } from '../records/settings';
import { heldBySettings, plannedShot } from './planned';
import type { PlannedShot } from './planned';

const CONTAINER: Container = {
  format: 'mp4',
  videoCodec: 'avc',
  width: 3840,
  height: 2160,
  rotationDeg: 0,
  frames: 250,
  frameRate: 25,
  nominalFps: 25,
  variable: false,
  durationSeconds: 10,
  bitRateMbps: 100,
  createdAt: null,
  audio: null,
};
const RIGHT: Pictures = {
  clippedPct: { median: 0, worst: 0.2, worstAtSeconds: 1 },
  crushedPct: { median: 0, worst: 0.5, worstAtSeconds: 1 },
  middleStops: { median: 0, min: -0.5, max: 0.5 },
  exposureSteps: 0,
  pulsingPct: 1,
  blur: { median: 0.3, followsMovement: 0, nearMedian: 0.3, aroundMedian: 0.3 },
  repeatedPct: 0,
  repeatPattern: null,
  movement: {
    shakePctWidthPerSRms: 4,
    strongestHz: 2,
    rollDegPerSRms: 1,
    speedPctWidthPerS: 5,
    confidence: 1,
  },
  tiltDeg: 0.3,
  tiltConfidence: 0.9,
  flicker: null,
  noiseDb: 42,
  noiseDarkDb: 40,
  noiseMiddleDb: 42,
  blockedPct: 0,
  blocking: 1,
};
const SOUND: Sound = {
  levelDb: -20,
  peakDb: -3,
  clippedPct: 0,
  belowHundredPct: 10,
  gustsDb: 3,
  windPct: 0,
  silentPct: 0,
};

function planOf(shot: Partial<ShotInput>): PlannedShot {
  const read = readShot({ kind: 'lynxeye/shot', version: 3, ...shot });
  if (!read.ok) throw new Error('no shot');
  const plan = plannedShot(briefOf(read.value).brief);
  if (!plan) throw new Error('no answer');
  return plan;
}
const FILTERS = [3, 4, 5, 6].map((stops) => ({ id: `nd${2 ** stops}`, kind: 'nd' as const, stops }));
const SHOT: Partial<ShotInput> = {
  filters: FILTERS,
  light: { kind: 'range', evMin: 12, evMax: 14 },
  pins: { stabilization: 'standard' },
};
const PLAN = planOf(SHOT);
const asPlanned = ({ settings }: PlannedShot): Container => ({
  ...CONTAINER,
  width: settings.resolution.width,
  height: settings.resolution.height,
  frameRate: settings.frameRate,
  nominalFps: settings.frameRate,
  bitRateMbps: settings.bitRateMbps,
});
const found = (over: Partial<ClipMeasures>, plan: PlannedShot | null = PLAN): Found[] =>
  findingsOf(
    {
      container: plan ? asPlanned(plan) : CONTAINER,
      cutShort: false,
      pictures: RIGHT,
      sound: SOUND,
      ...over,
    },
    plan,
  );
const pictures = (over: Partial<Pictures>): { pictures: Pictures } => ({ pictures: { ...RIGHT, ...over } });
const only = (findings: readonly Found[]): Found => {
  expect(findings).toHaveLength(1);
  return findings[0]!;
};

describe('findings', () => {
  it('a clip as it should be has none, with and without its shot', () => {
    expect(found({})).toEqual([]);
    expect(found({}, null)).toEqual([]);
    expect(found({ pictures: null, sound: null })).toEqual([]);
  });

  it('white asks for a shutter that runs where the light was wide, and else for a stronger filter', () => {
    const white = pictures({ clippedPct: { median: 1, worst: 6, worstAtSeconds: 4.2 } });
    const { code, change, atSeconds } = only(found(white));
    expect({ code, atSeconds }).toEqual({ code: 'over', atSeconds: 4.2 });
    expect(change?.shutterMode).toBe('auto');
    const plan = planOf({
      ...SHOT,
      camera: { profile: { ...ARCHETYPES.main, shutter: { ...ARCHETYPES.main.shutter, auto: false } } },
    });
    const [id] = only(found(white, plan)).change?.filter?.ids ?? [];
    const stops = (name: string | undefined): number => FILTERS.find((one) => one.id === name)?.stops ?? 0;
    expect(stops(id)).toBeGreaterThan(stops(plan.settings.filter.ids[0]));
  });

  it('smear asks for a shorter shutter, the shorter the worse it was', () => {
    const shutter = (pulsingPct: number): number =>
      only(found(pictures({ pulsingPct }))).change?.shutterSeconds ?? 1;
    expect(shutter(12)).toBeLessThan(PLAN.settings.shutterSeconds);
    expect(shutter(30)).toBeLessThan(shutter(12));
  });

  it('lamps of the other mains ask for a shutter that takes none of their pulse', () => {
    const plan = planOf({
      light: { kind: 'scene', from: 'litRoom', to: 'litRoom' },
      limits: { mainsHz: 50, lamps: 'mains' },
      mount: { kind: 'tripod' },
      playback: { timelineFps: 25 },
      pins: { shutterSeconds: 1 / 50, frameRate: 25, shutterMode: 'fixed' },
    });
    const { change, value } = only(
      found(pictures({ flicker: { hz: 5, pct: 9, seen: 'pulse', mainsHz: 60 } }), plan),
    );
    expect(value).toBe(9);
    const pulses = 120 * (change?.shutterSeconds ?? 0);
    expect(Math.abs(pulses - Math.round(pulses))).toBeLessThan(0.05);
    expect(pulses).toBeGreaterThan(0.9);
  });

  it('what the file tells: rate, size, bits, length, a file that breaks off', () => {
    const container = asPlanned(PLAN);
    const { frameRate } = PLAN.settings;
    expect(only(found({ container: { ...container, nominalFps: frameRate * 2 } }))).toMatchObject({
      code: 'frameRate',
      change: { frameRate },
    });
    expect(found({ container: { ...container, nominalFps: frameRate / 1.001 } })).toEqual([]);
    expect(only(found({ container: { ...container, width: 1920, height: 1080 } })).code).toBe('size');
    const upright = {
      ...container,
      width: container.height,
      height: container.width,
      rotationDeg: 90 as const,
    };
    expect(found({ container: upright })).toEqual([]);
    const few = { ...container, bitRateMbps: 5 };
    expect(only(found({ container: few, pictures: null })).code).toBe('bitRate');
    expect(only(found({ container: few, pictures: { ...RIGHT, blocking: 1.25 } })).code).toBe('bitRate');
    // So few were enough for what there was to be seen.
    expect(found({ container: few })).toEqual([]);
    expect(only(found({ cutShort: true })).code).toBe('cutOff');
    expect(only(found({}, { ...PLAN, recordSeconds: 60 }))).toMatchObject({
      code: 'cutOff',
      value: 10,
      limit: 60,
    });
  });

  it.each([
    ['tilt', pictures({ tiltDeg: -6 })],
    ['shake', pictures({ movement: { ...RIGHT.movement!, shakePctWidthPerSRms: 40 } })],
    ['soft', pictures({ blur: { median: 0.7, followsMovement: 0, nearMedian: null, aroundMedian: null } })],
    ['soft', pictures({ blur: { median: 0.4, followsMovement: 0, nearMedian: 0.7, aroundMedian: 0.3 } })],
    ['noise', pictures({ noiseDarkDb: 25 })],
    ['drift', pictures({ exposureSteps: 9 })],
    ['stutter', pictures({ repeatedPct: 50, repeatPattern: 2 })],
    ['under', pictures({ crushedPct: { median: 20, worst: 30, worstAtSeconds: 2 } })],
    ['under', pictures({ middleStops: { median: -5, min: -6, max: -4 } })],
    ['bitRate', pictures({ blocking: 1.8 })],
    ['wind', { sound: { ...SOUND, windPct: 60 } }],
    ['clippedSound', { sound: { ...SOUND, clippedPct: 2 } }],
    ['silent', { sound: { ...SOUND, silentPct: 100 } }],
  ] as const)('%s is found alone', (code, over) => {
    expect(only(found(over)).code).toBe(code);
  });

  it('blur that goes with the movement is no lack of focus, and a tilt without a line is none', () => {
    expect(
      found(pictures({ blur: { median: 0.7, followsMovement: 0.8, nearMedian: null, aroundMedian: null } })),
    ).toEqual([]);
    expect(found(pictures({ tiltDeg: 9, tiltConfidence: 0.2 }))).toEqual([]);
  });

  it('the worst comes first, and what no edit mends before it', () => {
    const codes = found({
      ...pictures({
        clippedPct: { median: 0, worst: 1.2, worstAtSeconds: 0 },
        pulsingPct: 50,
        repeatedPct: 6,
      }),
    }).map(({ code }) => code);
    expect(codes).toEqual(['stutter', 'smear', 'over']);
  });

  it('a change is one that the camera has: solved under it, the shot has an answer', () => {
    const all = found({
      ...pictures({
        clippedPct: { median: 0, worst: 9, worstAtSeconds: 0 },
        pulsingPct: 30,
        tiltDeg: 8,
        blocking: 2,
      }),
    });
    expect(all.filter(({ change }) => change !== null).length).toBeGreaterThan(1);
    for (const { change, code } of all) {
      if (!change) continue;
      const pins = { ...heldBySettings(PLAN.brief, PLAN.settings), ...change };
      delete pins.shutterAngleDeg;
      if (change.shutterMode === 'fixed') delete pins.shutterFloorSeconds;
      expect(solve({ ...PLAN.brief, pins }).solved, code).toBe(true);
    }
  });

  it('a change is taken into a shot that keeps its schema, whatever was pinned before', () => {
    const pinned: Pins = {
      shutterAngleDeg: 180,
      shutterMode: 'auto',
      shutterFloorSeconds: 1 / 2000,
      frameRate: 50,
    };
    for (const change of [
      { shutterSeconds: 1 / 320 },
      { shutterMode: 'fixed', shutterSeconds: 1 / 100 },
      { frameRate: 25 },
      { view: { id: 'wide' }, stabilization: 'levelHold' },
    ] as const) {
      const shot = nextTime({ kind: 'lynxeye/shot', version: 3, pins: pinned }, 'again', change);
      const read = readShot(shot);
      expect(read.ok ? [] : read.faults).toEqual([]);
      if (read.ok) expect(solve(briefOf(read.value).brief).solved, JSON.stringify(change)).toBe(true);
    }
  });

  it('every limit says why', () => {
    for (const { because } of Object.values(LIMITS)) expect(because.length).toBeGreaterThan(15);
  });
});

describe('why it ended', () => {
  const facts = {
    seconds: 600,
    plannedSeconds: 1200,
    card: { filledGb: 20, usableGb: 60 },
    cell: { drawnWh: 2, givesWh: 6 },
    heatMinutes: null,
    goesOn: false,
    lastSecondMoves: null,
  };
  it.each([
    ['piece', { goesOn: true }],
    ['cardFull', { card: { filledGb: 59.5, usableGb: 60 } }],
    ['button', { lastSecondMoves: 3 }],
    ['button', { plannedSeconds: 610 }],
    ['batteryFlat', { cell: { drawnWh: 5.6, givesWh: 6 } }],
    ['tooHot', { heatMinutes: 10.5 }],
    ['unknown', {}],
  ] as const)('%s', (ending, over) => {
    expect(endedBy({ ...facts, ...over })).toBe(ending);
  });
});
