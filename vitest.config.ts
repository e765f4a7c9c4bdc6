import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { configDefaults, defineConfig } from 'vitest/config';
import { BaseSequencer } from 'vitest/node';
import type { TestSpecification } from 'vitest/node';

/** What takes longest begins first, so that no core waits for the last file; in seconds, of one run. */
const LONG = [
  'RehearsalScreen',
  'core/inspect/pictures',
  'fuzz/walks',
  'KitScreen',
  'core/preview/render',
  'core/inspect/randomClips',
  'cameraEditors',
  'core/learn/evidence',
  'cli/main',
  'outingTabs',
];

class LongestFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const place = (file: TestSpecification): number => {
      const at = LONG.findIndex((part) => file.moduleId.includes(part));
      return at < 0 ? LONG.length : at;
    };
    return (await super.sort(files)).sort((one, other) => place(one) - place(other));
  }
}

/** Tests of screens that mock modules of their own. */
const MOCKED = 'src/screens/**/*.mocked.test.tsx';
const screens = {
  include: ['src/screens/**/*.test.tsx'],
  environment: 'happy-dom',
  setupFiles: ['src/screens/testing/setup.ts'],
  // What they are made of in one file each instead of two thousand, read once a worker.
  deps: {
    optimizer: {
      client: {
        enabled: true,
        include: [
          'react',
          'react/jsx-dev-runtime',
          'react/jsx-runtime',
          'react-dom',
          'react-dom/client',
          'react-dom/test-utils',
          'antd',
          'lucide-react',
          'next/link',
          'next/dynamic',
          'dexie',
          'dexie-react-hooks',
          'zustand',
          'react-hotkeys-hook',
          'chart.js',
          'react-chartjs-2',
          '@testing-library/react',
          '@testing-library/user-event',
          '@dnd-kit/core',
          '@dnd-kit/sortable',
          '@dnd-kit/utilities',
          'cmdk',
          '@tanstack/react-virtual',
          'react-error-boundary',
        ],
      },
    },
  },
};

const shared = {
  // Left to itself it keeps a core free, which is half of this kind of machine.
  maxWorkers: availableParallelism(),
  // A slow machine under load is no fault: what hangs fails all the same, later.
  testTimeout: 600_000,
  hookTimeout: 600_000,
};

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  // Next keeps JSX for its own compiler.
  oxc: { jsx: { runtime: 'automatic' } },
  test: {
    ...shared,
    sequence: { sequencer: LongestFirst },
    projects: [
      {
        extends: true,
        test: {
          name: 'code',
          include: ['{src,cli,demo,bench,fuzz,scripts}/**/*.test.ts'],
          environment: 'node',
          // Before anything that opens a database, whichever file comes first.
          setupFiles: ['fake-indexeddb/auto'],
          // One load of the modules for all files of a worker, a fifth of the time: no test may leave a module changed.
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          ...screens,
          name: 'screens',
          exclude: [MOCKED, ...configDefaults.exclude],
          // As above: none of them mocks what another sees.
          isolate: false,
        },
      },
      { extends: true, test: { ...screens, name: 'mocked', include: [MOCKED] } },
    ],
  },
});
