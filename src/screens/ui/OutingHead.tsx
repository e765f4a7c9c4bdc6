import * as messages from '@/language/ui';
import { Select } from 'antd';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import type { ReactNode } from 'react';
import type { Outing, OutingDay } from '@/core/records/outing';
import { dayText } from '@/words/lightText';
import { outingUrl } from '../routes';
import styles from './outingHead.module.css';

/** The head of a place that shows one day of an outing: which outing, which of its days, and what else can be done. */
export function OutingHead({
  title,
  place,
  outings,
  outing,
  day,
  children,
}: {
  title: string;
  place: Parameters<typeof outingUrl>[0];
  outings: readonly Outing[];
  outing: Outing;
  day: OutingDay;
  children: ReactNode;
}): ReactNode {
  const router = useRouter();
  return (
    <header className={styles.head}>
      <h1>{title}</h1>
      <Select
        aria-label={messages.openAnotherOuting}
        showSearch={{ optionFilterProp: 'label' }}
        popupMatchSelectWidth={false}
        value={outing.id}
        options={outings.map(({ id, name }) => ({ value: id, label: name }))}
        onSelect={(id) => router.push(outingUrl(place, id, null))}
      />
      <nav aria-label={messages.daysOfTheOuting} className={styles.days}>
        {outing.days.map(({ id, date }) => (
          <Link
            key={id}
            href={outingUrl(place, outing.id, id)}
            aria-current={id === day.id ? 'page' : undefined}
          >
            {dayText(date)}
          </Link>
        ))}
      </nav>
      {children}
    </header>
  );
}
