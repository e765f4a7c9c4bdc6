'use client';

import * as messages from '@/language/outing';
import { Button } from 'antd';
import { useRouter, useSearchParams } from 'next/navigation';
import type { ReactNode } from 'react';
import type { Outing, OutingDay } from '@/core/records/outing';
import { ownZone, todayIn } from '@/formats/today';
import { Empty } from '../ui/Empty';
import { useRepository } from '../data/repository';
import { openDayOf, useOutings } from '../data/outings';
import { PlaceTabs } from '../ui/PlaceTabs';
import { outingUrl, readdress, useOutingAddress } from '../routes';
import { useWorkedDay } from '../data/workedDay';
import { useActions } from '../shell/actions';
import { BudgetPart } from './BudgetPart';
import { DayHead } from './DayHead';
import { Entries } from './Entries';
import { FiltersPart } from './FiltersPart';
import { newOuting } from '@/core/records/newOuting';
import { JointPart } from './JointPart';
import styles from './outing.module.css';
import { PackingPart } from './PackingPart';
import { DayRibbon } from './ribbon/DayRibbon';
import { useDayEditing } from './useDayEditing';

const PARTS = [
  { id: 'shots', label: messages.shots },
  { id: 'filters', label: messages.filtersAndSetUps },
  { id: 'budget', label: messages.cardPowerHeatTitle },
  { id: 'joint', label: messages.solveTogether },
  { id: 'packing', label: messages.packingAndSafety },
] as const;
type Part = (typeof PARTS)[number]['id'];

/** Outing: the day as a ribbon, and what it asks of filters, cards, power and bag. */
export function OutingScreen(): ReactNode {
  const outings = useOutings();
  const { outingId, dayId } = useOutingAddress();
  const repository = useRepository();
  const router = useRouter();
  const { resetDemo } = useActions();
  if (!outings) return null;
  const open = openDayOf(outings, outingId, dayId);
  if (!open)
    return (
      <Empty title={messages.noOutingYet} text={messages.anOutingHoldsTheShots}>
        <Button
          type="primary"
          onClick={() => {
            const zone = ownZone();
            void repository
              ?.addOuting((id, at) => newOuting(id, at, zone, todayIn(zone, Date.now())))
              .then((id) => router.push(outingUrl('/outing', id, null)));
          }}
        >
          {messages.beginAnOuting}
        </Button>{' '}
        <Button onClick={resetDemo}>{messages.loadTheMadeUpOne}</Button>
      </Empty>
    );
  return <OpenDay key={`${open.outing.id} ${open.day.id}`} outings={outings} {...open} />;
}

function OpenDay({
  outings,
  outing,
  day,
}: {
  outings: readonly Outing[];
  outing: Outing;
  day: OutingDay;
}): ReactNode {
  const worked = useWorkedDay(outing, day.id);
  const editing = useDayEditing(outing, day, worked);
  const query = useSearchParams();
  const wanted = query.get('part');
  const part: Part = PARTS.find(({ id }) => id === wanted)?.id ?? 'shots';
  const chosen = query.get('entry');
  const choose = (entryId: string | null): void =>
    readdress(
      outingUrl('/outing', outing.id, day.id, {
        ...(part === 'shots' ? {} : { part }),
        ...(entryId === null ? {} : { entry: entryId }),
      }),
    );
  const props = { outing, day, worked, editing };
  return (
    <div className={styles.outing}>
      <h1 className="unseen">{outing.name}</h1>
      <DayHead outings={outings} {...props} />
      {worked.failed !== null && <p role="alert">{messages.thisDayCouldNotBe({ failed: worked.failed })}</p>}
      <DayRibbon {...props} chosen={chosen} onChoose={choose} />
      <PlaceTabs
        label={messages.partsOfTheOuting}
        tabs={PARTS}
        open={part}
        onOpen={(id) =>
          readdress(outingUrl('/outing', outing.id, day.id, id === 'shots' ? {} : { part: id }))
        }
      >
        {part === 'shots' && <Entries {...props} chosen={chosen} onChoose={choose} />}
        {part === 'filters' && <FiltersPart {...props} />}
        {part === 'budget' && <BudgetPart {...props} />}
        {part === 'joint' && <JointPart {...props} />}
        {part === 'packing' && <PackingPart outing={outing} shots={worked.shots} />}
      </PlaceTabs>
    </div>
  );
}
