/** What the scripts share: running a command, and putting in place what the project needs. */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { copyFileSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('..', import.meta.url));
const SHELL = '/usr/bin/chromium-headless-shell';
/** Debian's chromium: its shell without windows where it is installed, which needs two thirds of the time, or the whole browser. */
export const browserPath = () => (existsSync(SHELL) ? SHELL : '/usr/bin/chromium');

// Nothing leaves the machine: Next's builds and server report home unless told not to.
process.env.NEXT_TELEMETRY_DISABLED = '1';

/** Runs a program in the project's folder and gives its exit status; output goes to the terminal. */
export function call(program, args, options = {}) {
  const result = spawnSync(program, args, { cwd: root, stdio: 'inherit', ...options });
  if (result.error) console.error(`cannot run ${program}: ${result.error.message}`);
  return result.status ?? 1;
}

export function must(what, program, args, options) {
  const status = call(program, args, options);
  if (status === 0) return;
  console.error(`${what} failed with status ${status}`);
  process.exit(status);
}

/** Runs a package's program by its own file, so that ending us ends it. */
export function bin(name) {
  return `${root}node_modules/.bin/${name}`;
}

/** Installs the packages when the lock file is not the one installed. */
function installPackages() {
  const wanted = createHash('sha256')
    .update(readFileSync(`${root}package-lock.json`))
    .digest('hex');
  const mark = `${root}node_modules/.installed-lock`;
  if (existsSync(mark) && readFileSync(mark, 'utf8') === wanted) return;
  console.log('Installing packages (npm ci)');
  must('npm ci', 'npm', ['ci', '--no-audit', '--no-fund']);
  writeFileSync(mark, wanted);
}

/** Puts in place all that is made from the packages rather than kept in the repository. */
export async function prepare() {
  installPackages();
  await writeLanguage();
  await writeLibrary();
  const { buildGazetteer } = await import('./buildGazetteer.mjs');
  buildGazetteer(root);
  const { buildLicences } = await import('./buildLicences.mjs');
  buildLicences(root);
  // The reader of codes is served by the app itself: nothing is fetched from elsewhere.
  copyFileSync(
    `${root}node_modules/zxing-wasm/dist/reader/zxing_reader.wasm`,
    `${root}public/zxing_reader.wasm`,
  );
  must('writing the demo data', bin('tsx'), ['scripts/writeDemo.ts']);
  buildCommandLine();
}

/** Compiles the sentences of the language that LYNXEYE_LANGUAGE names, English when it names none. */
export async function writeLanguage() {
  const { writeMessages } = await import('./writeMessages.mjs');
  writeMessages();
}

/** Takes the styles of the library's parts that screens use out of the library. */
async function writeLibrary() {
  const { writeLibraryStyles } = await import('./writeLibraryStyles.mjs');
  writeLibraryStyles(root);
}

/** Builds the app, and after it the service worker that keeps it usable without a network. */
export async function buildApp() {
  await writeLanguage();
  await writeLibrary();
  const status = call(process.execPath, [`${root}node_modules/next/dist/bin/next`, 'build']);
  if (status !== 0) return status;
  const { buildServiceWorker } = await import('./buildServiceWorker.mjs');
  await buildServiceWorker(root);
  return 0;
}

/** Bundles the command line into dist/, which bin/lynxeye starts, and what the threads of the route that solves run. */
export function buildCommandLine() {
  mkdirSync(`${root}dist`, { recursive: true });
  for (const [what, from, to] of [
    ['the command line', 'cli/index.ts', 'lynxeye.mjs'],
    ['what the route solves with', 'src/app/api/solve/solved.ts', 'solve.mjs'],
  ])
    must(`bundling ${what}`, bin('esbuild'), [
      from,
      '--bundle',
      '--minify',
      '--platform=node',
      '--format=esm',
      '--target=node20',
      '--alias:@=./src',
      `--outfile=dist/${to}`,
      '--log-level=warning',
    ]);
}

/**
 * Debian's chromium drives the browser tests: installed through apt when we may, asked for when not. It is begun at once and
 * awaited later: packages are put in place meanwhile.
 */
export async function installChromium() {
  if (existsSync(SHELL)) return;
  const has = existsSync(browserPath());
  const asRoot = process.getuid?.() === 0 && existsSync('/usr/bin/apt-get');
  if (!asRoot) {
    if (has) return;
    console.error("The browser tests need Debian's chromium: sudo apt-get install chromium-headless-shell");
    process.exit(1);
  }
  console.log("Installing Debian's chromium (apt-get)");
  const install = 'apt-get -qq install -y --no-install-recommends';
  // One shell for all of it: whoever began it may be busy elsewhere.
  const apt = spawn(
    'sh',
    ['-c', `apt-get -qq update && (${install} chromium-headless-shell || ${install} chromium)`],
    { stdio: 'inherit', env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } },
  );
  const installed = await new Promise((told) => {
    apt.on('error', () => told(false));
    apt.on('exit', (status) => told(status === 0));
  });
  if (installed || has) return;
  console.error("apt-get did not install Debian's chromium; see above.");
  process.exit(1);
}

/** Starts the built app, for this machine alone unless told otherwise, and resolves once it listens; `kill()` of what comes back ends it. */
export async function startServer(port, host = '127.0.0.1') {
  const server = spawn(process.execPath, [`${root}scripts/server.mjs`, port, host], {
    cwd: root,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  // Whoever ends early, by an error or a closed pipe, does not leave it holding its port.
  process.once('exit', () => server.kill());
  await new Promise((ready, failed) => {
    server.stdout.on('data', (chunk) => String(chunk).includes('Ready') && ready());
    server.on('exit', () => failed(new Error('the server ended before it was ready; is there a build?')));
  });
  return server;
}
