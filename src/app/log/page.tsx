import * as messages from '@/language/app';
import type { Metadata } from 'next';
import { Suspense } from 'react';
import type { ReactNode } from 'react';
import { LogScreen } from '@/screens/log/LogScreen';

export const metadata: Metadata = { title: messages.logLynxeye };

export default function Page(): ReactNode {
  return (
    <Suspense>
      <LogScreen />
    </Suspense>
  );
}
