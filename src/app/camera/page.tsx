import * as messages from '@/language/app';
import type { Metadata } from 'next';
import { Suspense } from 'react';
import type { ReactNode } from 'react';
import { CameraScreen } from '@/screens/camera/CameraScreen';

export const metadata: Metadata = { title: messages.standInCameraLynxeye };

export default function Page(): ReactNode {
  return (
    <Suspense>
      <CameraScreen />
    </Suspense>
  );
}
