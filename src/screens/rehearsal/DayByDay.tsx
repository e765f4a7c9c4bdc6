'use client';

import * as messages from '@/language/rehearsal';
import { Button, InputNumber } from 'antd';
import { X } from 'lucide-react';
import { useRef } from 'react';
import type { ReactNode } from 'react';
import type { WorkedDay } from '@/core/day/workedDay';
import type { KeptDay } from '@/core/records/outing';
import type { Rehearsal } from '@/core/rehearse/rehearse';
import { tenths, trimmed } from '@/core/units/format';
import { dayPartName } from '@/words/shotName';
import type { LookedAt } from '@/workers/rehearse';
import { useInView } from '../ui/useInView';
import { useWidth } from '../ui/useWidth';
import { DayDrawing } from './DayDrawing';
import styles from './rehearsal.module.css';
import { failureText } from './told';
import { useDays } from './useDays';

/** As many as a day of an outing holds, and how long a name may be. */
const MOST_KEPT = 40;
const LONGEST_NAME = 120;
/** Shots told of one day before the rest is counted. */
const MOST_TOLD = 12;

/** One drawn day after the other over the clock; a day is held, and stepped through, by hand. */
export function DayByDay({
  report,
  day,
  zone,
  of,
  kept,
  onKeep,
  onOpen,
}: {
  report: Rehearsal;
  day: WorkedDay;
  zone: string;
  of: object | null;
  kept: readonly KeptDay[];
  onKeep: (kept: readonly KeptDay[], label: string) => void;
  /** A day of this seed is wanted. */
  onOpen: (seed: number) => void;
}): ReactNode {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const inSight = useInView(frame);
  const { lived, number, playing, play, go } = useDays(report.draws, {
    parts: day.parts.length,
    of,
    inSight,
  });
  const { seed } = report;
  const isKept = kept.some((one) => one.seed === seed && one.number === number);
  return (
    <section aria-labelledby="watch-title">
      <h2 id="watch-title">{messages.watch}</h2>
      <div className={styles.presses}>
        <Button onClick={() => play(!playing)}>{playing ? messages.pause : messages.play}</Button>
        <Button onClick={() => go(number - 1)}>{messages.before}</Button>
        <InputNumber
          aria-label={messages.dayOf}
          min={1}
          max={report.draws}
          value={number + 1}
          onChange={(value) => value !== null && go(value - 1)}
        />
        <Button onClick={() => go(number + 1)}>{messages.next}</Button>
        <Button onClick={() => go(report.badDay)}>{messages.badDay}</Button>
        <Button
          disabled={!lived || isKept || kept.length >= MOST_KEPT}
          onClick={() => {
            if (!lived) return;
            play(false);
            const name = wentText(lived, day).slice(0, LONGEST_NAME);
            onKeep([...kept, { seed, number, name }], messages.keepADay);
          }}
        >
          {messages.keepDay}
        </Button>
      </div>
      <div ref={frame} className={styles.ribbon}>
        {width > 0 && lived && <DayDrawing lived={lived} day={day} zone={zone} width={width} frame={frame} />}
      </div>
      {lived && (
        <p aria-live={playing ? 'off' : 'polite'} className={styles.went}>
          {messages.dayWent({
            day: messages.dayNumber({ number: number + 1 }),
            what: wentText(lived, day),
            loss: tenths(lived.loss),
          })}
        </p>
      )}
      {kept.length > 0 && (
        <>
          <h3>{messages.keptDays}</h3>
          <ul className={styles.kept}>
            {kept.map((one) => {
              const told = { number: one.number + 1, seed: one.seed };
              return (
                <li key={`${one.seed} ${one.number}`}>
                  <Button
                    type="link"
                    title={one.name}
                    onClick={() => {
                      onOpen(one.seed);
                      go(one.number);
                    }}
                  >
                    {messages.openKept(told)}
                  </Button>
                  <span className="quiet">{one.name}</span>
                  <Button
                    type="text"
                    aria-label={messages.forgetDay(told)}
                    icon={<X size={16} aria-hidden />}
                    onClick={() =>
                      onKeep(
                        kept.filter((other) => other !== one),
                        messages.forgetADay,
                      )
                    }
                  />
                </li>
              );
            })}
          </ul>
        </>
      )}
    </section>
  );
}

/** "Sun gate white sky, wet lens; Iron rungs 14 min late" */
function wentText({ parts }: LookedAt, day: WorkedDay): string {
  const told = parts.flatMap(({ id, failed, slips, delayMs }) => {
    const part = day.part(id);
    if (!part || (failed.size === 0 && slips.length === 0)) return [];
    // Whose first seconds are missing is not late by the clock.
    const codes = [...failed].filter((code) => code !== 'late' || !slips.includes('startedLate'));
    const what = [
      ...codes.map((code) =>
        code === 'late' ? messages.lateBy({ minutes: trimmed(delayMs / 60_000, 0) }) : failureText(code),
      ),
      ...slips.map((slip) => messages.slip[slip]),
    ];
    return [messages.partWent({ shot: dayPartName(part), what: [...new Set(what)].join(', ') })];
  });
  if (told.length === 0) return messages.wentWell;
  const more = told.length - MOST_TOLD;
  return more > 0
    ? messages.andMoreWent({ told: told.slice(0, MOST_TOLD).join('; '), count: more })
    : told.join('; ');
}
