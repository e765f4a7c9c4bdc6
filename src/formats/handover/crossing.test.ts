import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { SeededRandom } from '@/core/units/seededRandom';
import { noRecords } from '@/core/records/kinds';
import type { Records } from '@/core/records/kinds';
import { readIncoming } from '../incoming';
import { CODES_PER_SECOND, Receiving, secondsToCross, sending } from './crossing';
import type { Sending, Taken } from './crossing';
import { readFrame, writeFrame } from './frame';
import { packed, unpacked } from './pack';
import { parcelOf } from './parcel';

const demo = makeDemo();
const now = '2026-10-02T18:00:00Z';
const outing = (): string => parcelOf({ what: 'outing', id: 'demo-outing' }, demo, { clips: false, now })!;

/** Codes shown until all of it is over, a share of them missed; how many were shown. */
async function shown(
  sent: Sending,
  to: Receiving,
  share: number,
  seed = 1,
): Promise<{ codes: number; last: Taken }> {
  const luck = new SeededRandom(seed, 3);
  for (let number = 0; number < 4000; number++) {
    if (luck.even(number) < share) continue;
    const last = await to.take(sent.code(number));
    if (last.is === 'whole') return { codes: number + 1, last };
  }
  throw new Error('it never came over');
}

describe('a parcel shown as codes', () => {
  it('carries the demo outing in under twenty seconds at ten codes a second with a third of them missed', async () => {
    const text = outing();
    const sent = (await sending(text))!;
    for (let seed = 1; seed <= 20; seed++) {
      const { codes, last } = await shown(sent, new Receiving(), 1 / 3, seed);
      expect(codes / CODES_PER_SECOND[0]).toBeLessThan(20);
      expect(last).toEqual({ is: 'whole', text });
    }
    expect(secondsToCross(sent, 10, 1 / 3)).toBeLessThan(20);
    const read = await readIncoming(text, 'x.json');
    expect(read.ok && read.taking.kind === 'records' && read.taking.records.shots).toHaveLength(13);
  });

  it('keeps its codes small enough for a camera, and passes over another parcel until it is wanted', async () => {
    const sent = (await sending(outing()))!;
    expect(sent.code(0).length).toBeLessThan(412);
    const to = new Receiving();
    expect(await to.take(sent.code(3))).toEqual({ is: 'part', known: 1, blocks: sent.blocks });
    const other = (await sending('{"other":1}'))!;
    expect(await to.take(other.code(7))).toEqual({ is: 'another' });
    expect(await to.take(sent.code(9))).toMatchObject({ is: 'part', known: 2 });
    expect(await to.take(new TextEncoder().encode('a set-up code of a camera'))).toEqual({ is: 'other' });
    await to.take(other.code(8));
    to.takeAnother();
    expect(await to.take(other.code(9))).toEqual({ is: 'whole', text: '{"other":1}' });
  });

  it('comes whole with one in five codes from elsewhere or damaged', async () => {
    const sent = (await sending(outing()))!;
    const stray = (await sending('{"stray":true}'))!;
    for (let seed = 1; seed <= 20; seed++) {
      const luck = new SeededRandom(seed, 9);
      const to = new Receiving();
      let taken = await to.take(sent.code(0));
      let shownCodes = 1;
      for (; taken.is !== 'whole'; shownCodes++) {
        const code = sent.code(shownCodes);
        const torn = luck.even(shownCodes) < 0.1;
        if (torn) code[Math.floor(luck.even(shownCodes + 5000) * code.length)]! ^= 1 + (shownCodes % 255);
        const strays = !torn && luck.even(shownCodes + 9000) < 0.1;
        taken = await to.take(strays ? stray.code(shownCodes) : code);
        if (torn) expect(['torn', 'other']).toContain(taken.is);
      }
      expect(taken).toEqual({ is: 'whole', text: outing() });
      expect(shownCodes).toBeLessThan(2 * sent.blocks);
    }
  });

  it('says so when what came is not what was sent', async () => {
    const sent = (await sending('x'.repeat(50)))!;
    const to = new Receiving();
    const frame = readFrame(sent.code(0));
    if (typeof frame !== 'object') throw new Error(frame);
    // A sender that checks each code of something else.
    frame.droplet[0] = (frame.droplet[0] ?? 0) ^ 1;
    expect(await to.take(writeFrame(frame))).toEqual({ is: 'damaged' });
    expect(await to.take(sent.code(1))).toEqual({ is: 'whole', text: 'x'.repeat(50) });
  });

  it('refuses frames that say what cannot be, and texts that never end', async () => {
    const frame = { total: 500, blockBytes: 4, checksum: 1, number: 70_000, droplet: new Uint8Array(4) };
    expect(readFrame(writeFrame(frame))).toEqual({ ...frame, number: 70_000 - 65_536 });
    for (const wrong of [
      { total: 0 },
      { total: 1_000_001, blockBytes: 4 },
      { blockBytes: 5 },
      { total: 90_000 },
    ])
      expect(readFrame(writeFrame({ ...frame, ...wrong })), JSON.stringify(wrong)).toBe('other');
    expect(readFrame(new Uint8Array(3))).toBe('other');
    expect(await unpacked(new Uint8Array([1, 2, 3]))).toBeNull();
    expect(await unpacked((await packed('0'.repeat(65_000_000))) as Uint8Array<ArrayBuffer>)).toBeNull();
  });
});

describe('what is handed over', () => {
  const read = async (text: string | null): Promise<Records> => {
    const came = await readIncoming(text ?? '', 'x.json');
    if (!came.ok || came.taking.kind !== 'records') throw new Error(JSON.stringify(came));
    return came.taking.records;
  };
  const counts = (records: Records): Record<string, number> =>
    Object.fromEntries(
      Object.entries(records).flatMap(([table, list]) => (list.length ? [[table, list.length]] : [])),
    );

  it('is what was asked for, with clips only when they are', async () => {
    const of = async (
      wanted: Parameters<typeof parcelOf>[0],
      clips = false,
    ): Promise<Record<string, number>> => counts(await read(parcelOf(wanted, demo, { clips, now })));
    expect(await of({ what: 'shot', id: 'demo-02' })).toEqual({ shots: 1 });
    expect(await of({ what: 'kit' })).toEqual({ kit: demo.kit.length });
    expect(await of({ what: 'outing', id: 'demo-holm' })).toEqual({ shots: 7, outings: 1, log: 4 });
    expect(await of({ what: 'outing', id: 'demo-holm' }, true)).toMatchObject({ clips: 8 });
    expect(await of({ what: 'everything' })).not.toHaveProperty('clips');
    expect(await read(parcelOf({ what: 'everything' }, demo, { clips: true, now }))).toEqual(demo);
    expect(parcelOf({ what: 'shot', id: 'gone' }, noRecords(), { clips: false, now })).toBeNull();
    expect(parcelOf({ what: 'outing', id: 'gone' }, noRecords(), { clips: false, now })).toBeNull();
  });
});
