import { buildSync } from 'esbuild';
import type { Page } from '@playwright/test';
import type { MadeEncoding } from '../bench/encodeClip';
import { date } from '@/formats/clip/encode';
import type { MadeClip } from '../bench/madeClip';

/** What encodes in the page, put together once. */
let source: string | null = null;

function encoder(): string {
  source ??=
    buildSync({
      entryPoints: ['bench/encodeClip.ts'],
      bundle: true,
      write: false,
      format: 'iife',
      alias: { '@': './src' },
      logLevel: 'error',
    }).outputFiles[0]?.text ?? '';
  return source;
}

/** Clips as a camera would have written them, encoded by the browser of an open page. */
export async function encodeIn(
  page: Page,
  clips: readonly { name: string; made: Omit<Partial<MadeClip>, 'gainAt'>; how: MadeEncoding }[],
): Promise<{ name: string; mimeType: string; buffer: Buffer }[]> {
  await page.evaluate(encoder());
  const files = [];
  for (const { name, made, how } of clips) {
    const text = await page.evaluate(
      ([clip, encoding]) =>
        (globalThis as unknown as { encoded: (clip: object, encoding: object) => Promise<string> }).encoded(
          clip,
          encoding,
        ),
      [made, how] as const,
    );
    files.push({
      name,
      mimeType: how.codec === 'avc' ? 'video/mp4' : 'video/webm',
      buffer: Buffer.from(text, 'base64'),
    });
  }
  return files;
}

/** The same file as if its camera's clock had shown this when it began. */
export function datedAt(mp4: Buffer, instant: string): Buffer {
  const dated = new Uint8Array(mp4);
  date(dated, new Date(instant));
  return Buffer.from(dated);
}
