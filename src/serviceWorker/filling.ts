/** How much of the app is kept. */
export interface Filled {
  kept: number;
  of: number;
}

/** Asks again for what of the wanted is not kept, and tells how much is then; what does not come is asked for another time. */
export async function filledCache(
  cache: Pick<Cache, 'keys' | 'add'>,
  wanted: readonly string[],
): Promise<Filled> {
  const there = new Set((await cache.keys()).map(({ url }) => url));
  let failed = 0;
  for (const url of wanted.filter((one) => !there.has(one)))
    await cache
      // Its revision stands in the address, which the server does not mind.
      .add(new Request(url, { cache: 'reload', credentials: 'same-origin' }))
      .catch(() => {
        failed += 1;
      });
  return { kept: wanted.length - failed, of: wanted.length };
}
