import { gzipSync } from 'node:zlib';
import { expect, expectNoAxeFindings, open, test } from './fixture';

const PLACES = [
  '/',
  '/bench?shot=demo-13',
  '/bench?shot=demo-01&part=light',
  '/bench?shot=demo-05&part=readings',
  '/bench?shot=demo-08&part=lamps',
  '/bench?shot=demo-01&part=framing',
  '/bench?shot=demo-10&part=steadiness',
  '/bench?shot=demo-10&part=mounts',
  '/bench?shot=demo-10&part=cameras',
  '/bench?shot=demo-05&part=preview',
  '/bench?shot=demo-08&part=tradeOff',
  '/bench?shot=demo-02&part=coverage',
  '/bench?shot=demo-07&part=pair',
  '/bench?shot=demo-09&part=lapse',
  '/carry?shot=demo-05',
  '/outing?outing=demo-outing&day=saturday&entry=sat-10',
  '/outing?outing=demo-outing&day=sunday&part=filters',
  '/outing?outing=demo-outing&day=saturday&part=budget',
  '/outing?outing=demo-outing&day=saturday&part=packing',
  '/carry?outing=demo-outing&day=saturday&card=sat-04',
  '/carry?outing=demo-outing&day=saturday&codes=all',
  '/camera?outing=demo-outing&day=saturday&camera=otter',
  '/log',
  '/kit?item=demo-kit-otter',
  '/kit?item=demo-kit-helmet',
] as const;

for (const theme of ['Paper', 'Night', 'Glare'])
  test(`axe finds nothing on any screen in ${theme.toLowerCase()}`, async ({ page }) => {
    test.setTimeout(600_000);
    // Nothing plays meanwhile: what is looked at stands still.
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await open(page, '/');
    await page.getByRole('button', { name: 'Menu' }).click();
    await page.getByRole('menuitem', { name: theme }).click();
    for (const place of PLACES) {
      await open(page, place);
      await expect(page.locator('html')).toHaveAttribute('data-theme', theme.toLowerCase());
      await page.waitForLoadState('networkidle');
      // The themes differ in colours alone: names and roles are looked at once.
      await expectNoAxeFindings(page, `${place} in ${theme}`, theme === 'Paper' ? 'all' : 'colours');
    }
  });

test('on a phone nothing scrolls sideways, and axe finds nothing', async ({ page }) => {
  test.setTimeout(600_000);
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.setViewportSize({ width: 390, height: 844 });
  for (const place of PLACES) {
    await open(page, place);
    await page.waitForLoadState('networkidle');
    await expectNoAxeFindings(page, `${place} on a phone`, 'allButColours');
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide, `${place} scrolls sideways`).toBeLessThanOrEqual(390);
  }
  await page.keyboard.press('?');
  await expectNoAxeFindings(page, 'the keys on a phone');
});

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

test('Start transfers at most 400 kB of script', async ({ page }) => {
  const sizes = new Map<string, number>();
  page.on('response', async (response) => {
    if (response.request().resourceType() !== 'script') return;
    sizes.set(response.url(), gzipSync(await response.body()).length);
  });
  await open(page, '/');
  await page.waitForLoadState('networkidle');
  const total = [...sizes.values()].reduce((sum, size) => sum + size, 0);
  test.info().annotations.push({
    type: 'script',
    description: `${Math.round(total / 1000)} kB in ${sizes.size} files`,
  });
  expect(total / 1000).toBeLessThanOrEqual(400);
});

test('the solver answers over HTTP as on the command line', async ({ request }) => {
  const shot = { kind: 'lynxeye/shot', version: 2, mount: { kind: 'tripod' } };
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
