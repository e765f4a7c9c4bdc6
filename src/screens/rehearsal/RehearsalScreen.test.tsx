import { screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { visit } from '../testing/address';
import { enter } from '../testing/enter';
import type { Outing } from '@/core/records/outing';
import { openStage } from '../testing/stage';
import type { Stage } from '../testing/stage';
import { RehearsalScreen } from './RehearsalScreen';

let stage: Stage;
beforeEach(async () => {
  stage = await openStage();
});
afterEach(() => stage.close());

const open = async (day: string): Promise<void> => {
  visit(`/rehearsal?outing=demo-outing&day=${day}`);
  stage.show(<RehearsalScreen />);
  await screen.findByText(/^50 days counted, seed 1$/);
  // Its sections come one after the other, this one as the last.
  await screen.findByRole('heading', { name: 'Cards, cells and warmth' });
};

/** The demo outing with the first entry of each day at another time. */
const metEarlier = (outing: Outing): Outing => ({
  ...outing,
  days: outing.days.map((one) => ({
    ...one,
    entries: one.entries.map((entry, at) => (at === 0 ? { ...entry, at: '06:01' } : entry)),
  })),
});

describe('the rehearsal of a day', () => {
  it('tells which shot is likeliest to fail and why, chance by chance, with intervals', async () => {
    await open('sunday');
    expect(
      screen.getByText(/^Likeliest to fail: Tunnel descent, in \d+ % of days, for too dark\.$/),
    ).toBeDefined();
    const table = within(screen.getByRole('table'));
    const { outings } = makeDemo();
    const shots = outings[0]!.days[1]!.entries.filter(({ what }) => what === 'shot').length;
    expect(table.getAllByRole('row').length).toBeGreaterThan(shots);
    const [smear] = table.getAllByRole('img', { name: /^Tunnel descent, smear: \d+ % of days, \d+ to \d+$/ });
    expect(smear).toBeDefined();
    expect(table.getAllByText(/^driven by .*\d+ %/).length).toBeGreaterThan(3);
    expect(screen.getByText(/^Cards, cells and cameras last in \d+ % of days \(\d+ to \d+\)/)).toBeDefined();
  });

  it('takes one thing more by a press, and is rehearsed again on the same days', async () => {
    await open('sunday');
    const take = await screen.findByRole('button', {
      name: /^Take: A stop of 5 min after \d+ min of Iron rungs/,
    });
    const lasts = (): string => screen.getByText(/^Cards, cells and cameras last/).textContent;
    const before = lasts();
    await stage.user.click(take);
    await waitFor(async () =>
      expect(JSON.stringify((await stage.database.outings.get('demo-outing'))?.days[1])).toContain(
        '"pauses":[{"afterMinutes":',
      ),
    );
    await waitFor(() => expect(lasts()).not.toBe(before));
    await stage.repository.history.undo();
    await waitFor(() => expect(lasts()).toBe(before));
  });

  it('takes the slips that the person sets, and keeps them', async () => {
    await open('saturday');
    enter(screen.getByLabelText('lens wet'), '100');
    await waitFor(async () =>
      expect(JSON.parse((await stage.database.choices.get('slips'))?.value ?? '{}')).toMatchObject({
        wetLens: 1,
      }),
    );
  });

  it('holds what it says of past days against the clips that came back', async () => {
    await open('saturday');
    const text = await screen.findByText(/^Over \d+ clips, \d+ chances: Brier score 0\.\d+/);
    expect(text.textContent).toMatch(/What is said tells (more|no more) than the rate alone/);
    expect(screen.getByText(/^From ten clips on/)).toBeDefined();
    const [clip] = makeDemo().clips;
    await stage.database.clips.bulkPut(
      [1, 2, 3].map((at) => ({ ...clip!, id: `more-${at}`, verdicts: ['smear' as const] })),
    );
    await screen.findByRole('img', { name: /^Chance said, left to right/ });
  });

  it('steps through the drawn days by hand, and to a bad one', async () => {
    await open('saturday');
    const which = screen.getByLabelText('Which day');
    await stage.user.click(screen.getByRole('button', { name: 'A bad day' }));
    await waitFor(() => expect((which as HTMLInputElement).value).not.toBe('1'));
    const number = (which as HTMLInputElement).value;
    await screen.findByText(new RegExp(`^Day ${number}: .* It loses \\d`));
    await stage.user.click(screen.getByRole('button', { name: 'Next day' }));
    await screen.findByText(new RegExp(`^Day ${Number(number) + 1}: `));
  });

  it('finds other times within what is stated; taken by a press, undone as one step', async () => {
    await open('sunday');
    const day = async (): Promise<string[]> =>
      (await stage.database.outings.get('demo-outing'))!.days[1]!.entries.map(({ at }) => at);
    const before = await day();
    enter(screen.getByLabelText('Moved by at most'), '0');
    await stage.user.click(screen.getByRole('button', { name: 'Look for better times' }));
    await screen.findByText('No times within these limits lose less.');
    enter(screen.getByLabelText('Moved by at most'), '60');
    await stage.user.click(screen.getByRole('button', { name: 'Look for better times' }));
    const told = await screen.findByText(/^On days that the search had not seen, a day loses/);
    const [after = 0, planned = 0] = (told.textContent.match(/[\d.]+ instead of [\d.]+/)?.[0] ?? '')
      .split(' instead of ')
      .map(Number);
    expect(after).toBeLessThan(planned);
    enter(screen.getByLabelText('Ended by'), '04:00');
    expect(screen.getByRole('alert').textContent).toContain('ended by 04:00 leave no time');
    expect(screen.getByRole('button', { name: 'Look for better times' })).toHaveProperty('disabled', true);
    expect(screen.queryByRole('button', { name: 'Take these times' })).toBeNull();
    enter(screen.getByLabelText('Ended by'), '20:00');
    await stage.user.click(screen.getByRole('button', { name: 'Look for better times' }));
    // The day changes under the search, which goes on with the day as it has become.
    await stage.repository.changeOuting('demo-outing', 'Meet earlier', metEarlier);
    // Where it was done before that, what it found is no longer offered, and one looks again.
    await waitFor(async () => {
      const look = screen.getByRole('button', { name: 'Look for better times' });
      await stage.user.click(screen.queryByRole('button', { name: 'Take these times' }) ?? look);
      expect((await day()).slice(1)).not.toEqual(before.slice(1));
    });
    await stage.repository.history.undo();
    await waitFor(async () => expect((await day()).slice(1)).toEqual(before.slice(1)));
  });

  it('keeps a drawn day by its seed, looks at it again under another, and forgets it', async () => {
    await open('saturday');
    await stage.user.click(screen.getByRole('button', { name: 'A bad day' }));
    const which = (): string => screen.getByLabelText<HTMLInputElement>('Which day').value;
    await waitFor(() => expect(which()).not.toBe('1'));
    const number = which();
    const went = await screen.findByText(new RegExp(`^Day ${number}: `));
    const text = went.textContent;
    await stage.user.click(screen.getByRole('button', { name: 'Keep this day' }));
    const again = await screen.findByRole('button', { name: `Look at day ${number} of seed 1` });
    await stage.user.click(screen.getByRole('button', { name: 'Draw other days' }));
    await screen.findByText(/^50 days counted, seed 2$/);
    await waitFor(() => expect(screen.getByText(new RegExp(`^Day ${number}: `)).textContent).not.toBe(text));
    await stage.user.click(again);
    await screen.findByText(/^50 days counted, seed 1$/);
    await waitFor(() => expect(screen.getByText(new RegExp(`^Day ${number}: `)).textContent).toBe(text));
    await stage.user.click(screen.getByRole('button', { name: `Forget day ${number} of seed 1` }));
    await waitFor(async () =>
      expect((await stage.database.outings.get('demo-outing'))?.days[0]?.keptDays).toEqual([]),
    );
  });

  it('puts a reading on the cards by a press, takes it off again, and says what the checks save', async () => {
    await open('saturday');
    const reading = async (): Promise<unknown> => {
      const entries = (await stage.database.outings.get('demo-outing'))?.days[0]?.entries ?? [];
      return entries.find((entry) => entry.what === 'shot' && entry.reading !== undefined);
    };
    const take = await screen.findByRole('button', { name: 'Take a reading before Put-in talk' });
    await stage.user.click(take);
    await waitFor(async () => expect(await reading()).toMatchObject({ reading: { minutesBefore: 10 } }));
    await stage.user.click(
      await screen.findByRole('button', { name: 'Take the reading before Put-in talk off the cards' }),
    );
    await waitFor(async () => expect(await reading()).toBeUndefined());
    const checks = within(screen.getByRole('list', { name: 'What the checks save' }));
    const saves = checks
      .getAllByText(/^saves /)
      .map(({ textContent }) => Number(textContent.replace('saves ', '')));
    expect(saves.length).toBeGreaterThan(3);
    expect(saves).toEqual([...saves].sort((a, b) => b - a));
    expect(
      checks.getAllByRole('link', { name: 'Open the card of Hut evening' })[0]?.getAttribute('href'),
    ).toContain('card=sat-17');
  });
});
