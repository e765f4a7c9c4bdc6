'use client';

import * as messages from '@/language/outing';
import { Checkbox } from 'antd';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { packingOf, safetyCards } from '@/core/day/packing';
import type { DayPart } from '@/core/day/schedule';
import type { Outing } from '@/core/records/outing';
import type { ShotRecord } from '@/core/records/shotRecord';
import { cautionText } from '@/words/mountText';
import { packText } from '@/words/outingText';
import { dayPartName } from '@/words/shotName';
import { useWholeOuting } from '../data/workedDay';
import { useTicks } from '../data/setups';
import { WhyLink } from '../ui/WhyLink';
import styles from './outing.module.css';

/** What goes into the bag for all days, and what to read once before going. */
export function PackingTab({
  outing,
  shots,
}: {
  outing: Outing;
  shots: ReadonlyMap<string, ShotRecord>;
}): ReactNode {
  const days = useWholeOuting(outing, shots);
  const { has, tick } = useTicks(outing);
  const items = useMemo(() => (days ? packingOf(days) : null), [days]);
  const parts = useMemo(() => days?.flatMap((day) => day.parts) ?? [], [days]);
  const kits = useMemo(() => new Map(parts.map(({ camera, brief }) => [camera.id, brief.filters])), [parts]);
  if (!items) return <p className="quiet">{messages.workingTheDaysOut}</p>;
  const packed = items.filter(({ id }) => has(id)).length;
  return (
    <div className={styles.columns}>
      <section aria-labelledby="packing-title" className={styles.panel}>
        <h2 id="packing-title">{messages.inTheBagOf({ packed, count: items.length })}</h2>
        <ul className={styles.ticks}>
          {items.map((item) => (
            <li key={item.id}>
              <Checkbox checked={has(item.id)} onChange={({ target }) => tick([item.id], target.checked)}>
                {packText(item, kits)}
              </Checkbox>
            </li>
          ))}
        </ul>
      </section>
      <section aria-labelledby="safety-title" className={styles.panel}>
        <h2 id="safety-title">{messages.readOnceBeforeGoing}</h2>
        <WhyLink page="cautions" />
        <ul className={styles.ticks}>
          {safetyCards(days ?? []).map(({ caution, parts: about }) => (
            <li key={caution}>
              <Checkbox
                checked={has(`safety:${caution}`)}
                onChange={({ target }) => tick([`safety:${caution}`], target.checked)}
              >
                {cautionText(caution)}
                {about.length > 0 && <span className="quiet"> {namesOf(about)}</span>}
              </Checkbox>
            </li>
          ))}
        </ul>
        <p>{messages.localRulesAndLicensedPractice}</p>
      </section>
    </div>
  );
}

function namesOf(parts: readonly DayPart[]): string {
  return [...new Set(parts.map((part) => dayPartName(part)))].join(', ');
}
