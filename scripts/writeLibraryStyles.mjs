/**
 * Writes the styles of those of the library's parts that the app uses to dist/library.css: the library's own sheet holds
 * all seventy of them, a megabyte that every element of a page would be matched against.
 */
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import postcss from 'postcss';

// As the extractor loads them: a second copy would keep styles of its own.
const require = createRequire(import.meta.url);
const { createElement } = require('react');
const { ConfigProvider } = require('antd');
const { extractStyle } = require('@ant-design/static-style-extract');

/** What parts are made of that no screen names: the menu under a button, the hint of a slider, an empty list. */
const WITHIN = ['Menu', 'Tooltip', 'Empty'];

export function writeLibraryStyles(root) {
  const screens = `${root}src/screens/`;
  const named = readdirSync(screens, { recursive: true })
    .filter((file) => file.endsWith('.tsx'))
    .flatMap((file) => [...readFileSync(screens + file, 'utf8').matchAll(/import \{([^}]*)\} from 'antd'/g)])
    .flatMap(([, names]) => names.split(',').map((name) => name.trim()));
  const styles = postcss.parse(
    extractStyle({
      includes: [...new Set([...named, ...WITHIN])].filter((name) => name !== '').sort(),
      customTheme: (parts) => createElement(ConfigProvider, { theme: { hashed: false } }, parts),
    }),
  );
  styles.walkRules((rule) => {
    // globals.css gives every element its border box; said once more by attribute, it is tried on every element.
    const boxes =
      /\[class[\^*]=/.test(rule.selector) && rule.nodes.every(({ prop }) => prop === 'box-sizing');
    // The extractor's own theme and marks, which no page wears.
    const own = /^\.(css-var-_R_|data-ant-cssinjs-cache-path)/.test(rule.selector);
    if (boxes || own) rule.remove();
  });
  mkdirSync(`${root}dist`, { recursive: true });
  writeFileSync(`${root}dist/library.css`, styles.toString());
}
