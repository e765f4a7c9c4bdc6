import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { matchedDay } from './matching';
import type { PlannedTake } from './matchPath';
import { recordingsIn } from './recordings';
import type { ClipFacts } from './recordings';
import { sampling } from '../../../testing/samples';

const START = Date.UTC(2026, 9, 3, 8);
const minutes = (count: number): number => 60_000 * count;

/** Three cameras, twelve shots over a day; two of one camera stand close together. */
const TAKES: PlannedTake[] = [
  ['a', 0, 60],
  ['a', 80, 1500],
  ['a', 230, 1800],
  ['a', 420, 120],
  ['a', 600, 300],
  ['b', 80, 1500],
  ['b', 300, 240],
  ['b', 470, 90],
  ['c', 180, 30],
  ['c', 200, 45],
  ['c', 410, 200],
  ['c', 615, 100],
].map(([camera, at, seconds], number) => ({
  id: `take${number}`,
  cameraId: String(camera),
  fromMs: START + minutes(Number(at)),
  seconds: Number(seconds),
  filmed: { frameRate: camera === 'c' ? 120 : 50, width: camera === 'b' ? 1920 : 3840 },
}));
const AHEAD: Record<string, number> = { a: minutes(7.5), b: minutes(-11), c: minutes(125) };
const known = {
  films: {
    a: [{ frameRate: 50, width: 3840 }],
    b: [{ frameRate: 50, width: 1920 }],
    c: [{ frameRate: 120, width: 3840 }],
  },
};

function clipOf(take: PlannedTake, lateMinutes: number, over: Partial<ClipFacts> = {}): ClipFacts {
  return {
    id: `clip-${take.id}`,
    group: take.cameraId.toUpperCase(),
    startMs: take.fromMs + minutes(lateMinutes) + (AHEAD[take.cameraId] ?? 0),
    seconds: take.seconds * 0.9,
    frameRate: take.filmed?.frameRate ?? 50,
    width: take.filmed?.width ?? 3840,
    height: 1080,
    ...over,
  };
}
const late = (seed: number): number => ((seed * 37) % 11) / 3 - 1.5;
const matchedTo = (clips: readonly ClipFacts[]): Record<string, string | null> =>
  Object.fromEntries(matchedDay(clips, TAKES, known).clips.map(({ clipId, takeId }) => [clipId, takeId]));

describe('a day of twelve clips from three cameras whose clocks are off by minutes', () => {
  const clips = TAKES.map((take, at) => clipOf(take, late(at)));

  it('every clip finds its shot, and the clocks are told', () => {
    const match = matchedDay(clips, TAKES, known);
    for (const { clipId, takeId, doubt } of match.clips) {
      expect(`clip-${takeId}`).toBe(clipId);
      expect(doubt).toBeLessThan(0.2);
    }
    expect(match.missedTakeIds).toEqual([]);
    for (const [camera, ahead] of Object.entries(AHEAD))
      expect(Math.abs((match.clockAheadSeconds[camera] ?? 0) - ahead / 1000)).toBeLessThan(120);
  });

  it('two missing and one that was not planned: still without a fault', () => {
    const extra = { ...clipOf(TAKES[2]!, 75), id: 'extra', seconds: 12 };
    const left = [...clips.filter((_, at) => at !== 1 && at !== 9), extra];
    const match = matchedDay(left, TAKES, known);
    for (const { clipId, takeId } of match.clips)
      expect(takeId).toBe(clipId === 'extra' ? null : clipId.slice(5));
    expect(match.missedTakeIds.sort()).toEqual(['take1', 'take9']);
  });

  it('whichever two are missing, and wherever the extra one lies', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 11 }), fc.integer({ min: 0, max: 11 }), (one, other) => {
        const left = clips.filter((_, at) => at !== one && at !== other);
        // The only clips of a camera that is left with one may be any of its shots, but for their lengths.
        for (const [clipId, takeId] of Object.entries(matchedTo(left))) expect(`clip-${takeId}`).toBe(clipId);
      }),
      sampling(60),
    );
  });

  it('doubt is shown where two fit', () => {
    const alike: PlannedTake[] = [0, 4].map((at, number) => ({
      id: `twin${number}`,
      cameraId: 'a',
      fromMs: START + minutes(at),
      seconds: 60,
      filmed: null,
    }));
    const clip = { ...clipOf(alike[0]!, 0), id: 'one', startMs: START + minutes(2), seconds: 60 };
    const [found] = matchedDay([clip], alike, { films: {} }).clips;
    expect(found?.doubt).toBeGreaterThan(0.3);
    expect(found?.otherTakeId).not.toBeNull();
    expect(found?.otherTakeId).not.toBe(found?.takeId);
  });

  it('a shot filmed again keeps both clips; groups find their camera by what it can film', () => {
    const again = { ...clipOf(TAKES[3]!, 3), id: 'again' };
    expect(matchedTo([...clips, again])['again']).toBe('take3');
    const match = matchedDay(clips, TAKES, known);
    expect(
      match.clips.every(
        ({ clipId, cameraId }) => clips.find(({ id }) => id === clipId)?.group === cameraId.toUpperCase(),
      ),
    ).toBe(true);
  });

  it('files that do not say when they began go by order and length; no shots, or no clips, match nothing', () => {
    const undated = clips.map((clip) => ({ ...clip, startMs: null }));
    const match = matchedDay(undated, TAKES, known);
    expect(match.clockAheadSeconds).toEqual({ a: null, b: null, c: null });
    for (const { clipId, takeId } of match.clips) expect(`clip-${takeId}`).toBe(clipId);
    expect(matchedDay([], TAKES, known).missedTakeIds).toHaveLength(12);
    expect(matchedDay(clips, [], known).clips).toEqual([]);
  });
});

describe('pieces', () => {
  it('of one recording are joined where the next begins as the one before ends', () => {
    const piece = (
      id: string,
      startS: number,
      seconds: number,
      over: Partial<ClipFacts> = {},
    ): ClipFacts => ({
      ...clipOf(TAKES[0]!, 0),
      id,
      startMs: START + 1000 * startS,
      seconds,
      ...over,
    });
    const all = [
      piece('1', 0, 500),
      piece('2', 500.4, 500),
      piece('3', 1000.5, 90),
      piece('4', 1100, 20),
      piece('5', 1120, 20, { frameRate: 25 }),
      piece('6', 500, 90, { group: 'B' }),
    ];
    expect(recordingsIn(all).map((one) => one.map(({ id }) => id).join(''))).toEqual(['123', '4', '5', '6']);
  });
});
