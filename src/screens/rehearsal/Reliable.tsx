'use client';

import * as messages from '@/language/rehearsal';
import { scaleLinear } from 'd3-scale';
import { useEffect, useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import { scheduleOf } from '@/core/day/schedule';
import type { Schedule } from '@/core/day/schedule';
import type { Clip } from '@/core/records/clip';
import { withOwn } from '@/core/records/figures';
import type { Gear, Outing } from '@/core/records/outing';
import type { ShotRecord } from '@/core/records/shotRecord';
import { reliabilityOf, saidOf } from '@/core/rehearse/reliability';
import type { Reliability } from '@/core/rehearse/reliability';
import { unknownsOf } from '@/core/rehearse/unknowns';
import { trimmed } from '@/core/units/format';
import { wallClock } from '@/formats/clock';
import { sayOfDays } from '@/workers/rehearse';
import { useAllClips } from '../data/clips';
import { useOwn } from '../data/learned';
import drawing from '../ui/timeDrawing.module.css';
import styles from './rehearsal.module.css';
import { pct } from './told';
import { useSlips } from '../data/slips';

/** Enough to say a chance to a few hundredths. */
const DRAWS = 300;
/** The diagram is drawn from so many clips on. */
const DRAWN_FROM = 10;

/** What a rehearsal says of past days, held against the clips that came back of them. */
export function Reliable({
  outings,
  shots,
}: {
  outings: readonly Outing[];
  shots: readonly ShotRecord[];
}): ReactNode {
  const found = useReliability(outings, shots);
  return (
    <section aria-labelledby="reliable-title">
      <h2 id="reliable-title">{messages.reliabilityTitle}</h2>
      {found === undefined ? (
        <p role="status">{messages.reliabilityWorking}</p>
      ) : found === null || found.clips === 0 ? (
        <p className="quiet">{messages.reliabilityNone}</p>
      ) : (
        <Told found={found} />
      )}
    </section>
  );
}

interface PastDay {
  day: Schedule;
  gear: readonly Gear[];
  clips: readonly Clip[];
}

/** `null`: no day has clips; undefined while it is worked out. */
function useReliability(
  outings: readonly Outing[],
  shots: readonly ShotRecord[],
): Reliability | null | undefined {
  const clips = useAllClips();
  const own = useOwn();
  const [slips] = useSlips();
  const past = useMemo((): PastDay[] | null => {
    if (!clips) return null;
    const kept = new Map(shots.map((one) => [one.id, { ...one, shot: withOwn(one.shot, own) }]));
    return outings.flatMap((outing) =>
      outing.days.flatMap(({ id }) => {
        const came = clips.filter((clip) => clip.outingId === outing.id && clip.dayId === id);
        if (came.length === 0) return [];
        const day = scheduleOf(outing, id, kept, wallClock(outing.zone));
        return [{ day, gear: outing.gear, clips: came }];
      }),
    );
  }, [clips, outings, shots, own]);
  const [found, setFound] = useState<Reliability | null | undefined>(undefined);
  useEffect(() => {
    if (!past) return undefined;
    let current = true;
    const wish = { unknowns: unknownsOf(slips, own.learned), seed: 1, draws: DRAWS };
    sayOfDays(
      past.map(({ day, gear }) => ({ schedule: day, gear, sheet: null })),
      wish,
    ).then(
      (reports) => {
        if (!current) return;
        const said = reports.map(({ shots: rehearsed }, at) => saidOf(rehearsed, past[at]?.clips ?? []));
        const count = said.reduce((sum, one) => sum + one.clips, 0);
        setFound(
          reliabilityOf(
            said.flatMap((one) => one.said),
            count,
          ),
        );
      },
      () => {
        if (current) setFound(null);
      },
    );
    return () => {
      current = false;
    };
  }, [past, slips, own]);
  return found;
}

function Told({ found }: { found: Reliability }): ReactNode {
  const { clips, said, brier, brierOfRate } = found;
  return (
    <>
      <p>
        {messages.brier({
          count: clips,
          said,
          brier: trimmed(brier, 3),
          rate: trimmed(brierOfRate, 3),
        })}{' '}
        {brier < brierOfRate ? messages.brierBetter : messages.brierWorse}
      </p>
      {clips < DRAWN_FROM ? <p className="quiet">{messages.fromTen}</p> : <Diagram found={found} />}
    </>
  );
}

const SIZE = 200;
const EDGE = 26;

/** Each tenth of chance against how often it came, with its interval; the slanting line is what is right. */
function Diagram({ found: { tenths } }: { found: Reliability }): ReactNode {
  const x = scaleLinear([0, 1], [EDGE, SIZE - 6]);
  const y = scaleLinear([0, 1], [SIZE - EDGE, 6]);
  const points = tenths
    .map(({ said, came, count }) => messages.point({ said: pct(said), came: pct(came.p), count }))
    .join('; ');
  return (
    <svg width={SIZE} height={SIZE} role="img" aria-label={messages.diagram({ points })}>
      <line className={styles.ground} x1={x(0)} x2={x(1)} y1={y(0)} y2={y(0)} />
      <line className={styles.ground} x1={x(0)} x2={x(0)} y1={y(0)} y2={y(1)} />
      <line className={styles.right} x1={x(0)} x2={x(1)} y1={y(0)} y2={y(1)} />
      <text className={drawing.number} x={x(1)} y={SIZE - 8} textAnchor="end">
        {messages.saidAxis}
      </text>
      <text className={drawing.number} x={x(0) + 4} y={16}>
        {messages.cameAxis}
      </text>
      {tenths.map(({ said, came }) => (
        <g key={said}>
          <line className={styles.middle} x1={x(said)} x2={x(said)} y1={y(came.low)} y2={y(came.high)} />
          <circle className={styles.dot} cx={x(said)} cy={y(came.p)} r={4} />
        </g>
      ))}
    </svg>
  );
}
