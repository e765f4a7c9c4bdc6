'use client';

import * as messages from '@/language/carry/day';
import { Button, Checkbox } from 'antd';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { safetyCards } from '@/core/day/packing';
import type { Outing, OutingDay } from '@/core/records/outing';
import type { CheckWorth } from '@/core/rehearse/checks';
import { lookTwiceText, savesText, worthALook } from '@/words/card';
import { cautionText } from '@/words/mountText';
import { outText } from '@/words/outingText';
import { dayPartName } from '@/words/shotName';
import { outingUrl } from '../../routes';
import type { DayAtWork } from '../../data/workedDay';
import { namedSetups, useTicks } from '../../data/setups';
import styles from './day.module.css';

/** Checks that are made once a day, at home or at the car. */
const CHECKS: [id: string, text: string][] = [
  ['clocks', messages.allClocksAlikeToThe],
  ['cards', messages.cardsEmptyAndIn],
  ['cells', messages.cellsFullSparesWarm],
  ['setups', messages.setUpsStoredNamesRead],
  ['firstFilter', messages.firstFiltersOnSeated],
  ['doors', messages.doorsShutLensesClean],
  ['weather', messages.forecastWaterAndWayLooked],
];

/** So much is kept in mind. */
const TWICE = 3;

export function BeforeCard({
  outing,
  day,
  worked,
  checks,
  onBegin,
  tools,
}: {
  outing: Outing;
  day: OutingDay;
  worked: DayAtWork;
  /** What each check of the day saves, the most first. */
  checks: readonly CheckWorth[];
  onBegin: () => void;
  /** What stands above the presses of every card. */
  tools: ReactNode;
}): ReactNode {
  const { day: whole } = worked;
  const { has, tick } = useTicks(outing);
  const box = (id: string, text: ReactNode): ReactNode => (
    <li key={id}>
      <Checkbox checked={has(id)} onChange={({ target }) => tick([id], target.checked)}>
        {text}
      </Checkbox>
    </li>
  );
  const out = whole.sheet?.firstOut;
  const twice = worthALook(checks, TWICE);
  return (
    <>
      <div className={styles.title}>
        <h1>{messages.beforeTheDay}</h1>
        {out && (
          <p className={styles.amiss}>
            {outText(
              out,
              whole.camera(out.cameraId)?.profile.name ?? '',
              dayPartName(whole.part(out.partId), messages.theDay),
              outing.zone,
            )}
          </p>
        )}
      </div>
      <ul className={styles.checks}>{CHECKS.map(([id, text]) => box(`day:${day.id}:${id}`, text))}</ul>
      {twice.length > 0 && (
        <section aria-labelledby="twice-title">
          <h2 id="twice-title">{messages.lookTwiceToday}</h2>
          <ul className={styles.slots}>
            {twice.map((one) => (
              <li key={`${one.id} ${one.slip}`}>
                {lookTwiceText(dayPartName(whole.part(one.id)), one.slip)}
                <span className={styles.saves}> {savesText(one.saves)}</span>
              </li>
            ))}
          </ul>
          <p className="quiet">{messages.byWhatItSaves}</p>
        </section>
      )}
      <section aria-labelledby="setups-title">
        <h2 id="setups-title">{messages.setUpsBySlot}</h2>
        <ul className={styles.slots}>
          {whole.cameras.map(({ id, profile, sheet }) => {
            if (!sheet) return null;
            const setups = namedSetups(sheet, whole);
            return (
              <li key={id}>
                <b>{profile.name}</b>{' '}
                {setups.length === 0 ? (
                  messages.byHandBeforeEachShot
                ) : (
                  <>
                    <span className="numerals">
                      {setups.map(({ slot, name }) => `${slot} ${name}`).join(', ')}
                    </span>{' '}
                    <Link href={outingUrl('/carry', outing.id, day.id, { codes: id })}>{messages.codes}</Link>
                  </>
                )}
              </li>
            );
          })}
        </ul>
      </section>
      <section aria-labelledby="safe-title">
        <h2 id="safe-title">{messages.readOnce}</h2>
        <ul className={styles.tasks}>
          {safetyCards([whole]).map(({ caution }) => box(`safety:${caution}`, cautionText(caution)))}
        </ul>
        <p>{messages.localRulesAndLicensedPractice}</p>
      </section>
      {tools}
      <div className={styles.record}>
        <Button type="primary" size="large" onClick={onBegin}>
          {messages.toTheFirstCard}
        </Button>
      </div>
    </>
  );
}
