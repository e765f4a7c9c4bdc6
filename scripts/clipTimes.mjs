/** Times the Debrief in the browser, on the built app: the whole of a clip and a quick look, and what they take of memory. */
import { execFileSync } from 'node:child_process';
import { chromium } from '@playwright/test';
import { buildSync } from 'esbuild';
import { browserPath, root, startServer } from './steps.mjs';

const PORT = '4633';
/** What is looked at: a short clip over and over. Seconds, pixels, frames a second, bits a second. */
const CLIPS = [
  {
    name: '1080p30',
    width: 1920,
    height: 1080,
    fps: 30,
    bitrate: 20e6,
    times: 20,
    looks: ['quick', 'whole'],
  },
  { name: '4K60', width: 3840, height: 2160, fps: 60, bitrate: 60e6, times: 60, looks: ['quick'] },
  {
    name: '1080p30 of an hour',
    width: 1920,
    height: 1080,
    fps: 30,
    bitrate: 4e5,
    times: 3600,
    looks: ['quick'],
  },
];
const SHORT_SECONDS = 1;

const source = buildSync({
  entryPoints: [`${root}bench/encodeClip.ts`],
  bundle: true,
  write: false,
  format: 'iife',
  alias: { '@': `${root}src` },
}).outputFiles[0].text;

/** Resident memory of the browser's processes that are ours, MB. */
function memoryMb(pid) {
  const lines = execFileSync('ps', ['-eo', 'pid=,ppid=,rss='], { encoding: 'utf8' }).trim().split('\n');
  const rows = lines.map((line) => line.trim().split(/\s+/).map(Number));
  const ours = new Set([pid]);
  for (let before = 0; before !== ours.size;) {
    before = ours.size;
    for (const [own, parent] of rows) if (ours.has(parent)) ours.add(own);
  }
  return rows.filter(([own]) => ours.has(own)).reduce((sum, [, , rss]) => sum + rss / 1024, 0);
}

const server = await startServer(PORT);
const browserServer = await chromium.launchServer({ executablePath: browserPath() });
const browser = await chromium.connect(browserServer.wsEndpoint());
const { pid } = browserServer.process();
for (const { name, times, looks, bitrate, ...size } of CLIPS) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`http://localhost:${PORT}/debrief?outing=demo-outing&day=saturday`);
  await page.getByRole('button', { name: 'Take in clips' }).and(page.locator(':enabled')).waitFor();
  await page.evaluate(source);
  const made = { ...size, seconds: SHORT_SECONDS, shake: { hz: 2, pctPerSRms: 8, rollDegPerSRms: 2 } };
  const how = { codec: 'avc', bitrate };
  // The file is made and dropped in the page: nothing of it goes through the driver.
  await page.evaluate(
    async ([clip, encoding, turns]) => {
      globalThis.long = await repeated(await encoded(clip, encoding), turns);
    },
    [made, how, times],
  );
  await page.waitForTimeout(2000);
  const idle = memoryMb(pid);
  await page.evaluate(() => {
    // What the page does meanwhile: its slowest answer to a timer that asks every twentieth of a second.
    globalThis.slowest = 0;
    let last = performance.now();
    setInterval(() => {
      const now = performance.now();
      globalThis.slowest = Math.max(globalThis.slowest, now - last - 50);
      last = now;
    }, 50);
    const data = new DataTransfer();
    data.items.add(new File([globalThis.long], 'long.mp4', { type: 'video/mp4' }));
    globalThis.begun = performance.now();
    window.dispatchEvent(new DragEvent('drop', { dataTransfer: data }));
  });
  const looked = async (word) => {
    let most = 0;
    const watch = setInterval(() => (most = Math.max(most, memoryMb(pid))), 250);
    await page.getByText(word, { exact: true }).waitFor({ timeout: 900_000 });
    clearInterval(watch);
    const { seconds, slowest } = await page.evaluate(() => ({
      seconds: (performance.now() - globalThis.begun) / 1000,
      slowest: globalThis.slowest,
    }));
    const length = times * SHORT_SECONDS;
    console.log(
      `${name}, ${word}: ${length} s in ${seconds.toFixed(1)} s, ${(length / seconds).toFixed(1)} times its length; ` +
        `${(most - idle).toFixed(0)} MB more at most; the page at its slowest ${slowest.toFixed(0)} ms late`,
    );
  };
  await looked('a quick look');
  if (looks.includes('whole')) {
    await page.evaluate(() => {
      globalThis.begun = performance.now();
      globalThis.slowest = 0;
    });
    await page.getByRole('button', { name: 'Look at the whole' }).click();
    await looked('the whole of it');
  }
  await page.close();
}
await browser.close();
await browserServer.close();
server.kill();
