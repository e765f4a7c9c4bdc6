import type { Metadata } from 'next';
import { Suspense } from 'react';
import type { ReactNode } from 'react';
import { OutingScreen } from '@/screens/outing/OutingScreen';

export const metadata: Metadata = { title: 'Outing · Lynxeye' };

export default function Page(): ReactNode {
  return (
    <Suspense>
      <OutingScreen />
    </Suspense>
  );
}
