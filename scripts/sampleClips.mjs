/**
 * Writes demo/holmClips.json: the clips of the made-up, finished outing as the app itself draws, writes, matches and measures
 * them. Needs a build; starts and ends its own server. `npm run demo` then shows them without any browser having to.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { browserPath, root, startServer } from './steps.mjs';

const PORT = '4633';
const FILE = `${root}demo/holmClips.json`;
const URL = `http://localhost:${PORT}/debrief?outing=demo-holm&day=holm-day`;
/** When they are said to have been taken in. */
const AT = '2026-01-17T20:00:00Z';
const FIRST_FRAMES = 8;

const DEMO = `${root}public/demo.json`;
const demo = JSON.parse(readFileSync(DEMO, 'utf8'));
writeFileSync(DEMO, JSON.stringify({ ...demo, clips: [] }));
const known = JSON.parse(readFileSync(`${root}public/sampleClips.json`, 'utf8'));
const server = await startServer(PORT);
const browser = await chromium.launch({ executablePath: browserPath() });
let clips = [];
const began = Date.now();
try {
  const page = await browser.newPage();
  page.on('console', (message) => {
    if (message.type() === 'error') console.error(message.text());
  });
  await page.goto(URL);
  await page.locator('main[data-ready="true"]').waitFor();
  await page.getByRole('button', { name: 'Draw its sample clips' }).click();
  do {
    await page.waitForTimeout(1000);
    clips = await page.evaluate(
      () =>
        new Promise((resolve, reject) => {
          const request = indexedDB.open('lynxeye');
          request.onerror = reject;
          request.onsuccess = () => {
            const all = request.result.transaction('clips').objectStore('clips').getAll();
            all.onsuccess = () => resolve(all.result);
          };
        }),
    );
  } while (
    (clips.length < known.length || clips.some(({ looked }) => looked === 'file')) &&
    Date.now() - began < 300_000
  );
} finally {
  await browser.close();
  server.kill();
}

const named = new Map(clips.map((clip) => [clip.measured.file.name, clip]));
const written = known.map(({ name }, index) => {
  const clip = named.get(name);
  if (!clip) throw new Error(`${name} did not come`);
  const { frames, ...rest } = clip;
  return {
    ...rest,
    id: `demo-clip-${index + 1}`,
    createdAt: AT,
    updatedAt: AT,
    demo: true,
    frames: frames.slice(0, FIRST_FRAMES),
  };
});
writeFileSync(FILE, `${JSON.stringify(written)}\n`);
writeFileSync(DEMO, JSON.stringify({ ...demo, clips: written }));
for (const { measured, entryId, part, looked } of written) {
  const { file, findings } = measured;
  console.log(
    `${file.name}  ${(file.bytes / 1e6).toFixed(2)} MB  ${entryId} ${part}  ${looked}  ${findings.map(({ code }) => code).join(' ') || 'nothing against it'}`,
  );
}
console.log(
  `${(clips.reduce((sum, { measured }) => sum + measured.file.bytes, 0) / 1e6).toFixed(2)} MB, ${Math.round((Date.now() - began) / 1000)} s`,
);
