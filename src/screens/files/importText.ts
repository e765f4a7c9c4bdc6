import { shotName } from '@/words/shotName';
import * as messages from '@/language/files';
import { USUAL_AIR } from '@/core/records/dayBounds';
import { entryAt, movedToDay, withDay } from '@/core/records/dayEdits';
import { minutesOf } from '@/core/records/entries';
import { newOuting } from '@/core/records/newOuting';
import type { Outing, OutingEntry } from '@/core/records/outing';
import type { Shot } from '@/core/records/shot';
import type { ShotRecord } from '@/core/records/shotRecord';
import { movedTo, wallClock } from '@/formats/clock';
import type { Taking } from '@/formats/incoming';
import { movesOf } from '@/formats/outing/calendar';
import type { CalendarMoves, CalendarTimes } from '@/formats/outing/calendar';
import type { ReadShotList } from '@/formats/outing/csv';
import { ownZone } from '@/formats/today';
import type { Repository } from '@/store/repository';
import { merge } from '@/store/merging';
import { mergedText } from './mergeRows';

/** What was kept, in words; or why nothing was. */
export type Took = { ok: true; said: string } | { ok: false; why: string };

const UNDO = messages.undoTakesItBack;

/** Keeps what a file held; it has been checked. One step of undo. */
export async function take(repository: Repository, taking: Taking): Promise<Took> {
  switch (taking.kind) {
    case 'shots': {
      const { shots } = taking;
      const count = messages.aShot({ count: shots.length });
      await repository.addShots(shots, messages.paste({ count }));
      return {
        ok: true,
        said: messages.kept({
          count: shots.length === 1 ? `"${shotName(shots[0])}"` : count,
        }),
      };
    }
    case 'camera': {
      const { profile } = taking;
      await repository.addKit((id) => ({ what: 'camera', profile: { ...profile, id } }), messages.addACamera);
      return { ok: true, said: messages.keptTheCameraInThe({ profile: profile.name }) };
    }
    case 'records':
      return {
        ok: true,
        said: mergedText(await merge(repository, taking.records)),
      };
    case 'shotList':
      return takeShotList(repository, taking.name, taking.list);
    case 'calendar':
      return takeCalendar(repository, taking.calendar);
  }
}

/** What would become of what is kept here, in words; nothing is written. Records tell it themselves, one by one. */
export async function changesOf(
  repository: Repository,
  taking: Exclude<Taking, { kind: 'records' }>,
): Promise<string[]> {
  switch (taking.kind) {
    case 'shots':
      return taking.shots.map((shot) => messages.addsAShot({ name: shotName(shot) }));
    case 'camera':
      return [messages.addsACamera({ name: taking.profile.name })];
    case 'shotList': {
      const { days } = taking.list;
      return [
        messages.addsAnOuting({
          name: taking.name,
          days: days.map(({ date }) => date).join(', '),
          count: days.reduce((sum, day) => sum + day.entries.length, 0),
        }),
      ];
    }
    case 'calendar': {
      const known = await outingOf(repository, taking.calendar);
      if (!known) return [];
      const { outing, moves } = known;
      const { moved } = moves;
      const entries = new Map(outing.days.flatMap((day) => day.entries.map((one) => [one.id, { day, one }])));
      const named = new Map(
        (await repository.queries.all('shots')).map(({ id, shot }) => [id, shotName(shot)]),
      );
      return moved.flatMap(({ entryId, date, at }) => {
        const found = entries.get(entryId);
        if (!found) return [];
        const { day, one } = found;
        const name = one.what === 'shot' ? (named.get(one.shotId) ?? shotName(undefined)) : one.name;
        return [
          messages.movesAnEntry({
            name,
            outing: outing.name,
            from: `${day.date} ${one.at}`,
            to: `${date} ${at}`,
          }),
        ];
      });
    }
  }
}

/** The outing whose entries a calendar knows. */
async function outingOf(
  repository: Repository,
  calendar: CalendarTimes,
): Promise<{ outing: Outing; moves: CalendarMoves } | null> {
  for (const outing of await repository.queries.all('outings')) {
    const moves = movesOf(calendar, outing);
    if (moves.known > 0) return { outing, moves };
  }
  return null;
}

/** A shot list makes a new outing; shots it names by an id kept here are those, the others are made from the sheet. */
async function takeShotList(repository: Repository, name: string, { days }: ReadShotList): Promise<Took> {
  const kept = await repository.queries.ids('shots');
  const made: ShotRecord[] = [];
  // The clock of the person's last outing, until the page has asked where this one is.
  const last = await repository.queries.latestChanged('outings');
  const zone = last.find(({ demo }) => !demo)?.zone ?? ownZone();
  await repository.addOuting(
    (id, at): Outing => ({
      ...newOuting(id, at, zone, days[0]?.date ?? at.slice(0, 10), name),
      days: days.map((day) => ({
        id: repository.newId(),
        date: day.date,
        air: USUAL_AIR,
        entries: day.entries.map((entry): OutingEntry => {
          if (entry.what !== 'shot') return { ...entry, id: repository.newId() };
          const { at: time, shotId, shot } = entry;
          const there = shotId !== null && kept.has(shotId) ? shotId : null;
          const record = there === null ? repository.newRecord(shot) : null;
          if (record) made.push(record);
          return {
            what: 'shot',
            id: repository.newId(),
            shotId: there ?? record?.id ?? '',
            at: time,
            pauses: [],
            note: '',
          };
        }),
      })),
    }),
    made,
    messages.importAShotList,
  );
  const count = days.reduce((sum, day) => sum + day.entries.length, 0);
  return { ok: true, said: messages.madeAnOutingOfLines({ count, count2: made.length, undo: UNDO }) };
}

/** A calendar moves the entries it knows to where they stand in it now. */
async function takeCalendar(repository: Repository, calendar: CalendarTimes): Promise<Took> {
  const found = await outingOf(repository, calendar);
  if (!found) return { ok: false, why: messages.noOutingHereKnowsThese };
  const { outing, moves } = found;
  const { moved, known, leftBehind } = moves;
  const clock = wallClock(outing.zone);
  const movable = moved.filter(({ date }) => outing.days.some((day) => day.date === date));
  const shots = new Map<string, (shot: Shot) => Shot>();
  for (const { entryId, date, at } of movable) {
    const entry = outing.days.flatMap(({ entries }) => entries).find(({ id }) => id === entryId);
    if (entry?.what === 'shot')
      shots.set(entry.shotId, (shot) => movedTo(shot, clock(date, at), outing.zone));
  }
  await repository.changeOuting(
    outing.id,
    messages.takeACalendarIn,
    (before) =>
      movable.reduce((done, { entryId, date, at }) => {
        const day = done.days.find((one) => one.date === date);
        if (!day) return done;
        return withDay(movedToDay(done, entryId, day.id), day.id, (one) =>
          entryAt(one, entryId, minutesOf(at)),
        );
      }, before),
    shots,
  );
  const strangers = moved.length - movable.length;
  const left = strangers > 0 ? [...leftBehind, messages.movedToDatesTheOuting({ strangers })] : leftBehind;
  return {
    ok: true,
    said: messages.ofEntriesOfMoved({
      count: movable.length,
      known,
      outing: outing.name,
      count2: movable.length > 0 ? UNDO : '',
      leftBehind: leftBehindText(left),
    }),
  };
}

export function leftBehindText(leftBehind: readonly string[]): string {
  return leftBehind.length === 0 ? '' : messages.leftBehind({ leftBehind: leftBehind.join(' ') });
}
