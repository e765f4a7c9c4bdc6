import * as messages from '@/language/outing';
import type { MenuProps } from 'antd';
import { useRouter } from 'next/navigation';
import { duplicatedDay } from '@/core/records/dayEdits';
import { newOuting } from '@/core/records/newOuting';
import type { Outing, OutingDay } from '@/core/records/outing';
import { nextDate } from '@/formats/clock';
import { ownZone, todayIn } from '@/formats/today';
import { useRepository } from '../data/repository';
import { outingUrl } from '../routes';
import { useToast } from '../ui/toast';

type Items = NonNullable<MenuProps['items']>;

/** Goes to an outing, to a day of it when one is named. */
export function useGoTo(): (outingId: string, dayId?: string | null) => void {
  const router = useRouter();
  return (outingId, dayId = null) => router.push(outingUrl('/outing', outingId, dayId));
}

/** What may be done with an outing and its day as a whole. */
export function useDayMenu(outing: Outing, day: OutingDay, files: Items): Items {
  const repository = useRepository();
  const router = useRouter();
  const { say } = useToast();
  const go = useGoTo();
  const change = (label: string, how: (before: Outing) => Outing): Promise<void> =>
    repository?.changeOuting(outing.id, label, how) ?? Promise.resolve();
  const lastDate =
    outing.days
      .map(({ date }) => date)
      .sort()
      .at(-1) ?? day.date;
  const addDay = (label: string, make: (date: string, newId: () => string) => OutingDay): void => {
    if (!repository) return;
    const made = make(nextDate(lastDate), () => repository.newId());
    void repository
      .changeOuting(outing.id, label, (before) => ({ ...before, days: [...before.days, made] }))
      .then(() => go(outing.id, made.id));
  };
  return [
    {
      key: 'new',
      label: messages.newOuting,
      onClick: () => {
        const zone = ownZone();
        void repository
          ?.addOuting((id, at) => newOuting(id, at, zone, todayIn(zone, Date.now()), messages.nameOfNew))
          .then((id) => go(id));
      },
    },
    {
      key: 'day',
      label: messages.addAnEmptyDay,
      onClick: () =>
        addDay(messages.addADay, (date, newId) => ({ id: newId(), date, air: day.air, entries: [] })),
    },
    {
      key: 'duplicate',
      label: messages.duplicateThisDay,
      onClick: () => addDay(messages.duplicateADay, (date, newId) => duplicatedDay(day, date, newId)),
    },
    {
      key: 'removeDay',
      label: messages.removeThisDay,
      disabled: outing.days.length < 2,
      onClick: () => {
        void change(messages.removeADay, (before) => ({
          ...before,
          days: before.days.filter(({ id }) => id !== day.id),
        })).then(() => {
          go(outing.id);
          say(messages.removedTheDayItsShots);
        });
      },
    },
    { type: 'divider' as const },
    {
      key: 'archive',
      label: outing.archived ? messages.takeOutOfTheArchive : messages.archiveThisOuting,
      onClick: () =>
        void change(outing.archived ? messages.takeAnOutingOut : messages.archiveAnOuting, (before) => ({
          ...before,
          archived: !before.archived,
        })),
    },
    {
      key: 'remove',
      label: messages.removeThisOuting,
      danger: true,
      onClick: () => {
        void repository?.removeOuting(outing.id).then(() => {
          router.push('/outing');
          say(messages.removedTheOutingItsShots);
        });
      },
    },
    { type: 'divider' as const },
    { type: 'group' as const, label: messages.asAFile, children: files },
  ];
}
