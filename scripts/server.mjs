/**
 * Serves the built app: `node scripts/server.mjs PORT [HOST]`. Next's own server, but for the one method that its route
 * handlers stumble over.
 */
import { createServer } from 'node:http';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
process.env.NODE_ENV = 'production';
// Where the route that solves finds the program of its threads.
process.env.LYNXEYE_ROOT = root;
const { default: next } = await import('next');

const [port = '4630', host = '127.0.0.1'] = process.argv.slice(2);
const app = next({
  dev: false,
  dir: root,
  hostname: host,
  port: Number(port),
});
await app.prepare();
const handle = app.getRequestHandler();
const server = createServer((request, response) => {
  if (request.method === 'TRACE') {
    response.writeHead(405, { allow: 'GET, HEAD, POST, OPTIONS' }).end();
    return;
  }
  void handle(request, response);
});
server.listen(Number(port), host, () => console.log(`Ready on ${host}:${port}`));
