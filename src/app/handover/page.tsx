import * as messages from '@/language/app';
import type { Metadata } from 'next';
import { Suspense } from 'react';
import type { ReactNode } from 'react';
import { HandoverScreen } from '@/screens/handover/HandoverScreen';

export const metadata: Metadata = { title: messages.handoverLynxeye };

export default function Page(): ReactNode {
  return (
    <Suspense>
      <HandoverScreen />
    </Suspense>
  );
}
