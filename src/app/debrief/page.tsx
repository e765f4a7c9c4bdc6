import * as messages from '@/language/app';
import type { Metadata } from 'next';
import { Suspense } from 'react';
import type { ReactNode } from 'react';
import { DebriefScreen } from '@/screens/debrief/DebriefScreen';

export const metadata: Metadata = { title: messages.debriefLynxeye };

export default function Page(): ReactNode {
  return (
    <Suspense>
      <DebriefScreen />
    </Suspense>
  );
}
