import * as messages from '@/language/app';
import type { Metadata } from 'next';
import { Suspense } from 'react';
import type { ReactNode } from 'react';
import { ReasonsScreen } from '@/screens/reasons/ReasonsScreen';

export const metadata: Metadata = { title: messages.reasonsLynxeye };

export default function Page(): ReactNode {
  return (
    <Suspense>
      <ReasonsScreen />
    </Suspense>
  );
}
