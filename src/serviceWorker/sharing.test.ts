import { afterEach, describe, expect, it, vi } from 'vitest';
import { keepShared, MOST_WAITING, takeShared } from '../store/shared';
import { formWithin, isForeign } from './sharing';

const OWN = 'http://localhost:3000';
const post = (given: Partial<Pick<Request, 'mode' | 'destination' | 'referrer'>>, headers = {}): boolean =>
  isForeign(
    { mode: 'navigate', destination: 'document', referrer: '', ...given, headers: new Headers(headers) },
    OWN,
  );

describe('a share', () => {
  it('is refused where it can be told that another page sent it', () => {
    expect(post({})).toBe(false);
    expect(post({}, { Origin: 'null' })).toBe(false);
    expect(post({ referrer: `${OWN}/handover` }, { Origin: OWN, 'Sec-Fetch-Site': 'none' })).toBe(false);
    expect(post({ referrer: 'http://localhost:4000/' })).toBe(true);
    expect(post({ referrer: 'no address' })).toBe(true);
    expect(post({ mode: 'no-cors' })).toBe(true);
    expect(post({ destination: 'iframe' })).toBe(true);
    expect(post({}, { Origin: 'http://evil.test' })).toBe(true);
    expect(post({}, { 'Sec-Fetch-Site': 'cross-site' })).toBe(true);
  });

  it('is read no further than it may weigh', async () => {
    const request = (): Request => {
      const body = new FormData();
      body.append('files', new File(['x'.repeat(5000)], 'a.json'));
      return new Request(`${OWN}/handover/shared`, { method: 'POST', body });
    };
    expect((await formWithin(request()))?.get('files')).toBeInstanceOf(File);
    expect(await formWithin(request(), 1000)).toBeNull();
    const noForm = new Request(OWN, {
      method: 'POST',
      body: 'text',
      headers: { 'Content-Type': 'text/plain' },
    });
    expect(await formWithin(noForm)).toBeNull();
  });
});

/** The browser's cache, as far as it is used. */
class MadeCache {
  readonly kept = new Map<string, Response>();
  keys = (): Promise<Request[]> =>
    Promise.resolve([...this.kept.keys()].map((path) => new Request(OWN + path)));
  match = ({ url }: Request): Promise<Response | undefined> =>
    Promise.resolve(this.kept.get(url.slice(OWN.length))?.clone());
  put = (path: string, response: Response): Promise<void> =>
    Promise.resolve(void this.kept.set(path, response));
  delete = ({ url }: Request): Promise<boolean> => Promise.resolve(this.kept.delete(url.slice(OWN.length)));
}
afterEach(() => vi.unstubAllGlobals());

describe('what waits to be taken up', () => {
  it('is bounded, and let go after a day', async () => {
    const cache = new MadeCache();
    vi.stubGlobal('caches', { open: () => Promise.resolve(cache) });
    const form = (count: number): FormData => {
      const made = new FormData();
      for (let at = 0; at < count; at += 1) made.append('files', new File([`${at}`], `Übung ${at}.json`));
      return made;
    };
    const now = Date.now();
    expect(await keepShared(form(60), now)).toBe(true);
    expect(await keepShared(form(60), now + 1)).toBe(false);
    expect(cache.kept.size).toBe(60);
    expect(await keepShared(form(MOST_WAITING.files - 60), now)).toBe(true);
    expect(cache.kept.size).toBe(MOST_WAITING.files);
    const later = now + MOST_WAITING.ms + 1;
    expect(await keepShared(form(2), later)).toBe(true);
    expect((await takeShared()).map(({ name }) => name)).toEqual(['Übung 0.json', 'Übung 1.json']);
    expect(await takeShared()).toEqual([]);
  });
});
