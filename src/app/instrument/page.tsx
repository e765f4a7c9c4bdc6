import * as messages from '@/language/app';
import type { Metadata } from 'next';
import { Suspense } from 'react';
import type { ReactNode } from 'react';
import { InstrumentScreen } from '@/screens/instrument/InstrumentScreen';

export const metadata: Metadata = { title: messages.instrumentLynxeye };

export default function Page(): ReactNode {
  return (
    <Suspense>
      <InstrumentScreen />
    </Suspense>
  );
}
