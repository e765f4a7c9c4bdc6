'use client';

import * as messages from '@/language/rehearsal';
import { Button, Checkbox, Select } from 'antd';
import { useState } from 'react';
import type { ReactNode } from 'react';
import type { WorkedDay } from '@/core/day/workedDay';
import { clockTime, inOrder, minutesOf } from '@/core/records/entries';
import type { Gear, OutingDay, OutingEntry } from '@/core/records/outing';
import type { BetterTimes } from '@/core/rehearse/times';
import { tenths } from '@/core/units/format';
import { wallClock } from '@/formats/clock';
import { clockText } from '@/words/lightText';
import { shotName } from '@/words/shotName';
import type { DrawnFrom } from '@/workers/rehearse';
import type { DayEditing } from '../outing/useDayEditing';
import { ClockField, NumberField } from '../ui/Fields';
import styles from './rehearsal.module.css';
import { pct } from './told';
import { useTimesSearch } from './useTimesSearch';
import type { Search } from './useTimesSearch';

/** Within which the person lets the day be moved. */
interface Stated {
  earliest: string;
  latest: string;
  mostMinutes: number;
  betweenMinutes: number;
  order: boolean;
  stay: readonly string[];
}

/** Room before the first entry and after the last that is offered to begin with, minutes. */
const ROOM = 60;
const MOST_MOVED = 240;
/** Lengths that the person states, with the step of their field. */
const MINUTES = [
  { key: 'mostMinutes', step: 15 },
  { key: 'betweenMinutes', step: 5 },
] as const;

/** Other times for the day, looked for within stated limits on the same drawn days; taken by the person or left. */
export function OtherTimes({
  day,
  of,
  gear,
  zone,
  from,
  editing,
}: {
  day: WorkedDay;
  of: OutingDay;
  gear: readonly Gear[];
  zone: string;
  from: DrawnFrom;
  editing: DayEditing;
}): ReactNode {
  const entries = inOrder(of.entries);
  const [stated, setStated] = useState<Stated>(() => ({
    earliest: clockTime(Math.min(...entries.map(({ at }) => minutesOf(at))) - ROOM),
    latest: clockTime(Math.max(...entries.map((one) => minutesOf(one.at) + editing.lengthOf(one))) + ROOM),
    mostMinutes: 60,
    betweenMinutes: 5,
    order: false,
    stay: [],
  }));
  const { search, look, stop, leave } = useTimesSearch(day.schedule, gear, from);
  const put = (change: Partial<Stated>): void => {
    leave();
    setStated((before) => ({ ...before, ...change }));
  };
  const clock = wallClock(zone);
  const crossed = minutesOf(stated.latest) <= minutesOf(stated.earliest);
  const run = (): void =>
    look({
      fromMs: clock(of.date, stated.earliest),
      toMs: clock(of.date, stated.latest),
      mostMinutes: stated.mostMinutes,
      betweenMinutes: stated.betweenMinutes,
      order: stated.order,
      // What is done is done.
      stay: [...stated.stay, ...entries.filter(isDone).map(({ id }) => id)],
    });
  const nameOf = (entry: OutingEntry): string =>
    entry.what === 'shot' ? shotName(day.partsOf(entry.id)[0]?.shot) : entry.name;
  const take = (times: BetterTimes): void => void editing.take(messages.takeTheTimes, [times]);
  return (
    <section aria-labelledby="times-title">
      <h2 id="times-title">{messages.times}</h2>
      <p className="quiet">{messages.timesLead}</p>
      <div className={styles.limits}>
        <ClockField
          label={messages.earliest}
          kind="time"
          value={stated.earliest}
          onCommit={(earliest) => put({ earliest })}
        />
        <ClockField
          label={messages.latest}
          kind="time"
          value={stated.latest}
          onCommit={(latest) => put({ latest })}
        />
        {MINUTES.map(({ key, step }) => (
          <NumberField
            key={key}
            label={messages.limit[key]}
            unit={messages.minutes}
            min={0}
            max={MOST_MOVED}
            step={step}
            value={stated[key]}
            onCommit={(value) => put({ [key]: value ?? 0 })}
          />
        ))}
        <label className={styles.named}>
          {messages.stay}
          <Select
            mode="multiple"
            aria-label={messages.stay}
            placeholder={messages.nothingStays}
            popupMatchSelectWidth={false}
            className={styles.stay ?? ''}
            value={[...stated.stay]}
            options={entries.map((entry) => ({ value: entry.id, label: nameOf(entry) }))}
            onChange={(stay: string[]) => put({ stay })}
          />
        </label>
        <Checkbox checked={stated.order} onChange={({ target }) => put({ order: target.checked })}>
          {messages.mayChangePlaces}
        </Checkbox>
        {search?.how === 'looking' ? (
          <Button onClick={stop}>{messages.stopSearch}</Button>
        ) : (
          <Button disabled={crossed} onClick={run}>
            {messages.searchTimes}
          </Button>
        )}
      </div>
      {crossed && (
        <p role="alert">{messages.limitsCross({ earliest: stated.earliest, latest: stated.latest })}</p>
      )}
      <p role="status">{search && searchText(search)}</p>
      {search?.how === 'better' && (
        <>
          <ul className={styles.moves}>
            {runsOf(search.times, entries).map(({ first, last, fromMs, toMs }) => (
              <li key={first.id}>
                {first === last
                  ? messages.movesTo({
                      name: nameOf(first),
                      from: clockText(fromMs, zone),
                      to: clockText(toMs, zone),
                    })
                  : messages.runMoves({
                      first: nameOf(first),
                      last: nameOf(last),
                      minutes: Math.abs(toMs - fromMs) / 60_000,
                      later: toMs > fromMs,
                    })}
              </li>
            ))}
          </ul>
          <div className={styles.presses}>
            <Button type="primary" onClick={() => take(search.times)}>
              {messages.takeTimes}
            </Button>
            <Button onClick={leave}>{messages.leaveTimes}</Button>
          </div>
        </>
      )}
    </section>
  );
}

interface Run {
  first: OutingEntry;
  last: OutingEntry;
  fromMs: number;
  toMs: number;
}

/** Neighbours that are moved by the same are told as one. */
function runsOf({ moves }: BetterTimes, entries: readonly OutingEntry[]): Run[] {
  const byId = new Map(moves.map((one) => [one.entryId, one]));
  let goesOn = false;
  return entries.reduce<Run[]>((runs, entry) => {
    const move = byId.get(entry.id);
    const run = goesOn ? runs.at(-1) : undefined;
    goesOn = move !== undefined;
    if (!move) return runs;
    const { fromMs, toMs } = move;
    if (run && run.toMs - run.fromMs === toMs - fromMs) run.last = entry;
    else runs.push({ first: entry, last: entry, fromMs, toMs });
    return runs;
  }, []);
}

function isDone(entry: OutingEntry): boolean {
  return entry.what === 'shot' && entry.done !== undefined;
}

function searchText(search: Search): string {
  switch (search.how) {
    case 'looking':
      return messages.tried({ tried: search.tried, loss: tenths(search.loss) });
    case 'better': {
      const { loss, lasts } = search.times;
      return messages.betterTimes({
        before: tenths(loss[0]),
        after: tenths(loss[1]),
        lastsBefore: messages.pct({ p: pct(lasts[0]) }),
        lastsAfter: messages.pct({ p: pct(lasts[1]) }),
      });
    }
    case 'none':
      return messages.noBetterTimes;
    case 'stopped':
      return messages.searchStopped;
    case 'failed':
      return messages.timesFailed({ why: search.why });
  }
}
