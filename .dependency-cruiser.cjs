/** Arrows point down: app → screens → store, formats, words → core. Nothing turns back, nothing goes round. */
module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-stands-alone',
      comment: 'The core imports itself and Zod; the place of sun and moon comes from suncalc.',
      severity: 'error',
      from: { path: '^src/core', pathNot: '\\.test\\.ts$' },
      to: { pathNot: ['^src/core', '^node_modules/(zod|suncalc)/'] },
    },
    {
      name: 'formats-store-and-workers-know-no-screen',
      severity: 'error',
      from: { path: '^src/(formats|store|words|workers|standins)', pathNot: '\\.test\\.ts$' },
      to: { path: '^(src/(screens|app)|node_modules/(react|antd|next)/)' },
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
      from: { pathNot: '(\\.test\\.tsx?$|^e2e|^bench|^fuzz)' },
      to: { path: '(\\.test\\.tsx?$|^e2e|^bench|^fuzz)' },
    },
    { name: 'resolvable', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
