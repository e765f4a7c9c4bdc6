import type { Metadata } from 'next';
import { Suspense } from 'react';
import type { ReactNode } from 'react';
import { LogScreen } from '@/screens/log/LogScreen';

export const metadata: Metadata = { title: 'Log · Lynxeye' };

export default function Page(): ReactNode {
  return (
    <Suspense>
      <LogScreen />
    </Suspense>
  );
}
