import * as messages from '@/language/rehearsal';
import Link from 'next/link';
import type { ReactNode } from 'react';
import type { Outing, OutingDay } from '@/core/records/outing';
import type { CheckWorth } from '@/core/rehearse/checks';
import type { Slips } from '@/core/rehearse/unknowns';
import { trimmed } from '@/core/units/format';
import { lookTwiceText, savesText, worthALook } from '@/words/card';
import { dayPartName } from '@/words/shotName';
import { SLIPS } from '../data/slips';
import type { DayAtWork } from '../data/workedDay';
import { outingUrl } from '../routes';
import { NumberField } from '../ui/Fields';
import styles from './rehearsal.module.css';

/** Checks that are told. */
const MOST = 8;

/** How often the person slips, and what it is worth to look before each shot. */
export function SlipsForm({
  slips,
  onSlip,
  checks,
  outing,
  day,
  worked,
}: {
  slips: Slips;
  onSlip: (slip: keyof Slips, chance: number) => void;
  checks: readonly CheckWorth[];
  outing: Outing;
  day: OutingDay;
  worked: DayAtWork;
}): ReactNode {
  const told = worthALook(checks, MOST);
  return (
    <section aria-labelledby="slips-title">
      <h2 id="slips-title">{messages.slips}</h2>
      <p className="quiet">{messages.slipsLead}</p>
      <div className={styles.slips}>
        {SLIPS.map((slip) => (
          <NumberField
            key={slip}
            label={messages.slip[slip]}
            unit={messages.percent}
            min={0}
            max={100}
            step={1}
            value={Number(trimmed(100 * slips[slip], 1))}
            onCommit={(value) => value !== undefined && onSlip(slip, value / 100)}
          />
        ))}
      </div>
      <h3 id="checks-title">{messages.checks}</h3>
      <p className="quiet">{messages.checksLead}</p>
      {told.length === 0 ? (
        <p>{messages.noChecks}</p>
      ) : (
        <ol className={styles.decisions} aria-labelledby="checks-title">
          {told.map(({ id, entryId, slip, saves }) => {
            const shot = dayPartName(worked.day.part(id));
            return (
              <li key={`${id} ${slip}`}>
                <span>
                  {lookTwiceText(shot, slip)} <span className="quiet">{savesText(saves)}</span>
                </span>
                <Link
                  href={outingUrl('/carry', outing.id, day.id, { card: entryId })}
                  aria-label={messages.openItsCard({ shot })}
                >
                  {messages.itsCard}
                </Link>
              </li>
            );
          })}
        </ol>
      )}
    </section>
  );
}
