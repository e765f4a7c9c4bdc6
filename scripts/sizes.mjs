/** Script that each place transfers on its first open, gzip, in kB of 1000 bytes. Needs a build. */
import { gzipSync } from 'node:zlib';
import { chromium } from '@playwright/test';
import { browserPath, startServer } from './steps.mjs';

const PORT = '4633';
const server = await startServer(PORT);
const browser = await chromium.launch({ executablePath: browserPath() });
for (const path of ['/', '/bench', '/outing', '/carry', '/camera', '/log', '/kit']) {
  const context = await browser.newContext({ serviceWorkers: 'block' });
  const page = await context.newPage();
  const sizes = [];
  page.on('response', async (response) => {
    if (response.request().resourceType() === 'script')
      sizes.push(response.body().then((body) => gzipSync(body).length));
  });
  await page.goto(`http://localhost:${PORT}${path}`);
  await page.locator('main[data-ready="true"]').waitFor();
  await page.waitForLoadState('networkidle');
  const counted = await Promise.all(sizes);
  console.log(
    `${path.padEnd(8)} ${Math.round(counted.reduce((sum, size) => sum + size, 0) / 1000)} kB in ${sizes.length} files`,
  );
  await context.close();
}
await browser.close();
server.kill();
