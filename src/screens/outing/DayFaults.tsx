'use client';

import * as messages from '@/language/outing';
import { Button } from 'antd';
import Link from 'next/link';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { dayFaultsOf } from '@/core/day/dayFaults';
import type { DayFault } from '@/core/day/dayFaults';
import type { Outing } from '@/core/records/outing';
import { pageOfDayFault } from '@/core/day/dayFaults';
import { dayFaultText } from '@/words/dayFaultText';
import { clockText } from '@/words/lightText';
import { cureText } from '@/words/outingText';
import { wornText } from '@/words/settingText';
import { usePreference } from '../data/repository';
import type { DayAtWork } from '../data/workedDay';
import { outingUrl } from '../routes';
import { WhyLink } from '../ui/WhyLink';
import styles from './outing.module.css';
import { minuteOf } from './useDayEditing';
import type { DayEditing } from './useDayEditing';

/** So many are told at once; the others on asking. */
const TOLD_AT_ONCE = 3;

/** What the day comes to: every fault, the worst first, each with its press; or that all of it is exposed and lasts. */
export function DayFaults({
  outing,
  dayId,
  worked,
  editing,
}: {
  outing: Outing;
  dayId: string;
  worked: DayAtWork;
  editing: DayEditing;
}): ReactNode {
  const [all, setAll] = useState(false);
  const { day } = worked;
  if (day.sheet === null) return <p role="status">{messages.workingTheDayOut}</p>;
  const faults = dayFaultsOf(day);
  if (faults.length === 0)
    return <p role="status">{day.parts.length === 0 ? messages.noShotOnThisDay : allLastsText(worked)}</p>;
  const told = all ? faults : faults.slice(0, TOLD_AT_ONCE);
  return (
    <div className={styles.faults}>
      <p role="status">{messages.notManaged({ count: faults.length })}</p>
      <ul>
        {told.map((fault, at) => (
          <li key={at}>
            <span className={styles.amiss}>{dayFaultText(fault, day, outing.zone)}</span>
            <WhyFault fault={fault} />
            <Press fault={fault} outing={outing} dayId={dayId} worked={worked} editing={editing} />
          </li>
        ))}
      </ul>
      {faults.length > TOLD_AT_ONCE && (
        <Button type="link" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? messages.fewerFaults : messages.moreFaults({ count: faults.length - TOLD_AT_ONCE })}
        </Button>
      )}
    </div>
  );
}

function allLastsText({ day }: DayAtWork): string {
  const shots = new Set(day.parts.map(({ entryId }) => entryId)).size;
  return messages.everythingIsExposedAndLasts({
    worked: messages.n1ShotWith1Camera({ shots, cameras: day.cameras.length }),
  });
}

/** What puts one fault right, or the place where it is put right. */
function Press({
  fault,
  outing,
  dayId,
  worked: { day, cures },
  editing,
}: {
  fault: DayFault;
  outing: Outing;
  dayId: string;
  worked: DayAtWork;
  editing: DayEditing;
}): ReactNode {
  const [notation] = usePreference('filterNotation');
  const toTab = (part: string, text: string): ReactNode => (
    <Link href={outingUrl('/outing', outing.id, dayId, { part })}>{text}</Link>
  );
  const toBench = (partId: string): ReactNode => {
    const part = day.part(partId);
    return (
      part && (
        <Link href={outingUrl('/bench', outing.id, dayId, { shot: part.shotId, entry: part.entryId })}>
          {messages.mendItOnTheBench}
        </Link>
      )
    );
  };
  switch (fault.what) {
    case 'clash': {
      const entryId = day.part(fault.partId)?.entryId;
      const minute = Math.ceil(minuteOf(fault.freeMs, day.fromMs));
      return (
        entryId !== undefined && (
          <Button onClick={() => void editing.moveTo(entryId, minute)}>
            {messages.startItAt({ at: clockText(day.fromMs + minute * 60_000, outing.zone) })}
          </Button>
        )
      );
    }
    case 'missing':
      return (
        <Button
          onClick={() =>
            void editing.changeDay(messages.takeOffTheDay, (one) => ({
              ...one,
              entries: one.entries.filter(({ id }) => id !== fault.entryId),
            }))
          }
        >
          {messages.takeOffThisDay}
        </Button>
      );
    case 'out': {
      const cure = cures.find(
        ({ cameraId, what }) => cameraId === fault.out.cameraId && what === fault.out.what,
      );
      return cure ? (
        <Button onClick={() => void editing.take(messages.takeACure, cure.changes)}>
          {cureText(cure, outing.zone, (entryId) => day.partsOf(entryId)[0]?.fromMs ?? null)}
        </Button>
      ) : (
        toTab('budget', messages.seeCardPowerHeat)
      );
    }
    case 'light': {
      const { instead, partId } = fault;
      const kit = day.part(partId)?.brief.filters ?? [];
      return (
        <>
          {instead?.filter && (
            <Button
              onClick={() =>
                void editing.take(messages.takeAFilter, [{ what: 'pins', pins: [{ partId, pins: instead }] }])
              }
            >
              {messages.takeFilter({ filter: wornText(instead.filter.ids, kit, notation) })}
            </Button>
          )}
          {toBench(partId)}
        </>
      );
    }
    case 'noAnswer':
      return toBench(fault.partId);
    case 'filterRun':
    case 'setups':
      return toTab('filters', messages.seeFiltersAndSetUps);
    case 'slowCard':
    case 'hot':
      return toTab('budget', messages.seeCardPowerHeat);
  }
}

function WhyFault({ fault }: { fault: DayFault }): ReactNode {
  const page = pageOfDayFault(fault);
  return page && <WhyLink page={page} />;
}
