import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    include: ['{src,cli,demo,bench,fuzz,scripts}/**/*.test.ts'],
    environment: 'node',
    // Left to itself it keeps a core free, which is half of this kind of machine.
    maxWorkers: availableParallelism(),
    // A slow machine under load is no fault: what hangs fails all the same, later.
    testTimeout: 600_000,
    hookTimeout: 600_000,
  },
});
