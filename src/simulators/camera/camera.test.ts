import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { sealed } from '../../../fuzz/sealed';
import { daySheet } from '@/core/day/daySheet';
import { scheduleOf } from '@/core/day/schedule';
import { ARCHETYPES } from '@/core/camera/archetypes';
import { modesOf } from '@/core/camera/modeTable';
import { item } from '@/core/units/items';
import { readSetup, storable, writeSetup } from '@/formats/code/setupCode';
import type { Setup } from '@/formats/code/setupCode';
import { wallClock } from '@/formats/clock';
import { newCameraSimulator, passed, started, simulationStopped, takeSetup } from './camera';
import type { CameraSimulator, SimulatedWorld } from './camera';

const demo = makeDemo();
const outing = item(demo.outings, 0);
const shots = new Map(demo.shots.map((shot) => [shot.id, shot]));
const day = scheduleOf(outing, 'saturday', shots, wallClock(outing.zone));
const sheet = daySheet(day, outing.gear);

const setups = sheet.cameras.flatMap(({ cameraId, presets }) =>
  presets.map(({ settings, intervalSeconds }): Setup => ({
    name: 'Hut & do; 25',
    cameraId,
    settings: storable(settings),
    intervalSeconds,
    clock: '2026-10-03T10:10:05+02:00',
    startAfterSeconds: 10,
  })),
);
const otterSetup = setups.find(({ cameraId }) => cameraId === 'otter')!;
const otter = day.parts.find(({ camera }) => camera.id === 'otter')!.camera;
const gear = { capacityGb: 64, ampereHours: 1.72, volts: 3.85 };
const world: SimulatedWorld = { airC: 15, sunC: 0, airSpeedMps: 3, ev: 12, filterStops: 3 };

describe('a set-up code', () => {
  it('reads as the documentation writes it', () => {
    const docs = readFileSync(new URL('../../../docs/files.md', import.meta.url), 'utf8');
    const [example] = /lynxeye-setup\/2;n=\S+/.exec(docs)!;
    expect(readSetup(example)).toMatchObject({
      ok: true,
      setup: {
        name: 'Helmet 25',
        cameraId: 'otter',
        startAfterSeconds: 10,
        clock: '2026-10-03T10:10:05+02:00',
      },
    });
  });

  it('comes back as it was written, for every set-up of the demo day', () => {
    expect(setups.length).toBeGreaterThanOrEqual(4);
    for (const setup of setups) expect(readSetup(writeSetup(setup))).toEqual({ ok: true, setup });
  });

  it('is refused when a single character is changed, and says so', () => {
    const text = writeSetup(otterSetup);
    for (let at = 0; at < text.length; at += 1) {
      const damaged = `${text.slice(0, at)}${text[at] === 'a' ? 'b' : 'a'}${text.slice(at + 1)}`;
      if (damaged.toUpperCase() === text.toUpperCase()) continue;
      const read = readSetup(damaged);
      expect(read.ok, damaged).toBe(false);
    }
  });

  const fault = (text: string): unknown => {
    const read = readSetup(text);
    return read.ok ? null : read.fault;
  };
  const resealed = (change: (text: string) => string): string => {
    const body = change(writeSetup(otterSetup).replace(/;crc=.*/, ''));
    return sealed(body);
  };

  it('names what is wrong with it', () => {
    expect(fault('https://example.org/menu')).toEqual({ code: 'foreign' });
    expect(fault(writeSetup(otterSetup).slice(0, -3))).toEqual({ code: 'damaged' });
    expect(fault(resealed((body) => body.replace('setup/2', 'setup/9')))).toEqual({
      code: 'version',
      version: '9',
    });
    expect(fault(resealed((body) => body.replace(/;iso=[^;]*/, '')))).toEqual({
      code: 'missing',
      key: 'iso',
    });
    expect(fault(resealed((body) => `${body};zoom=2`))).toEqual({ code: 'unknown', key: 'zoom' });
    expect(fault(resealed((body) => body.replace(/;iso=[^;]*/, ';iso=lots')))).toEqual({
      code: 'value',
      key: 'iso',
      value: 'lots',
    });
  });
});

describe('the stand-in camera', () => {
  const ready = (setup: Setup = otterSetup): CameraSimulator => {
    const taken = takeSetup(newCameraSimulator(otter, gear, world.airC), setup);
    if (!taken.ok) throw new Error(JSON.stringify(taken.fault));
    return taken.camera;
  };

  it('sets itself and its clock, and starts after the seconds told', () => {
    const camera = ready();
    expect(camera.clockMs).toBe(Date.parse('2026-10-03T10:10:05+02:00'));
    expect(passed(camera, 8, world).running).toBeNull();
    const running = passed(camera, 20, world).running!;
    expect(running.startedMs! - camera.clockMs!).toBeCloseTo(8000, -4);
    expect(simulationStopped(passed(camera, 70, world)).clips[0]).toMatchObject({
      end: 'stopped',
      chapters: 1,
    });
  });

  it('refuses what it cannot do, by what it cannot', () => {
    const blank = newCameraSimulator(otter, gear, 15);
    const wrong = (settings: Partial<Setup['settings']>): unknown => {
      const taken = takeSetup(blank, { ...otterSetup, settings: { ...otterSetup.settings, ...settings } });
      return taken.ok ? null : taken.fault.code;
    };
    expect(takeSetup(blank, { ...otterSetup, cameraId: 'shrew' })).toEqual({
      ok: false,
      fault: { code: 'otherCamera', wanted: 'shrew', own: 'otter' },
    });
    expect(wrong({ frameRate: 999 })).toBe('noMode');
    expect(wrong({ bitRateMbps: 1999 })).toBe('rate');
    expect(wrong({ iso: { min: 25, max: 25 } })).toBe('iso');
    expect(wrong({ shutterMode: 'fixed', shutterSeconds: 1e-6, shutterFloorSeconds: undefined })).toBe(
      'shutter',
    );
    expect(wrong({})).toBeNull();
  });

  it('fills its card at the rate of the mode and stops there, in chapters', () => {
    const rate = otterSetup.settings.bitRateMbps + 0.256;
    const full = passed(started(ready({ ...otterSetup, startAfterSeconds: null })), 4 * 3600, {
      ...world,
      airC: 5,
    });
    const cell = passed(
      started({ ...ready({ ...otterSetup, startAfterSeconds: null }), cell: { fullWh: 99, leftWh: 99 } }),
      4 * 3600,
      world,
    );
    expect(full.clips[0]!.end).toBe('batteryFlat');
    expect(cell.clips[0]!.end).toBe('cardFull');
    expect(cell.clips[0]!.seconds).toBeCloseTo((64 * 0.97 * 8000) / rate, -1);
    expect(cell.clips[0]!.chapters).toBe(Math.ceil((64 * 0.97) / 4));
  });

  it('is stopped by heat when it stands in hot air, and not when it moves', () => {
    const profile = { ...ARCHETYPES.main, id: 'otter' };
    const fast: Setup = {
      ...otterSetup,
      startAfterSeconds: null,
      settings: { ...otterSetup.settings, ...modeAt60(profile) },
    };
    const blank = newCameraSimulator(profile, { ...gear, capacityGb: 512, ampereHours: 9 }, 33);
    const taken = takeSetup(blank, fast);
    if (!taken.ok) throw new Error(JSON.stringify(taken.fault));
    const hot: SimulatedWorld = { airC: 33, sunC: 0, airSpeedMps: 0, ev: 12, filterStops: 0 };
    const still = passed(started(taken.camera), 1800, hot);
    expect(still.clips[0]!.end).toBe('tooHot');
    expect(still.clips[0]!.seconds / 60).toBeCloseTo(13.6, 0);
    expect(passed(started(taken.camera), 1800, { ...hot, airSpeedMps: 6 }).running).not.toBeNull();
  });

  it('exposes by its shutter first and its ISO then, and says what it cannot hold', () => {
    const auto: Setup = {
      ...otterSetup,
      startAfterSeconds: null,
      settings: {
        ...otterSetup.settings,
        shutterMode: 'auto',
        shutterSeconds: 1 / 50,
        shutterFloorSeconds: 1 / 2000,
        iso: { min: 100, max: 800 },
        exposureOffsetStops: 0,
      },
    };
    const at = (ev: number): { shutterSeconds: number; iso: number; offStops: number } =>
      passed(started(ready(auto)), 2, { ...world, ev, filterStops: 0 }).running!;
    // N 2.8: EV 8.6 is 1/50 s at ISO 100.
    const edge = Math.log2(otter.fNumber ** 2 * 50);
    expect(at(edge)).toMatchObject({ iso: 100 });
    expect(at(edge).shutterSeconds).toBeCloseTo(1 / 50, 6);
    expect(at(edge + 2).shutterSeconds).toBeCloseTo(1 / 200, 6);
    expect(at(edge - 2)).toMatchObject({ iso: 400 });
    expect(at(edge - 4).offStops).toBeCloseTo(-1, 6);
    expect(at(edge + Math.log2(40) + 1).offStops).toBeCloseTo(1, 6);
  });
});

function modeAt60(
  profile: typeof ARCHETYPES.main,
): Pick<
  Setup['settings'],
  'frameRate' | 'resolution' | 'view' | 'stabilization' | 'bitRateMbps' | 'codec' | 'bitDepth'
> {
  const mode = modesOf(profile).find(
    (one) => one.frameRate === 60 && one.resolution.width === 3840 && one.resolution.height === 2160,
  )!;
  const encoding = mode.encodings[0]!;
  return {
    frameRate: 60,
    resolution: { width: 3840, height: 2160 },
    view: { id: mode.view.id, horizontalDeg: mode.view.horizontalDeg },
    stabilization: mode.stabilization,
    bitRateMbps: encoding.bitRateMbps,
    codec: encoding.codec,
    bitDepth: encoding.bitDepth,
  };
}
