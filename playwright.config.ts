import { availableParallelism } from 'node:os';
import { defineConfig } from '@playwright/test';
import { browserPath } from './scripts/steps.mjs';
import { PATIENCE_MS } from './testing/patience';
import { whole } from './testing/samples';

const port = 4631;

export default defineConfig({
  testDir: 'e2e',
  testMatch: '**/*.spec.ts',
  ...(whole ? {} : { grepInvert: /@whole/ }),
  workers: availableParallelism(),
  fullyParallel: true,
  // What hangs is told by what it waited for, never by how long the whole took.
  timeout: 0,
  expect: { timeout: PATIENCE_MS, toPass: { timeout: PATIENCE_MS } },
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  outputDir: 'test-results/browser',
  use: {
    baseURL: `http://localhost:${port}`,
    viewport: { width: 1280, height: 800 },
    actionTimeout: PATIENCE_MS,
    navigationTimeout: PATIENCE_MS,
    serviceWorkers: 'block',
    launchOptions: { executablePath: browserPath() },
    permissions: ['clipboard-read', 'clipboard-write'],
    // A trace of every step costs a fifth of the time: `--trace on` where one is needed.
    trace: 'off',
  },
  webServer: {
    command: `node scripts/server.mjs ${port} localhost`,
    url: `http://localhost:${port}`,
    reuseExistingServer: false,
    timeout: PATIENCE_MS,
  },
});
