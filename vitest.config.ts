import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    include: ['{src,cli,demo,bench,fuzz,scripts}/**/*.test.ts'],
    environment: 'node',
    // A slow machine under load is no fault: what hangs fails all the same, later.
    testTimeout: 600_000,
    hookTimeout: 600_000,
  },
});
