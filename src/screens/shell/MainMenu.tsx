'use client';

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

const OFFLINE_LABEL: Record<OfflineState, string> = {
  unknown: 'Not asked yet whether it works with no network',
  filling: 'Getting ready for no network…',
  ready: 'Ready for no network',
  notHere: 'Not ready for no network: try again',
};

const NOTATION_LABEL = { factor: 'by factor (ND16)', stops: 'in stops', density: 'by density' } as const;

/** The menu, opened as soon as it has come. */
export function MainMenu(): ReactNode {
  const [theme, setTheme] = usePreference('theme');
  const [notation, setNotation] = usePreference('filterNotation');
  const folder = useFolderItems();
  const offline = useOffline(({ state }) => state);
  const router = useRouter();
  const { exportAll, exportZip, importFile, resetDemo, showKeys } = useActions();
  const items: MenuProps['items'] = [
    {
      type: 'group',
      label: 'Theme',
      children: PREFERENCES.theme.map((name) => ({
        key: `theme-${name}`,
        label: `${THEME_LABEL[name]}${name === theme ? ' ✓' : ''}`,
        onClick: () => setTheme(name),
      })),
    },
    {
      type: 'group',
      label: 'Filters written',
      children: PREFERENCES.filterNotation.map((name) => ({
        key: `notation-${name}`,
        label: `${NOTATION_LABEL[name]}${name === notation ? ' ✓' : ''}`,
        onClick: () => setNotation(name),
      })),
    },
    {
      type: 'group',
      label: 'Your data',
      children: [
        { key: 'export', label: 'Export everything', onClick: exportAll },
        { key: 'zip', label: 'Everything as one ZIP', onClick: exportZip },
        ...folder,
        { key: 'import', label: 'Import a file', onClick: importFile },
        { key: 'demo', label: 'Load or reset the demo shots', onClick: resetDemo },
      ],
    },
    { type: 'divider' },
    {
      key: 'offline',
      label: OFFLINE_LABEL[offline],
      disabled: offline !== 'notHere',
      onClick: () => void askOffline(),
    },
    { key: 'licences', label: 'Licences', onClick: () => router.push('/licences') },
    { key: 'keys', label: 'Keys  ?', onClick: showKeys },
  ];
  return (
    <MenuUnder menu={{ items }} placement="bottomRight" startOpen>
      <MenuButton />
    </MenuUnder>
  );
}
