import * as messages from '@/language/app';
import type { MetadataRoute } from 'next';

/** Files that open in the app, by type: those it imports. */
const FILES = {
  'application/json': ['.json'],
  'text/plain': ['.txt'],
  'text/csv': ['.csv'],
  'text/calendar': ['.ics'],
  'application/zip': ['.zip'],
};

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
    share_target: {
      action: '/handover/shared',
      method: 'POST',
      enctype: 'multipart/form-data',
      params: {
        text: 'text',
        files: [{ name: 'files', accept: Object.entries(FILES).flat(2) }],
      },
    },
    file_handlers: [{ action: '/handover?part=take', accept: FILES }],
    launch_handler: { client_mode: ['navigate-existing', 'auto'] },
    icons: [
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
  };
}
