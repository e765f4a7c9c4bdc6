import * as messages from '@/language/app';
import type { Fault } from '@/core/schema/fault';
import { readShot } from '@/core/records/shot';
import { parseJson } from '@/formats/json';
import { answerShot } from '@/words/answer';
import { worded } from '@/core/schema/fault';
import { faultsInWords } from '@/words/faultText';

/** Bytes of body that are read before we say 413. */
const BODY_LIMIT = 256 * 1024;

/**
 * A shot in, an answer out, the same JSON as on the command line. 400 with all faults, 413 over 256 kB, 422 with the
 * refusal when the shot is valid but nothing can film it; other methods get 405 from the framework.
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
  const parsed = parseJson(text);
  const shot = parsed.ok ? readShot(parsed.value) : parsed;
  if (!shot.ok) return faulty(400, shot.faults);
  const answer = answerShot(shot.value);
  return Response.json(answer, { status: answer.kind === 'lynxeye/answer' ? 200 : 422 });
}

function faulty(status: number, faults: readonly Fault[]): Response {
  return Response.json({ kind: 'lynxeye/faults', version: 1, faults: faultsInWords(faults) }, { status });
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
