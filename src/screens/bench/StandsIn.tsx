'use client';

import * as messages from '@/language/bench';
import { ChevronDown } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import type { ReactNode } from 'react';
import type { PlannedEntry } from '@/core/records/plannedEntry';
import { dayText } from '@/words/lightText';
import type { InDay } from '../data/inDay';
import { outingUrl } from '../routes';
import { MenuUnder } from '../ui/MenuUnder';
import styles from './head.module.css';

/** The day in which a shot is looked at, as the way into it; and the others, where it stands several times. */
export function StandsIn({ inDay: { standing, all } }: { inDay: InDay }): ReactNode {
  const router = useRouter();
  const { outing, day, entry } = standing;
  const others = all.filter((one) => one.entry.id !== entry.id);
  return (
    <span className={styles.stands}>
      <Link href={outingUrl('/outing', outing.id, day.id, { entry: entry.id })} title={outing.name}>
        {whenText(standing)}
      </Link>
      {others.length > 0 && (
        <MenuUnder
          menu={{
            items: others.map((one) => ({
              key: one.entry.id,
              label: messages.whenInOuting({ when: whenText(one), outing: one.outing.name }),
              onClick: () =>
                router.push(
                  outingUrl('/bench', one.outing.id, one.day.id, {
                    shot: one.entry.shotId,
                    entry: one.entry.id,
                  }),
                ),
            })),
          }}
        >
          <button type="button" aria-haspopup="menu" aria-label={messages.otherPlacesOfThisShot}>
            <ChevronDown size={16} aria-hidden />
          </button>
        </MenuUnder>
      )}
    </span>
  );
}

function whenText({ day, entry }: PlannedEntry): string {
  return messages.dayAtTime({ day: dayText(day.date), at: entry.at });
}
