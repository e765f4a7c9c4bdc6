'use client';

import * as messages from '@/language/shell';
import { Button, Modal, Select } from 'antd';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { differencesOf } from '@/core/merge/differences';
import type { MergeChoice, MergeRow, MergeOutcome } from '@/core/merge/merge';
import { merge } from '@/store/merging';
import { differenceText } from '@/words/differenceText';
import { RECORD_LABEL, recordText } from '@/words/recordText';
import { writeFaultText } from '../data/writeFault';
import { useRepository } from '../data/repository';
import { leftBehindText } from '../files/importText';
import { useIncomingState } from '../files/incomingState';
import type { ToMerge } from '../files/incomingState';
import { choicesOf, isAsked, isTold, mergedText, OUTCOMES } from '../files/mergeRows';
import { useToast } from '../ui/toast';
import styles from './shell.module.css';

const GROUP: Record<MergeOutcome, (given: { count: number }) => string> = messages.mergeGroup;
const WHY: Record<MergeOutcome, string> = messages.mergeWhy;
const MERGE: Record<MergeOutcome, string> = messages.mergeDefault;
const INSTEAD: Record<Exclude<MergeChoice, 'merge'>, string> = messages.mergeInstead;

/** Differences told of one record, and records told of one group, before the rest is counted. */
const MOST_DIFFERENCES = 5;
const MOST_ROWS = 40;

const keyOf = ({ table, id }: MergeRow): string => `${table}/${id}`;

/** What a file would change of what is kept here: each record with its differences, and what may be wanted instead. */
export function MergeDialog({ one }: { one: ToMerge }): ReactNode {
  const repository = useRepository();
  const { say, complain } = useToast();
  const [busy, setBusy] = useState(false);
  const [choices, setChoices] = useState<ReadonlyMap<string, MergeChoice>>(new Map());
  const { name, records, rows, leftBehind } = one;
  const close = (): void =>
    useIncomingState.setState(({ toMerge }) => ({ toMerge: toMerge.filter((other) => other !== one) }));
  const choiceOf = (row: MergeRow): MergeChoice => choices.get(keyOf(row)) ?? 'merge';
  const take = (choose: (row: MergeRow) => MergeChoice): void => {
    if (!repository) return;
    setBusy(true);
    merge(repository, records, choose)
      .then((done) => {
        say(`${mergedText(done, choose)}${leftBehindText(leftBehind)}`);
        close();
      })
      .catch((error: unknown) => {
        complain(`${name}: ${writeFaultText(error)}`);
        setBusy(false);
      });
  };
  const groups = OUTCOMES.map((outcome) =>
    rows.filter((row) => row.outcome === outcome && isTold(row)),
  ).filter((group) => group.length > 0);
  return (
    <Modal
      open
      width={720}
      title={messages.mergeTitle({ name })}
      onCancel={close}
      footer={
        <div className={styles.mergeFoot}>
          <Button onClick={close}>{messages.leaveItAll}</Button>
          <Button
            loading={busy}
            onClick={() => take((row) => (row.there.record && isAsked(row) ? 'there' : 'merge'))}
          >
            {messages.takeAllAsInTheFile}
          </Button>
          <Button type="primary" loading={busy} onClick={() => take(choiceOf)}>
            {messages.mergeThem}
          </Button>
        </div>
      }
    >
      <p>{messages.mergeIntro}</p>
      <div className={styles.merging}>
        {groups.map((group) => (
          <Group
            key={group[0]?.outcome}
            rows={group}
            choiceOf={choiceOf}
            choose={(row, choice) => setChoices(new Map([...choices, [keyOf(row), choice]]))}
          />
        ))}
      </div>
    </Modal>
  );
}

function Group({
  rows,
  choiceOf,
  choose,
}: {
  rows: readonly MergeRow[];
  choiceOf: (row: MergeRow) => MergeChoice;
  choose: (row: MergeRow, choice: MergeChoice) => void;
}): ReactNode {
  const [first] = rows;
  if (!first) return null;
  const { outcome } = first;
  const told = isAsked(first) ? rows.slice(0, MOST_ROWS) : [];
  return (
    <section>
      <h3>{GROUP[outcome]({ count: rows.length })}</h3>
      <p className="quiet">{WHY[outcome]}</p>
      {told.length > 0 && (
        <ul className={styles.mergeRows}>
          {told.map((row) => (
            <Row key={keyOf(row)} row={row} choice={choiceOf(row)} choose={(choice) => choose(row, choice)} />
          ))}
        </ul>
      )}
      {isAsked(first) && rows.length > told.length && (
        <p>{messages.mergeMore({ count: rows.length - told.length })}</p>
      )}
    </section>
  );
}

function Row({
  row,
  choice,
  choose,
}: {
  row: MergeRow;
  choice: MergeChoice;
  choose: (choice: MergeChoice) => void;
}): ReactNode {
  const { table, outcome, here, there } = row;
  const record = there.record ?? here.record;
  const name = `${RECORD_LABEL[table]}: ${recordText(table, record)}`;
  const differences = here.record && there.record ? differencesOf(here.record, there.record) : [];
  const options = choicesOf(row).map((value) => ({
    value,
    label: value === 'merge' ? MERGE[outcome] : INSTEAD[value],
  }));
  return (
    <li>
      <div>
        <strong>{name}</strong>
        <ul className={styles.mergeDifferences}>
          {differences.slice(0, MOST_DIFFERENCES).map((difference, at) => (
            <li key={at}>{differenceText(difference)}</li>
          ))}
          {differences.length > MOST_DIFFERENCES && (
            <li>{messages.mergeMore({ count: differences.length - MOST_DIFFERENCES })}</li>
          )}
        </ul>
      </div>
      <Select
        aria-label={messages.whatBecomesOf({ name })}
        value={choice}
        options={options}
        onSelect={choose}
      />
    </li>
  );
}
