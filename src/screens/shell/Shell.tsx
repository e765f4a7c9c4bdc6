'use client';

import * as messages from '@/language/shell';
import { ConfigProvider } from 'antd';
import dynamic from 'next/dynamic';
import type { ReactNode } from 'react';
import { useEffect } from 'react';
import { RepositoryProvider, usePreference, useHistory, useRepository } from '../data/repository';
import { ToastProvider } from '../ui/toast';
import { IncomingFiles } from './IncomingFiles';
import { Keys } from './Keys';
import { PlaceBoundary } from './PlaceBoundary';
import styles from './shell.module.css';
import { themeConfig } from './theme';
import { TopBar } from './TopBar';
import { useServiceWorker } from './useServiceWorker';

// Comes with the first change: before it there is nothing to care for.
const StorageCare = dynamic(() => import('./StorageCare').then((module) => module.StorageCare), {
  ssr: false,
});

const Lost = dynamic(() => import('./Lost').then((module) => module.Lost), { ssr: false });

/** Round every place: data, theme, top bar, keys, and what is dropped or pasted. */
export function Shell({ children }: { children: ReactNode }): ReactNode {
  return (
    <RepositoryProvider lost={(held) => <Lost held={held} />}>
      <Themed>{children}</Themed>
    </RepositoryProvider>
  );
}

function Themed({ children }: { children: ReactNode }): ReactNode {
  const [theme] = usePreference('theme');
  const ready = useRepository() !== null;
  useServiceWorker();
  const changed = useHistory().changes > 0;
  useEffect(() => {
    document.documentElement.dataset.theme = theme;
  }, [theme]);
  return (
    <ConfigProvider theme={themeConfig(theme)}>
      <ToastProvider>
        <IncomingFiles>
          <Keys />
          <TopBar />
          {changed && <StorageCare />}
          <main className={styles.place} data-ready={ready} aria-busy={!ready}>
            {ready ? (
              <PlaceBoundary>{children}</PlaceBoundary>
            ) : (
              <p className="quiet">{messages.openingYourShots}</p>
            )}
          </main>
        </IncomingFiles>
      </ToastProvider>
    </ConfigProvider>
  );
}
