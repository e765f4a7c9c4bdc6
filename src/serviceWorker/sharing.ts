/** What a share may weigh, bytes: it is read as it comes, and no further. */
const MOST_BYTES = 200_000_000;

/**
 * Whether a post can be told to be no share of the system: another page sent it, or one within another page. A worker does
 * not see every header, and a page can hide where it comes from; so what comes is asked about all the same.
 */
export function isForeign(
  { mode, destination, referrer, headers }: Pick<Request, 'mode' | 'destination' | 'referrer' | 'headers'>,
  own: string,
): boolean {
  const from = headers.get('Origin');
  return (
    mode !== 'navigate' ||
    destination !== 'document' ||
    (referrer !== '' && referrer !== 'about:client' && originOf(referrer) !== own) ||
    (from !== null && from !== 'null' && from !== own) ||
    ['cross-site', 'same-site'].includes(headers.get('Sec-Fetch-Site') ?? '')
  );
}

function originOf(url: string): string | null {
  return URL.canParse(url) ? new URL(url).origin : null;
}

/** The form of a post; `null`: it is larger than may be, or none. */
export async function formWithin(request: Request, most = MOST_BYTES): Promise<FormData | null> {
  if (Number(request.headers.get('Content-Length') ?? 0) > most) return null;
  let bytes = 0;
  const counted = request.body?.pipeThrough(
    new TransformStream<Uint8Array, Uint8Array>({
      transform: (chunk, out) => {
        bytes += chunk.length;
        if (bytes > most) out.error(new RangeError());
        else out.enqueue(chunk);
      },
    }),
  );
  const type = request.headers.get('Content-Type') ?? '';
  try {
    // Where a body is no stream it is read whole.
    return await (
      counted ? new Response(counted, { headers: { 'Content-Type': type } }) : request
    ).formData();
  } catch {
    return null;
  }
}
