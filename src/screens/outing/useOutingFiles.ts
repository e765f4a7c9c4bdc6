'use client';

import type { MenuProps } from 'antd';
import type { Outing } from '@/core/plan/outing';
import type { ShotRecord } from '@/core/plan/shotRecord';
import { download } from '../parts/download';
import { fileName } from '../parts/fileName';
import { useToast } from '../parts/toast';

/** The outing as files of open formats. */
export function useOutingFiles(
  outing: Outing,
  shots: ReadonlyMap<string, ShotRecord>,
): NonNullable<MenuProps['items']> {
  const { say } = useToast();
  return [
    {
      key: 'json',
      label: 'Outing with its shots (JSON)',
      onClick: () => {
        const file = { kind: 'lynxeye/outing-file', version: 1, outing, shots: [...shots.values()] };
        download(`${fileName(outing.name)}.json`, JSON.stringify(file, null, 2));
        say(`Exported the outing with ${shots.size} shots.`);
      },
    },
  ];
}
