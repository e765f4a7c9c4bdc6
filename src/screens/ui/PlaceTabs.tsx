'use client';

import { Tabs } from 'antd';
import type { ReactNode } from 'react';
import styles from './placeTabs.module.css';

/** The parts of a place as tabs that wrap to as many rows as they need: all are always in sight, and only one is drawn. */
export function PlaceTabs<Id extends string>({
  label,
  tabs,
  open,
  onOpen,
  children,
}: {
  /** What the tabs lead through, as it is read aloud. */
  label: string;
  tabs: readonly { readonly id: Id; readonly label: string }[];
  open: Id;
  onOpen: (id: Id) => void;
  /** The open part. */
  children: ReactNode;
}): ReactNode {
  return (
    <div role="group" aria-label={label}>
      <Tabs
        className={styles.tabs ?? ''}
        activeKey={open}
        animated={false}
        indicator={{ size: 0 }}
        onChange={(key) => {
          const tab = tabs.find(({ id }) => id === key);
          if (tab) onOpen(tab.id);
        }}
        items={tabs.map((tab) => ({
          key: tab.id,
          label: tab.label,
          children: tab.id === open ? children : null,
          destroyOnHidden: true,
        }))}
      />
    </div>
  );
}
