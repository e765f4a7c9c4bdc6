import * as messages from '@/language/app';
import type { Metadata } from 'next';
import { Suspense } from 'react';
import type { ReactNode } from 'react';
import { RehearsalScreen } from '@/screens/rehearsal/RehearsalScreen';

export const metadata: Metadata = { title: messages.rehearsalLynxeye };

export default function Page(): ReactNode {
  return (
    <Suspense>
      <RehearsalScreen />
    </Suspense>
  );
}
