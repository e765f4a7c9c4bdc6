const chapter = process.env.LYNXEYE_CHAPTER;

export default {
  testRunner: 'vitest',
  plugins: ['@stryker-mutator/vitest-runner'],
  vitest: { configFile: 'scripts/mutants.vitest.config.ts', related: false },
  mutate: [process.env.LYNXEYE_MUTATED, `!${chapter}/**/*.test.ts`],
  coverageAnalysis: 'perTest',
  ignoreStatic: true,
  concurrency: 2,
  inPlace: false,
  ignorePatterns: ['.next', 'dist', 'docs', 'public', 'test-results', 'e2e'],
  tempDirName: 'test-results/mutants-temp',
  reporters: ['clear-text', 'html'],
  htmlReporter: { fileName: 'test-results/mutants/index.html' },
  clearTextReporter: { allowColor: false, logTests: false },
  timeoutMS: 20_000,
};
