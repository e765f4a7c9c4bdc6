import { mkdirSync, writeFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import type { Browser, Locator, Page } from '@playwright/test';
import { browserPath } from '../scripts/steps.mjs';

/** What a made camera sees: VGA, as many pictures a second as the codes change. */
const WIDTH = 640;
const HEIGHT = 480;
const FPS = 10;

/** The next so many codes that a screen shows, as drawings. */
export async function codesShown(moving: Locator, count: number): Promise<string[]> {
  return moving.evaluate(
    (element, wanted) =>
      new Promise<string[]>((resolve) => {
        const seen: string[] = [];
        const watcher = new MutationObserver(() => {
          seen.push(element.querySelector('svg')!.outerHTML);
          if (seen.length < wanted) return;
          watcher.disconnect();
          resolve(seen);
        });
        watcher.observe(element, { attributes: true, attributeFilter: ['data-number'] });
      }),
    count,
  );
}

/**
 * Films drawings of codes by hand: turned, unsharp, dim, and every third picture so unsharp that nothing can be read. Writes
 * a film without compression (YUV4MPEG2, 4:2:0, no colour) and gives its path.
 */
export async function filmed(
  page: Page,
  drawings: readonly string[],
  name: string,
  missEvery = 3,
): Promise<string> {
  const frames = await page.evaluate(
    async ([list, width, height, every]) => {
      const canvas = Object.assign(document.createElement('canvas'), { width, height });
      const context = canvas.getContext('2d', { willReadFrequently: true })!;
      const made: string[] = [];
      for (const [at, drawing] of list.entries()) {
        const picture = new Image();
        const plain = drawing
          .replace('<svg', '<svg xmlns="http://www.w3.org/2000/svg" width="400" height="400"')
          .replaceAll('var(--print-ink)', '#000')
          .replaceAll('var(--print)', '#fff');
        picture.src = `data:image/svg+xml,${encodeURIComponent(plain)}`;
        await picture.decode();
        context.filter = 'none';
        context.setTransform(1, 0, 0, 1, 0, 0);
        context.fillStyle = '#6b6b6b';
        context.fillRect(0, 0, width, height);
        const missed = every > 0 && at % every === every - 1;
        // Turned by some degrees that drift, a little off the middle, as a hand holds it.
        context.translate(width / 2 + 12 * Math.sin(at), height / 2 + 8 * Math.cos(at / 2));
        context.rotate(((9 + 4 * Math.sin(at / 5)) * Math.PI) / 180);
        context.filter = `blur(${missed ? 9 : 1.1}px) brightness(0.8)`;
        context.drawImage(picture, -195, -195, 390, 390);
        const { data } = context.getImageData(0, 0, width, height);
        let luma = '';
        for (let pixel = 0; pixel < data.length; pixel += 4)
          luma += String.fromCharCode(16 + Math.round((data[pixel]! * 219) / 255));
        made.push(btoa(luma));
      }
      return made;
    },
    [[...drawings], WIDTH, HEIGHT, missEvery] as const,
  );
  mkdirSync('test-results', { recursive: true });
  const path = `${process.cwd()}/test-results/${name}.y4m`;
  const noColour = Buffer.alloc((WIDTH * HEIGHT) / 2, 128);
  writeFileSync(
    path,
    Buffer.concat([
      Buffer.from(`YUV4MPEG2 W${WIDTH} H${HEIGHT} F${FPS}:1 Ip A1:1 C420\n`),
      ...frames.flatMap((frame) => [Buffer.from('FRAME\n'), Buffer.from(frame, 'base64'), noColour]),
    ]),
  );
  return path;
}

/** A browser whose camera is that film, over and over. */
export function browserSeeing(film: string): Promise<Browser> {
  return chromium.launch({
    executablePath: browserPath(),
    args: [
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`,
    ],
  });
}
