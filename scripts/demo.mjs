/** Installs what is missing, builds, and starts the app; the first open of an empty browser gets the demo shots. */
import { must, prepare, root, startServer } from './steps.mjs';

const port = process.env.PORT ?? '4630';
await prepare();
must('next build', process.execPath, [`${root}node_modules/next/dist/bin/next`, 'build']);
const server = await startServer(port);
console.log(`\nLynxeye is at http://localhost:${port}  (Ctrl+C ends it)\n`);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => {
  process.exitCode = code ?? 0;
});
