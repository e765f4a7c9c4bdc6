'use client';

import * as messages from '@/language/shell';
import dynamic from 'next/dynamic';
import { usePathname, useSearchParams } from 'next/navigation';
import { Suspense } from 'react';
import type { ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { isLostChunk, loadAnewOnce } from './lostChunk';

// Comes when it is needed.
const BrokenPlace = dynamic(() => import('./BrokenPlace').then((module) => module.BrokenPlace), {
  ssr: false,
  loading: () => <p role="alert">{messages.thisPlaceCannotBeShownTitle}</p>,
});

/** Round each place: when it cannot be drawn, menu, undo and export stay, and the record at fault can be put aside. */
export function PlaceBoundary({ children }: { children: ReactNode }): ReactNode {
  return (
    <Suspense>
      <Bounded>{children}</Bounded>
    </Suspense>
  );
}

function Bounded({ children }: { children: ReactNode }): ReactNode {
  const address = `${usePathname()}?${useSearchParams().toString()}`;
  return (
    <ErrorBoundary
      resetKeys={[address]}
      onError={(error) => {
        if (isLostChunk(error)) loadAnewOnce();
      }}
      fallbackRender={({ error, resetErrorBoundary }) => (
        <BrokenPlace error={error} onAgain={() => resetErrorBoundary()} />
      )}
    >
      {children}
    </ErrorBoundary>
  );
}
