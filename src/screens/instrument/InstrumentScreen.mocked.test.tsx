import { act, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Rate } from '@/core/instrument/shake';
import { writeRates } from '@/formats/rates/rates';
import { visit } from '../testing/address';
import { said } from '../testing/said';
import { openStage } from '../testing/stage';
import type { Stage } from '../testing/stage';
import { InstrumentScreen } from './InstrumentScreen';

const picked: { file: File | null } = { file: null };
vi.mock('../files/pickFile', () => ({
  pickAnyFile: (_: string, take: (file: File) => void) => {
    if (picked.file) take(picked.file);
  },
}));

let stage: Stage;
beforeEach(async () => {
  stage = await openStage();
});
afterEach(async () => {
  vi.unstubAllGlobals();
  await stage.close();
});

/** A shake of so many degrees a second rms about x at two hertz. */
function rates(rms: number, seconds = 30): Rate[] {
  return Array.from({ length: seconds * 60 + 1 }, (_, at) => ({
    atSeconds: at / 60,
    x: Math.SQRT2 * rms * Math.sin((2 * Math.PI * 2 * at) / 60),
    y: 0,
    z: 0,
  }));
}

async function readSheet(text: string): Promise<void> {
  picked.file = new File([text], 'rates.csv');
  await stage.user.click(screen.getByRole('button', { name: 'From a sheet (CSV)' }));
}

describe('the phone as an instrument', () => {
  it('keeps the shake of a sheet for the shot, with its source, and lets it be removed', async () => {
    visit('/instrument?shot=demo-02');
    stage.show(<InstrumentScreen />);
    await screen.findByText('Shot: Upper gorge run');
    await readSheet(writeRates(rates(44)));
    // In a pocket any way, what turns about one axis is shared out over all.
    const keep = await screen.findByRole('button', { name: /^Keep 39\.\d °\/s$/ });
    expect(screen.getByText(/60 readings a second, .* Usual on this mount: 40/)).toBeDefined();
    await stage.user.click(keep);
    expect(await screen.findByText(/^from a sheet of 30 s, read on/)).toBeDefined();
    expect((await stage.database.shots.get('demo-02'))!.shot.motion?.shakeDegPerSRms).toBeCloseTo(39.4, 0);
    await stage.user.click(screen.getByRole('button', { name: /^Remove: shakes/ }));
    await waitFor(async () => expect(await stage.database.measured.count()).toBe(0));
  });

  it('says why a recording tells nothing, and what is amiss in a sheet', async () => {
    visit('/instrument?shot=demo-02');
    stage.show(<InstrumentScreen />);
    await screen.findByText('Shot: Upper gorge run');
    await readSheet(writeRates(rates(44, 8)));
    expect((await screen.findByRole('alert')).textContent).toContain('8 s were recorded; 20 s at least');
    await readSheet('a,b\n1,2\n');
    await waitFor(() =>
      expect(said.at(-1)).toMatch(/Nothing was taken from rates\.csv\. row 1: expected columns/),
    );
  });

  it('says that there is no sensor, or that it was refused', async () => {
    vi.stubGlobal('DeviceMotionEvent', undefined);
    visit('/instrument?item=demo-kit-helmet&part=level');
    stage.show(<InstrumentScreen />);
    await stage.user.click(await screen.findByRole('button', { name: 'Begin' }));
    expect((await screen.findByRole('alert')).textContent).toContain('gives no motion sensor');
    vi.stubGlobal('DeviceMotionEvent', { requestPermission: () => Promise.resolve('denied') });
    await stage.user.click(screen.getByRole('button', { name: 'Begin' }));
    await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('was refused'));
  });

  it('reads the level of what it is held against, once it is still', async () => {
    vi.stubGlobal('DeviceMotionEvent', { requestPermission: () => Promise.resolve('granted') });
    visit('/instrument?item=demo-kit-helmet&part=level');
    stage.show(<InstrumentScreen />);
    await stage.user.click(await screen.findByRole('button', { name: 'Begin' }));
    const feel = (atMs: number, x: number, y: number, z: number): void => {
      for (let at = 0; at < 40; at++)
        act(() => {
          const event = new Event('devicemotion');
          Object.assign(event, { accelerationIncludingGravity: { x, y, z } });
          Object.defineProperty(event, 'timeStamp', { value: atMs + at });
          window.dispatchEvent(event);
        });
    };
    await act(() => Promise.resolve());
    feel(10_000, 0, 0.1, 9.8);
    await screen.findByText(/lies flat or moves/);
    feel(11_100, -1.71, 9.66, 0);
    feel(11_300, -1.71, 9.66, 0);
    const keep = await screen.findByRole('button', { name: 'Keep: tilted 10.0°, looking down 0.0°' });
    await stage.user.click(keep);
    await waitFor(async () =>
      expect((await stage.database.kit.get('demo-kit-helmet'))?.thing).toMatchObject({
        tiltDeg: 10,
        pitchDeg: 0,
      }),
    );
  });

  it('has the light of a shot, and of a mount none', async () => {
    visit('/instrument?item=demo-kit-helmet&part=light');
    stage.show(<InstrumentScreen />);
    expect((await screen.findByRole('status')).textContent).toContain('choose one above');
  });
});
