import { movedToDay, withDay, entryAt } from '@/core/plan/dayEdits';
import { minutesOf } from '@/core/plan/entries';
import type { Outing, OutingEntry, OutingFile } from '@/core/plan/outing';
import { shiftedTo } from '@/core/day/placedDay';
import type { Shot } from '@/core/plan/shot';
import { wallClock } from '@/formats/clock';
import { ownZone } from '@/formats/today';
import type { Keeper } from '@/store/keeper';
import type { Took } from './took';

const REPORT = (leftBehind: readonly string[]): string =>
  leftBehind.length === 0 ? '' : ` Left behind: ${leftBehind.join(' ')}`;

/** An outing with its shots: known ids are replaced, new ones added. */
export async function takeOutingFile(keeper: Keeper, { outing, shots }: OutingFile): Promise<Took> {
  await keeper.restore({ shots, log: [], kit: [], outings: [outing] });
  return {
    ok: true,
    said: `Took in the outing "${outing.name}" with ${shots.length} shots. Undo takes it back.`,
  };
}

/** A shot list makes a new outing; shots it names by an id kept here are those, the others are made from the sheet. */
export async function takeShotList(keeper: Keeper, name: string, text: string): Promise<Took> {
  const { readShotListCsv } = await import('@/formats/outing/csv');
  const read = readShotListCsv(text, () => keeper.newId());
  if (!read.ok) return read;
  const { days, leftBehind } = read.list;
  const kept = new Set((await keeper.database.shots.toArray()).map(({ id }) => id));
  const made: ReturnType<Keeper['newRecord']>[] = [];
  const known = (await keeper.database.outings.toArray())[0];
  const zone = known?.zone ?? ownZone();
  await keeper.addOuting(
    (id, at): Outing => ({
      kind: 'lynxeye/outing',
      version: 1,
      id,
      createdAt: at,
      updatedAt: at,
      demo: false,
      archived: false,
      name: name.replace(/\.csv$/i, '').slice(0, 120),
      note: '',
      zone,
      gear: [],
      ticked: [],
      days: days.map((day) => ({
        id: keeper.newId(),
        date: day.date,
        air: { lowC: 8, highC: 18 },
        entries: day.entries.map((entry): OutingEntry => {
          if (entry.what !== 'shot') return entry;
          const { id: entryId, at: time, shotId, shot } = entry;
          const there = shotId !== null && kept.has(shotId) ? shotId : null;
          const record = there === null ? keeper.newRecord(shot) : null;
          if (record) made.push(record);
          return {
            what: 'shot',
            id: entryId,
            shotId: there ?? record?.id ?? '',
            at: time,
            pauses: [],
            note: '',
          };
        }),
      })),
    }),
    made,
    'import a shot list',
  );
  const count = days.reduce((sum, day) => sum + day.entries.length, 0);
  return {
    ok: true,
    said: `Made an outing of ${count} lines, ${made.length} shots of them new. Undo takes it back.${REPORT(leftBehind)}`,
  };
}

/** A calendar moves the entries it knows to where they stand in it now. */
export async function takeCalendar(keeper: Keeper, text: string): Promise<Took> {
  const { readOutingCalendar } = await import('@/formats/outing/calendar');
  const outings = await keeper.database.outings.toArray();
  let why = 'no outing here knows these events; take in the outing first';
  for (const outing of outings) {
    const read = readOutingCalendar(text, outing);
    if (!read.ok) {
      why = read.why;
      break;
    }
    const { moved, known, leftBehind } = read.read;
    if (known === 0) continue;
    const clock = wallClock(outing.zone);
    const shots = new Map<string, (shot: Shot) => Shot>();
    for (const { entryId, date, at } of moved) {
      const entry = outing.days.flatMap(({ entries }) => entries).find(({ id }) => id === entryId);
      if (entry?.what === 'shot') shots.set(entry.shotId, (shot) => shiftedTo(shot, clock(date, at)));
    }
    await keeper.changeOuting(
      outing.id,
      'take a calendar in',
      (before) =>
        moved.reduce((done, { entryId, date, at }) => {
          const day = done.days.find((one) => one.date === date);
          if (!day) return done;
          return withDay(movedToDay(done, entryId, day.id), day.id, (one) =>
            entryAt(one, entryId, minutesOf(at)),
          );
        }, before),
      shots,
    );
    const strangers = moved.filter(({ date }) => !outing.days.some((day) => day.date === date)).length;
    const left =
      strangers > 0 ? [...leftBehind, `${strangers} moved to dates the outing does not have.`] : leftBehind;
    return {
      ok: true,
      said: `${moved.length - strangers} of ${known} entries of "${outing.name}" moved. Undo takes it back.${REPORT(left)}`,
    };
  }
  return { ok: false, faults: [{ path: '', text: why }] };
}
