import * as messages from '@/language/app';
import type { Metadata } from 'next';
import { Suspense } from 'react';
import type { ReactNode } from 'react';
import { PracticeScreen } from '@/screens/practice/PracticeScreen';

export const metadata: Metadata = { title: messages.practiceLynxeye };

export default function Page(): ReactNode {
  return (
    <Suspense>
      <PracticeScreen />
    </Suspense>
  );
}
