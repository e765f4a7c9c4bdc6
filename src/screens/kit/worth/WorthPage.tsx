'use client';

import * as messages from '@/language/kit/worth';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import { withOwn } from '@/core/records/figures';
import type { Outing } from '@/core/records/outing';
import type { ShotRecord } from '@/core/records/shotRecord';
import { FILE_VERSION } from '@/core/schema/versions';
import { tenths } from '@/core/units/format';
import { adviceOn, mainCameraFirst } from '@/core/worth/worth';
import type { Valued, Worth } from '@/core/worth/worth';
import { adviceText, purchaseText, mainCameraText } from '@/words/purchaseText';
import { worthIn } from '@/workers/worth';
import { useOwn } from '../../data/learned';
import { useOutings } from '../../data/outings';
import { useRepository, useShots } from '../../data/repository';
import { useAsked } from '../../data/useAsked';
import { NumberField } from '../../ui/Fields';
import { KitPage } from '../KitPage';
import styles from './worth.module.css';

/** What to get next: the worth of each thing over all outings, and the best set for the person's money. */
export function WorthPage(): ReactNode {
  const worth = useWorth();
  return (
    <KitPage title={messages.title} lead={messages.lead}>
      {worth === null ? (
        <p role="status">{messages.working({ recordings: 0 })}</p>
      ) : 'failed' in worth ? (
        <p role="alert">{messages.failed({ why: worth.failed })}</p>
      ) : (
        <Told worth={worth} />
      )}
    </KitPage>
  );
}

/** `null` while it is worked out. */
function useWorth(): Worth | { failed: string } | null {
  const outings = useOutings();
  const shots = useShots();
  const own = useOwn();
  const kept = useMemo(
    () =>
      outings &&
      shots && { outings, shots: shots.map((record) => ({ ...record, shot: withOwn(record.shot, own) })) },
    [outings, shots, own],
  );
  const asked = useAsked(kept, worthOf);
  return asked && 'answer' in asked ? asked.answer : asked;
}

const worthOf = ({ outings, shots }: { outings: Outing[]; shots: ShotRecord[] }): Promise<Worth> =>
  worthIn(outings, shots);

function Told({ worth }: { worth: Worth }): ReactNode {
  const repository = useRepository();
  const [budget, setBudget] = useState<number | undefined>(undefined);
  const records = useLiveQuery(async () => repository?.queries.all('prices'), [repository]);
  const prices = useMemo(() => new Map(records?.map(({ id, price }) => [id, price])), [records]);
  const advice = useMemo(() => adviceOn(worth, prices, budget ?? Infinity), [worth, prices, budget]);
  const main = mainCameraText(worth, mainCameraFirst(worth));
  const { recordings, loss, polarizer, things } = worth;
  const price = async (id: string, to: number | undefined): Promise<null> => {
    if (to === undefined) await repository?.remove('prices', id, messages.setAPrice);
    else
      await repository?.keep('prices', id, messages.setAPrice, (before, at) => ({
        kind: 'lynxeye/price',
        version: FILE_VERSION,
        id,
        createdAt: before?.createdAt ?? at,
        updatedAt: at,
        demo: false,
        price: to,
      }));
    return null;
  };
  return (
    <>
      <p>{messages.asItIs({ recordings, loss: tenths(loss) })}</p>
      <div className={styles.advice} role="status">
        <p>{adviceText(worth, advice)}</p>
        {main !== null && advice.code !== 'nothing' && advice.code !== 'nothingFilmed' && <p>{main}</p>}
      </div>
      {things.length > 0 && (
        <>
          <NumberField
            label={messages.budget}
            value={budget}
            min={0}
            max={1_000_000}
            step={10}
            placeholder={messages.noLimit}
            onCommit={(value) => {
              setBudget(value);
              return Promise.resolve(null);
            }}
          />
          <ul className={styles.things} aria-label={messages.title}>
            {things.map((one) => (
              <Row
                key={one.id}
                one={one}
                most={things[0]?.saves ?? 1}
                recordings={recordings}
                price={prices.get(one.id)}
                chosen={advice.code === 'set' && advice.ids.includes(one.id)}
                onPrice={(to) => price(one.id, to)}
              />
            ))}
          </ul>
        </>
      )}
      {polarizer > 0 && <p>{messages.polarizer({ count: polarizer })}</p>}
      <p className="quiet">{messages.how}</p>
    </>
  );
}

function Row({
  one,
  most,
  recordings,
  price,
  chosen,
  onPrice,
}: {
  one: Valued;
  most: number;
  recordings: number;
  price: number | undefined;
  chosen: boolean;
  onPrice: (to: number | undefined) => Promise<null>;
}): ReactNode {
  const name = purchaseText(one);
  const { saves, improved, cured } = one;
  return (
    <li className={styles.thing} data-chosen={chosen}>
      <div>
        <p className={styles.name}>
          {name} {chosen && <em>{messages.inSet}</em>}
        </p>
        <div className={styles.bar} aria-hidden>
          <span style={{ inlineSize: `${(100 * saves) / most}%` }} />
        </div>
        <p className="quiet numerals">
          {messages.rowSaves({ saves: tenths(saves), improved, recordings })}
          {cured > 0 && ` · ${messages.cured({ cured })}`}
        </p>
      </div>
      <NumberField
        label={messages.priceOf({ thing: name })}
        value={price}
        min={0}
        max={1_000_000}
        step={5}
        placeholder={messages.noPrice}
        onCommit={onPrice}
      />
    </li>
  );
}
