/** Builds the app and its service worker. */
import { buildApp } from './steps.mjs';

process.exitCode = await buildApp();
