import { code as LOCALE } from '@/language/locale';
import * as messages from '@/language/app';
import '../../dist/library.css';
import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import '@fontsource-variable/ibm-plex-sans/index.css';
import './globals.css';
import type { Metadata, Viewport } from 'next';
import type { ReactNode } from 'react';
import { Shell } from '@/screens/shell/Shell';

export const metadata: Metadata = messages.metadata;

export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default function Layout({ children }: { children: ReactNode }): ReactNode {
  return (
    <html lang={LOCALE} data-theme="paper">
      <body>
        <Shell>{children}</Shell>
      </body>
    </html>
  );
}
