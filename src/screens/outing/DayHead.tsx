'use client';

import * as messages from '@/language/outing';
import { Checkbox, Input, Select } from 'antd';
import Link from 'next/link';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { withDay } from '@/core/records/dayEdits';
import type { Outing, OutingDay } from '@/core/records/outing';
import { dayText } from '@/words/lightText';
import { useRepository } from '../data/repository';
import { todayIn } from '@/formats/today';
import { ClockField, NumberField, Refused } from '../ui/Fields';
import { MoreMenu } from '../ui/MoreMenu';
import { outingUrl } from '../routes';
import { namedText, useTypedText } from '../ui/useTyped';
import { useDayMenu, useGoTo } from './useDayMenu';
import { useOutingFiles } from './useOutingFiles';
import { DayFaults } from './DayFaults';
import type { OpenOuting } from './openOuting';
import styles from './outing.module.css';
import { OutingWhere } from './OutingWhere';

/** Which outing and day is open, what it comes to, and what may be done with it as a whole. */
export function DayHead({
  outings,
  outing,
  day,
  worked,
  editing,
}: OpenOuting & {
  outings: readonly Outing[];
}): ReactNode {
  const repository = useRepository();
  const files = useOutingFiles(outing, worked.shots);
  const [away, setAway] = useState(false);
  const change = (label: string, how: (before: Outing) => Outing): Promise<void> =>
    repository?.changeOuting(outing.id, label, how) ?? Promise.resolve();
  const items = useDayMenu(outing, day, files);
  const go = useGoTo();
  const offered = outings.filter(({ archived, id }) => away || !archived || id === outing.id);
  return (
    <header className={styles.head}>
      <NameField
        value={outing.name}
        onCommit={(name) => change(messages.renameAnOuting, (before) => ({ ...before, name }))}
      />
      <nav aria-label={messages.days} className={styles.days}>
        {outing.days.map((one) => (
          <Link
            key={one.id}
            href={outingUrl('/outing', outing.id, one.id)}
            aria-current={one.id === day.id ? 'page' : undefined}
          >
            {dayText(one.date)}
          </Link>
        ))}
      </nav>
      <div className={styles.tools}>
        {outings.length > 1 && (
          <Select
            aria-label={messages.openAnotherOuting}
            showSearch={{ optionFilterProp: 'label' }}
            popupMatchSelectWidth={false}
            value={outing.id}
            options={offered.map(({ id, name: label, archived }) => ({
              value: id,
              label: archived ? messages.archived({ label }) : label,
            }))}
            onSelect={(id) => go(id)}
            popupRender={(menu) => (
              <>
                {menu}
                <Checkbox
                  checked={away}
                  onChange={(event) => setAway(event.target.checked)}
                  className={styles.away ?? ''}
                >
                  {messages.archivedOnesToo}
                </Checkbox>
              </>
            )}
          />
        )}
        <Link href={outingUrl('/carry', outing.id, day.id)} className={styles.toCarry}>
          {messages.carryThisDay}
        </Link>
        {day.date <= todayIn(outing.zone, Date.now()) && (
          <Link href={outingUrl('/debrief', outing.id, day.id)}>{messages.debriefThisDay}</Link>
        )}
        <MoreMenu label={messages.moreForThisOuting} items={items} />
      </div>
      <div className={styles.dayFacts}>
        <OutingWhere outing={outing} day={day} />
        <ClockField
          label={messages.date}
          kind="date"
          value={day.date}
          onCommit={(date) => editing.changeDay(messages.changeTheDate, (one) => ({ ...one, date }))}
        />
        <AirField
          day={day}
          onChange={(how) =>
            change(messages.changeTheAir, (before) =>
              withDay(before, day.id, (one) => ({ ...one, air: how(one.air) })),
            )
          }
        />
        <Link href={outingUrl('/rehearsal', outing.id, day.id)}>{messages.rehearseThisDay}</Link>
      </div>
      <DayFaults outing={outing} dayId={day.id} worked={worked} editing={editing} />
    </header>
  );
}

function NameField({
  value,
  onCommit,
}: {
  value: string;
  onCommit: (name: string) => Promise<void>;
}): ReactNode {
  const { value: shown, onType, onLeave, refused } = useTypedText(value, namedText, onCommit);
  return (
    <div className={styles.name}>
      <Input
        aria-label={messages.nameOfTheOuting}
        variant="borderless"
        maxLength={120}
        title={shown}
        value={shown}
        onChange={(event) => onType(event.target.value)}
        onBlur={onLeave}
        onPressEnter={onLeave}
      />
      <Refused why={refused} />
    </div>
  );
}

type Air = OutingDay['air'];

/** The air of the day by its low and high, °C; the low stays below the high, whichever was typed. */
function AirField({
  day,
  onChange,
}: {
  day: OutingDay;
  onChange: (how: (air: Air) => Air) => Promise<void>;
}): ReactNode {
  const { lowC, highC } = day.air;
  const field = (label: string, value: number, to: (air: Air, value: number) => Air): ReactNode => (
    <NumberField
      label={label}
      unit={messages.unitCelsius}
      min={-60}
      max={60}
      value={value}
      onCommit={(typed) => typed !== undefined && onChange((air) => to(air, typed))}
    />
  );
  return (
    <>
      {field(messages.airAtDawn, lowC, (air, low) => ({ lowC: low, highC: Math.max(low, air.highC) }))}
      {field(messages.atItsWarmest, highC, (air, high) => ({ lowC: Math.min(high, air.lowC), highC: high }))}
    </>
  );
}
