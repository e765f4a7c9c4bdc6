import tseslint from 'typescript-eslint';
import reactHooks from 'eslint-plugin-react-hooks';

/** With `npm run fuzz` everything is looked at; what a test run leaves out are rules that look up the type of every word. */
const whole = Number(process.env.LYNXEYE_SAMPLES ?? 0.1) >= 1;
const ONLY_WHOLE = [
  // Of use after a package was renewed.
  '@typescript-eslint/no-deprecated',
  // Classes are few, enums none.
  '@typescript-eslint/no-unsafe-class-instance-assignment',
  '@typescript-eslint/no-unsafe-enum-assignment',
];

const TESTS = ['**/*.test.{ts,tsx}', 'bench/**/*.ts', 'e2e/**/*.ts', 'fuzz/**/*.ts', 'testing/**/*.ts'];

const SENTENCES = [
  'JSXText[value=/\\p{L}{2}/u]',
  'JSXAttribute[name.name=/^(label|title|alt|placeholder|aria-label|unit)$/] > Literal[value=/\\p{L}{2}/u]',
  ':not(ExpressionStatement):not(JSXAttribute) > Literal[value=/\\p{L}{2,}[,;:.]? \\p{L}{2,}/u]',
  ':not(ExpressionStatement):not(JSXAttribute) > Literal[value=/^\\p{Lu}\\p{Ll}{2,}[ .…]/u]',
  'TemplateElement[value.raw=/\\p{L}{2,}[,;:.]? \\p{L}{2,}/u]',
].map((selector) => ({
  selector,
  message: 'A sentence belongs in languages/en.json; say it by `messages`.',
}));

export default tseslint.config(
  {
    ignores: [
      '.next/**',
      'dist/**',
      'node_modules/**',
      'next-env.d.ts',
      'test-results/**',
      'public/**',
      'src/language/**',
    ],
  },
  ...tseslint.configs.strictTypeChecked,
  {
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      ...(whole ? {} : Object.fromEntries(ONLY_WHOLE.map((rule) => [rule, 'off']))),
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      'no-restricted-imports': [
        'error',
        { patterns: [{ group: ['**/*.test'], message: 'Nothing imports a test.' }] },
      ],
    },
  },
  {
    files: ['src/**/*.tsx', 'src/**/*.ts'],
    plugins: { 'react-hooks': reactHooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.{ts,tsx}'],
    rules: {
      'no-restricted-globals': [
        'error',
        ...['window', 'document', 'navigator', 'fetch', 'process', 'indexedDB', 'performance'].map(
          (name) => ({
            name,
            message: 'The core runs anywhere: no page, server, clock or network in it.',
          }),
        ),
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Randomness enters the core as an argument.' },
        { object: 'Date', property: 'now', message: 'Time enters the core as an argument.' },
      ],
    },
  },
  {
    files: ['src/screens/**/*.tsx'],
    rules: { 'max-lines-per-function': ['error', { max: 150, skipBlankLines: true, skipComments: true }] },
  },
  {
    // What a person reads stands in the catalogue, languages/en.json, and comes from `@/language/<place>`.
    files: ['src/{screens,words,formats,store,app}/**/*.{ts,tsx}'],
    ignores: [
      '**/*.test.{ts,tsx}',
      'src/screens/testing/**',
      // A shader, the columns of sheets, and names of places: the same in every language.
      'src/screens/bench/panels/preview/takeShader.ts',
      'src/formats/outing/{csv,dayRows,logCsv}.ts',
      'src/formats/gazetteer.ts',
    ],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...SENTENCES,
        {
          selector: 'Literal[value=/^#[0-9a-fA-F]{3,8}$/]',
          message: 'A colour comes from the tokens of globals.css: var(--…), or theme.ts.',
        },
      ],
    },
  },
  {
    // The store alone touches the database: screens ask the repository's queries.
    files: ['src/screens/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}', 'src/screens/testing/**'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'repository', property: 'database', message: 'Ask `repository.queries`.' },
      ],
    },
  },
  {
    // Where the library, the charts and a picture drawn on a canvas get their colours.
    files: [
      'src/screens/shell/theme.ts',
      'src/screens/bench/panels/{chartParts.ts,tradeOff/LightChart.tsx,preview/stage.ts,preview/stillSheet.ts}',
      'src/screens/files/cardPicture.ts',
      'src/app/manifest.ts',
    ],
    rules: { 'no-restricted-syntax': ['error', ...SENTENCES] },
  },
  {
    // These share what they load: a mock of one would be seen by the others.
    files: ['src/screens/**/*.test.tsx'],
    ignores: ['**/*.mocked.test.tsx'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'vi', property: 'mock', message: 'A test with a mock of its own is a *.mocked.test.tsx.' },
      ],
    },
  },
  {
    files: TESTS,
    rules: {
      // In a test a value that is not there should fail on the spot, which is what `!` does.
      '@typescript-eslint/no-non-null-assertion': 'off',
      // A test run looks at what of tests goes wrong unseen, a promise that nobody waits for; the compiler has the rest.
      ...(whole
        ? {}
        : {
            ...tseslint.configs.disableTypeChecked.rules,
            '@typescript-eslint/no-floating-promises': 'error',
            '@typescript-eslint/await-thenable': 'error',
          }),
    },
  },
  { files: ['**/*.{js,mjs,cjs}'], ...tseslint.configs.disableTypeChecked },
);
