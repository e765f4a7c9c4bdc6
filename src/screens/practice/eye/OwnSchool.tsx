'use client';

import * as messages from '@/language/practice';
import { Button, InputNumber } from 'antd';
import Link from 'next/link';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { COURSE, isAtRandom, readEye } from '@/core/eye/course';
import type { EyeReading, Fitted } from '@/core/eye/course';
import { schoolOf } from '@/core/loss/schools';
import { backupOf } from '@/core/records/backupTexts';
import { noRecords } from '@/core/records/kinds';
import type { OwnEye } from '@/core/records/ownEye';
import { trimmed } from '@/core/units/format';
import { READY_SCHOOLS } from '@/core/vocabulary/schools';
import type { SeenTerm } from '@/core/vocabulary/terms';
import type { Repository } from '@/store/repository';
import { PAGE_OF_TERM } from '@/core/vocabulary/terms';
import { SCHOOL_LABEL, TERM_LABEL } from '@/words/labels';
import { download } from '../../files/download';
import { useToast } from '../../ui/toast';
import { WhyLink } from '../../ui/WhyLink';
import styles from './eye.module.css';

/** The school that the answers make: its weights, how sure, beside the others; taken, set by hand, exported, forgotten. */
export function OwnSchool({ eye, repository }: { eye: OwnEye; repository: Repository }): ReactNode {
  const { say } = useToast();
  const reading = useMemo(() => readEye(eye.answers), [eye.answers]);
  const keep = (label: string, weights: OwnEye['weights']): Promise<unknown> =>
    repository.keep('eye', 'mine', label, (before) => ({ ...(before ?? eye), weights }));
  const take = async (): Promise<void> => {
    await keep(messages.takeMine, weightsFrom(reading));
    say(messages.tookMine);
  };
  const forget = async (): Promise<void> => {
    await repository.remove('eye', 'mine', messages.forgetMine);
    say(messages.forgotMine);
  };
  const save = (): void => {
    const at = new Date().toISOString();
    download('lynxeye-mine.json', JSON.stringify(backupOf({ ...noRecords(), eye: [eye] }, at), null, 2));
  };
  const random = isAtRandom(reading);
  const inUse = eye.weights !== null;
  const current = inUse && same(eye.weights, weightsFrom(reading));
  return (
    <section aria-labelledby="mine-title" className={styles.mine}>
      <h2 id="mine-title">{messages.mineTitle}</h2>
      <Sureness reading={reading} />
      {random && (
        <p role="alert" className={styles.random}>
          {messages.random({ pct: Math.round(100 * (reading.atRandom ?? 0)) })}
        </p>
      )}
      <div className={styles.wide}>
        <table className={styles.weights}>
          <caption className="unseen">{messages.weightsCaption}</caption>
          <thead>
            <tr>
              <th scope="col">{messages.fault}</th>
              <th scope="col">{messages.mine}</th>
              <th scope="col">{messages.nineOfTen}</th>
              {inUse && <th scope="col">{messages.inUse}</th>}
              {READY_SCHOOLS.map((id) => (
                <th key={id} scope="col">
                  {SCHOOL_LABEL[id]}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {reading.weights.map((fitted) => (
              <WeightRow
                key={fitted.term}
                fitted={fitted}
                weights={eye.weights}
                onSet={(term, weight) => void keep(messages.setAWeight, { ...eye.weights, [term]: weight })}
              />
            ))}
          </tbody>
        </table>
      </div>
      <p className="quiet">{messages.weightsMean}</p>
      <div className={styles.presses}>
        <Button
          type={random || current ? 'default' : 'primary'}
          disabled={current}
          onClick={() => void take()}
        >
          {current ? messages.takenMine : inUse ? messages.takeAgain : messages.take}
        </Button>
        <Button onClick={save}>{messages.saveAsFile}</Button>
        <Button onClick={() => void forget()}>{messages.forget}</Button>
        {inUse && <Link href="/bench">{messages.toTheBench}</Link>}
      </div>
      {inUse && <p className="quiet">{messages.whereUsed({ school: SCHOOL_LABEL.mine })}</p>}
    </section>
  );
}

function Sureness({ reading }: { reading: EyeReading }): ReactNode {
  const { answers, agree, chosen, plain, plainMissed } = reading;
  return (
    <p>
      {messages.fromAnswers({ count: answers })} {messages.agreeing({ agree, chosen })}{' '}
      {plain > 0 && messages.plainOnes({ right: plain - plainMissed, plain })}
      {answers < COURSE && ` ${messages.fewYet({ left: COURSE - answers })}`}
    </p>
  );
}

const [LEAST, MOST] = [0.05, 20];

function WeightRow({
  fitted: { term, weight, low, high },
  weights,
  onSet,
}: {
  fitted: Fitted;
  weights: OwnEye['weights'];
  onSet: (term: SeenTerm, weight: number) => void;
}): ReactNode {
  const name = TERM_LABEL[term];
  const told = low > 1 || high < 1;
  return (
    <tr data-told={told}>
      <th scope="row">
        <WhyLink page={PAGE_OF_TERM[term]}>{name}</WhyLink>
      </th>
      <td className="numerals">{trimmed(weight, 2)}</td>
      <td className="numerals">
        <Interval low={low} high={high} weight={weight} />
        <span>{messages.lowToHigh({ low: trimmed(low, 2), high: trimmed(high, 2) })}</span>
      </td>
      {weights && (
        <td>
          <InputNumber
            aria-label={messages.weightOf({ name })}
            value={weights[term] ?? 1}
            min={LEAST}
            max={MOST}
            step={0.1}
            onChange={(value) => {
              if (value !== null) onSet(term, value);
            }}
          />
        </td>
      )}
      {READY_SCHOOLS.map((id) => (
        <td key={id} className="numerals">
          {trimmed(schoolOf({ school: id, mine: null }).weights[term], 2)}
        </td>
      ))}
    </tr>
  );
}

const [WIDTH, HEIGHT] = [88, 14];
/** From an eighth to eight times. */
const across = (weight: number): number => WIDTH * Math.min(1, Math.max(0, (Math.log2(weight) + 3) / 6));

function Interval({ low, high, weight }: { low: number; high: number; weight: number }): ReactNode {
  const middle = HEIGHT / 2;
  return (
    <svg width={WIDTH} height={HEIGHT} aria-hidden className={styles.interval}>
      <line x1={across(1)} x2={across(1)} y1={0} y2={HEIGHT} className={styles.even} />
      <line x1={across(low)} x2={across(high)} y1={middle} y2={middle} className={styles.span} />
      <circle cx={across(weight)} cy={middle} r={3.5} className={styles.mark} />
    </svg>
  );
}

/** Two digits: more was never told. */
function weightsFrom({ weights }: EyeReading): NonNullable<OwnEye['weights']> {
  return Object.fromEntries(weights.map(({ term, weight }) => [term, Number(weight.toPrecision(2))]));
}

function same(one: OwnEye['weights'], other: OwnEye['weights']): boolean {
  const keys = Object.keys({ ...one, ...other }) as SeenTerm[];
  return keys.every((key) => one?.[key] === other?.[key]);
}
