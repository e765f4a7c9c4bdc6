'use client';

import * as messages from '@/language/incoming';
import { Button, Modal, Select } from 'antd';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { differencesOf } from '@/core/merge/differences';
import type { MergeChoice, MergeRow, MergeOutcome } from '@/core/merge/merge';
import { merge } from '@/store/merging';
import { differenceText } from '@/words/differenceText';
import { comingText } from '@/words/incomingText';
import { namesIn } from '@/words/learnedNames';
import type { Names } from '@/words/learnedText';
import { RECORD_LABEL } from '@/words/recordText';
import { writeFaultText } from '../data/writeFault';
import { useRepository } from '../data/repository';
import { leftBehindText, take } from '../files/importText';
import { asked, useIncomingState } from '../files/incomingState';
import type { ToAsk } from '../files/incomingState';
import { choicesOf, isAsked, isInEveryAnswer, isTold, mergedText, OUTCOMES } from '../files/mergeRows';
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

/** What came, and what it would change of what is kept here: each record with its differences, and what may be wanted instead. */
export function IncomingDialog({ one }: { one: ToAsk }): ReactNode {
  const repository = useRepository();
  const { say, complain } = useToast();
  const waiting = useIncomingState((state) => state.toAsk.length - 1);
  const [busy, setBusy] = useState(false);
  const [choices, setChoices] = useState<ReadonlyMap<string, MergeChoice>>(new Map());
  const { name, taking, rows, changes, leftBehind } = one;
  const close = (): void => asked(one);
  const choiceOf = (row: MergeRow): MergeChoice => choices.get(keyOf(row)) ?? 'merge';
  const taken = async (choose: (row: MergeRow) => MergeChoice): Promise<string> => {
    if (!repository) return '';
    if (taking.kind === 'records') return mergedText(await merge(repository, taking.records, choose), choose);
    const took = await take(repository, taking);
    return took.ok ? took.said : took.why;
  };
  const write = (choose: (row: MergeRow) => MergeChoice): void => {
    setBusy(true);
    taken(choose)
      .then((text) => {
        say(`${text}${leftBehindText(leftBehind)}`);
        close();
      })
      .catch((error: unknown) => {
        complain(`${name}: ${writeFaultText(error)}`);
        setBusy(false);
      });
  };
  const told = rows.filter(isTold);
  const inEvery = told.filter(isInEveryAnswer);
  const groups = OUTCOMES.map((outcome) =>
    told.filter((row) => row.outcome === outcome && !isInEveryAnswer(row)),
  ).filter((group) => group.length > 0);
  const apart = told.some(({ outcome }) => outcome !== 'added' && outcome !== 'alike');
  const group = (own: readonly MergeRow[], title: string, why: string, most: number): ReactNode => (
    <Group
      key={title}
      rows={own}
      title={title}
      why={why}
      most={most}
      textOf={textOf}
      choiceOf={choiceOf}
      choose={(row, choice) => setChoices(new Map([...choices, [keyOf(row), choice]]))}
    />
  );
  const names = taking.kind === 'records' ? namesIn(taking.records) : NO_NAMES;
  const textOf = ({ table, here, there }: MergeRow): string => {
    const record = there.record ?? here.record;
    return record ? comingText(table, record, names) : '';
  };
  return (
    <Modal
      open
      width={720}
      title={messages.mergeTitle({ name })}
      onCancel={close}
      footer={
        <div className={styles.mergeFoot}>
          {waiting > 0 && (
            <Button type="text" onClick={() => useIncomingState.setState({ toAsk: [] })}>
              {messages.leaveAllThatWaits({ count: waiting })}
            </Button>
          )}
          <Button onClick={close}>{messages.leaveItAll}</Button>
          {apart && (
            <Button
              loading={busy}
              onClick={() => write((row) => (row.there.record && isAsked(row) ? 'there' : 'merge'))}
            >
              {messages.takeAllAsInTheFile}
            </Button>
          )}
          <Button type="primary" loading={busy} onClick={() => write(choiceOf)}>
            {apart ? messages.mergeThem : messages.takeThem}
          </Button>
        </div>
      }
    >
      <p>{apart ? messages.mergeIntro : messages.takeIntro}</p>
      <div className={styles.merging}>
        {inEvery.length > 0 &&
          group(
            inEvery,
            messages.inEveryAnswer({ count: inEvery.length }),
            messages.inEveryAnswerWhy,
            Infinity,
          )}
        {groups.map((own) => {
          const outcome = own[0]?.outcome ?? 'alike';
          const most = outcome === 'alike' ? 0 : MOST_ROWS;
          return group(own, GROUP[outcome]({ count: own.length }), WHY[outcome], most);
        })}
        {changes.length > 0 && (
          <ul className={styles.mergeRows}>
            {changes.slice(0, MOST_ROWS).map((text, at) => (
              <li key={at}>{text}</li>
            ))}
            {changes.length > MOST_ROWS && (
              <li>{messages.mergeMore({ count: changes.length - MOST_ROWS })}</li>
            )}
          </ul>
        )}
      </div>
    </Modal>
  );
}

const NO_NAMES: Names = { camera: () => undefined, filter: () => undefined };

function Group({
  rows,
  title,
  why,
  most,
  textOf,
  choiceOf,
  choose,
}: {
  rows: readonly MergeRow[];
  title: string;
  why: string;
  /** Rows told before the rest is counted. */
  most: number;
  textOf: (row: MergeRow) => string;
  choiceOf: (row: MergeRow) => MergeChoice;
  choose: (row: MergeRow, choice: MergeChoice) => void;
}): ReactNode {
  const told = rows.slice(0, most);
  return (
    <section>
      <h3>{title}</h3>
      <p className="quiet">{why}</p>
      {told.length > 0 && (
        <ul className={styles.mergeRows}>
          {told.map((row) => (
            <Row
              key={keyOf(row)}
              row={row}
              text={textOf(row)}
              choice={choiceOf(row)}
              choose={(choice) => choose(row, choice)}
            />
          ))}
        </ul>
      )}
      {most > 0 && rows.length > told.length && (
        <p>{messages.mergeMore({ count: rows.length - told.length })}</p>
      )}
    </section>
  );
}

function Row({
  row,
  text,
  choice,
  choose,
}: {
  row: MergeRow;
  text: string;
  choice: MergeChoice;
  choose: (choice: MergeChoice) => void;
}): ReactNode {
  const { table, outcome, here, there } = row;
  const name = `${RECORD_LABEL[table]}: ${text}`;
  const differences = here.record && there.record ? differencesOf(here.record, there.record) : [];
  const options = choicesOf(row).map((value) => ({
    value,
    label:
      value === 'merge' ? MERGE[outcome] : here.record || here.gone ? INSTEAD[value] : messages.leaveItOut,
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
