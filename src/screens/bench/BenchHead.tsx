import * as messages from '@/language/bench';
import { Input } from 'antd';
import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import { memo } from 'react';
import type { ReactNode } from 'react';
import type { ShotRecord } from '@/core/records/shotRecord';
import { LONGEST_NAME } from '@/core/records/names';
import { shotName } from '@/words/shotName';
import type { ShotEditing } from '../data/useShotEditing';
import type { Solved } from '../data/useAnswer';
import { useInDay } from '../data/inDay';
import type { InDay } from '../data/inDay';
import { useShotActions } from '../files/useShotActions';
import { outingUrl, placeUrl } from '../routes';
import { MoreMenu } from '../ui/MoreMenu';
import { StandsIn } from './StandsIn';
import { PartSwitch } from '../ui/PartSwitch';
import { useAfterPaint } from '../ui/useAfterPaint';
import styles from './bench.module.css';

interface Told {
  record: ShotRecord;
  whole: ShotEditing;
  part: number;
  solved: Solved;
}

/** The shot's name, its parts, and what can be done with it. */
export function BenchHead({ told }: { told: Told }): ReactNode {
  const { shot, preview, commit } = told.whole;
  return (
    <div className={styles.head}>
      <NameInput name={shot.name ?? ''} preview={preview} commit={commit} />
      <Ways told={useAfterPaint(told)} />
    </div>
  );
}

/** Follows the hand that types, and stays as it is while another hand moves something else. */
const NameInput = memo(function NameInput({
  name,
  preview,
  commit,
}: { name: string } & Pick<ShotEditing, 'preview' | 'commit'>): ReactNode {
  const asked = useSearchParams().get('name') !== null;
  return (
    <Input
      {...(asked ? { autoFocus: true, onFocus: ({ target }) => target.select() } : {})}
      aria-label={messages.nameOfTheShot}
      variant="borderless"
      className={styles.name ?? ''}
      maxLength={LONGEST_NAME}
      value={name}
      title={name}
      placeholder={shotName()}
      onChange={(event) =>
        preview(messages.renameAShot, (before) => ({ ...before, name: event.target.value }))
      }
      onBlur={() => commit(messages.renameAShot)}
    />
  );
});

const Ways = memo(function Ways({ told: { record, whole, part, solved } }: { told: Told }): ReactNode {
  const inDay = useInDay();
  const actions = useShotActions(record, solved);
  return (
    <>
      <PartSwitch shot={whole.shot} id={record.id} place="/bench" part={part} />
      {inDay && <StandsIn inDay={inDay} />}
      <Link href={cardUrl(record.id, part, inDay)} className={styles.toCarry}>
        {messages.carry}
      </Link>
      <MoreMenu label={messages.moreForThisShot} items={actions} />
    </>
  );
});

/** Of a shot in a day, the card that the day has of it. */
function cardUrl(shotId: string, part: number, inDay: InDay | null): string {
  if (!inDay) return placeUrl('/carry', shotId, part);
  const { outing, day, entry } = inDay.standing;
  return outingUrl('/carry', outing.id, day.id, { card: entry.id });
}
