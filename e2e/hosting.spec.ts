import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { expect, open, test } from './fixture';
import { DEMO } from './records';
import { FILE_VERSION } from '@/core/schema/versions';

const port = 4635;
test.use({ baseURL: `http://localhost:${port}` });
// One server for all of them.
test.describe.configure({ mode: 'default' });

let server: ChildProcess;
test.beforeAll(async () => {
  server = spawn('npm', ['start'], {
    env: { ...process.env, PORT: String(port), HOST: 'localhost' },
    stdio: ['ignore', 'pipe', 'inherit'],
    // Its own group: what npm starts ends with it.
    detached: true,
  });
  await new Promise<void>((ready, failed) => {
    server.stdout?.on('data', (chunk: Buffer) => {
      if (chunk.toString().includes('Lynxeye is at')) ready();
    });
    server.on('exit', () => failed(new Error('npm start ended')));
  });
});
test.afterAll(() => {
  process.kill(-server.pid!, 'SIGTERM');
});

test('npm start serves the built app: its health, its headers, and nothing from elsewhere', async ({
  page,
  request,
}) => {
  const health = await request.get('/api/health');
  expect([health.status(), await health.json()]).toEqual([200, { status: 'ok', fileVersion: FILE_VERSION }]);
  expect(health.headers()['cache-control']).toBe('no-store');

  const scripts = new Set<string>();
  page.on('request', (one) => {
    if (one.resourceType() === 'script') scripts.add(new URL(one.url()).pathname);
  });
  // The fixture fails on any request to another origin.
  for (const place of ['/', '/bench?shot=demo-02', '/outing', '/carry', '/handover', '/kit', '/reasons']) {
    await open(page, place);
    await page.waitForLoadState('networkidle');
  }
  for (const path of ['/', '/handover?part=take', '/sw.js', '/manifest.webmanifest', '/api/health']) {
    const headers = (await request.get(path)).headers();
    expect(headers['content-security-policy'], path).toContain("default-src 'self'");
    expect(headers['content-security-policy'], path).not.toMatch(/https?:/);
    expect(headers['permissions-policy'], path).toContain('microphone=()');
    for (const [name, value] of [
      ['x-content-type-options', 'nosniff'],
      ['x-frame-options', 'DENY'],
      ['referrer-policy', 'no-referrer'],
      ['cross-origin-opener-policy', 'same-origin'],
    ] as const)
      expect(headers[name], `${path} ${name}`).toBe(value);
  }
  const [script] = [...scripts].filter((path) => path.startsWith('/_next/static/'));
  expect((await request.get(script!)).headers()['cache-control']).toContain('immutable');
  expect((await request.get('/sw.js')).headers()['cache-control']).not.toContain('immutable');
});

test('while many shots wait to be solved, pages and health are answered', async ({ request }) => {
  const shots = DEMO.shots.map(({ shot }) => shot);
  let solved = 0;
  const solving = Array.from({ length: 120 }, (_, at) =>
    request.post('/api/solve', { data: { ...shots[at % shots.length], name: `${at}` } }).then((answer) => {
      solved += 1;
      expect([200, 422]).toContain(answer.status());
    }),
  );
  // The first is under way.
  await Promise.race(solving);
  expect((await request.get('/api/health')).status()).toBe(200);
  expect((await request.get('/carry')).status()).toBe(200);
  expect(solved).toBeLessThan(solving.length);
  await Promise.all(solving);
});
