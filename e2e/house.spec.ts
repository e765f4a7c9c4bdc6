import { gzipSync } from 'node:zlib';
import { expect, open, test } from './fixture';

test('pages carry a content security policy without unsafe-eval, and the usual headers', async ({
  request,
}) => {
  const headers = (await request.get('/')).headers();
  expect(headers['content-security-policy']).toContain("default-src 'self'");
  expect(headers['content-security-policy']).not.toContain('unsafe-eval');
  expect(headers['x-content-type-options']).toBe('nosniff');
  expect(headers['referrer-policy']).toBe('no-referrer');
  expect(headers['x-powered-by']).toBeUndefined();
});

test('Start transfers at most 340 kB of script', async ({ page, request }) => {
  const asked = new Set<string>();
  page.on('request', (one) => {
    if (one.resourceType() === 'script') asked.add(one.url());
  });
  await open(page, '/');
  await page.waitForLoadState('networkidle');
  // Weighed by asking again: what a page is still getting has no body to be read.
  const sizes = await Promise.all(
    [...asked].map(async (url) => gzipSync(await (await request.get(url)).body()).length),
  );
  expect(sizes.length).toBeGreaterThan(5);
  const total = sizes.reduce((sum, size) => sum + size, 0);
  test.info().annotations.push({
    type: 'script',
    description: `${Math.round(total / 1000)} kB in ${sizes.length} files`,
  });
  expect(total / 1000).toBeLessThanOrEqual(340);
});

test('the solver answers over HTTP as on the command line', async ({ request }) => {
  const shot = { kind: 'lynxeye/shot', version: 3, mount: { kind: 'tripod' } };
  const good = await request.post('/api/solve', { data: shot });
  expect(good.status()).toBe(200);
  expect(await good.json()).toMatchObject({ kind: 'lynxeye/answer', settings: { frameRate: 25 } });

  const bad = await request.post('/api/solve', { data: { ...shot, light: { kind: 'range' }, odd: 1 } });
  expect(bad.status()).toBe(400);
  const { faults } = (await bad.json()) as { faults: { path: string }[] };
  expect(faults.map(({ path }) => path)).toEqual(['light.evMin', 'light.evMax', 'odd']);
  for (const [type, status] of [
    ['application/json', 400],
    ['text/plain', 415],
  ] as const)
    expect(
      (await request.post('/api/solve', { data: 'not json', headers: { 'content-type': type } })).status(),
      type,
    ).toBe(status);

  const pins = { stabilization: 'rollHold', frameRate: 60, resolution: { width: 3840, height: 2160 } };
  const refused = await request.post('/api/solve', { data: { ...shot, pins } });
  expect(refused.status()).toBe(422);
  expect(await refused.json()).toMatchObject({ kind: 'lynxeye/refusal' });

  expect(
    (
      await request.post('/api/solve', {
        data: 'x'.repeat(300_000),
        headers: { 'content-type': 'application/json' },
      })
    ).status(),
  ).toBe(413);
  expect((await request.get('/api/solve')).status()).toBe(405);
  expect((await request.put('/api/solve', { data: shot })).status()).toBe(405);
  for (const method of ['TRACE', 'DELETE'])
    expect((await request.fetch('/api/solve', { method })).status(), method).toBe(405);
  expect((await request.get('/api/forecast?from=2026-10-03T00:00:00Z')).status()).toBe(400);
});
