import * as messages from '@/language/app';
import type { Metadata } from 'next';
import { Suspense } from 'react';
import type { ReactNode } from 'react';
import { StartScreen } from '@/screens/start/StartScreen';

export const metadata: Metadata = { title: messages.startLynxeye };

export default function Page(): ReactNode {
  return (
    <Suspense>
      <StartScreen />
    </Suspense>
  );
}
