/**
 * The chapters of the core, lowest first: each imports only from those before it, types included, so that none goes round.
 * A new chapter is a folder and a word in this list.
 */
const CHAPTERS = [
  'units',
  'fountain',
  'vocabulary',
  'schema',
  'optics',
  'playback',
  'light',
  'track',
  'filters',
  'motion',
  'camera',
  'records',
  'merge',
  'brief',
  'loss',
  'search',
  'timeLapse',
  'answer',
  'together',
  'compare',
  'preview',
  'day',
  'changes',
  'cures',
  'inspect',
  'instrument',
  'learn',
  'rehearse',
  'eye',
  'worth',
  'drill',
  'explain',
];

/** Where tests and what they share stand. */
const TESTING = '^(e2e|bench|fuzz|testing|src/screens/testing)/';

const floors = CHAPTERS.map((chapter, at) => ({
  name: `${chapter}-stands-on-what-is-below`,
  severity: 'error',
  from: { path: `^src/core/${chapter}/` },
  to: {
    path: '^src/core/',
    pathNot: CHAPTERS.slice(0, at + 1).map((one) => `^src/core/${one}/`),
  },
}));

/** Arrows point down: app → screens → store, formats, words → core. Nothing turns back, nothing goes round. */
module.exports = {
  forbidden: [
    ...floors,
    {
      name: 'every-chapter-has-its-floor',
      comment: 'A folder of the core that the list above does not name, or a file beside the folders.',
      severity: 'error',
      from: { path: '^src/core/', pathNot: CHAPTERS.map((one) => `^src/core/${one}/`) },
      to: {},
    },
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'no-cycle-between-folders',
      comment: 'No folder goes round through another, type imports included.',
      severity: 'error',
      scope: 'folder',
      from: { path: '^(src|cli|demo)' },
      to: { circular: true },
    },
    {
      name: 'core-stands-alone',
      comment:
        'The core imports itself and Zod; the place of sun and moon comes from suncalc, spectra from fft.js, spacing of drills from ts-fsrs.',
      severity: 'error',
      from: { path: '^src/core' },
      to: { pathNot: ['^src/core', '^node_modules/(zod|suncalc|fft\\.js|ts-fsrs)/'] },
    },
    {
      name: 'formats-store-and-workers-know-no-screen',
      severity: 'error',
      from: { path: '^src/(formats|store|words|workers|simulators)' },
      to: { path: '^(src/(screens|app)|node_modules/(react|antd|next)/)' },
    },
    {
      name: 'words-know-no-format',
      comment: 'Formats say what they refuse by words; words tell what the core found, types included.',
      severity: 'error',
      from: { path: '^src/words' },
      to: { path: '^src/(formats|store|workers)' },
    },
    {
      name: 'screens-know-no-route',
      severity: 'error',
      from: { path: '^src/screens' },
      to: { path: '^src/app' },
    },
    {
      name: 'command-line-knows-no-screen',
      severity: 'error',
      from: { path: '^cli' },
      to: { path: '^src/(screens|app|store)' },
    },
    {
      name: 'only-the-store-touches-dexie',
      severity: 'error',
      from: { path: '^src', pathNot: '^src/store' },
      to: { path: '^node_modules/dexie/' },
    },
    {
      name: 'no-test-in-the-product',
      severity: 'error',
      from: { pathNot: TESTING },
      to: { path: TESTING },
    },
    { name: 'resolvable', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    // Tests stand beside what they test and may reach further; that nothing imports one, lint sees to.
    exclude: { path: '\\.test\\.tsx?$' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
