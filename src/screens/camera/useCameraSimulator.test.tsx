import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ARCHETYPES } from '@/core/camera/archetypes';
import type { Settings } from '@/core/records/settings';
import { writeSetup } from '@/formats/code/setupCode';
import type { Setup } from '@/formats/code/setupCode';
import type { Repository } from '@/store/repository';
import { RepositoryContext } from '../data/repository';
import { said } from '../testing/said';
import { useCameraSimulator } from './useCameraSimulator';
import { WordedError } from '@/words/whyText';

const camera = ARCHETYPES.main;
const setup: Setup = {
  name: 'Helmet 25',
  cameraId: camera.id,
  settings: {
    recording: 'video',
    frameRate: 25,
    shutterSeconds: 0.005,
    shutterMode: 'fixed',
    iso: { min: 100, max: 800 },
    resolution: { width: 3840, height: 2160 },
    view: { id: 'wide', horizontalDeg: camera.views.find(({ id }) => id === 'wide')!.horizontalDeg },
    bitRateMbps: 60,
    codec: 'hevc',
    bitDepth: 10,
    stabilization: 'standard',
    whiteBalance: 5500,
    colour: 'standard',
    exposureOffsetStops: 0,
    sharpening: 'low',
    noiseReduction: 'low',
  },
  intervalSeconds: null,
  clock: null,
  startAfterSeconds: null,
};

interface Recorded {
  shotId: string;
  part: number;
  settings: Settings;
  clip: { seconds: number; gigabytes: number; file: string };
  cutReason: string | null;
}
let recorded: Recorded[];
let refuse: Error | null;
const repository = {
  record: (shotId: string, settings: Settings, part: number, more: Pick<Recorded, 'clip' | 'cutReason'>) => {
    if (refuse) return Promise.reject(refuse);
    recorded.push({ shotId, settings, part, ...more });
    return Promise.resolve('id');
  },
} as unknown as Repository;

beforeEach(() => {
  vi.useFakeTimers();
  recorded = [];
  refuse = null;
});
afterEach(() => {
  vi.useRealTimers();
});

const WORLD = { airC: 15, sunC: 0, airSpeedMps: 4, evMin: 11, evMax: 13, filterStops: 3 };
const FILTER = { ids: ['nd8'], stops: 3 };

function standIn({
  speed = 10,
  capacityGb = 64,
  airC = 15,
  log = true,
  shownCode = null,
}: { speed?: number; capacityGb?: number; airC?: number; log?: boolean; shownCode?: string | null } = {}) {
  const told = {
    camera,
    gear: { capacityGb, ampereHours: 1.72, volts: 3.85 },
    world: { ...WORLD, airC },
    speed,
    log: log
      ? { shotId: 'demo-01', part: 1, settings: { ...setup.settings, filter: FILTER, shutterAngleDeg: 45 } }
      : null,
    shownCode,
  };
  const wrapper = ({ children }: { children: ReactNode }): ReactNode => (
    <RepositoryContext value={repository}>{children}</RepositoryContext>
  );
  const { result } = renderHook(() => useCameraSimulator(told), { wrapper });
  return {
    now: () => result.current,
    read: (more: Partial<Setup> = {}) => act(() => result.current.read(writeSetup({ ...setup, ...more }))),
    readText: (text: string) => act(() => result.current.read(text)),
    press: () => act(() => result.current.press()),
    fresh: () => act(() => result.current.fresh()),
    /** Lets so many seconds of the page go by. */
    wait: (seconds: number) => act(() => vi.advanceTimersByTimeAsync(seconds * 1000)),
  };
}

describe('the stand-in camera on its page', () => {
  it('takes a code, and says what it is set to or why it is not', () => {
    const camera = standIn();
    camera.readText('nothing of ours');
    expect(camera.now().said).toMatchObject({ ok: false });
    camera.read();
    expect(camera.now().said).toMatchObject({
      ok: true,
      text: expect.stringContaining('Helmet 25') as string,
    });
    const tooFast = { ...setup.settings, frameRate: 1000, shutterSeconds: 0.0005 };
    camera.read({ settings: tooFast });
    expect(camera.now().said).toMatchObject({ ok: false });
    expect(camera.now().state.setup?.settings.frameRate).toBe(25);
  });

  it('stands with a code before it from the first, its start kept; one that is none it says so', async () => {
    const camera = standIn({ speed: 1, shownCode: writeSetup({ ...setup, startAfterSeconds: 5 }) });
    expect(camera.now().said?.text).toContain('Helmet 25');
    expect(camera.now().state.running).toBeNull();
    await camera.wait(6);
    expect(camera.now().state.running).not.toBeNull();
    const none = standIn({ shownCode: 'nothing of ours' });
    expect(none.now().said).toMatchObject({ ok: false });
    expect(none.now().state.setup).toBeNull();
  });

  it('runs as fast as it is told, and hands its clip to the log when it is stopped', async () => {
    const camera = standIn({ speed: 10 });
    camera.read();
    camera.press();
    await camera.wait(6);
    expect(camera.now().state.running).not.toBeNull();
    camera.press();
    await camera.wait(0.1);
    expect(recorded).toHaveLength(1);
    expect(recorded[0]).toMatchObject({ shotId: 'demo-01', part: 1, cutReason: null });
    expect(recorded[0]!.clip.seconds).toBeCloseTo(60, 0);
    // The filter is the person's, and the angle that of the shutter it was set to.
    expect(recorded[0]!.settings.filter).toEqual(FILTER);
    expect(recorded[0]!.settings.shutterAngleDeg).toBeCloseTo(45, 6);
    await camera.wait(2);
    expect(recorded).toHaveLength(1);
  });

  it('starts by itself after the seconds told', async () => {
    const camera = standIn({ speed: 1 });
    camera.read({ startAfterSeconds: 5 });
    expect(camera.now().said!.text).toContain('5');
    await camera.wait(4);
    expect(camera.now().state.running).toBeNull();
    await camera.wait(2);
    expect(camera.now().state.running).not.toBeNull();
  });

  it('logs why it was cut off, and is fresh again with its set-up kept', async () => {
    const camera = standIn({ speed: 300, capacityGb: 2 });
    camera.read();
    camera.press();
    await camera.wait(4);
    expect(camera.now().state.running).toBeNull();
    expect(recorded).toMatchObject([{ cutReason: 'cardFull' }]);
    expect(recorded[0]!.clip.gigabytes).toBeLessThanOrEqual(2);
    camera.fresh();
    expect(camera.now().state.clips).toEqual([]);
    expect(camera.now().state.setup?.name).toBe('Helmet 25');
    camera.press();
    await camera.wait(0.3);
    camera.press();
    await camera.wait(0.1);
    expect(recorded).toHaveLength(2);
    expect(recorded[1]).toMatchObject({ cutReason: null });
  });

  it('writes nothing without a shot to log for, and tells what could not be written', async () => {
    const quiet = standIn({ log: false });
    quiet.read();
    quiet.press();
    await quiet.wait(1);
    quiet.press();
    await quiet.wait(0.1);
    expect(recorded).toEqual([]);
    refuse = new WordedError('the storage is full');
    const full = standIn();
    full.read();
    full.press();
    await full.wait(1);
    full.press();
    await full.wait(0.1);
    expect(said).toEqual(['! the storage is full']);
  });
});
