/** Installs what is missing, builds, and starts the app; the first open of an empty browser gets the demo shots. */
import { buildApp, prepare, startServer } from './steps.mjs';

const port = process.env.PORT ?? '4630';
await prepare();
if ((await buildApp()) !== 0) process.exit(1);
const server = await startServer(port);
console.log(`\nLynxeye is at http://localhost:${port}  (Ctrl+C ends it)\n`);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => {
  process.exitCode = code ?? 0;
});
