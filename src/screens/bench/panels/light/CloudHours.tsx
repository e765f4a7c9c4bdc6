'use client';

import * as messages from '@/language/bench/light';
import { Button } from 'antd';
import { useRef, useState } from 'react';
import type { KeyboardEvent, ReactNode } from 'react';
import { ForecastSchema, withForecast, withHour } from '@/core/light/forecast';
import { divisorOfCloud } from '@/core/light/sky';
import type { CloudHour } from '@/core/light/lightSchema';
import type { SunLight } from '@/core/light/sun/sunLight';
import { omit } from '@/core/units/omit';
import { trimmed } from '@/core/units/format';
import { dayAt, isoIn } from '@/formats/clock';
import { clockText } from '@/words/lightText';
import type { ShotEditing } from '../../../data/useShotEditing';
import styles from './light.module.css';
import { zoneOf } from '@/formats/placed';
import { changingSun } from './sunEditing';
import { WordedError, whyText } from '@/words/whyText';

const HOUR_MS = 3_600_000;

/** Cloud over the run's day, hour by hour: from the simulated service, or as the person has it. */
export function CloudHours({ light, editing }: { light: SunLight; editing: ShotEditing }): ReactNode {
  const [said, setSaid] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const zone = zoneOf(light);
  const day = dayAt(Date.parse(light.from), zone);
  const ask = async (): Promise<void> => {
    setBusy(true);
    setSaid(null);
    try {
      const query = new URLSearchParams({
        lat: String(light.lat),
        lon: String(light.lon),
        from: isoIn(day.fromMs, zone),
        hours: String(Math.round((day.toMs - day.fromMs) / HOUR_MS)),
      });
      const response = await fetch(`/api/forecast?${query.toString()}`);
      if (!response.ok) throw new WordedError(messages.itAnswered({ status: response.status }));
      const forecast = ForecastSchema.parse(await response.json());
      editing.commit(
        messages.takeAForecast,
        changingSun((old) => ({ ...old, clouds: withForecast(old.clouds, forecast) })),
      );
      setSaid(messages.hoursYouSetYourselfStay({ source: forecast.source }));
    } catch (error) {
      setSaid(messages.noForecastCameSetThe({ error: whyText(error) }));
    } finally {
      setBusy(false);
    }
  };
  return (
    <section aria-labelledby="clouds-title" className={styles.section}>
      <div className={styles.head}>
        <h2 id="clouds-title">{messages.cloudByTheHour}</h2>
        <Button onClick={() => void ask()} loading={busy}>
          {messages.askTheSimulatedForecast}
        </Button>
        {light.clouds && (
          <Button
            type="text"
            onClick={() => {
              setSaid(null);
              editing.commit(
                messages.forgetTheCloud,
                changingSun((old) => omit(old, 'clouds')),
              );
            }}
          >
            {messages.forgetItOneSkyAll}
          </Button>
        )}
      </div>
      <p role="status" className={styles.small}>
        {said ?? messages.noWeatherIsFetchedFrom}
      </p>
      <Hours light={light} editing={editing} fromMs={day.fromMs} toMs={day.toMs} zone={zone} />
    </section>
  );
}

function Hours({
  light,
  editing,
  fromMs,
  toMs,
  zone,
}: {
  light: SunLight;
  editing: ShotEditing;
  fromMs: number;
  toMs: number;
  zone: string;
}): ReactNode {
  const row = useRef<HTMLDivElement>(null);
  const [at, setAt] = useState(12);
  const hours = Array.from(
    { length: Math.round((toMs - fromMs) / HOUR_MS) },
    (_, hour) => fromMs + hour * HOUR_MS,
  );
  const told = (ms: number): CloudHour | undefined =>
    light.clouds?.find((hour) => Date.parse(hour.at) === ms);
  const focus = (hour: number): void => {
    const next = Math.min(hours.length - 1, Math.max(0, hour));
    setAt(next);
    row.current?.querySelectorAll<HTMLElement>('[role="slider"]')[next]?.focus();
  };
  const set = (ms: number, cloudPct: number, spreadPct: number): void =>
    editing.preview(
      messages.setTheCloudOfAn,
      changingSun((old) => ({
        ...old,
        clouds: withHour(old.clouds, {
          at: isoIn(ms, zone),
          cloudPct: Math.min(100, Math.max(0, cloudPct)),
          spreadPct,
        }),
      })),
    );
  const keys = (event: KeyboardEvent, ms: number, hour: number): void => {
    const now = told(ms);
    const step = event.shiftKey ? 25 : 5;
    const way = { ArrowUp: step, ArrowDown: -step }[event.key];
    if (way !== undefined) set(ms, (now?.cloudPct ?? 0) + way, now?.spreadPct ?? 0);
    else if (event.key === 'ArrowRight') focus(hour + 1);
    else if (event.key === 'ArrowLeft') focus(hour - 1);
    else return;
    event.preventDefault();
  };
  return (
    <div ref={row} className={styles.hours} role="group" aria-label={messages.cloudByTheHour}>
      {hours.map((ms, hour) => {
        const cloud = told(ms);
        const text = cloud
          ? messages.byYouGiveOrTake({
              cloudPct: cloud.cloudPct,
              isPerson: cloud.by === 'person',
              spreadPct: cloud.spreadPct,
              cloudPct2: trimmed(divisorOfCloud(cloud.cloudPct), 1),
            })
          : messages.asTheSentenceHasIt;
        return (
          <div
            key={ms}
            role="slider"
            tabIndex={hour === at ? 0 : -1}
            aria-label={messages.cloudAt({ ms: clockText(ms, zone) })}
            aria-valuemin={0}
            aria-valuemax={100}
            aria-valuenow={cloud?.cloudPct ?? 0}
            aria-valuetext={text}
            title={text}
            className={styles.hour}
            data-by={cloud?.by ?? 'none'}
            onFocus={() => setAt(hour)}
            onKeyDown={(event) => keys(event, ms, hour)}
            onPointerDown={(event) => {
              const box = event.currentTarget.getBoundingClientRect();
              const pct = Math.round((1 - (event.clientY - box.top) / (box.height - 18)) * 20) * 5;
              set(ms, pct, cloud?.spreadPct ?? 0);
            }}
          >
            <span className={styles.column} aria-hidden>
              {cloud && (
                <>
                  <span
                    className={styles.spread}
                    style={{
                      bottom: `${Math.max(0, cloud.cloudPct - cloud.spreadPct)}%`,
                      height: `${Math.min(100, cloud.cloudPct + cloud.spreadPct) - Math.max(0, cloud.cloudPct - cloud.spreadPct)}%`,
                    }}
                  />
                  <span className={styles.cloud} style={{ height: `${cloud.cloudPct}%` }} />
                </>
              )}
            </span>
            <span className="numerals" aria-hidden>
              {clockText(ms, zone).slice(0, 2)}
            </span>
          </div>
        );
      })}
    </div>
  );
}
