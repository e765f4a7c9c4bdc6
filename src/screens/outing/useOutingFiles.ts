'use client';

import * as messages from '@/language/outing';
import type { MenuProps } from 'antd';
import { useRouter } from 'next/navigation';
import { noRecords } from '@/core/records/kinds';
import type { Outing } from '@/core/records/outing';
import { cameBackFrom, outingFileOf } from '@/core/records/outingFile';
import type { Came } from '@/core/records/outingFile';
import type { ShotRecord } from '@/core/records/shotRecord';
import type { WorkedDay } from '@/core/day/workedDay';
import { download, downloadBlob } from '../files/download';
import { fileName } from '../files/fileName';
import { handoverUrl } from '../routes';
import { useRepository } from '../data/repository';
import { useToast } from '../ui/toast';
import { workedDays } from '../data/workedDay';
import { whyText } from '@/words/whyText';

/** The outing as files of open formats; what makes them comes when it is first asked for. */
export function useOutingFiles(
  outing: Outing,
  shots: ReadonlyMap<string, ShotRecord>,
): NonNullable<MenuProps['items']> {
  const { say, complain } = useToast();
  const router = useRouter();
  const repository = useRepository();
  const name = fileName(outing.name);
  const entry = (
    key: string,
    label: string,
    make: () => Promise<string>,
  ): { key: string; label: string; onClick: () => void } => ({
    key,
    label,
    onClick: () => {
      make()
        .then(say)
        .catch((error: unknown) => complain(messages.theFileCouldNotBe({ error: whyText(error) })));
    },
  });
  const days = (): Promise<WorkedDay[]> => workedDays(outing, shots);
  const came = async (): Promise<Came> => {
    if (!repository) return noRecords();
    return cameBackFrom(outing, await repository.queries.together('clips', 'log', 'measured', 'removed'));
  };
  return [
    {
      key: 'handover',
      label: messages.handOver,
      onClick: () => router.push(handoverUrl({ what: 'outing', id: outing.id })),
    },
    entry('json', messages.outingWithItsShotsJSON, async () => {
      const file = outingFileOf(outing, shots.values(), await came());
      download(`${name}.json`, JSON.stringify(file, null, 2));
      return messages.exportedTheOutingWithShots({ count: shots.size });
    }),
    entry('csv', messages.shotListCSV, async () => {
      const { shotListCsv } = await import('@/formats/outing/csv');
      download(`${name}-shots.csv`, shotListCsv(await days(), outing.zone), 'text/csv');
      return messages.exportedTheShotListLight;
    }),
    entry('budget', messages.budgetCSV, async () => {
      const { budgetCsv } = await import('@/formats/outing/csv');
      download(`${name}-budget.csv`, budgetCsv(await days(), outing.zone), 'text/csv');
      return messages.exportedTheBudget;
    }),
    entry('ics', messages.daysForACalendarICS, async () => {
      const { outingCalendar } = await import('@/formats/outing/calendar');
      download(`${name}.ics`, outingCalendar(outing, await days()), 'text/calendar');
      return messages.exportedTheDaysWithTheir;
    }),
    entry('came', messages.cameBackCsv, async () => {
      const { cameBackCsv } = await import('../files/outingArchive');
      const kept = await came();
      download(`${name}-came-back.csv`, cameBackCsv(outing, shots, kept), 'text/csv');
      return messages.exportedWhatCameBack({ count: kept.clips.length + kept.log.length });
    }),
    entry('zip', messages.allOfItWithPictures, async () => {
      const { outingZip } = await import('../files/outingArchive');
      downloadBlob(`${name}.zip`, await outingZip(outing, shots, await came()));
      return messages.exportedTheOutingAsOne;
    }),
  ];
}
