'use client';

import { LONGEST_NAME } from '@/core/records/names';
import { shotName } from '@/words/shotName';
import { copyName } from '@/words/newNames';
import * as messages from '@/language/files';
import type { MenuProps } from 'antd';
import { useRouter } from 'next/navigation';
import { useHotkeys } from 'react-hotkeys-hook';
import type { ShotRecord } from '@/core/records/shotRecord';
import { shotToText } from '@/formats/shotText';
import { download } from './download';
import { fileName } from './fileName';
import { keepAsSetup } from '../data/keeping';
import { useWithOwn } from '../data/learned';
import { useRepository } from '../data/repository';
import { handoverUrl, placeUrl } from '../routes';
import { useToast } from '../ui/toast';
import { solvedSettings } from '../data/useAnswer';
import type { Solved } from '../data/useAnswer';

/** What can be done with one shot besides changing it, as a menu, with its keys. */
export function useShotActions(record: ShotRecord, solved: Solved): NonNullable<MenuProps['items']> {
  const repository = useRepository();
  const router = useRouter();
  const { say, complain } = useToast();
  const { shot } = record;
  const told = useWithOwn(shot);

  const copy = (text: string, what: string): void => {
    navigator.clipboard
      .writeText(text)
      .then(() => say(messages.copied({ what })))
      .catch(() => complain(messages.theBrowserDidNotLet));
  };
  const settings = solvedSettings(solved);
  const asText = (): void => copy(shotToText(shot, settings, solved.brief.filters), messages.theCardAsText);
  const keep = (): void => {
    if (!settings) return;
    const { brief, lapse } = solved;
    keepAsSetup({
      settings,
      intervalSeconds: lapse?.plan.intervalSeconds ?? null,
      profile: brief.camera,
      name: shotName(shot),
    });
  };
  const asJson = (): void => copy(JSON.stringify(told, null, 2), messages.theShotAsJSON);
  const duplicate = (): void => {
    void repository
      ?.addShot({ ...shot, name: copyName(shotName(shot), LONGEST_NAME) }, messages.duplicateAShot)
      // A copy asks for its name.
      .then((id) => {
        router.push(`${placeUrl('/bench', id)}&name=new`);
      });
  };
  const remove = (): void => {
    void repository?.removeShot(record.id).then((plans) => {
      say(
        messages.removedUndoBringsItBack({
          shot: shotName(shot),
          count: plans.length,
          plans: plans.map((name) => `"${name}"`).join(', '),
        }),
      );
      router.push('/');
    });
  };
  useHotkeys('d', duplicate);
  useHotkeys('mod+c', () => {
    // A selection is copied as the browser does it.
    if (window.getSelection()?.isCollapsed ?? true) asText();
  });
  return [
    { key: 'text', label: messages.copyAsText, onClick: asText },
    { key: 'json', label: messages.copyAsJSON, onClick: asJson },
    {
      key: 'file',
      label: messages.saveAsAFile,
      onClick: () => download(`${fileName(shot.name)}.json`, JSON.stringify(told, null, 2)),
    },
    {
      key: 'handover',
      label: messages.handOver,
      onClick: () => router.push(handoverUrl({ what: 'shot', id: record.id })),
    },
    ...(settings ? [{ key: 'setup', label: messages.keepAsSetUp, onClick: keep }] : []),
    { key: 'duplicate', label: messages.duplicate, onClick: duplicate },
    { type: 'divider' },
    { key: 'remove', label: messages.remove, danger: true, onClick: remove },
  ];
}
