import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { emptyShot } from '@/core/records/emptyShot';
import type { Shot } from '@/core/records/shot';
import { visit } from '../../testing/address';
import { enter } from '../../testing/enter';
import { holdShot } from '../../testing/heldShot';
import type { HeldShot } from '../../testing/heldShot';
import { openStage } from '../../testing/stage';
import type { Stage } from '../../testing/stage';
import { Sentence } from './Sentence';
import { painted } from '../../testing/settled';

let stage: Stage;
beforeEach(async () => {
  stage = await openStage();
  visit('/bench?shot=demo-01');
});
afterEach(() => stage.close());

const RIDE: Shot = { ...emptyShot('Ride'), light: { kind: 'range', evMin: 10, evMax: 13 } };

const open = async (first = RIDE, words: 'all' | 'folded' = 'all'): Promise<HeldShot> => {
  const held = holdShot(first);
  stage.show(
    <held.Over>
      {({ brief, editing, solved }) => <Sentence brief={brief} assumed={solved.assumed} editing={editing} />}
    </held.Over>,
  );
  await screen.findByRole('group', { name: 'The brief' });
  if (words === 'all') {
    await stage.user.click(screen.getByRole('button', { name: 'All words' }));
    await screen.findByRole('spinbutton', { name: /^Timeline/ });
  }
  return held;
};
/** A word by its name, whoever set it. */
const word = (role: 'combobox' | 'spinbutton', name: string): HTMLElement =>
  screen.getByRole(role, { name: new RegExp(`^${name},`) });
const choose = async (name: string, option: string | RegExp): Promise<void> => {
  await stage.user.click(word('combobox', name));
  await stage.user.click((await screen.findAllByTitle(option)).at(-1)!);
};

describe('the brief as a sentence', () => {
  it('is folded to what the person set of it, and opens by phrase or as a whole', async () => {
    await open({ ...RIDE, playback: { timelineFps: 50, slowdown: 2 } }, 'folded');
    const watched = screen.getByRole('button', { name: 'Watched: at 50\u00a0fps slowed 2\u00a0×' });
    expect(screen.getByRole('button', { name: 'Ride: all as usual' })).toBeDefined();
    expect(screen.queryByRole('combobox', { name: /^Mount/ })).toBeNull();
    await stage.user.click(watched);
    expect(word('spinbutton', 'Timeline')).toBeDefined();
    expect(screen.queryByRole('combobox', { name: /^Mount/ })).toBeNull();
    await stage.user.click(screen.getByRole('button', { name: 'Watched' }));
    expect(screen.queryByRole('spinbutton', { name: /^Timeline/ })).toBeNull();
    await stage.user.click(screen.getByRole('button', { name: 'All words' }));
    expect(await screen.findByRole('combobox', { name: /^Mount/ })).toBeDefined();
    expect(screen.queryByRole('button', { name: 'Watched' })).toBeNull();
  });

  it('says of each word whether it is the usual or set by the person', async () => {
    const held = await open();
    const timeline = word('spinbutton', 'Timeline');
    const usual = timeline.getAttribute('aria-label')!;
    enter(timeline, '50');
    expect(held.now().playback).toEqual({ timelineFps: 50 });
    await waitFor(() => expect(word('spinbutton', 'Timeline').getAttribute('aria-label')).not.toBe(usual));
  });

  it('sets a word, and gives it back to the usual by its menu or the Delete key', async () => {
    const held = await open();
    await choose('Mount', 'chest');
    expect(held.now().mount).toEqual({ kind: 'chest' });
    fireEvent.keyDown(word('combobox', 'Mount'), { key: 'Delete' });
    expect(held.now()).not.toHaveProperty('mount');
    await choose('Mount', 'chest');
    await choose('Mount', /usual/);
    expect(held.now()).not.toHaveProperty('mount');
  });

  it('takes a number while it is typed, within its bounds, and writes when it is left', async () => {
    const held = await open();
    const field = word('spinbutton', 'ISO ceiling');
    fireEvent.focus(field);
    fireEvent.change(field, { target: { value: '1600' } });
    expect(held.now().limits).toEqual({ isoCeiling: 1600 });
    const steps = held.labels.length;
    fireEvent.blur(field);
    expect(held.labels.length).toBeGreaterThan(steps);
    fireEvent.focus(field);
    fireEvent.change(field, { target: { value: '3' } });
    expect(held.now().limits).toEqual({ isoCeiling: 1600 });
  });

  it('leaves what is being typed while another word changes', async () => {
    const held = await open();
    const field = word('spinbutton', 'ISO ceiling');
    fireEvent.focus(field);
    fireEvent.change(field, { target: { value: '3' } });
    fireEvent.change(word('spinbutton', 'Darkest'), { target: { value: '9' } });
    expect(held.now().light).toMatchObject({ evMin: 9 });
    await waitFor(() => expect(word('spinbutton', 'Darkest').getAttribute('value')).toBe('9'));
    await painted();
    expect((field as HTMLInputElement).value).toBe('3');
  });

  it('brings the light over when it is told another way', async () => {
    const held = await open();
    await choose('Light told by', /lux/);
    expect(held.now().light).toEqual({ kind: 'lux', luxMin: 2560, luxMax: 20_480 });
    await screen.findAllByText('lux');
    enter(word('spinbutton', 'Darkest'), '100');
    expect(held.now().light).toEqual({ kind: 'lux', luxMin: 100, luxMax: 20_480 });
    enter(word('spinbutton', 'Brightest'), '50');
    expect(held.now().light).toEqual({ kind: 'lux', luxMin: 50, luxMax: 50 });
  });

  it('puts filters into the bag and takes them out', async () => {
    const held = await open({ ...RIDE, filters: [] });
    const bag = screen.getByRole('combobox', { name: /^Filters in the bag/ });
    await stage.user.click(bag);
    await stage.user.click((await screen.findAllByTitle('ND64')).at(-1)!);
    expect(held.now().filters).toMatchObject([{ id: 'nd64', stops: 6 }]);
    // The sentence follows a moment later.
    await screen.findByText(/^ND64/, { selector: 'span' });
    screen.getByRole('combobox', { name: /^Filters in the bag/ }).focus();
    await stage.user.keyboard('{Backspace}');
    await waitFor(() => expect(held.now().filters).toEqual([]));
  });

  it('has the way to the panel of what is set there', async () => {
    await open({
      ...RIDE,
      light: {
        kind: 'sun',
        lat: 46.6,
        lon: 12.3,
        from: '2026-10-03T10:00:00+02:00',
        to: '2026-10-03T11:00:00+02:00',
        place: 'Somewhere',
        zone: 'Europe/Rome',
      },
    });
    const sentence = within(screen.getByRole('group', { name: 'The brief' }));
    const link = sentence.getByRole('link', { name: /Somewhere/ });
    expect(link.getAttribute('href')).toContain('part=light');
  });
});
