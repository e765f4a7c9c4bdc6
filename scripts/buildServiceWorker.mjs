/** Writes public/sw.js after a build: every page and every file of it is kept on the first visit. */
import { readdirSync, readFileSync } from 'node:fs';
import { getManifest } from '@serwist/build';
import { build } from 'esbuild';

export async function buildServiceWorker(root) {
  const buildId = readFileSync(`${root}.next/BUILD_ID`, 'utf8').trim();
  const { routes } = JSON.parse(readFileSync(`${root}.next/prerender-manifest.json`, 'utf8'));
  // Pages without a file extension; not the error pages, which are never asked for by name.
  const pages = Object.keys(routes).filter((route) => !route.startsWith('/_') && !route.includes('.'));
  const files = Object.keys(routes).filter((route) => route.includes('.') && !route.startsWith('/_'));
  const { manifestEntries, warnings } = await getManifest({
    globDirectory: root,
    globPatterns: ['.next/static/**/*.{js,css,woff2,wasm}', 'public/**/*.{json,wasm,png,svg,ico}'],
    globIgnores: ['public/sw.js'],
    maximumFileSizeToCacheInBytes: 8_000_000,
    // Next's own files carry a hash in their name.
    dontCacheBustURLsMatching: /^\.next\/static\//,
    manifestTransforms: [
      (entries) => ({
        manifest: entries.map((entry) => ({
          ...entry,
          url: entry.url.replace(/^\.next\/static\//, '/_next/static/').replace(/^public\//, '/'),
        })),
        warnings: [],
      }),
    ],
  });
  for (const warning of warnings) console.warn(warning);
  const manifest = [...manifestEntries, ...[...pages, ...files].map((url) => ({ url, revision: buildId }))];
  if (!readdirSync(`${root}.next/static`).length) throw new Error('there is no build to keep');
  await build({
    entryPoints: [`${root}src/serviceWorker/sw.ts`],
    outfile: `${root}public/sw.js`,
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    define: { 'self.__SW_MANIFEST': JSON.stringify(manifest), 'process.env.NODE_ENV': '"production"' },
    logLevel: 'warning',
  });
  console.log(`Service worker keeps ${manifest.length} files`);
}
