import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { ALL_OF_THE_LOG, logbookOf, wishedFor } from './logbook';

const { log, clips, outings } = makeDemo();
const [clip] = clips;
const [entry] = log;
if (!clip || !entry) throw new Error('the demo has no clips');

describe('what was written and what came back', () => {
  it('are told as one recording where they are of one; every clip and every entry stands once', () => {
    const book = logbookOf(log, clips, outings);
    const written = book.flatMap((one) => (one.entry ? [one.entry.id] : []));
    expect(written.sort()).toEqual(log.map(({ id }) => id).sort());
    expect(book.flatMap((one) => one.clips.map(({ id }) => id)).sort()).toEqual(
      clips.map(({ id }) => id).sort(),
    );
    const both = book.find(({ shotId }) => shotId === 'demo-skate-2');
    expect(both?.clips.map(({ cameraId }) => cameraId)).toEqual(['otter', 'shrew']);
    expect(both?.cameraIds).toEqual(['otter', 'shrew']);
    expect(book.map(({ atMs }) => atMs)).toEqual(book.map(({ atMs }) => atMs).sort((a, b) => b - a));
  });

  it('of one shot on two days, each clip goes to the day that it is of', () => {
    const earlier = { ...entry, id: 'earlier', at: '2025-12-20T10:05:00Z' };
    const book = logbookOf([earlier, entry], [clip], outings);
    expect(book.find(({ id }) => id === entry.id)?.clips).toEqual([clip]);
    expect(book.find(({ id }) => id === 'earlier')?.clips).toEqual([]);
    const [alone] = logbookOf([earlier], [clip], outings);
    expect(alone).toMatchObject({ entry: null, shotId: entry.shotId, zone: 'Europe/Stockholm' });
  });

  it('a clip without a clock stands on its day; unplanned ones stand by themselves', () => {
    const strays = ['a', 'b'].map((id) => ({ ...clip, id, entryId: null, startAt: null }));
    const book = logbookOf([], strays, outings);
    expect(book.map(({ id, shotId }) => [id, shotId])).toEqual([
      ['a', null],
      ['b', null],
    ]);
    expect(new Date(book[0]!.atMs).toISOString()).toBe('2026-01-17T12:00:00.000Z');
  });

  it('are asked for by camera, finding, verdict and date, all at once', () => {
    const book = logbookOf(log, clips, outings);
    const dateOf = ({ atMs }: { atMs: number }): string => new Date(atMs).toISOString().slice(0, 10);
    const names = (wish: Partial<typeof ALL_OF_THE_LOG>): (string | null)[] =>
      wishedFor(book, { ...ALL_OF_THE_LOG, ...wish }, dateOf).map(({ shotId }) => shotId);
    expect(names({})).toHaveLength(book.length);
    expect(names({ finding: 'smear' })).toEqual(['demo-skate-1']);
    expect(names({ verdict: 'cutOff', cameraId: 'shrew' })).toEqual(['demo-skate-7']);
    expect(names({ verdict: 'cutOff', cameraId: 'otter' })).toEqual([]);
    expect(names({ from: '2026-01-17', to: '2026-01-17' })).toHaveLength(book.length);
    expect(names({ from: '2026-01-18' })).toEqual([]);
  });
});
