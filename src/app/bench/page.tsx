import * as messages from '@/language/app';
import type { Metadata } from 'next';
import { Suspense } from 'react';
import type { ReactNode } from 'react';
import { BenchScreen } from '@/screens/bench/BenchScreen';

export const metadata: Metadata = { title: messages.benchLynxeye };

export default function Page(): ReactNode {
  return (
    <Suspense>
      <BenchScreen />
    </Suspense>
  );
}
