/** Colours and sizes of letters come from the tokens of `src/app/globals.css`; screens break at the same four widths. */
export default {
  ignoreFiles: ['node_modules/**', '.next*/**', 'dist/**', 'test-results/**', 'public/**'],
  rules: {
    'block-no-empty': true,
    'color-named': 'never',
    'color-no-hex': true,
    'color-no-invalid-hex': true,
    'custom-property-no-missing-var-function': true,
    'declaration-block-no-duplicate-properties': true,
    'declaration-property-value-allowed-list': {
      'font-size': ['/^var\\(--size-[a-z]+\\)$/', '/pt$/', 'inherit', '/em$/'],
    },
    'function-disallowed-list': ['rgb', 'rgba', 'hsl', 'hsla', 'oklch'],
    'media-feature-name-value-allowed-list': { 'max-width': ['420px', '640px', '900px', '1100px'] },
    'no-duplicate-selectors': true,
    'property-no-unknown': [true, { ignoreProperties: ['composes'] }],
    'selector-pseudo-class-no-unknown': [true, { ignorePseudoClasses: ['global'] }],
    'unit-no-unknown': true,
  },
  overrides: [{ files: ['src/app/globals.css'], rules: { 'color-no-hex': null } }],
};
