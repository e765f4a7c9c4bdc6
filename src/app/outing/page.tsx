import * as messages from '@/language/app';
import type { Metadata } from 'next';
import { Suspense } from 'react';
import type { ReactNode } from 'react';
import { OutingScreen } from '@/screens/outing/OutingScreen';

export const metadata: Metadata = { title: messages.outingLynxeye };

export default function Page(): ReactNode {
  return (
    <Suspense>
      <OutingScreen />
    </Suspense>
  );
}
