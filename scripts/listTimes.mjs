/** Times long lists in the browser, on the built app: the longest time in which the page could not answer. */
import { chromium } from '@playwright/test';
import { browserPath, startServer } from './steps.mjs';

const PORT = '4633';
const CASES = [
  ['Start, as it ships', '/', 'shots', 0],
  ['Start, 200 shots', '/', 'shots', 200],
  ['Start, 1000 shots', '/', 'shots', 1000],
  ['Log, 1000 entries', '/log', 'log', 1000],
  ['Outing, 400 entries on a day', '/outing?outing=demo-outing&day=saturday', 'entries', 400],
];
const server = await startServer(PORT);
const browser = await chromium.launch({ executablePath: browserPath() });
for (const [what, path, table, count] of CASES) {
  const context = await browser.newContext({
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
  });
  const page = await context.newPage();
  await page.goto(`http://localhost:${PORT}/`);
  await page.locator('main[data-ready="true"]').waitFor();
  await page.evaluate(
    ([name, many]) =>
      new Promise((resolve) => {
        const request = indexedDB.open('lynxeye');
        request.onsuccess = () => {
          const transaction = request.result.transaction(['shots', 'log', 'outings'], 'readwrite');
          const store = transaction.objectStore(name === 'entries' ? 'outings' : name);
          const all = store.getAll();
          all.onsuccess = () => {
            if (name === 'entries') {
              const [outing] = all.result;
              outing.days[0].entries = Array.from({ length: many }, (_, at) => ({
                what: 'shot',
                id: `many-${at}`,
                shotId: `demo-${String((at % 13) + 1).padStart(2, '0')}`,
                at: `${String(6 + Math.floor(at / 28)).padStart(2, '0')}:${String((at % 28) * 2).padStart(2, '0')}`,
                pauses: [],
                note: '',
              }));
              store.put(outing);
            } else
              for (let at = 0; at < many; at += 1)
                store.put({ ...all.result[at % all.result.length], id: `many-${at}` });
          };
          transaction.oncomplete = () => {
            request.result.close();
            resolve();
          };
        };
      }),
    [table, count],
  );
  await page.addInitScript(() => {
    window.longest = 0;
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) window.longest = Math.max(window.longest, duration);
    }).observe({ type: 'longtask', buffered: true });
  });
  await page.goto(`http://localhost:${PORT}${path}`);
  await page.locator('main[data-ready="true"]').waitFor();
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(4000);
  const opened = await page.evaluate(() => window.longest);
  await page.evaluate(async () => {
    window.longest = 0;
    for (let at = 0; at < 40; at += 1) {
      window.scrollBy(0, 400);
      await new Promise((drawn) => setTimeout(drawn, 30));
    }
  });
  await page.waitForTimeout(1000);
  const scrolled = await page.evaluate(() => window.longest);
  console.log(
    `${what}: longest ${Math.round(opened)} ms while it opens, ${Math.round(scrolled)} ms while it is scrolled`,
  );
  await context.close();
}
await browser.close();
server.kill();
