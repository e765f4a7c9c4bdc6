/**
 * The catalogue of sentences: `languages/<name>.json` holds every sentence that a person reads, by place, in ICU message
 * format; `locale.code` says by which rules it counts and writes dates (BCP 47). English is the whole one; another language may lack sentences, which then stand in English. This module
 * checks a catalogue and compiles it into typed modules, one a place, that the app imports as `@/language/<place>`.
 */
import { parse } from '@messageformat/parser';

/**
 * Compiles a language.
 * @param {object} english the whole catalogue: place → key → message, or a table of messages
 * @param {object} told the language's own catalogue, of the same shape, with as many sentences as it has
 * @returns {{ files: Map<string, string>, amiss: string[], missing: string[] }} source by place; what is wrong; what is lacking
 */
export function compile(english, told) {
  const code = told.locale?.code ?? english.locale.code;
  const amiss = [];
  const missing = [];
  for (const place of Object.keys(told)) if (!(place in english)) amiss.push(`${place}: no such place`);
  const files = new Map(
    Object.entries(english).map(([place, messages]) => {
      const own = told[place] ?? {};
      const lines = compileTable(messages, own, place, code, { amiss, missing }).map(
        ([key, value]) => `export const ${key} = ${value};`,
      );
      return [place, header(code, lines.join('\n')) + lines.join('\n') + '\n'];
    }),
  );
  return { files, amiss, missing };
}

function header(code, body) {
  const used = ['plural', 'select'].filter((name) => body.includes(`${name}(`));
  const rules = used.includes('plural')
    ? `const numbers = new Intl.PluralRules('${code}');\nconst number = (value: number): string => numbers.select(value);\n`
    : '';
  const runtime = used.length > 0 ? `import { ${used.join(', ')} } from '@messageformat/runtime';\n` : '';
  return `// Written by scripts/writeMessages.mjs from the catalogue in languages/. Not kept in the repository.\n${runtime}${rules}`;
}

function compileTable(english, own, path, code, found) {
  for (const key of Object.keys(own))
    if (!(key in english)) found.amiss.push(`${path}.${key}: no such sentence`);
  return Object.entries(english).map(([key, message]) => {
    const at = `${path}.${key}`;
    if (typeof message !== 'string') {
      const rows = compileTable(message, own[key] ?? {}, at, code, found);
      return [
        key,
        `{ ${rows.map(([name, value]) => `${JSON.stringify(name)}: ${value}`).join(', ')} } as const`,
      ];
    }
    if (!(key in own)) found.missing.push(at);
    return [key, compileMessage(message, own[key] ?? message, at, found)];
  });
}

function compileMessage(english, own, at, found) {
  const wanted = argumentsOf(read(english, at, found));
  const tokens = read(own, at, found);
  const given = argumentsOf(tokens);
  for (const [name, type] of given)
    if (wanted.get(name) !== type)
      found.amiss.push(`${at}: {${name}} is not what the English sentence gives`);
  for (const part of english.match(/<\d+\/>/g) ?? [])
    if (!own.includes(part)) found.amiss.push(`${at}: the part ${part} is left out`);
  if (wanted.size === 0) return JSON.stringify(textOf(tokens));
  const type = [...wanted].map(([name, kind]) => `${name}: ${kind}`).join('; ');
  return `(a: { ${type} }): string => ${sourceOf(tokens)}`;
}

function read(message, at, { amiss }) {
  try {
    return parse(message);
  } catch (error) {
    amiss.push(`${at}: ${error.message}`);
    return [];
  }
}

/** Argument → its type in the compiled function. A plural counts a number; a select by `true` asks yes or no. */
function argumentsOf(tokens, into = new Map()) {
  for (const token of tokens) {
    if (token.type === 'argument' && !into.has(token.arg)) into.set(token.arg, 'string | number');
    if (token.type === 'plural') into.set(token.arg, 'number');
    if (token.type === 'select')
      into.set(token.arg, token.cases.some(({ key }) => key === 'true') ? 'boolean' : 'string');
    for (const { tokens: inner } of token.cases ?? []) argumentsOf(inner, into);
  }
  return into;
}

function textOf(tokens) {
  return tokens.map((token) => token.value).join('');
}

function sourceOf(tokens, counted = null) {
  const pieces = tokens.map((token) => {
    switch (token.type) {
      case 'content':
        return token.value.replace(/[`\\]|\$\{/g, '\\$&');
      case 'argument':
        return `\${a.${token.arg}}`;
      case 'octothorpe':
        return `\${a.${counted}}`;
      case 'plural':
        return `\${plural(a.${token.arg}, 0, number, ${casesOf(token, token.arg)})}`;
      case 'select':
        return `\${select(String(a.${token.arg}), ${casesOf(token, counted)})}`;
      default:
        throw new Error(
          `the catalogue uses ${token.type}, which it has no need of: write numbers and times as arguments`,
        );
    }
  });
  return `\`${pieces.join('')}\``;
}

function casesOf({ cases }, counted) {
  return `{ ${cases.map(({ key, tokens }) => `${JSON.stringify(key.replace(/^=/, ''))}: ${sourceOf(tokens, counted)}`).join(', ')} }`;
}
