import * as messages from '@/language/app';
import type { Metadata } from 'next';
import { Suspense } from 'react';
import type { ReactNode } from 'react';
import { KitScreen } from '@/screens/kit/KitScreen';

export const metadata: Metadata = { title: messages.kitLynxeye };

export default function Page(): ReactNode {
  return (
    <Suspense>
      <KitScreen />
    </Suspense>
  );
}
