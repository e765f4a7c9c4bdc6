import { describe, expect, it } from 'vitest';
import { filledCache } from './filling';

const WANTED = ['/', '/carry', '/a.js'].map((path) => `http://localhost${path}`);

/** A store of answers that lacks some, before a network that lacks some too. */
function cacheOf(there: readonly string[], lost: readonly string[] = []) {
  const kept = new Map(there.map((url) => [url, new Request(url)]));
  const asked: Request[] = [];
  return {
    asked,
    kept,
    keys: () => Promise.resolve([...kept.values()]),
    add: (request: RequestInfo | URL) => {
      const one = request as Request;
      asked.push(one);
      if (lost.includes(one.url)) return Promise.reject(new TypeError('no network'));
      kept.set(one.url, one);
      return Promise.resolve();
    },
  };
}

describe('what the service worker keeps', () => {
  it('is left alone where it is whole', async () => {
    const cache = cacheOf(WANTED);
    expect(await filledCache(cache, WANTED)).toEqual({ kept: 3, of: 3 });
    expect(cache.asked).toEqual([]);
  });

  it('is filled again where it was emptied, from the server and not from what the browser remembers', async () => {
    const cache = cacheOf([WANTED[1]!]);
    expect(await filledCache(cache, WANTED)).toEqual({ kept: 3, of: 3 });
    expect(cache.asked.map(({ url }) => url)).toEqual([WANTED[0], WANTED[2]]);
    expect(cache.asked.every((one) => one.cache === 'reload')).toBe(true);
  });

  it('says what is lacking where some does not come, and goes on with the rest', async () => {
    const cache = cacheOf([], [WANTED[0]!]);
    expect(await filledCache(cache, WANTED)).toEqual({ kept: 2, of: 3 });
    expect([...cache.kept.keys()]).toEqual([WANTED[1], WANTED[2]]);
  });
});
