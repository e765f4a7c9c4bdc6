import * as messages from '@/language/bench';
import { Input } from 'antd';
import Link from 'next/link';
import { memo } from 'react';
import type { ReactNode } from 'react';
import type { ShotRecord } from '@/core/records/shotRecord';
import { LONGEST_NAME } from '@/core/records/names';
import { shotName } from '@/words/shotName';
import type { ShotEditing } from '../data/useShotEditing';
import type { Solved } from '../data/useAnswer';
import { useShotActions } from '../files/useShotActions';
import { placeUrl } from '../routes';
import { BackToOuting } from '../ui/BackToOuting';
import { MoreMenu } from '../ui/MoreMenu';
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
  return (
    <Input
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
  const actions = useShotActions(record, solved);
  return (
    <>
      <PartSwitch shot={whole.shot} id={record.id} place="/bench" part={part} />
      <BackToOuting className={styles.toCarry ?? ''} />
      <Link href={placeUrl('/carry', record.id, part)} className={styles.toCarry}>
        {messages.carry}
      </Link>
      <MoreMenu label={messages.moreForThisShot} items={actions} />
    </>
  );
});
