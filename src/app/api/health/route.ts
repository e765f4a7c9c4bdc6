import { FILE_VERSION } from '@/core/schema/versions';

export const dynamic = 'force-dynamic';

/** Whether the app is served, and which version of the open files it speaks; for whoever watches over it. */
export function GET(): Response {
  return Response.json(
    { status: 'ok', fileVersion: FILE_VERSION },
    { headers: { 'Cache-Control': 'no-store' } },
  );
}
