/** Starts the built app, building it first where there is no build. On this machine only, unless HOST says otherwise: it has no log-in. */
import { existsSync } from 'node:fs';
import { buildApp, prepare, root, startServer } from './steps.mjs';

const port = process.env.PORT ?? '4630';
const host = process.env.HOST ?? '127.0.0.1';
if (!existsSync(`${root}.next/BUILD_ID`)) {
  console.log('There is no build yet: building it first, which takes a minute or two.');
  await prepare();
  if ((await buildApp()) !== 0) process.exit(1);
}
const server = await startServer(port, host);
console.log(
  `\nLynxeye is at http://${host === '127.0.0.1' ? 'localhost' : host}:${port}  (Ctrl+C ends it)\n`,
);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => {
  process.exitCode = code ?? 0;
});
