import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { usableGb, WRITE_SHARE } from '../camera/card';
import type { Gear } from '../records/outing';
import { cardPass, slowCards } from './cardPass';
import type { Act, Chapter, ResourceLevel } from './levels';
import type { Stretch } from './stretches';

const MINUTE = 60_000;
const GIGA = 1e9;

interface Told {
  minutes: number;
  gbPerMinute: number;
  /** The camera can be touched before it. */
  chance: boolean;
}

/** Recordings one after the other, ten minutes apart. */
function stretchesOf(told: readonly Told[]): Stretch[] {
  let atMs = 0;
  return told.map(({ minutes, gbPerMinute, chance }, at): Stretch => {
    const fromMs = atMs;
    const toMs = fromMs + minutes * MINUTE;
    atMs = toMs + 10 * MINUTE;
    return {
      fromMs,
      toMs,
      first: at === 0,
      chance: chance && at > 0 ? { fromMs: fromMs - 5 * MINUTE, toMs: fromMs } : null,
      part: { id: `part ${at}` },
      load: { bytesPerSecond: (gbPerMinute * GIGA) / 60, chapterSeconds: 600, writesMBps: gbPerMinute * 10 },
    } as unknown as Stretch;
  });
}

const cardOf = (capacityGb: number, at = 0): Gear['cards'][number] => ({
  name: `Card ${at}`,
  capacityGb,
  writeMBps: 60,
});

function pass(
  told: readonly Told[],
  sizes: readonly number[],
): { level: ResourceLevel; acts: Act[]; chapters: Chapter[] } {
  const acts: Act[] = [];
  const chapters: Chapter[] = [];
  const level = cardPass(stretchesOf(told), sizes.map(cardOf), acts, chapters);
  return { level, acts, chapters };
}

const told = fc.array(
  fc.record({
    minutes: fc.integer({ min: 1, max: 40 }),
    gbPerMinute: fc.double({ min: 0.1, max: 2, noNaN: true }),
    chance: fc.boolean(),
  }),
  { minLength: 1, maxLength: 8 },
);
const sizes = fc.array(fc.integer({ min: 8, max: 128 }), { minLength: 1, maxLength: 4 });
const gigabytes = (all: readonly { gigabytes: number }[]): number =>
  all.reduce((sum, one) => sum + one.gigabytes, 0);
const wanted = (all: readonly Told[]): number =>
  all.reduce((sum, { minutes, gbPerMinute }) => sum + minutes * gbPerMinute, 0);

describe('cards over a day', () => {
  it('never hold more than they have room for, nor files of what was not recorded', () => {
    fc.assert(
      fc.property(told, sizes, (recorded, has) => {
        const { level, chapters } = pass(recorded, has);
        for (const [at, size] of has.entries())
          expect(gigabytes(chapters.filter(({ card }) => card === at))).toBeLessThanOrEqual(
            usableGb(size) + 1e-6,
          );
        expect(gigabytes(chapters)).toBeLessThanOrEqual(wanted(recorded) + 1e-6);
        expect(level.needs).toBeCloseTo(wanted(recorded), 6);
        expect(level.has).toBeCloseTo(
          has.reduce((sum, size) => sum + usableGb(size), 0),
          6,
        );
      }),
    );
  });

  it('hold all that was recorded where nothing runs out, and not all where something does', () => {
    fc.assert(
      fc.property(told, sizes, (recorded, has) => {
        const { level, chapters } = pass(recorded, has);
        const lost = wanted(recorded) - gigabytes(chapters);
        if (level.out) expect(lost).toBeGreaterThan(0);
        else expect(lost).toBeLessThan(1e-6);
      }),
    );
  });

  it('have a course of shares that never rises, from one to what is left', () => {
    fc.assert(
      fc.property(told, sizes, (recorded, has) => {
        const { course, out } = pass(recorded, has).level;
        course.forEach(({ share, atMs }, at) => {
          expect(share).toBeGreaterThanOrEqual(0);
          expect(share).toBeLessThanOrEqual(1 + 1e-9);
          const before = course[at - 1];
          if (!before) return;
          expect(share).toBeLessThanOrEqual(before.share + 1e-9);
          expect(atMs).toBeGreaterThanOrEqual(before.atMs);
        });
        if (out) expect(course.some(({ atMs }) => Math.abs(atMs - out.atMs) < 2)).toBe(true);
      }),
    );
  });

  it('are changed only where the camera can be touched, and each goes in once', () => {
    fc.assert(
      fc.property(told, sizes, (recorded, has) => {
        const { acts } = pass(recorded, has);
        const chances = stretchesOf(recorded).flatMap(({ chance }) => (chance ? [chance.fromMs] : []));
        // The first of the day is got ready at home.
        for (const act of acts) expect([...chances, 0]).toContain(act.atMs);
        const used = acts.flatMap((act) => (act.what === 'card' ? [act.to] : []));
        expect(new Set(used).size).toBe(used.length);
      }),
    );
  });

  it('run out when the bytes of the stretch have filled what was left', () => {
    const { level } = pass([{ minutes: 60, gbPerMinute: 1, chance: false }], [32]);
    expect(level.out).toEqual({ atMs: usableGb(32) * MINUTE, partId: 'part 0' });
    expect(level.course.at(-1)!.share).toBeCloseTo(0, 9);
  });

  it('take the first spare that will do, and without one the roomiest', () => {
    const morning: Told = { minutes: 25, gbPerMinute: 1, chance: false };
    const noon = (minutes: number): Told => ({ minutes, gbPerMinute: 1, chance: true });
    expect(pass([morning, noon(40)], [32, 64, 128]).acts).toMatchObject([{ to: 1, name: 'Card 1' }]);
    expect(pass([morning, noon(90)], [32, 64, 128]).acts).toMatchObject([{ to: 2 }]);
    expect(pass([morning, noon(300)], [32, 64, 128]).acts).toMatchObject([{ to: 2 }]);
    expect(pass([morning, noon(3)], [32, 64, 128]).acts).toEqual([]);
  });

  it('look past a stretch after which no hand reaches the camera', () => {
    const short: Told = { minutes: 5, gbPerMinute: 1, chance: true };
    const out: Told = { minutes: 10, gbPerMinute: 1, chance: false };
    // Five would still fit, fifteen would not: the change is made while it can be.
    const { acts, level } = pass([{ minutes: 20, gbPerMinute: 1, chance: false }, short, out], [32, 32]);
    expect(acts).toMatchObject([{ what: 'card', to: 1 }]);
    expect(level.out).toBeNull();
  });

  it('cut a recording into files of the length of a chapter', () => {
    const { chapters } = pass([{ minutes: 25, gbPerMinute: 1, chance: false }], [64]);
    expect(chapters.map(({ fromMs, toMs }) => [fromMs / MINUTE, toMs / MINUTE])).toEqual([
      [0, 10],
      [10, 20],
      [20, 25],
    ]);
    expect(chapters.map((one) => Math.round(one.gigabytes))).toEqual([10, 10, 5]);
  });

  it('are too slow where less than what they keep is asked, told by the hardest stretch', () => {
    const stretches = stretchesOf([
      { minutes: 1, gbPerMinute: 1, chance: false },
      { minutes: 1, gbPerMinute: 4, chance: false },
    ]);
    const cards = [
      { ...cardOf(64), writeMBps: 39 / WRITE_SHARE },
      { ...cardOf(64, 1), writeMBps: 41 / WRITE_SHARE },
    ];
    const [slow, ...others] = slowCards(stretches, cards);
    expect(others).toEqual([]);
    expect(slow).toMatchObject({ name: 'Card 0', writesMBps: 40, partId: 'part 1' });
    expect(slow!.keepsMBps).toBeCloseTo(39, 9);
    expect(slowCards([], cards)).toEqual([]);
  });
});
