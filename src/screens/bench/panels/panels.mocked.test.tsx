import { screen, waitFor, within } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { briefOf } from '@/core/brief/brief';
import { evRangeOf } from '@/core/light/lightRange';
import { emptyShot } from '@/core/records/emptyShot';
import type { Shot } from '@/core/records/shot';
import { PAIR_LABEL, SCHOOL_LABEL } from '@/words/labels';
import { useIncoming } from '../../files/incoming';
import { enter } from '../../testing/enter';
import { holdShot } from '../../testing/heldShot';
import type { HeldShot, ShotInPage } from '../../testing/heldShot';
import { said } from '../../testing/said';
import { openStage } from '../../testing/stage';
import type { Stage } from '../../testing/stage';
import { AnglesPanel } from './angles/AnglesPanel';
import { CamerasPanel } from './cameras/CamerasPanel';
import { Schools } from './choice/Schools';
import { SoundToDo } from './choice/SoundToDo';
import { Flicker } from './lamps/Flicker';
import { MountsPanel } from './mounts/MountsPanel';
import { PairPanel } from './pair/PairPanel';
import { ReadingsPanel } from './readings/ReadingsPanel';
import { TimeLapsePanel } from './timeLapse/TimeLapsePanel';

// Pictures are drawn by workers on a canvas: the browser's tests look at them.
vi.mock('./preview/useFilms', () => ({ useFilms: () => [], joinedFilms: () => [] }));
vi.mock('./preview/Player', () => ({ Player: () => null }));

let stage: Stage;
beforeEach(async () => {
  stage = await openStage();
  useIncoming.setState({ files: [] });
});
afterEach(() => stage.close());

const RIDE: Shot = {
  ...emptyShot('Ride'),
  mount: { kind: 'helmet', ground: 'rough', activity: 'riding' },
  light: { kind: 'range', evMin: 10, evMax: 13 },
  filters: [{ id: 'nd8', kind: 'nd', stops: 3 }],
};

const open = (first: Shot, panel: (open: ShotInPage) => ReactNode): HeldShot => {
  const held = holdShot(first);
  stage.show(<held.Over>{panel}</held.Over>);
  return held;
};
const number = (name: string | RegExp, at = 0): HTMLElement =>
  screen.getAllByRole('spinbutton', { name })[at]!;
const press = async (name: string | RegExp): Promise<void> =>
  stage.user.click(await screen.findByRole('button', { name }));
const choose = async (name: string | RegExp, option: string | RegExp): Promise<void> => {
  await stage.user.click(screen.getByRole('combobox', { name }));
  await stage.user.click((await screen.findAllByTitle(option)).at(-1)!);
};

const LAPSE: Shot = { ...RIDE, timeLapse: {} };

describe('sound', () => {
  it('is told where somebody is to be heard, with the air that passes the microphone', async () => {
    open({ ...RIDE, sound: { speech: true, windMps: 5 }, motion: { travelMps: 7 } }, ({ solution }) => (
      <SoundToDo solution={solution} />
    ));
    const list = await screen.findByRole('region', { name: 'Sound' });
    expect(list.textContent).toContain(
      '12 m/s of air pass the microphone, heading into the wind (7 of travel and 5 of wind)',
    );
  });
});

describe('a time-lapse', () => {
  const show = (first = RIDE): HeldShot =>
    open(first, ({ brief, editing }) => <TimeLapsePanel brief={brief} editing={editing} />);

  it('is only tried until it is kept, and then changes with what is told; video again takes it away', async () => {
    const held = show();
    enter(number('Every'), '7.5');
    expect(held.now()).toEqual(RIDE);
    await press(/^Keep it/);
    expect(held.now()).toMatchObject({
      pins: { recording: 'timeLapse' },
      timeLapse: { intervalSeconds: 7.5, moving: false },
    });
    await choose('The camera', /moves/);
    expect(held.now()).toMatchObject({
      pins: { recording: 'movingTimeLapse' },
      timeLapse: { moving: true },
    });
    await press(/^Film it as video/);
    expect(held.now()).toEqual(RIDE);
  });

  it('keeps an interval and goes back to the usual one', () => {
    const held = show(LAPSE);
    enter(number('Every'), '7.5');
    expect(held.now().timeLapse).toMatchObject({ intervalSeconds: 7.5 });
    expect(briefOf(held.now()).brief.timeLapse.intervalSeconds).toBe(7.5);
    enter(number('Every'), '');
    expect(held.now().timeLapse).toEqual({});
  });

  it('takes the interval that makes a clip of ten seconds', async () => {
    const held = show({ ...LAPSE, limits: { recordSeconds: 3600 }, playback: { timelineFps: 25 } });
    await press(/10 s/);
    // 250 pictures over an hour: 14.4 s, to the half.
    expect(held.now().timeLapse).toEqual({ intervalSeconds: 14.5 });
  });

  it('of a moving camera asks for a speed instead, and of a wanted blur for how much', async () => {
    const held = show(LAPSE);
    await choose('The camera', /moves/);
    expect(screen.queryByRole('spinbutton', { name: 'Every' })).toBeNull();
    enter(number('Faster than life'), '30');
    expect(held.now().timeLapse).toEqual({ moving: true, speedUp: 30 });
    await choose(/^Each picture/, /blur/);
    enter(number('Blur'), '2');
    expect(held.now().timeLapse).toMatchObject({ look: 'blur', blurPct: 2 });
  });

  it('says what its figures are made of, and why', () => {
    show({ ...RIDE, timeLapse: { intervalSeconds: 2 }, limits: { recordSeconds: 1800 } });
    const panel = within(screen.getByRole('region', { name: 'Time-lapse' }));
    const whys = panel.getAllByRole('listitem').map(({ textContent }) => textContent);
    // One at the start, and one at the end of each of 900 intervals.
    expect(whys[0]).toContain('901');
    expect(whys.length).toBeGreaterThanOrEqual(2);
  });

  it('of a loop says how soon one must press, or that it is too short, and keeps it', async () => {
    const held = show();
    enter(number('Keeps the last'), '10');
    enter(number(/before the event/), '60');
    expect(held.now()).toEqual(RIDE);
    await press(/^Keep the loop/);
    expect(held.now()).toMatchObject({
      pins: { recording: 'loop' },
      loop: { minutes: 10, leadSeconds: 60 },
    });
    const loop = within(screen.getByRole('region', { name: 'Loop' }));
    const status = (): string => loop.getByRole('status').textContent;
    const fine = status();
    enter(number('Keeps the last'), '0.5');
    enter(number('The event lasts'), '600');
    expect(status()).not.toBe(fine);
    expect(status()).toMatch(/too short/);
  });
});

describe('readings of the light', () => {
  const show = (first = RIDE): HeldShot =>
    open(first, ({ solution, editing }) => <ReadingsPanel solution={solution} editing={editing} />);

  it('begin at the light that was told, and say what they come to', async () => {
    const held = show();
    await press('A camera on automatic');
    expect(held.now().light).toMatchObject({ kind: 'readings', readings: [{ iso: 100 }] });
    expect(evRangeOf(held.now().light!).evMax).toBeCloseTo(13, 1);
    await press('A meter in lux');
    expect(screen.getAllByRole('listitem')).toHaveLength(2);
    enter(number('Illuminance'), '2560');
    expect(evRangeOf(held.now().light!).evMin).toBeCloseTo(10, 6);
    expect(held.labels).toHaveLength(3);
  });

  it('change figure by figure, whole where they are whole', async () => {
    const held = show();
    await press('A camera on automatic');
    const before = evRangeOf(held.now().light!).evMax;
    enter(number(/^Shutter/), '50');
    enter(number('ISO'), '199.7');
    enter(number('Filter that was on'), '3');
    enter(number('Picture off by'), '-0.5');
    enter(screen.getByRole('textbox'), 'At the gate');
    expect(held.now().light).toMatchObject({
      readings: [{ shutterSeconds: 0.02, iso: 200, filterStops: 3, offStops: -0.5, where: 'At the gate' }],
    });
    expect(evRangeOf(held.now().light!).evMax).not.toBeCloseTo(before, 1);
  });

  it('are widened, and taken away one by one down to a range', async () => {
    const held = show();
    await press('A meter in lux');
    enter(number('The run gets darker by'), '2');
    enter(number('and brighter by'), '1');
    const { evMin, evMax } = evRangeOf(held.now().light!);
    expect(evMax - evMin).toBeCloseTo(3, 6);
    await press('Take reading 1 away');
    expect(held.now().light?.kind).toBe('range');
    expect(screen.getByText(/No reading yet/)).toBeDefined();
  });
});

describe('lamps that pulse', () => {
  it('take a safe shutter as a pin, and know mains and screens', async () => {
    const dusk: Shot = { ...RIDE, light: { kind: 'range', evMin: 5, evMax: 7 } };
    const held = open(dusk, ({ solution, editing }) => <Flicker solution={solution} editing={editing} />);
    await choose('Mains', '60 Hz');
    expect(held.now().limits).toEqual({ mainsHz: 60 });
    const [take] = screen.getAllByRole('button', { name: /^Take 1\// });
    const seconds = 1 / Number(/1\/(\d+)/.exec(take!.getAttribute('aria-label')!)![1]);
    // Whole pulses of 120 a second fit into it.
    expect((seconds * 120) % 1).toBeCloseTo(0, 1);
    await stage.user.click(take!);
    expect(held.now().pins).toMatchObject({ shutterMode: 'fixed' });
    expect(held.now().pins!.shutterSeconds).toBeCloseTo(seconds, 4);
    await choose('Lamps pulse', /screen/);
    enter(number(/^Screen pulses/), '240');
    expect(held.now().limits).toEqual({ mainsHz: 60, lamps: 'screen', screenHz: 240 });
  });
});

describe('the schools side by side', () => {
  it('take another school, each with its price, and name the one chosen', async () => {
    const held = open(RIDE, ({ solution, editing }) => <Schools solution={solution} editing={editing} />);
    const chosen = briefOf(RIDE).brief.look.school;
    const others = (Object.keys(SCHOOL_LABEL) as (keyof typeof SCHOOL_LABEL)[]).filter((id) => id !== chosen);
    for (const id of others.slice(0, 2)) {
      await press(`Take ${SCHOOL_LABEL[id]}`);
      expect(held.now().look).toMatchObject({ school: id });
      expect(screen.queryByRole('button', { name: `Take ${SCHOOL_LABEL[id]}` })).toBeNull();
    }
  });
});

describe('mounts side by side', () => {
  it('take another mount with its own habits: what was told of the old one goes', async () => {
    const first: Shot = {
      ...RIDE,
      mount: { ...RIDE.mount, pitchDeg: 12 },
      motion: { travelMps: 6, shakeDegPerSRms: 33, panDegPerS: 20 },
    };
    const held = open(first, ({ solution, editing }) => (
      <MountsPanel solution={solution} editing={editing} />
    ));
    const [take] = screen.getAllByRole('button', { name: 'Take' });
    await stage.user.click(take!);
    expect(held.now().mount).toEqual({
      kind: expect.not.stringMatching('helmet') as string,
      ground: 'rough',
      activity: 'riding',
    });
    expect(held.now().motion).toEqual({ travelMps: 6 });
  });
});

describe('several cameras on one shot', () => {
  const show = (first = RIDE): HeldShot =>
    open(first, ({ editing }) => <CamerasPanel id="demo-01" whole={editing} />);

  it('add one, solve them together and take it off again', async () => {
    // Posted straight away, white balance is left automatic, and two automatics part.
    const light = { kind: 'range' as const, evMin: 9, evMax: 15 };
    const held = show({ ...RIDE, light, look: { grade: 'none' } });
    await press('Add a camera');
    // One that is not on the shot yet, where else it is usually worn.
    expect(held.now().secondAngles).toMatchObject([
      { name: 'Chest', camera: { profile: {} }, mount: { kind: 'chest', activity: 'riding' } },
    ]);
    expect(screen.getByRole('row', { name: /^Sharpening/ })).toBeTruthy();
    await press(/together/i);
    const pins = [held.now().pins, held.now().secondAngles![0]!.pins];
    expect(pins[0]!.frameRate).toBe(pins[1]!.frameRate);
    expect(said.at(-1)).toMatch(/loss/);
    enter(screen.getAllByRole('textbox')[0]!, 'Bow');
    expect(held.now().secondAngles![0]!.name).toBe('Bow');
    await press(/^(Take off|Remove)/);
    expect(held.now()).not.toHaveProperty('secondAngles');
  });
});

describe('a pair that joins', () => {
  const show = (first = RIDE): HeldShot =>
    open(first, ({ editing }) => <PairPanel id="demo-01" whole={editing} />);

  it('begins from the shot, is set alike, and parts again with the first half as it is', async () => {
    const held = show();
    await press(PAIR_LABEL.whip);
    expect(held.now().pair).toMatchObject({ kind: 'whip', second: { mount: RIDE.mount } });
    enter(number('Blur at the join'), '20');
    expect(held.now().pair!.blurPct).toBe(20);
    enter(screen.getByRole('textbox'), 'Into the lake');
    expect(held.now().pair!.second.name).toBe('Into the lake');
    await press('Set both halves alike');
    const { pins, pair } = held.now();
    expect(pair!.second.pins).toMatchObject({
      frameRate: pins!.frameRate,
      shutterSeconds: pins!.shutterSeconds,
    });
    expect(held.now().motion!.panDegPerS! % 5).toBe(0);
    expect(screen.getByText(/^The halves join/)).toBeDefined();
    await press(/^Part the pair/);
    expect(held.now()).not.toHaveProperty('pair');
    expect(held.now().pins).toEqual(pins);
  });
});

describe('angles on an action', () => {
  it('become shots of their own, those that are left ticked, in one step', async () => {
    open(RIDE, ({ shot, solution }) => <AnglesPanel shot={shot} solution={solution} />);
    const boxes = screen.getAllByRole('checkbox');
    expect(boxes.length).toBeGreaterThan(1);
    await stage.user.click(boxes[0]!);
    const count = await stage.database.shots.count();
    await press(/^Make/);
    await waitFor(() => expect(said).toHaveLength(1));
    expect(await stage.database.shots.count()).toBe(count + boxes.length - 1);
    await stage.repository.history.undo();
    expect(await stage.database.shots.count()).toBe(count);
  });
});
