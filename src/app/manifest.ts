import * as messages from '@/language/app';
import type { MetadataRoute } from 'next';

/** What makes the app installable. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Lynxeye',
    short_name: 'Lynxeye',
    description: messages.plansCameraSettingsForPeople,
    start_url: '/carry',
    scope: '/',
    display: 'standalone',
    background_color: '#f5f1e6',
    theme_color: '#f5f1e6',
    icons: [
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
  };
}
