/** Times the preview in the browser, on the built app: first picture, the loop of both sides, live drawing. */
import { chromium } from '@playwright/test';
import { browserPath, startServer } from './steps.mjs';

const PORT = '4633';
const SHOTS = ['demo-02', 'demo-04', 'demo-05', 'demo-10'];
const STEPS = 20;

const server = await startServer(PORT);
const browser = await chromium.launch({ executablePath: browserPath() });
for (const shot of SHOTS) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`http://localhost:${PORT}/bench?shot=${shot}`);
  await page.locator('main[data-ready="true"]').waitFor();
  // As a person comes to it: the bench is read first.
  await page.waitForTimeout(4000);
  await page.getByRole('button', { name: 'Preview', exact: true }).click();
  const figures = page.locator('[data-first]');
  const read = async () => {
    await page.locator('[data-fine="true"]').waitFor({ timeout: 90_000 });
    const { first, loop } = await figures.evaluate((element) => ({ ...element.dataset }));
    return `first picture ${Number(first).toFixed(0)} ms, both loops ${Number(loop).toFixed(0)} ms`;
  };
  console.log(`${shot}: opened: ${await read()}`);
  await page.getByText('brightest', { exact: true }).click();
  await page.waitForTimeout(200);
  console.log(`${shot}: changed: ${await read()}`);
  await page.getByRole('button', { name: 'Freeze' }).click();
  await page.getByRole('button', { name: /^Draw live/ }).click();
  const perFrame = await page.getByRole('slider', { name: 'Frame of the film' }).evaluate((range, steps) => {
    const canvas = document.querySelector('canvas[aria-label^="Simulated picture"]');
    const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
    const start = performance.now();
    for (let step = 0; step < steps; step++) {
      set.call(range, String(step));
      range.dispatchEvent(new Event('input', { bubbles: true }));
      // Reading a pixel waits until it is drawn.
      canvas.getContext('2d').getImageData(0, 0, 1, 1);
    }
    return (performance.now() - start) / steps;
  }, STEPS);
  console.log(
    `${shot}: live: ${perFrame.toFixed(0)} ms for a frame of both sides, ${(1000 / perFrame).toFixed(0)} a second`,
  );
  await page.close();
}
await browser.close();
server.kill();
