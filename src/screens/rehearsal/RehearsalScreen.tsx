'use client';

import * as messages from '@/language/rehearsal';
import { Button, Select } from 'antd';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import type { Outing } from '@/core/records/outing';
import type { Rehearsal } from '@/core/rehearse/rehearse';
import { unknownsOf } from '@/core/rehearse/unknowns';
import type { WorkedDay } from '@/core/day/workedDay';
import { tenths } from '@/core/units/format';
import { dayPartName } from '@/words/shotName';
import { useForCards } from '../data/forCards';
import { useOwn } from '../data/learned';
import { openDayOf, useOutings } from '../data/outings';
import { useShots } from '../data/repository';
import { useSlips } from '../data/slips';
import { useSame } from '../data/useSame';
import { useWorkedDay } from '../data/workedDay';
import type { DayAtWork, OpenDay } from '../data/workedDay';
import { useDayEditing } from '../outing/useDayEditing';
import { outingUrl, useOutingAddress } from '../routes';
import { Empty } from '../ui/Empty';
import { NumberField } from '../ui/Fields';
import { OneByOne } from '../ui/OneByOne';
import { OutingHead } from '../ui/OutingHead';
import { Cameras } from './Cameras';
import { Chances } from './Chances';
import { DayByDay } from './DayByDay';
import { Reliable } from './Reliable';
import { Deciding } from './Deciding';
import { OtherTimes } from './OtherTimes';
import styles from './rehearsal.module.css';
import { chancePct, failureText, LONG_DAY, pct, worstOf } from './told';
import { useRehearsal } from './useRehearsal';
import type { Rehearsed } from './useRehearsal';
import { SlipsForm } from './SlipsForm';

/** Rehearsal: the day of an outing lived through under what is not known. */
export function RehearsalScreen(): ReactNode {
  const outings = useOutings();
  const shots = useShots();
  const { outingId, dayId } = useOutingAddress();
  if (!outings || !shots) return null;
  const open = openDayOf(outings, outingId, dayId);
  if (!open)
    return (
      <Empty title={messages.noOuting} text={messages.anOutingIsRehearsed}>
        <Link href="/outing">{messages.toTheOuting}</Link>
      </Empty>
    );
  return <DayPlace key={`${open.outing.id} ${open.day.id}`} outings={outings} shots={shots} {...open} />;
}

const DRAWS = [1000, 5000] as const;

function DayPlace({ outings, ...open }: OpenDay & { outings: readonly Outing[] }): ReactNode {
  const { outing, day } = open;
  const worked = useWorkedDay(open);
  return (
    <div className={styles.rehearsal} data-long={worked.day.parts.length > LONG_DAY}>
      <OutingHead title={messages.title} place="/rehearsal" outings={outings} outing={outing} day={day}>
        <Link href={outingUrl('/outing', outing.id, day.id)}>{messages.toTheOuting}</Link>
      </OutingHead>
      <p>{messages.lead}</p>
      {worked.day.parts.length === 0 ? (
        <p className="quiet">{messages.nothingToRehearse}</p>
      ) : (
        <OfDay open={open} worked={worked} />
      )}
      <Reliable outings={outings} shots={open.shots} />
      <p className="quiet">{messages.caution}</p>
    </div>
  );
}

function OfDay({ open, worked }: { open: OpenDay; worked: DayAtWork }): ReactNode {
  const { outing, day } = open;
  const [seed, setSeed] = useState(1);
  const [draws, setDraws] = useState<(typeof DRAWS)[number]>(1000);
  const [slips, setSlip] = useSlips();
  const own = useOwn();
  const wish = useMemo(
    () => ({ unknowns: unknownsOf(slips, own.learned), seed, draws }),
    [slips, own, seed, draws],
  );
  const { checks } = useForCards(worked, outing, day.entries);
  const { schedule } = worked.day;
  const gear = useSame(outing.gear);
  const rehearsed = useRehearsal(schedule, gear, wish);
  const editing = useDayEditing(outing, day, worked);
  const { report, decisions, failed, begun } = rehearsed;
  return (
    <>
      <div className={styles.presses}>
        <Select
          aria-label={messages.daysDrawn}
          value={draws}
          options={DRAWS.map((value) => ({ value, label: String(value) }))}
          onSelect={(value) => setDraws(value)}
        />
        <NumberField
          label={messages.seed}
          min={0}
          max={4_294_967_295}
          value={seed}
          onCommit={(value) => setSeed(value ?? 1)}
        />
        <Button onClick={() => setSeed((before) => before + 1)}>{messages.otherDays}</Button>
        <Counting rehearsed={rehearsed} of={draws} />
      </div>
      {failed !== null && <p role="alert">{messages.failed({ why: failed })}</p>}
      {report && (
        <OneByOne>
          <Result report={report} day={worked.day} />
          <Chances report={report} day={worked.day} />
          <DayByDay
            report={report}
            day={worked.day}
            zone={outing.zone}
            of={begun}
            kept={day.keptDays ?? []}
            onKeep={(keptDays, label) =>
              void editing.changeDay(label, (before) => ({ ...before, keptDays: [...keptDays] }))
            }
            onOpen={setSeed}
          />
          <Deciding decisions={decisions} day={worked.day} outing={outing} editing={editing} />
          <OtherTimes
            day={worked.day}
            of={day}
            gear={gear}
            zone={outing.zone}
            from={wish}
            editing={editing}
          />
          <Cameras report={report} day={worked.day} zone={outing.zone} />
        </OneByOne>
      )}
      <SlipsForm slips={slips} onSlip={setSlip} checks={checks} outing={outing} day={day} worked={worked} />
    </>
  );
}

function Counting({ rehearsed, of }: { rehearsed: Rehearsed; of: number }): ReactNode {
  const { report, running, stop } = rehearsed;
  const draws = report?.draws ?? 0;
  return (
    <span className={styles.counting}>
      <span role="status" className="numerals">
        {running && draws < of
          ? messages.counting({ draws, of })
          : messages.counted({ draws, seed: report?.seed ?? 1 })}
      </span>
      {running && draws < of && <Button onClick={stop}>{messages.stop}</Button>}
    </span>
  );
}

/** The day in three sentences: what lasts, what it loses, which shot is likeliest to fail and why. */
function Result({ report, day }: { report: Rehearsal; day: WorkedDay }): ReactNode {
  const { everythingLasts, lossMean, lossWorstTenth, shots } = report;
  const worst = [...shots].sort((a, b) => b.fails.p - a.fails.p)[0];
  const part = worst && day.part(worst.id);
  const why = worst && worstOf(worst);
  return (
    <div className={styles.result}>
      {worst && part && why && (
        <p>
          {messages.likeliest({ shot: dayPartName(part), p: chancePct(worst.fails), why: failureText(why) })}
        </p>
      )}
      <p>
        {messages.lasts({
          p: chancePct(everythingLasts),
          low: pct(everythingLasts.low),
          high: pct(everythingLasts.high),
        })}{' '}
        {messages.lossIs({ mean: tenths(lossMean), worst: tenths(lossWorstTenth) })}
      </p>
    </div>
  );
}
