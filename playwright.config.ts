import { defineConfig } from '@playwright/test';
import { browserPath } from './scripts/steps.mjs';

const port = 4631;
/** Built in the pseudo-language, the app is read for its room and its catalogue; in English, walked for all else. */
const pseudo = process.env.LYNXEYE_LANGUAGE === 'pseudo';

export default defineConfig({
  testDir: pseudo ? 'e2e/pseudo' : 'e2e',
  testMatch: '**/*.spec.ts',
  testIgnore: pseudo ? [] : 'pseudo/**',
  workers: 2,
  fullyParallel: true,
  timeout: 300_000,
  // A slow machine under load, not a slow page: what is wrong fails all the same, later.
  expect: { timeout: 40_000 },
  reporter: [['list'], ['json', { outputFile: `test-results/${pseudo ? 'pseudo' : 'browser'}.json` }]],
  outputDir: `test-results/${pseudo ? 'pseudo' : 'browser'}`,
  use: {
    baseURL: `http://localhost:${port}`,
    viewport: { width: 1280, height: 800 },
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
    timeout: 60_000,
  },
});
