import { screen, waitFor, within } from '@testing-library/react';
import { useLiveQuery } from 'dexie-react-hooks';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { withEntry } from '@/core/records/entries';
import type { LogEntry } from '@/core/records/logEntry';
import type { Outing, OutingEntry } from '@/core/records/outing';
import { makeDemo } from '../../../../demo/makeDemo';
import { useShots } from '../../data/repository';
import { visit, visited } from '../../testing/address';
import { enter } from '../../testing/enter';
import type { Region } from '../../testing/region';
import { said } from '../../testing/said';
import { openStage } from '../../testing/stage';
import type { Stage } from '../../testing/stage';
import { DayCards } from './DayCards';

vi.mock('../../routes', async (original) => {
  const routes: object = await original();
  return { ...routes, readdress: visit };
});

const demo = makeDemo();
const [saturday, sunday] = demo.outings[0]!.days;
const entryOf = (shotId: string): OutingEntry =>
  saturday!.entries.find((entry) => entry.what === 'shot' && entry.shotId === shotId)!;
const TALK = entryOf('demo-01');
const RUN = entryOf('demo-02');

/** Two shots in different light with a break between, in which the camera is charged, and a second day. */
const outing: Outing = {
  ...demo.outings[0]!,
  ticked: [],
  gear: [
    {
      cameraId: 'otter',
      cards: [{ name: 'Card 256 GB', capacityGb: 256, writeMBps: 60 }],
      bank: { ampereHours: 5 },
      charging: 'breaks',
    },
  ],
  days: [
    {
      ...saturday!,
      entries: [
        { ...TALK, at: '09:00' },
        { what: 'break', id: 'rest', name: 'Eddy', at: '09:30', minutes: 30, outOfReach: [] },
        { ...RUN, at: '10:10' },
      ],
    },
    sunday!,
  ],
};

let stage: Stage;
beforeEach(async () => {
  window.scrollTo = () => undefined;
  stage = await openStage({ ...demo, outings: [outing] });
});
afterEach(() => stage.close());

function Carried(): ReactNode {
  const open = useLiveQuery(() => stage.database.outings.toCollection().first(), []);
  const shots = useShots();
  return open && shots ? <DayCards outing={open} day={open.days[0]!} shots={shots} /> : null;
}

const kept = async (): Promise<Outing> => (await stage.database.outings.toCollection().first())!;
const entry = async (id: string): Promise<OutingEntry> =>
  (await kept()).days[0]!.entries.find((one) => one.id === id)!;
const log = (): Promise<LogEntry[]> => stage.database.log.orderBy('at').reverse().toArray();
const open = async (card?: string): Promise<Region> => {
  visit(`/carry?outing=${outing.id}&day=${saturday!.id}${card === undefined ? '' : `&card=${card}`}`);
  stage.show(<Carried />);
  await screen.findByRole('article');
  return within(document.body);
};
const cardNow = (): string => screen.getByRole('article').getAttribute('aria-label') ?? '';

describe('the cards of a day', () => {
  it('come in order: before, shots and breaks, after; one step at a time, and no further', async () => {
    const page = await open();
    expect(cardNow()).toBe('Before the day');
    expect(page.getByRole('button', { name: 'Previous card' })).toHaveProperty('disabled', true);
    const seen = [cardNow()];
    const next = page.getByRole('button', { name: 'Next card' });
    while (!next.hasAttribute('disabled')) {
      await stage.user.click(next);
      seen.push(cardNow());
    }
    expect(seen.slice(0, 2)).toEqual(['Before the day', 'Put-in talk']);
    expect(seen.slice(-2)).toEqual(['Upper gorge run', 'After the day']);
    await stage.user.click(page.getByRole('button', { name: 'Previous card' }));
    expect(cardNow()).toBe('Upper gorge run');
    expect(visited()).toContain(`card=${RUN.id}`);
  });

  it('go by arrow keys too, and to any card of the trail', async () => {
    const page = await open();
    await stage.user.keyboard('{ArrowRight}');
    expect(cardNow()).toBe('Put-in talk');
    await stage.user.keyboard('{ArrowLeft}');
    expect(cardNow()).toBe('Before the day');
    const trail = within(page.getByRole('list', { name: 'Cards of the day' }));
    await stage.user.click(trail.getByRole('button', { name: 'Upper gorge run' }));
    expect(cardNow()).toBe('Upper gorge run');
    expect(trail.getByRole('button', { name: 'Upper gorge run' }).getAttribute('aria-current')).toBe('step');
  });

  it('begin where the day was left', async () => {
    await stage.repository.markEntry(outing.id, TALK.id, 'skipped', []);
    await open();
    await waitFor(() => expect(cardNow()).not.toBe('Before the day'));
    expect(cardNow()).not.toBe('Put-in talk');
  });
});

describe('the card of a shot', () => {
  it('shows its values once they are worked out, and what to look over', async () => {
    const page = await open(RUN.id);
    const values = within(await page.findByRole('region', { name: 'Upper gorge run' }));
    expect((await values.findAllByText(/fps|1\//)).length).toBeGreaterThan(0);
    const [check, ...others] = page.getAllByRole('checkbox');
    expect(others.length).toBeGreaterThan(2);
    await stage.user.click(check!);
    await waitFor(async () => expect((await kept()).ticked).toHaveLength(1));
    expect((await kept()).ticked[0]).toMatch(new RegExp(`^check:${RUN.id}:`));
  });

  it('asks first for the checks that save most, once that is known, and says how much', async () => {
    const page = await open(RUN.id);
    await waitFor(
      () => expect(page.getAllByRole('checkbox', { name: /saves \d/ }).length).toBeGreaterThan(1),
      {
        /*LEFT*/ timeout: 10_000,
      },
    );
    const names = page.getAllByRole('checkbox').map((box) => box.closest('label')?.textContent ?? '');
    const saves = names.map((name) => Number(/saves ([\d.]+)/.exec(name)?.[1] ?? 0));
    expect(saves).toEqual([...saves].sort((a, b) => b - a));
    expect(names.slice(0, 3).join()).toContain('Lens clean');
  });

  it('tapped as recorded stands in the log with its settings, and the next card follows', async () => {
    const page = await open(TALK.id);
    const button = await page.findByRole('button', { name: 'Recorded' });
    await waitFor(() => expect(button.hasAttribute('disabled')).toBe(false));
    const before = await log();
    await stage.user.click(button);
    await waitFor(() => expect(cardNow()).not.toBe('Put-in talk'));
    expect(said).toEqual([expect.stringMatching(/log/)]);
    expect(await entry(TALK.id)).toMatchObject({ done: { how: 'recorded' } });
    const after = await log();
    expect(after).toHaveLength(before.length + 1);
    const added = after.find(({ id }) => !before.some((one) => one.id === id))!;
    expect(added).toMatchObject({ shotId: 'demo-01', shotName: 'Put-in talk' });
    expect(added.settings.frameRate).toBeGreaterThan(0);
  });

  it('is taken back, with the recording in the log', async () => {
    const page = await open(TALK.id);
    const count = (await log()).length;
    const button = await page.findByRole('button', { name: 'Recorded' });
    await waitFor(() => expect(button.hasAttribute('disabled')).toBe(false));
    await stage.user.click(button);
    await waitFor(() => expect(cardNow()).not.toBe('Put-in talk'));
    await open(TALK.id);
    await stage.user.click(await page.findByRole('button', { name: 'Take it back' }));
    await waitFor(async () => expect(await entry(TALK.id)).not.toHaveProperty('done'));
    expect(await log()).toHaveLength(count);
  });

  it('is skipped without a recording', async () => {
    const page = await open(TALK.id);
    const count = (await log()).length;
    await stage.user.click(await page.findByRole('button', { name: 'Skipped' }));
    await waitFor(async () => expect(await entry(TALK.id)).toMatchObject({ done: { how: 'skipped' } }));
    expect(await log()).toHaveLength(count);
    expect(said).toEqual(['Skipped.']);
  });

  it('says what could not be written, and stays', async () => {
    const page = await open(TALK.id);
    stage.repository.markEntry = () => Promise.reject(new DOMException('no room', 'QuotaExceededError'));
    await stage.user.click(await page.findByRole('button', { name: 'Skipped' }));
    await waitFor(() => expect(said).toEqual([expect.stringMatching(/^! .*storage is full/)]));
    expect(cardNow()).toBe('Put-in talk');
  });

  it('keeps a note when it is left', async () => {
    const page = await open(TALK.id);
    enter(await page.findByRole('textbox', { name: 'Note' }), 'Wind from the left');
    await waitFor(async () => expect(await entry(TALK.id)).toMatchObject({ note: 'Wind from the left' }));
    const { changes } = stage.repository.history.state();
    enter(page.getByRole('textbox', { name: 'Note' }), 'Wind from the left');
    expect(stage.repository.history.state().changes).toBe(changes);
  });

  it('is recorded by a key', async () => {
    const page = await open(TALK.id);
    const button = await page.findByRole('button', { name: 'Recorded' });
    await waitFor(() => expect(button.hasAttribute('disabled')).toBe(false));
    await stage.user.keyboard('r');
    await waitFor(async () => expect(await entry(TALK.id)).toMatchObject({ done: { how: 'recorded' } }));
  });
});

describe('a reading before a shot', () => {
  it('stands on a card with the filter for what is read, and is ticked like any task', async () => {
    // Under a running shutter no reading would change the filter.
    await stage.database.shots.update('demo-02', { 'shot.pins': { shutterMode: 'fixed' } });
    await stage.repository.changeOuting(outing.id, 'read', (before) =>
      withEntry(before, RUN.id, (one) =>
        one.what === 'shot' ? { ...one, reading: { minutesBefore: 30 } } : one,
      ),
    );
    const page = await open('rest');
    const box = await page.findByRole('checkbox', {
      name: /^Read the light where it is brightest, for Upper gorge run: up to EV \d+\.\d \(1\/\d+ .*ND\d+, .*from there ND\d+$/,
    });
    await stage.user.click(box);
    await waitFor(async () => expect((await kept()).ticked).toEqual([`reading:${RUN.id}`]));
  });
});

describe('the cards around the shots', () => {
  it('before: checks are ticked for this day alone, cautions for the whole outing', async () => {
    const page = await open();
    const boxes = page.getAllByRole('checkbox');
    await stage.user.click(boxes[0]!);
    await waitFor(async () => expect((await kept()).ticked).toEqual([`day:${saturday!.id}:clocks`]));
    await stage.user.click(boxes.at(-1)!);
    await waitFor(async () => expect((await kept()).ticked[1]).toMatch(/^safety:/));
    await stage.user.click(page.getByRole('button', { name: 'To the first card' }));
    expect(cardNow()).toBe('Put-in talk');
  });

  it('a break: all its tasks are ticked at once and the next card follows', async () => {
    const page = await open();
    const trail = within(page.getByRole('list', { name: 'Cards of the day' }));
    await stage.user.click(await trail.findByRole('button', { name: 'Eddy' }));
    const tasks = page.getAllByRole('checkbox').length;
    expect(tasks).toBeGreaterThan(0);
    await stage.user.click(page.getByRole('button', { name: 'All done' }));
    await waitFor(async () => expect((await kept()).ticked).toHaveLength(tasks));
    expect(cardNow()).toBe('Upper gorge run');
    expect(await trail.findByRole('button', { name: /^Eddy, done/ })).toBeDefined();
  });

  it('after: how many were recorded, each to be opened again, and the next day', async () => {
    await stage.repository.markEntry(outing.id, TALK.id, 'skipped', []);
    const page = await open('after');
    expect(await page.findByText(/^0 of 2 recorded/)).toBeDefined();
    await stage.user.click(page.getByRole('button', { name: /^10:10 Upper gorge run$/ }));
    expect(cardNow()).toBe('Upper gorge run');
    await open('after');
    expect((await page.findByRole('link', { name: /next day/i })).getAttribute('href')).toContain(sunday!.id);
  });

  it('lead elsewhere: codes, paper, the stand-in camera, the outing, the other day, another device', async () => {
    const page = await open();
    await stage.user.click(page.getByRole('button', { name: 'More for this day' }));
    const items = (await screen.findAllByRole('menuitem')).map((one) => one.textContent);
    expect(items).toHaveLength(6);
    await stage.user.click(screen.getByRole('menuitem', { name: items[1]! }));
    expect(visited()).toContain('paper=a4');
  });
});
