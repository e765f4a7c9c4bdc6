'use client';

import type { MenuProps } from 'antd';
import { useRouter } from 'next/navigation';
import { useHotkeys } from 'react-hotkeys-hook';
import { copyName } from '@/core/records/copyName';
import type { ShotRecord } from '@/core/records/shotRecord';
import { shotToText } from '@/formats/shotText';
import { download } from './download';
import { fileName } from './fileName';
import { useRepository } from '../data/repository';
import { placeUrl, usePlace } from '../routes';
import { useToast } from '../ui/toast';
import type { Solved } from '../data/useAnswer';

/** What can be done with one shot besides changing it, as a menu, with its keys. */
export function useShotActions(record: ShotRecord, solved: Solved): NonNullable<MenuProps['items']> {
  const repository = useRepository();
  const router = useRouter();
  const place = usePlace() ?? '/bench';
  const { say, complain } = useToast();
  const { shot } = record;

  const copy = (text: string, what: string): void => {
    navigator.clipboard
      .writeText(text)
      .then(() => say(`Copied ${what}.`))
      .catch(() => complain('The browser did not let it be copied; save the file instead.'));
  };
  const asText = (): void => copy(shotToText(shot, solved.answer, solved.brief.filters), 'the card as text');
  const asJson = (): void => copy(JSON.stringify(shot, null, 2), 'the shot as JSON');
  const duplicate = (): void => {
    void repository
      ?.addShot({ ...shot, name: copyName(shot.name ?? 'Untitled shot', 120) }, 'duplicate a shot')
      .then((id) => {
        router.push(placeUrl(place, id));
      });
  };
  const remove = (): void => {
    void repository?.removeShot(record.id).then(() => {
      say(`Removed "${shot.name ?? 'Untitled shot'}". Undo brings it back.`);
      router.push('/');
    });
  };
  useHotkeys('d', duplicate);
  useHotkeys('mod+c', () => {
    // A selection is copied as the browser does it.
    if (window.getSelection()?.isCollapsed ?? true) asText();
  });
  return [
    { key: 'text', label: 'Copy as text', onClick: asText },
    { key: 'json', label: 'Copy as JSON', onClick: asJson },
    {
      key: 'file',
      label: 'Save as a file',
      onClick: () => download(`${fileName(shot.name)}.json`, JSON.stringify(shot, null, 2)),
    },
    { key: 'duplicate', label: 'Duplicate', onClick: duplicate },
    { type: 'divider' },
    { key: 'remove', label: 'Remove', danger: true, onClick: remove },
  ];
}
