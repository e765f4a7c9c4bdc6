/**
 * Files that another app shared with this one, kept by the service worker until a page takes them up. They never leave the
 * device.
 */
export const SHARED_PATH = '/handover/shared';
const CACHE = 'shared';
const NAME = 'X-Name';
/** What a shared text is called that came without a file. */
const TEXT = 'text.txt';

/** Keeps what came; in the service worker. */
export async function keepShared(form: FormData): Promise<void> {
  const cache = await caches.open(CACHE);
  const files = [...form.values()].filter((one): one is File => one instanceof File && one.size > 0);
  const text = form.get('text');
  if (files.length === 0 && typeof text === 'string' && text.trim() !== '')
    files.push(new File([text], TEXT));
  for (const [at, file] of files.entries())
    await cache.put(
      `/shared/${Date.now()}-${at}`,
      new Response(file, { headers: { [NAME]: encodeURIComponent(file.name) } }),
    );
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
