import { buildSync } from 'esbuild';
import type { Page } from '@playwright/test';
import type { Encoding } from '../bench/encodeClip';
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
  clips: readonly { name: string; made: Omit<Partial<MadeClip>, 'gainAt'>; how: Encoding }[],
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

/** The same file as if its camera's clock had shown this when it began. ISO/IEC 14496-12, 8.2.2. */
export function datedAt(mp4: Buffer, instant: string): Buffer {
  const dated = Buffer.from(mp4);
  const at = dated.indexOf('mvhd', 0, 'latin1');
  if (at < 0 || dated[at + 4] !== 0) throw new Error('no short mvhd');
  dated.writeUInt32BE(Date.parse(instant) / 1000 + 2_082_844_800, at + 8);
  return dated;
}
