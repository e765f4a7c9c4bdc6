import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyShot } from '../../../../bench/anyShot';
import { POST } from './route';
import { sampling } from '../../../../testing/samples';

const post = (body: string): Promise<Response> =>
  POST(
    new Request('http://localhost/api/solve', {
      method: 'POST',
      body,
      headers: { 'content-type': 'application/json' },
    }),
  );

describe('POST /api/solve', () => {
  it('answers or refuses every valid shot, and lists the faults of everything else', async () => {
    await fc.assert(
      fc.asyncProperty(anyShot(), async (shot) => {
        const response = await post(JSON.stringify(shot));
        expect([200, 422]).toContain(response.status);
        expect(((await response.json()) as { kind: string }).kind).toBe(
          response.status === 200 ? 'lynxeye/answer' : 'lynxeye/refusal',
        );
      }),
      sampling(150, 11),
    );
    await fc.assert(
      fc.asyncProperty(fc.oneof(fc.json(), fc.string()), async (body) => {
        const response = await post(body);
        expect(response.status).toBe(400);
        const { faults } = (await response.json()) as { faults: { text: string }[] };
        expect(faults.length).toBeGreaterThan(0);
      }),
      sampling(200, 12),
    );
  });

  it('takes JSON and nothing else, in words', async () => {
    for (const type of [
      'text/plain',
      'application/x-www-form-urlencoded',
      'multipart/form-data; boundary=x',
    ]) {
      const response = await POST(
        new Request('http://localhost/api/solve', {
          method: 'POST',
          body: '{}',
          headers: { 'content-type': type },
        }),
      );
      expect(response.status, type).toBe(415);
      expect(await response.text()).toContain('application/json');
    }
  });

  it('refuses what is small to send and endless to search, and says what to leave out', async () => {
    const filters = Array.from({ length: 40 }, (_, at) => ({
      id: `f${at}`,
      kind: 'variable',
      stopsMin: at / 97,
      stopsMax: 9 + at / 89,
      stacksOn: Array.from({ length: 12 }, (_unused, next) => `f${(at + next + 1) % 40}`),
    }));
    const response = await post(
      JSON.stringify({ kind: 'lynxeye/shot', version: 3, filters, limits: { isoCeiling: 6400 } }),
    );
    const { status } = response;
    const body = await response.text();
    expect(status === 200 || body.includes('leave out'), body.slice(0, 200)).toBe(true);
  });

  it('stops reading a body over the limit, even one that hides its length', async () => {
    const stream = new ReadableStream<Uint8Array>({
      pull: (controller) => controller.enqueue(new Uint8Array(64 * 1024)),
    });
    const endless = new Request('http://localhost/api/solve', {
      method: 'POST',
      body: stream,
      headers: { 'content-type': 'application/json; charset=utf-8' },
      duplex: 'half',
    } as RequestInit);
    expect((await POST(endless)).status).toBe(413);
  });
});
