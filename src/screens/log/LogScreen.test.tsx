import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { LogEntry } from '@/core/records/logEntry';
import { makeDemo } from '../../../demo/makeDemo';
import { CUT_LABEL } from '@/words/labels';
import { visit, visited } from '../testing/address';
import { openStage } from '../testing/stage';
import type { Stage } from '../testing/stage';
import { LogScreen } from './LogScreen';
import { WordedError } from '@/words/whyText';

let stage: Stage;
beforeEach(async () => {
  stage = await openStage();
});
afterEach(() => stage.close());

const latest = async (): Promise<LogEntry> => (await stage.database.log.orderBy('at').reverse().first())!;
const kept = async (id: string): Promise<LogEntry | undefined> => stage.database.log.get(id);
const row = async ({ shotName }: LogEntry): Promise<HTMLElement> =>
  (await screen.findByRole('group', { name: `Verdict on ${shotName}` })).closest('li')!;

const hasText =
  (text: string) =>
  (element: HTMLElement): boolean =>
    element.textContent.includes(text);

describe('the log', () => {
  it('lists what was recorded and what came back, the latest first, each with a way to its shot where that is kept', async () => {
    await stage.close();
    const demo = makeDemo();
    stage = await openStage({ ...demo, shots: demo.shots.filter(({ id }) => id === 'demo-skate-2') });
    stage.show(<LogScreen />);
    const titles = (await screen.findAllByRole('heading', { level: 2 })).map((one) => one.textContent);
    expect(titles).toEqual([
      'Holm Lake, pole looking back',
      'Unplanned',
      'Unplanned',
      'Unplanned',
      'Holm Lake, into the sun',
      'Holm Lake, second lap',
      'Holm Lake, first lap',
    ]);
    const links = within(screen.getAllByRole('listitem').find(hasText('OTR_0042'))!).getAllByRole('link');
    expect(links.map((link) => [link.textContent, link.getAttribute('href')])).toEqual([
      ['Holm Lake, second lap', '/bench?shot=demo-skate-2'],
      ['OTR_0042.MP4', '/debrief?clip=demo-clip-2&outing=demo-holm&day=holm-day'],
      ['SHR_0043.MP4', '/debrief?clip=demo-clip-3&outing=demo-holm&day=holm-day'],
    ]);
  });

  it('is narrowed by camera, finding, verdict and date, and the sheet holds what is shown', async () => {
    stage.show(<LogScreen />);
    await screen.findAllByRole('heading', { level: 2 });
    const titles = (): (string | null)[] =>
      screen.queryAllByRole('heading', { level: 2 }).map((one) => one.textContent);
    const choose = async (what: string, title: string): Promise<void> => {
      await stage.user.click(screen.getByRole('combobox', { name: what }));
      await stage.user.click(await screen.findByTitle(title));
    };
    await waitFor(() => expect(titles().length).toBeGreaterThan(2));
    const all = titles().length;
    await choose('Of the camera', 'Shrew');
    await waitFor(() => expect(titles()).toEqual(['Holm Lake, pole looking back', 'Holm Lake, second lap']));
    await choose('With the verdict', 'cut off');
    await waitFor(() => expect(titles()).toEqual(['Holm Lake, pole looking back']));
    expect(screen.getByRole('status').textContent).toBe(`1 of ${all} recordings`);
    await choose('With the finding', 'White');
    await waitFor(() => expect(titles()).toEqual([]));
    await stage.user.click(screen.getByRole('button', { name: 'Show everything' }));
    await waitFor(() => expect(titles()).toHaveLength(all));
    fireEvent.change(screen.getByLabelText('to'), { target: { value: '2026-01-16' } });
    await waitFor(() => expect(titles()).toEqual([]));
    fireEvent.change(screen.getByLabelText('to'), { target: { value: '2026-01-17' } });
    await waitFor(() => expect(titles()).toHaveLength(all));
  });

  it('puts a verdict on and takes it off again, and undo knows both', async () => {
    stage.show(<LogScreen />);
    const entry = await latest();
    const before = entry.verdicts;
    const button = within(await row(entry)).getByRole('button', { name: 'too dark' });
    expect(button.getAttribute('aria-pressed')).toBe('false');
    await stage.user.click(button);
    await waitFor(() => expect(button.getAttribute('aria-pressed')).toBe('true'));
    expect((await kept(entry.id))!.verdicts).toEqual([...before, 'tooDark']);
    await stage.user.click(button);
    await waitFor(async () => expect((await kept(entry.id))!.verdicts).toEqual(before));
    await stage.repository.history.undo();
    expect((await kept(entry.id))!.verdicts).toEqual([...before, 'tooDark']);
    await stage.repository.history.undo();
    expect((await kept(entry.id))!.verdicts).toEqual(before);
  });

  it('asks why only of what was cut off, and keeps the reason', async () => {
    stage.show(<LogScreen />);
    const good = await stage.database.log.filter(({ verdicts }) => verdicts.includes('good')).first();
    const shown = within(await row(good!));
    expect(shown.queryByRole('combobox', { name: 'Why it was cut off' })).toBeNull();
    await stage.user.click(shown.getByRole('button', { name: 'cut off' }));
    const why = await shown.findByRole('combobox', { name: 'Why it was cut off' });
    await stage.user.click(why);
    await stage.user.click(await screen.findByTitle(CUT_LABEL.cardFull));
    await waitFor(async () =>
      expect(await kept(good!.id)).toMatchObject({ verdicts: ['good', 'cutOff'], cutReason: 'cardFull' }),
    );
  });

  it('keeps a note when it is left, and only when it is another', async () => {
    stage.show(<LogScreen />);
    const entry = await latest();
    const note = within(await row(entry)).getByRole('textbox', { name: `Note on ${entry.shotName}` });
    const { changes } = stage.repository.history.state();
    await stage.user.click(note);
    await stage.user.tab();
    expect(stage.repository.history.state().changes).toBe(changes);
    await stage.user.clear(note);
    await stage.user.type(note, 'One stop more');
    expect((await kept(entry.id))!.note).toBe(entry.note);
    await stage.user.tab();
    await waitFor(async () => expect((await kept(entry.id))!.note).toBe('One stop more'));
  });

  it('says under a note why it was not kept, and keeps what was typed', async () => {
    stage.show(<LogScreen />);
    const entry = await latest();
    const shown = within(await row(entry));
    stage.repository.judge = () => Promise.reject(new WordedError('the storage is full'));
    const note = shown.getByRole('textbox', { name: `Note on ${entry.shotName}` });
    await stage.user.type(note, ' more');
    await stage.user.tab();
    expect((await shown.findByRole('alert')).textContent).toContain('the storage is full');
    expect(note).toHaveProperty('value', `${entry.note} more`);
  });

  it('removes one recording and no other, and undo brings it back', async () => {
    stage.show(<LogScreen />);
    const entry = await latest();
    const count = await stage.database.log.count();
    const remove = { name: `Remove the recording of ${entry.shotName}` };
    await stage.user.click(within(await row(entry)).getByRole('button', remove));
    await waitFor(async () => expect(await kept(entry.id)).toBeUndefined());
    expect(await stage.database.log.count()).toBe(count - 1);
    await stage.repository.history.undo();
    expect(await kept(entry.id)).toEqual({ ...entry, edits: { this: 2 } });
  });

  it('shows the recordings of the shot that the address names, and all where none is known', async () => {
    const { shotId } = await latest();
    visit(`/log?shot=${shotId}`);
    stage.show(<LogScreen />);
    await screen.findAllByRole('heading', { level: 2 });
    const own = await stage.database.log.filter((one) => one.shotId === shotId).count();
    expect(screen.getAllByRole('group', { name: /^Verdict on/ })).toHaveLength(own);
    visit('/log?shot=nobody');
    const all = await stage.database.log.count();
    await waitFor(() =>
      expect(screen.getAllByRole('group', { name: /^Verdict on/ }).length).toBeGreaterThan(own),
    );
    expect(screen.getAllByRole('group', { name: /^Verdict on/ }).length).toBeLessThanOrEqual(all);
  });

  it('says where a recording begins while there is none', async () => {
    await stage.close();
    stage = await openStage({ ...makeDemo(), log: [], clips: [] });
    visit('/log');
    stage.show(<LogScreen />);
    const link = await screen.findByRole('link');
    expect(link.getAttribute('href')).toBe('/carry');
    expect(visited()).toBe('/log');
  });
});
