'use client';

import { Button, Checkbox } from 'antd';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { safetyCards } from '@/core/day/packing';
import type { Outing, OutingDay } from '@/core/records/outing';
import { cautionText } from '@/words/mountText';
import { outText } from '@/words/outingText';
import { outingUrl } from '../../routes';
import type { DayAtWork } from '../../data/workedDay';
import { namedSetups, useTicks } from '../../data/setups';
import styles from './day.module.css';

/** Checks that are made once a day, at home or at the car. */
const CHECKS: [id: string, text: string][] = [
  ['clocks', 'All clocks alike, to the second'],
  ['cards', 'Cards empty and in'],
  ['cells', 'Cells full, spares warm'],
  ['setups', 'Set-ups stored, names read back'],
  ['firstFilter', 'First filters on, seated'],
  ['doors', 'Doors shut, lenses clean'],
  ['weather', 'Forecast, water and way looked at; somebody knows where you are'],
];

export function BeforeCard({
  outing,
  day,
  worked,
  onBegin,
}: {
  outing: Outing;
  day: OutingDay;
  worked: DayAtWork;
  onBegin: () => void;
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
  return (
    <>
      <div className={styles.title}>
        <h1>Before the day</h1>
        {out && (
          <p className={styles.amiss}>
            {outText(
              out,
              whole.camera(out.cameraId)?.profile.name ?? '',
              whole.part(out.partId)?.name ?? 'the day',
              outing.zone,
            )}
          </p>
        )}
      </div>
      <ul className={styles.checks}>{CHECKS.map(([id, text]) => box(`day:${day.id}:${id}`, text))}</ul>
      <section aria-labelledby="setups-title">
        <h2 id="setups-title">Set-ups by slot</h2>
        <ul className={styles.slots}>
          {whole.cameras.map(({ id, profile, sheet }) => {
            if (!sheet) return null;
            const setups = namedSetups(sheet, whole);
            return (
              <li key={id}>
                <b>{profile.name}</b>{' '}
                {setups.length === 0 ? (
                  'by hand before each shot'
                ) : (
                  <>
                    <span className="numerals">
                      {setups.map(({ slot, name }) => `${slot} ${name}`).join(', ')}
                    </span>{' '}
                    <Link href={outingUrl('/carry', outing.id, day.id, { codes: id })}>Codes</Link>
                  </>
                )}
              </li>
            );
          })}
        </ul>
      </section>
      <section aria-labelledby="safe-title">
        <h2 id="safe-title">Read once</h2>
        <ul className={styles.tasks}>
          {safetyCards(whole.parts).map(({ caution }) => box(`safety:${caution}`, cautionText(caution)))}
        </ul>
        <p>Local rules and licensed practice come first.</p>
      </section>
      <div className={styles.record}>
        <Button type="primary" size="large" onClick={onBegin}>
          To the first card
        </Button>
      </div>
    </>
  );
}
