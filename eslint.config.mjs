import tseslint from 'typescript-eslint';
import reactHooks from 'eslint-plugin-react-hooks';

export default tseslint.config(
  {
    ignores: [
      '.next/**',
      '.next-pseudo/**',
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
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
    },
  },
  {
    files: ['src/**/*.tsx', 'src/**/*.ts'],
    plugins: { 'react-hooks': reactHooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
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
      '**/*.test.ts',
      // A shader, the columns of sheets, and names of places: the same in every language.
      'src/screens/bench/panels/preview/takeShader.ts',
      'src/formats/outing/{csv,dayRows}.ts',
      'src/formats/gazetteer.ts',
    ],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...[
          'JSXText[value=/\\p{L}{2}/u]',
          'JSXAttribute[name.name=/^(label|title|alt|placeholder|aria-label|unit)$/] > Literal[value=/\\p{L}{2}/u]',
          ':not(ExpressionStatement):not(JSXAttribute) > Literal[value=/\\p{L}{2,}[,;:.]? \\p{L}{2,}/u]',
          ':not(ExpressionStatement):not(JSXAttribute) > Literal[value=/^\\p{Lu}\\p{Ll}{2,}[ .…]/u]',
          'TemplateElement[value.raw=/\\p{L}{2,}[,;:.]? \\p{L}{2,}/u]',
        ].map((selector) => ({
          selector,
          message: 'A sentence belongs in languages/en.json; say it by `messages`.',
        })),
      ],
    },
  },
  {
    // In a test a value that is not there should fail on the spot, which is what `!` does.
    files: ['**/*.test.ts', 'bench/**/*.ts', 'e2e/**/*.ts', 'fuzz/**/*.ts'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  { files: ['**/*.{js,mjs,cjs}'], ...tseslint.configs.disableTypeChecked },
);
