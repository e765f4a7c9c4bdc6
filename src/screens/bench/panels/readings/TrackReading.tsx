'use client';

import * as messages from '@/language/bench/readings';
import { Phrase } from '../../../ui/Phrase';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import { lightAlong, litMinutes, shotPartsOf } from '@/core/track/alongTrack';
import type { LitMinute } from '@/core/track/alongTrack';
import type { Solution } from '@/core/answer/solve';
import { USUAL_SUN } from '@/core/light/sun/sunLight';
import type { SunLight } from '@/core/light/sun/sunLight';
import { trimmed } from '@/core/units/format';
import { dateAndTime, instantOf } from '@/formats/clock';
import { askFiles } from '@/workers/files';
import type { TrackJob } from '@/workers/files';
import { clockText, LIT_LABEL, spanText } from '@/words/lightText';
import { durationText, evText } from '@/words/settingText';
import type { ShotEditing } from '../../../data/useShotEditing';
import { loadPlaces, zoneAt } from '../../../location/usePlaces';
import { ClockField } from '../../../ui/Fields';
import { FileReading } from './FileReading';
import styles from './readings.module.css';
import { TrackDrawing } from './TrackDrawing';
import { useFileJob } from './useFileJob';

interface Read {
  track: TrackJob;
  zone: string;
  country: string | null;
}

/** A track that takes longer is given up. */
const MOST_SECONDS = 20;

async function readFile(file: File): Promise<Read> {
  const track = await askFiles(async (worker): Promise<TrackJob> => worker.readTrack(file), {
    mostSeconds: MOST_SECONDS,
  });
  const place = track.ok ? (track.figures.minutes[0]?.place ?? track.drawn[0]) : undefined;
  const near =
    place &&
    (await loadPlaces().then(
      (places) => places.nearest(place),
      () => null,
    ));
  return { track, zone: place ? await zoneAt(place) : 'UTC', country: near?.country ?? null };
}

/** A track dropped in: how fast and which way, and what the sun makes of it minute by minute. */
export function TrackReading({
  file,
  solution,
  editing,
  onClose,
}: {
  file: File;
  solution: Solution;
  editing: ShotEditing;
  onClose: () => void;
}): ReactNode {
  const job = useFileJob(file, readFile);
  const title = job.state === 'done' && job.result.track.ok ? job.result.track.name : null;
  return (
    <FileReading title={title ?? file.name} job={job} onClose={onClose}>
      {({ track, zone, country }) =>
        track.ok ? (
          <Facts track={track} zone={zone} country={country} solution={solution} editing={editing} />
        ) : (
          <p role="alert" className={styles.fault}>
            {messages.nothingWasChangedSaveIt({
              file: file.name,
              line: track.line === null ? '' : messages.line({ line: track.line }),
              why: track.why,
            })}
          </p>
        )
      }
    </FileReading>
  );
}

function Facts({
  track,
  zone,
  country,
  solution,
  editing,
}: {
  track: Extract<TrackJob, { ok: true }>;
  zone: string;
  country: string | null;
  solution: Solution;
  editing: ShotEditing;
}): ReactNode {
  const { figures, drawn, pointCount, leftOut } = track;
  const { times, speed } = figures;
  const start = times ? dateAndTime(times.fromMs, zone) : null;
  const [typed, setTyped] = useState<{ date: string; time: string } | null>(null);
  const asked = typed ?? start;
  const startMs = asked && instantOf(asked.date, asked.time, zone);
  const shiftMs = times && startMs !== null ? startMs - Math.floor(times.fromMs / 60_000) * 60_000 : 0;
  const lit = useMemo(() => litMinutes(figures, shiftMs), [figures, shiftMs]);
  const { light } = solution.space.brief;
  const kept = useMemo<Partial<SunLight>>(
    () => ({
      ...(light.kind === 'sun'
        ? {
            sky: light.sky ?? USUAL_SUN.sky,
            shade: light.shade ?? [...USUAL_SUN.shade],
            ground: light.ground ?? USUAL_SUN.ground,
          }
        : {}),
      zone,
      ...(country === null ? {} : { country }),
    }),
    [light, zone, country],
  );
  const parts = useMemo(() => shotPartsOf(figures, shiftMs, kept), [figures, shiftMs, kept]);
  const along = useMemo(
    () => (parts ? lightAlong(figures, parts.light, shiftMs) : []),
    [figures, parts, shiftMs],
  );
  const darkest = Math.min(...along.map(({ evMin }) => evMin));
  const brightest = Math.max(...along.map(({ evMax }) => evMax));
  return (
    <>
      <p className="numerals">
        {messages.pointsKmMUp({
          pointCount,
          lengthM: trimmed(figures.lengthM / 1000, 2),
          climbM: trimmed(figures.climbM, 0),
          leftOut: leftOut > 0 ? messages.pointsWithoutAPlaceLeft({ leftOut }) : '',
          times:
            times && speed
              ? messages.movingHalfTheTimeSlower({
                  fromMs: spanText(times.fromMs, times.toMs, zone),
                  movingSeconds: durationText(times.movingSeconds),
                  p50: mps(speed.p50),
                  p90: mps(speed.p90),
                  p95: mps(speed.p95),
                  most: mps(speed.most),
                })
              : messages.itCarriesNoTimesSo,
        })}
      </p>
      <TrackDrawing drawn={drawn} minutes={lit} />
      {parts && asked && (
        <>
          <Tally lit={lit} />
          <div className={styles.fields}>
            <ClockField
              label={messages.goItOn}
              kind="date"
              value={asked.date}
              onCommit={(date) => setTyped({ ...asked, date })}
            />
            <ClockField
              label={messages.startingAt}
              kind="time"
              value={asked.time}
              onCommit={(time) => setTyped({ ...asked, time })}
            />
            <p className={styles.range}>
              <Phrase
                of={messages.lightAlongItToEV}
                parts={[
                  <b className="numerals">{evText(darkest)}</b>,
                  <b className="numerals">{evText(brightest)}</b>,
                ]}
              />
            </p>
            <Button
              type="primary"
              disabled={startMs === null}
              onClick={() =>
                editing.commit(messages.takeLightAndSpeedFrom, (shot) => ({
                  ...shot,
                  light: parts.light,
                  motion: { ...shot.motion, travelMps: parts.travelMps },
                }))
              }
            >
              {messages.takeLightAndSpeedInto}
            </Button>
          </div>
          <details>
            <summary>{messages.minuteByMinute}</summary>
            <table className={styles.minutes}>
              <thead>
                <tr>
                  <th scope="col">{messages.time}</th>
                  <th scope="col">{messages.speed}</th>
                  <th scope="col">{messages.heading}</th>
                  <th scope="col">{messages.sun}</th>
                  <th scope="col">{messages.lightEV}</th>
                </tr>
              </thead>
              <tbody>
                {lit.slice(0, 240).map((minute, at) => (
                  <tr key={minute.fromMs} className="numerals">
                    <th scope="row">{clockText(minute.fromMs, zone)}</th>
                    <td>{mps(minute.speedMps)}</td>
                    <td>{minute.headingDeg === null ? '–' : `${trimmed(minute.headingDeg, 0)}°`}</td>
                    <td>
                      {LIT_LABEL[minute.lit]}
                      {minute.sunOffDeg === null
                        ? ''
                        : messages.off({ sunOffDeg: trimmed(minute.sunOffDeg, 0) })}
                    </td>
                    <td>
                      {evText(along[at]?.evMin ?? 0)}–{evText(along[at]?.evMax ?? 0)}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
            {lit.length > 240 && <p className={styles.small}>{messages.theFirstFourHours}</p>}
          </details>
        </>
      )}
    </>
  );
}

function mps(speed: number): string {
  return messages.mS2({ speed: trimmed(speed, 1) });
}

/** How the way lies to the sun, in per cent of its minutes. */
function Tally({ lit }: { lit: readonly LitMinute[] }): ReactNode {
  const share = (kind: LitMinute['lit']): number =>
    lit.length === 0 ? 0 : lit.filter((minute) => minute.lit === kind).length / lit.length;
  const kinds = (['back', 'side', 'front', 'standing', 'night'] as const).filter((kind) => share(kind) > 0);
  return (
    <p>
      {messages.forACameraThatLooks({
        kinds: kinds.map((kind) => `${trimmed(share(kind) * 100, 0)} % ${LIT_LABEL[kind]}`).join(', '),
      })}
    </p>
  );
}
