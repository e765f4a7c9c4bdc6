/**
 * Times hands on the built app with the processor slowed four times: from a key on the Bench's shutter to the picture that
 * shows it, and from opening a place again, kept by the service worker, to its first full picture.
 */
import { chromium } from '@playwright/test';
import { browserPath, startServer } from './steps.mjs';

const PORT = '4633';
const SLOWER = 4;
const NUDGES = 24;
const OPENINGS = 5;
/** Between two nudges: what comes a moment later has come by then. */
const BETWEEN_MS = 900;

const server = await startServer(PORT);
const browser = await chromium.launch({ executablePath: browserPath() });
const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
const page = await context.newPage();
const home = `http://localhost:${PORT}`;
const ready = () => page.locator('main[data-ready="true"]').waitFor();
const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
const told = (what, values) =>
  console.log(
    `${what.padEnd(44)} median ${Math.round(median(values))} ms, worst ${Math.round(Math.max(...values))} ms`,
  );

await page.goto(home);
await ready();
await page.evaluate(() => navigator.serviceWorker.ready);
// The first visit fills the cache; from the second on the service worker answers.
await page.waitForTimeout(3000);
const session = await context.newCDPSession(page);
await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });

for (const [what, path, full] of [
  ['Start again', '/', 'section[aria-labelledby="shots-title"] li, main li'],
  ['Bench again', '/bench?shot=demo-05', '#bench-part'],
]) {
  const times = [];
  for (let at = 0; at <= OPENINGS; at += 1) {
    await page.goto(`${home}${path}`);
    await page.locator(full).first().waitFor();
    const ms = await page.evaluate(
      () =>
        new Promise((drawn) =>
          requestAnimationFrame(() => requestAnimationFrame(() => drawn(performance.now()))),
        ),
    );
    // The first is not counted: it compiles what the others find compiled.
    if (at > 0) times.push(ms);
    await page.waitForTimeout(500);
  }
  told(what, times);
}

await page.waitForTimeout(2000);
await page.evaluate(() => {
  globalThis.keyTimes = [];
  new PerformanceObserver((list) => {
    for (const { name, duration } of list.getEntries())
      if (name === 'keydown') globalThis.keyTimes.push(duration);
  }).observe({ type: 'event', durationThreshold: 16 });
});
await page.getByRole('button', { name: /^Shutter: / }).focus();
for (let at = 0; at < NUDGES; at += 1) {
  await page.keyboard.press(at % 2 === 0 ? 'ArrowUp' : 'ArrowDown');
  await page.waitForTimeout(BETWEEN_MS);
}
// Shorter ones than the browser tells count as what it tells at the least.
const seen = await page.evaluate(() => globalThis.keyTimes);
const times = [...seen, ...Array(Math.max(0, NUDGES - seen.length)).fill(16)];
told(`${NUDGES} nudges of the shutter, key to picture`, times);
await browser.close();
server.kill();
