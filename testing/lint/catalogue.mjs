/**
 * What a person reads stands in the catalogue, languages/en.json, and comes from `@/language/<place>`; colours stand in
 * the tokens of globals.css. A plugin of the linter, by selectors of the syntax tree.
 */
const SENTENCES = [
  'JSXText[value=/\\p{L}{2}/u]',
  'JSXAttribute[name.name=/^(label|title|alt|placeholder|aria-label|unit)$/] > Literal[value=/\\p{L}{2}/u]',
  ':not(ExpressionStatement):not(JSXAttribute) > Literal[value=/\\p{L}{2,}[,;:.]? \\p{L}{2,}/u]',
  ':not(ExpressionStatement):not(JSXAttribute) > Literal[value=/^\\p{Lu}\\p{Ll}{2,}[ .…]/u]',
  'TemplateElement[value.raw=/\\p{L}{2,}[,;:.]? \\p{L}{2,}/u]',
];

/** A rule that reports whatever one of the selectors finds. */
const forbids = (message, selectors) => ({
  create: (context) =>
    Object.fromEntries(selectors.map((selector) => [selector, (node) => context.report({ node, message })])),
});

export default {
  meta: { name: 'catalogue' },
  rules: {
    'no-sentence': forbids('A sentence belongs in languages/en.json; say it by `messages`.', SENTENCES),
    'no-colour': forbids('A colour comes from the tokens of globals.css: var(--…), or theme.ts.', [
      'Literal[value=/^#[0-9a-fA-F]{3,8}$/]',
    ]),
  },
};
