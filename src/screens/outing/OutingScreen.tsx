'use client';

import * as messages from '@/language/outing';
import { Button } from 'antd';
import { useRouter, useSearchParams } from 'next/navigation';
import type { ReactNode } from 'react';
import type { Outing } from '@/core/records/outing';
import { ownZone, todayIn } from '@/formats/today';
import { Empty } from '../ui/Empty';
import { useRepository, useShots } from '../data/repository';
import { openDayOf, useOutings } from '../data/outings';
import { PlaceTabs } from '../ui/PlaceTabs';
import { outingUrl, readdress, useOutingAddress } from '../routes';
import { useWorkedDay } from '../data/workedDay';
import type { OpenDay } from '../data/workedDay';
import { useActions } from '../shell/actions';
import { BudgetTab } from './BudgetTab';
import { DayHead } from './DayHead';
import { Entries } from './Entries';
import { FiltersTab } from './FiltersTab';
import { newOuting } from '@/core/records/newOuting';
import { JointTab } from './JointTab';
import styles from './outing.module.css';
import { PackingTab } from './PackingTab';
import { DayRibbon } from './ribbon/DayRibbon';
import { useDayEditing } from './useDayEditing';

const TABS = [
  { id: 'shots', label: messages.shots },
  { id: 'filters', label: messages.filtersAndSetUps },
  { id: 'budget', label: messages.cardPowerHeatTitle },
  { id: 'joint', label: messages.solveTogether },
  { id: 'packing', label: messages.packingAndSafety },
] as const;
type Tab = (typeof TABS)[number]['id'];

/** Outing: the day as a ribbon, and what it asks of filters, cards, power and bag. */
export function OutingScreen(): ReactNode {
  const outings = useOutings();
  const { outingId, dayId } = useOutingAddress();
  const repository = useRepository();
  const router = useRouter();
  const { putDemo } = useActions();
  const shots = useShots();
  if (!outings || !shots) return null;
  const open = openDayOf(outings, outingId, dayId);
  if (!open)
    return (
      <Empty title={messages.noOutingYet} text={messages.anOutingHoldsTheShots}>
        <Button
          type="primary"
          onClick={() => {
            const zone = ownZone();
            void repository
              ?.addOuting((id, at) => newOuting(id, at, zone, todayIn(zone, Date.now()), messages.nameOfNew))
              .then((id) => router.push(outingUrl('/outing', id, null)));
          }}
        >
          {messages.beginAnOuting}
        </Button>{' '}
        <Button onClick={putDemo}>{messages.loadTheMadeUpOne}</Button>
      </Empty>
    );
  return <DayPlace key={`${open.outing.id} ${open.day.id}`} outings={outings} shots={shots} {...open} />;
}

function DayPlace({ outings, ...open }: OpenDay & { outings: readonly Outing[] }): ReactNode {
  const { outing, day } = open;
  const worked = useWorkedDay(open);
  const editing = useDayEditing(outing, day, worked);
  const query = useSearchParams();
  const wanted = query.get('part');
  const tab: Tab = TABS.find(({ id }) => id === wanted)?.id ?? 'shots';
  const chosen = query.get('entry');
  const choose = (entryId: string | null): void =>
    readdress(
      outingUrl('/outing', outing.id, day.id, {
        ...(tab === 'shots' ? {} : { part: tab }),
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
        tabs={TABS}
        open={tab}
        onOpen={(id) =>
          readdress(outingUrl('/outing', outing.id, day.id, id === 'shots' ? {} : { part: id }))
        }
      >
        {tab === 'shots' && <Entries {...props} chosen={chosen} onChoose={choose} />}
        {tab === 'filters' && <FiltersTab {...props} />}
        {tab === 'budget' && <BudgetTab {...props} />}
        {tab === 'joint' && <JointTab {...props} />}
        {tab === 'packing' && <PackingTab outing={outing} shots={worked.shots} />}
      </PlaceTabs>
    </div>
  );
}
