import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeDemo } from '../../../demo/makeDemo';
import { raised, withEdits } from '../records/edits';
import { noRecords, RECORD_TABLES } from '../records/kinds';
import type { KeptRecord, Records } from '../records/kinds';
import { emptyShot } from '../records/emptyShot';
import { newThing } from '../records/kitItem';
import { countedOn } from '../records/verdictTurns';
import { removedId } from '../records/edits';
import { compared, merged, placed } from './merge';
import type { MergedTable } from './settle';
import { sampling } from '../../../testing/samples';

const demo = makeDemo();
const AT = '2026-10-01T08:00:00Z';
const stamps = { version: 3 as const, createdAt: AT, updatedAt: AT, demo: false };
const mine = { ...stamps, id: 'mine' as const };
const BASE: Records = {
  ...noRecords(),
  shots: demo.shots.slice(0, 2).map((record) => ({ ...record, shot: emptyShot('Weir') })),
  outings: demo.outings.slice(0, 1).map((outing) => ({ ...outing, days: outing.days.slice(0, 1) })),
  log: demo.log.slice(0, 2).map((entry) => ({ ...entry, shot: emptyShot('Weir') })),
  clips: demo.clips
    .slice(0, 1)
    .map((clip) => ({ ...clip, frames: [], curves: null, measured: { ...clip.measured, findings: [] } })),
  kit: [
    {
      ...stamps,
      kind: 'lynxeye/kit-item',
      id: 'k',
      archived: false,
      note: '',
      thing: newThing('card', 'k', 'Card'),
    },
  ],
  prices: [{ ...stamps, kind: 'lynxeye/price', id: 'p', price: 1 }],
  eye: [{ ...mine, kind: 'lynxeye/own-eye', answers: [], weights: null }],
  practised: [{ ...mine, kind: 'lynxeye/practised', tried: [] }],
};
const TABLES = ['shots', 'outings', 'log', 'clips', 'kit', 'prices', 'eye', 'practised'] as const;
type EditedTable = (typeof TABLES)[number];
const name = (own: string | null): string => `${own ?? ''}~`;

/** One edit of one record: it leaves its number in it, or takes the record away. */
interface Edit {
  table: EditedTable;
  pick: number;
  /** One time in eight. */
  removes: boolean;
  at: number;
}

/** Says something new with a number that is found again wherever it is kept. */
const SAY: { [T in EditedTable]: (record: Records[T][number], token: string) => object } = {
  shots: (record, token) => ({ shot: { ...record.shot, name: token } }),
  outings: (_, token) => ({ name: token }),
  log: (record, token) => ({ note: `${record.note} ${token}`.trim() }),
  clips: (record, token) => ({ note: `${record.note} ${token}`.trim() }),
  kit: (record, token) => ({ thing: { ...record.thing, name: token } }),
  prices: (_, token) => ({ price: Number(token.slice(1)) }),
  eye: (record, token) => ({
    answers: [
      ...record.answers,
      { differences: { smear: Number(token.slice(1)) / 1e4 }, said: 'first', plain: false },
    ],
  }),
  practised: (record, token) => ({
    tried: [
      ...record.tried,
      {
        at: AT,
        kind: 'light',
        from: 'drawn',
        loss: Number(token.slice(1)) / 1e4,
        offStops: null,
        seconds: 1,
      },
    ],
  }),
};

let token = 1000;

/** A copy after edits on one device, and what each edit of a record that is still there left in it. */
function edited(
  from: Records,
  device: string,
  edits: readonly Edit[],
): { records: Records; said: Map<string, string[]> } {
  const records = structuredClone(from);
  const said = new Map<string, string[]>();
  for (const { table, pick, removes, at } of edits) {
    const own = records[table] as KeptRecord[];
    const record = own[pick % Math.max(own.length, 1)];
    if (!record) continue;
    const key = removedId(table, record.id);
    const seen = raised(record.edits, { device, count: ++token });
    if (removes && table !== 'eye' && table !== 'practised') {
      own.splice(own.indexOf(record), 1);
      records.removed.push({ kind: 'lynxeye/removed', version: 3, id: key, at: AT, edits: seen });
      said.delete(key);
      continue;
    }
    const number = `#${++token}`;
    const updatedAt = new Date(Date.parse(AT) + at * 1000).toISOString();
    const changed = SAY[table](record as never, number);
    own[own.indexOf(record)] = withEdits(
      { ...record, ...changed, ...('updatedAt' in record ? { updatedAt } : {}) },
      seen,
    );
    // A name or a price stands for the one before it; a note or an answer stands beside it.
    const stands = ['log', 'clips', 'eye', 'practised'].includes(table);
    said.set(key, [...(stands ? (said.get(key) ?? []) : []), number]);
  }
  return { records, said };
}

/** Everything kept, in an order of its own, whatever the order of keys and lists. */
function asText(records: Records): string {
  const ordered = (_: string, value: unknown): unknown =>
    typeof value === 'object' && value !== null && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([one], [other]) => (one < other ? -1 : 1)))
      : value;
  return RECORD_TABLES.map(
    (table) =>
      `${table}: ${(records[table] as KeptRecord[])
        .map((record) => JSON.stringify(record, ordered))
        .sort()
        .join('\n')}`,
  ).join('\n');
}

const edit: fc.Arbitrary<Edit> = fc.record({
  table: fc.constantFrom(...TABLES),
  pick: fc.nat(5),
  removes: fc.nat(7).map((one) => one === 0),
  at: fc.nat(50),
});
const edits = fc.array(edit, { maxLength: 8 });
const isThere = (records: Records, table: MergedTable, number: string): boolean => {
  const text = JSON.stringify(records[table]);
  return table === 'eye' || table === 'practised'
    ? text.includes(`:${Number(number.slice(1)) / 1e4},`) ||
        text.includes(`:${Number(number.slice(1)) / 1e4}}`)
    : text.includes(number);
};

describe('two copies that were edited apart', () => {
  it('come to the same whichever is merged into which, again and again, and lose no edit', () => {
    fc.assert(
      fc.property(edits, edits, edits, (before, here, there) => {
        const { records: base } = edited(BASE, 'laptop', before);
        const one = edited(base, 'laptop', here);
        const two = edited(base, 'phone', there);
        const both = merged(one.records, two.records, name);
        expect(asText(both)).toBe(asText(merged(two.records, one.records, name)));
        for (const again of [one.records, two.records, both])
          expect(asText(merged(both, again, name))).toBe(asText(both));
        for (const { said } of [one, two])
          for (const [key, numbers] of said) {
            const table = key.slice(0, key.indexOf('/')) as MergedTable;
            // There is one price: the newest stands, and the other is told.
            if (table === 'prices') continue;
            for (const number of numbers) expect(isThere(both, table, number), `${key} ${number}`).toBe(true);
          }
      }),
      sampling(1000, 17),
    );
  });

  it('come to the same on three devices, in whatever order, and grow no further in a ring', () => {
    fc.assert(
      fc.property(edits, edits, edits, (...each) => {
        const copies = each.map((own, at) => edited(BASE, `device${at}`, own).records);
        const [one, two, three] = copies as [Records, Records, Records];
        const all = merged(merged(one, two, name), three, name);
        expect(asText(merged(one, merged(two, three, name), name))).toBe(asText(all));
        let ring = copies;
        for (let round = 0; round < 4; round += 1)
          ring = ring.map((own, at) => merged(own, ring[(at + 1) % 3]!, name));
        for (const own of ring) expect(asText(own)).toBe(asText(all));
      }),
      sampling(600, 23),
    );
  });

  it('stay away once removed, unless someone who did not know changed them', () => {
    const removal: Edit = { table: 'shots', pick: 0, removes: true, at: 1 };
    const change: Edit = { ...removal, removes: false };
    const gone = edited(BASE, 'laptop', [removal]).records;
    const id = BASE.shots[0]!.id;
    expect(compared(gone, BASE, name).find((row) => row.id === id)?.outcome).toBe('goneHere');
    expect(compared(BASE, gone, name).find((row) => row.id === id)?.outcome).toBe('goneThere');
    const changed = edited(BASE, 'phone', [change]).records;
    expect(compared(gone, changed, name).find((row) => row.id === id)?.outcome).toBe('comesBack');
    const back = merged(gone, changed, name);
    expect(back.removed).toEqual([]);
    expect(compared(back, gone, name).find((row) => row.id === id)?.outcome).toBe('ours');
  });

  it('told by hand which to keep, hold to it when they meet again', () => {
    const change: Edit = { table: 'outings', pick: 0, removes: false, at: 1 };
    const here = edited(BASE, 'laptop', [change]).records;
    const there = edited(BASE, 'phone', [{ ...change, at: 9 }]).records;
    const rows = compared(here, there, name);
    expect(rows.find(({ table }) => table === 'outings')?.outcome).toBe('both');
    const kept = placed(rows, here, () => 'here', { device: 'laptop', count: 9 }).find(
      ({ table }) => table === 'outings',
    );
    expect(kept?.after).toMatchObject({ name: here.outings[0]!.name, edits: { laptop: 9 } });
    const mended = { ...here, outings: [kept!.after as Records['outings'][number]] };
    expect(compared(mended, there, name).find(({ table }) => table === 'outings')?.outcome).toBe('ours');
    expect(merged(mended, there, name).outings).toEqual(mended.outings);
  });

  it('put together what was noted of one recording', () => {
    const [entry] = BASE.log;
    const noted = (device: string, verdicts: ('noisy' | 'smear')[], note: string): Records => ({
      ...BASE,
      log: [withEdits({ ...entry!, verdicts, note }, { [device]: 1 })],
    });
    const both = merged(noted('a', ['smear'], 'wind'), noted('b', ['noisy'], 'drops'), name);
    expect(both.log).toMatchObject([
      { verdicts: ['smear', 'noisy'], note: 'drops\n—\nwind', edits: { a: 1, b: 1 } },
    ]);
    // A verdict taken back stays away from who still has it, however often they meet, until it is given again.
    const [said, back] = [noted('a', ['smear'], ''), noted('b', [], '')];
    back.log = back.log.map((one) => countedOn(said.log[0]!, one));
    for (const copy of [merged(said, back, name), merged(merged(said, back, name), said, name)])
      expect(copy.log).toMatchObject([{ verdicts: [], turns: { smear: 2 } }]);
    const again = {
      ...back,
      log: [countedOn(back.log[0]!, { ...back.log[0]!, verdicts: ['smear' as const] })],
    };
    expect(merged(again, back, name).log).toMatchObject([{ verdicts: ['smear'], turns: { smear: 3 } }]);
    const tooLong = merged(noted('a', [], 'x'.repeat(1500)), noted('b', [], 'y'.repeat(1500)), name);
    expect(tooLong.log.map(({ note }) => note.length)).toEqual([1500, 1500]);
  });
});
