import * as messages from '@/language/app';
import type { Metadata } from 'next';
import type { ReactNode } from 'react';
import { LicencesScreen } from '@/screens/licences/LicencesScreen';

export const metadata: Metadata = { title: messages.licencesLynxeye };

export default function Page(): ReactNode {
  return <LicencesScreen />;
}
