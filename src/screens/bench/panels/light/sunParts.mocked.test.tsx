import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { emptyShot } from '@/core/records/emptyShot';
import type { Shot } from '@/core/records/shot';
import type { SunLight } from '@/core/light/sun/sunLight';
import { holdShot } from '../../../testing/heldShot';
import type { HeldShot } from '../../../testing/heldShot';
import { openStage } from '../../../testing/stage';
import type { Stage } from '../../../testing/stage';
import { CloudHours } from './CloudHours';
import { SkyAround } from './SkyAround';
import { changingSun } from './sunEditing';
import { WordedError } from '@/words/whyText';

// There is no layout here: every drawing is as wide as a laptop's.
vi.mock('../../../ui/useWidth', () => ({ useWidth: () => 900 }));

let stage: Stage;
beforeEach(async () => {
  stage = await openStage();
});
afterEach(async () => {
  vi.unstubAllGlobals();
  await stage.close();
});

const RIDE: Shot = {
  ...emptyShot('Ride'),
  light: {
    kind: 'sun',
    lat: 46.6,
    lon: 12.3,
    from: '2026-10-03T09:30:00+02:00',
    to: '2026-10-03T10:30:00+02:00',
    sky: 'clear',
    zone: 'Europe/Rome',
  },
};

const sunOf = (held: HeldShot): SunLight => {
  const { light } = held.now();
  if (light?.kind !== 'sun') throw new Error('no sun');
  return light;
};
const press = async (name: string | RegExp): Promise<void> =>
  stage.user.click(await screen.findByRole('button', { name }));

describe('cloud by the hour', () => {
  const show = (): HeldShot => {
    const held = holdShot(RIDE);
    stage.show(
      <held.Over>{({ editing }) => <CloudHours light={sunOf(held)} editing={editing} />}</held.Over>,
    );
    return held;
  };
  const hour = (clock: string): HTMLElement => screen.getByRole('slider', { name: new RegExp(clock) });

  it('is set by the arrow keys, in steps of five and with Shift of a quarter, within its bounds', () => {
    const held = show();
    expect(screen.getAllByRole('slider')).toHaveLength(24);
    fireEvent.keyDown(hour('10:00'), { key: 'ArrowUp' });
    fireEvent.keyDown(hour('10:00'), { key: 'ArrowUp', shiftKey: true });
    expect(sunOf(held).clouds).toEqual([
      expect.objectContaining({ at: '2026-10-03T10:00:00+02:00', cloudPct: 30, by: 'person' }),
    ]);
    for (let times = 0; times < 5; times++)
      fireEvent.keyDown(hour('10:00'), { key: 'ArrowDown', shiftKey: true });
    expect(sunOf(held).clouds?.[0]?.cloudPct).toBe(0);
    expect(hour('10:00').getAttribute('aria-valuenow')).toBe('0');
  });

  it('is walked from hour to hour, and stays within the day', () => {
    show();
    hour('12:00').focus();
    fireEvent.keyDown(hour('12:00'), { key: 'ArrowRight' });
    expect(document.activeElement).toBe(hour('13:00'));
    fireEvent.keyDown(hour('13:00'), { key: 'ArrowLeft' });
    fireEvent.keyDown(hour('12:00'), { key: 'ArrowLeft' });
    expect(document.activeElement).toBe(hour('11:00'));
    hour('23:00').focus();
    fireEvent.keyDown(hour('23:00'), { key: 'ArrowRight' });
    expect(document.activeElement).toBe(hour('23:00'));
  });

  it('is taken from the forecast but for the hours that the person set, and forgotten as a whole', async () => {
    const held = show();
    fireEvent.keyDown(hour('10:00'), { key: 'ArrowUp' });
    const asked: string[] = [];
    vi.stubGlobal('fetch', (url: string) => {
      asked.push(url);
      const hours = ['09', '10'].map((one) => ({
        at: `2026-10-03T${one}:00:00+02:00`,
        cloudPct: 70,
        spreadPct: 15,
      }));
      const forecast = { kind: 'lynxeye/forecast', version: 1, source: 'made up', simulated: true, hours };
      return Promise.resolve({ ok: true, json: () => Promise.resolve(forecast) });
    });
    await press(/forecast/i);
    await waitFor(() => expect(sunOf(held).clouds).toHaveLength(2));
    expect(asked[0]).toContain('lat=46.6');
    expect(sunOf(held).clouds?.map(({ cloudPct, by }) => [cloudPct, by])).toEqual([
      [70, 'forecast'],
      [5, 'person'],
    ]);
    await press(/^Forget/);
    expect(sunOf(held).clouds).toBeUndefined();
  });

  it('says that no forecast came, and changes nothing', async () => {
    const held = show();
    vi.stubGlobal('fetch', () => Promise.resolve({ ok: false, status: 503 }));
    await press(/forecast/i);
    await waitFor(() => expect(screen.getByRole('status').textContent).toContain('503'));
    vi.stubGlobal('fetch', () => Promise.reject(new WordedError('no way there')));
    await press(/forecast/i);
    await waitFor(() => expect(screen.getByRole('status').textContent).toContain('no way there'));
    expect(held.now()).toEqual(RIDE);
  });
});

describe('all round the place', () => {
  const show = (first = RIDE): HeldShot => {
    const held = holdShot(first);
    stage.show(
      <held.Over>
        {({ editing, solution }) => <SkyAround light={sunOf(held)} solution={solution} editing={editing} />}
      </held.Over>,
    );
    return held;
  };

  it('starts with a valley, gets corners more, another shade, and is cleared', async () => {
    const held = show();
    expect(sunOf(held).horizon).toBeUndefined();
    await press('A valley');
    const few = sunOf(held).horizon!.points.length;
    expect(few).toBeGreaterThan(1);
    await press('More corners');
    expect(sunOf(held).horizon!.points.length).toBeGreaterThan(few);
    await stage.user.click(screen.getByRole('combobox', { name: /shade behind/i }));
    await stage.user.click((await screen.findAllByTitle('dense wood')).at(-1)!);
    expect(sunOf(held).horizon!.behind).toBe('denseWood');
    await press('Clear it');
    expect(sunOf(held).horizon).toBeUndefined();
  });

  it('makes a gorge that lets the sun in from one hour to another', async () => {
    const held = show();
    fireEvent.change(screen.getByLabelText(/sun comes/i), { target: { value: '10:00' } });
    fireEvent.change(screen.getByLabelText(/sun goes/i), { target: { value: '14:00' } });
    await press(/A gorge/);
    const heights = sunOf(held).horizon!.points.map(({ altitudeDeg }) => altitudeDeg);
    expect(Math.max(...heights)).toBeGreaterThan(Math.min(...heights) + 10);
  });

  it('keeps its corners within the sky when they are moved by keys, and takes one off', () => {
    const corners = [0, 90, 180, 270].map((azimuthDeg) => ({ azimuthDeg, altitudeDeg: 20 }));
    const held = show(
      changingSun((old) => ({ ...old, horizon: { points: corners, behind: 'gorge' } }))(RIDE),
    );
    const corner = (at: number): HTMLElement =>
      screen.getByRole('slider', { name: new RegExp(`corner ${at}`, 'i') });
    fireEvent.keyDown(corner(2), { key: 'ArrowUp' });
    expect(sunOf(held).horizon!.points[1]!.altitudeDeg).toBeGreaterThan(20);
    for (let times = 0; times < 30; times++) fireEvent.keyDown(corner(2), { key: 'ArrowUp', shiftKey: true });
    expect(sunOf(held).horizon!.points[1]!.altitudeDeg).toBeLessThanOrEqual(90);
    fireEvent.keyDown(corner(2), { key: 'Delete' });
    expect(sunOf(held).horizon!.points).toHaveLength(3);
  });
});
