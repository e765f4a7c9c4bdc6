'use client';

import * as messages from '@/language/log';
import { Select } from 'antd';
import type { ReactNode } from 'react';
import { FINDING_CODES } from '@/core/vocabulary/findings';
import { VERDICTS } from '@/core/vocabulary/verdicts';
import type { LogWish } from '@/core/inspect/logbook';
import { FINDING_LABEL } from '@/words/findingLabel';
import { VERDICT_LABEL } from '@/words/labels';
import { DateWish } from './DateWish';
import type { Logbook } from './useLogbook';
import styles from './log.module.css';

const ALL = '__all';

/** What of the log is shown; only what is there is offered. */
export function LogFilters({
  logbook: { book, nameOf, cameraNameOf },
  wish,
  onAsk,
}: {
  logbook: Logbook;
  wish: LogWish;
  onAsk: (changed: Partial<LogWish>) => void;
}): ReactNode {
  const shots = new Map(
    book.flatMap((one) => (one.shotId === null ? [] : [[one.shotId, nameOf(one)] as const])),
  );
  const cameras = new Map(
    book.flatMap(({ cameraIds }) => cameraIds.map((id) => [id, cameraNameOf(id)] as const)),
  );
  const found = new Set(book.flatMap(({ findings }) => findings));
  const said = new Set(book.flatMap(({ verdicts }) => verdicts));
  return (
    <div className={styles.filters} role="group" aria-label={messages.whatIsShown}>
      <Choice
        label={messages.showRecordingsOf}
        all={messages.allShots({ count: book.length })}
        value={wish.shotId}
        options={[...shots]}
        onChoose={(shotId) => onAsk({ shotId })}
      />
      <Choice
        label={messages.ofTheCamera}
        all={messages.allCameras}
        value={wish.cameraId}
        options={[...cameras]}
        onChoose={(cameraId) => onAsk({ cameraId })}
      />
      <Choice
        label={messages.withTheFinding}
        all={messages.anyFinding}
        value={wish.finding}
        options={FINDING_CODES.filter((code) => found.has(code)).map((code) => [code, FINDING_LABEL[code]])}
        onChoose={(finding) => onAsk({ finding })}
      />
      <Choice
        label={messages.withTheVerdict}
        all={messages.anyVerdict}
        value={wish.verdict}
        options={VERDICTS.filter((one) => said.has(one)).map((one) => [one, VERDICT_LABEL[one]])}
        onChoose={(verdict) => onAsk({ verdict })}
      />
      <DateWish label={messages.fromDate} value={wish.from} onChange={(from) => onAsk({ from })} />
      <DateWish label={messages.toDate} value={wish.to} onChange={(to) => onAsk({ to })} />
    </div>
  );
}

function Choice<T extends string>({
  label,
  all,
  value,
  options,
  onChoose,
}: {
  label: string;
  all: string;
  value: T | null;
  options: readonly (readonly [value: T, label: string])[];
  onChoose: (value: T | null) => void;
}): ReactNode {
  return (
    <Select<string>
      aria-label={label}
      className={styles.filter ?? ''}
      showSearch={{ optionFilterProp: 'label' }}
      popupMatchSelectWidth={false}
      value={value ?? ALL}
      options={[{ value: ALL, label: all }, ...options.map(([one, told]) => ({ value: one, label: told }))]}
      onSelect={(one) => onChoose(one === ALL ? null : (one as T))}
    />
  );
}
