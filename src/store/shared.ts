/**
 * Files that another app shared with this one, kept by the service worker until a page takes them up. They never leave the
 * device.
 */
export const SHARED_PATH = '/handover/shared';
const CACHE = 'shared';
const NAME = 'X-Name';
const BYTES = 'X-Bytes';
/** What a shared text is called that came without a file. */
const TEXT = 'text.txt';
/** Longest name of a file, letters. */
const LONGEST_NAME = 200;

/** Most that waits to be taken up, files and bytes; what has waited for a day is let go. */
export const MOST_WAITING = { files: 100, bytes: 200_000_000, ms: 86_400_000 } as const;

/** Keeps what came, in the service worker; `false`: it is more than may wait, and nothing of it is kept. */
export async function keepShared(form: FormData, now = Date.now()): Promise<boolean> {
  const cache = await caches.open(CACHE);
  const files = [...form.values()].filter((one): one is File => one instanceof File && one.size > 0);
  const text = form.get('text');
  if (files.length === 0 && typeof text === 'string' && text.trim() !== '')
    files.push(new File([text], TEXT));
  const waiting = await waitingIn(cache, now);
  const bytes = files.reduce((sum, { size }) => sum + size, waiting.bytes);
  if (waiting.files + files.length > MOST_WAITING.files || bytes > MOST_WAITING.bytes) return false;
  for (const [at, file] of files.entries())
    await cache.put(
      `/shared/${now}-${waiting.files + at}`,
      new Response(file, {
        headers: {
          [NAME]: encodeURIComponent(Array.from(file.name).slice(0, LONGEST_NAME).join('')),
          [BYTES]: String(file.size),
        },
      }),
    );
  return true;
}

/** What waits already, the old let go. */
async function waitingIn(cache: Cache, now: number): Promise<{ files: number; bytes: number }> {
  let [files, bytes] = [0, 0];
  for (const request of await cache.keys()) {
    const since = Number(/\/(\d+)-\d+$/.exec(request.url)?.[1] ?? 0);
    if (now - since > MOST_WAITING.ms) await cache.delete(request);
    else {
      files += 1;
      bytes += Number((await cache.match(request))?.headers.get(BYTES) ?? 0);
    }
  }
  return { files, bytes };
}

/** Takes up what was kept; each only once. */
export async function takeShared(): Promise<File[]> {
  if (!('caches' in globalThis)) return [];
  const cache = await caches.open(CACHE);
  const files: File[] = [];
  for (const request of await cache.keys()) {
    const kept = await cache.match(request);
    await cache.delete(request);
    if (kept) files.push(new File([await kept.blob()], decodeURIComponent(kept.headers.get(NAME) ?? TEXT)));
  }
  return files;
}
