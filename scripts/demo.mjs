/** Installs what is missing, builds, and starts the app; the first open of an empty browser gets the demo shots. */
import { buildApp, prepare } from './steps.mjs';

await prepare();
if ((await buildApp()) !== 0) process.exit(1);
await import('./start.mjs');
