'use client';

import * as messages from '@/language/shell';
import type { MenuProps } from 'antd';
import { useRouter } from 'next/navigation';
import type { ReactNode } from 'react';
import { PREFERENCES } from '@/core/records/preferences';
import { usePreference } from '../data/repository';
import { MenuUnder } from '../ui/MenuUnder';
import { useActions } from './actions';
import { useFolderItems } from '../files/folderBackup';
import { askOffline, useOffline } from './offlineReady';
import type { OfflineState } from './offlineReady';
import { MenuButton } from './MenuButton';
import { THEME_LABEL } from './theme';

const OFFLINE_LABEL: Record<OfflineState, string> = messages.offlineLabel;

const NOTATION_LABEL = {
  factor: messages.byFactorND16,
  stops: messages.inStops,
  density: messages.byDensity,
} as const;

/** The menu, opened as soon as it has come. */
export function MainMenu(): ReactNode {
  const [theme, setTheme] = usePreference('theme');
  const [notation, setNotation] = usePreference('filterNotation');
  const folder = useFolderItems();
  const offline = useOffline(({ state }) => state);
  const router = useRouter();
  const { exportAll, exportZip, importFile, loadDemo, eraseEverything, showKeys } = useActions();
  const items: MenuProps['items'] = [
    {
      type: 'group',
      label: messages.theme,
      children: PREFERENCES.theme.map((name) => ({
        key: `theme-${name}`,
        label: `${THEME_LABEL[name]}${name === theme ? ' ✓' : ''}`,
        onClick: () => setTheme(name),
      })),
    },
    {
      type: 'group',
      label: messages.filtersWritten,
      children: PREFERENCES.filterNotation.map((name) => ({
        key: `notation-${name}`,
        label: `${NOTATION_LABEL[name]}${name === notation ? ' ✓' : ''}`,
        onClick: () => setNotation(name),
      })),
    },
    {
      type: 'group',
      label: messages.yourData,
      children: [
        { key: 'export', label: messages.exportEverything, onClick: exportAll },
        { key: 'zip', label: messages.everythingAsOneZIP, onClick: exportZip },
        ...folder,
        { key: 'give', label: messages.handOver, onClick: () => router.push('/handover') },
        { key: 'take', label: messages.takeOver, onClick: () => router.push('/handover?part=take') },
        { key: 'measure', label: messages.measure, onClick: () => router.push('/instrument') },
        { key: 'import', label: messages.importAFile, onClick: importFile },
        { key: 'demo', label: messages.loadTheDemo, onClick: loadDemo },
        { key: 'erase', label: messages.eraseEverything, danger: true, onClick: eraseEverything },
      ],
    },
    { type: 'divider' },
    {
      key: 'offline',
      label: OFFLINE_LABEL[offline],
      disabled: offline !== 'notHere',
      onClick: () => void askOffline(),
    },
    { key: 'licences', label: messages.licences, onClick: () => router.push('/licences') },
    { key: 'keys', label: messages.keysTitle, onClick: showKeys },
  ];
  return (
    <MenuUnder menu={{ items }} placement="bottomRight" startOpen>
      <MenuButton />
    </MenuUnder>
  );
}
