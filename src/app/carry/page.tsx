import * as messages from '@/language/app';
import type { Metadata } from 'next';
import { Suspense } from 'react';
import type { ReactNode } from 'react';
import { CarryScreen } from '@/screens/carry/CarryScreen';

export const metadata: Metadata = { title: messages.carryLynxeye };

export default function Page(): ReactNode {
  return (
    <Suspense>
      <CarryScreen />
    </Suspense>
  );
}
