import * as messages from '@/language/app';
import type { Fault } from '@/core/schema/fault';
import { worded } from '@/core/schema/fault';
import { solvedBeside } from './beside';
import { faultsTold } from './solved';
import type { Solved } from './solved';

/** Bytes of body that are read before we say 413. */
const BODY_LIMIT = 256 * 1024;

/**
 * A shot in, an answer out, the same JSON as on the command line. 400 with all faults, 413 over 256 kB, 422 with the
 * refusal when the shot is valid but nothing can film it, 503 while too many wait; other methods get 405 from the framework.
 */
export async function POST(request: Request): Promise<Response> {
  const type = request.headers.get('content-type') ?? '';
  if (!/^application\/([\w.-]+\+)?json\s*(;|$)/i.test(type))
    return faulty(415, [
      worded(
        '',
        messages.expectedTheHeaderContentType({
          type: type === '' ? '' : messages.got({ type: type.slice(0, 80) }),
        }),
      ),
    ]);
  const text = await bodyText(request);
  if (text === null)
    return faulty(413, [worded('', messages.expectedAtMostBytesSend({ bodyLimit: BODY_LIMIT }))]);
  const done = await solvedBeside(text, request.signal);
  return done ? told(done) : faulty(503, [worded('', messages.tooManyWait)]);
}

function told({ status, json }: Solved): Response {
  return new Response(json, { status, headers: { 'Content-Type': 'application/json' } });
}

function faulty(status: number, faults: readonly Fault[]): Response {
  return told(faultsTold(status, faults));
}

/** The body as text, or null as soon as it is over the limit, whatever its length header says. */
async function bodyText(request: Request): Promise<string | null> {
  if (Number(request.headers.get('content-length') ?? 0) > BODY_LIMIT) return null;
  if (!request.body) return '';
  const chunks: Uint8Array[] = [];
  let size = 0;
  const reader = request.body.getReader();
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.byteLength;
    if (size > BODY_LIMIT) {
      await reader.cancel();
      return null;
    }
    chunks.push(value);
  }
  return Buffer.concat(chunks).toString('utf8');
}
