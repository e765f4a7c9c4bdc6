import { prepare } from './steps.mjs';

await prepare();
console.log('Ready. bin/lynxeye answers; "npm run demo" starts the app.');
