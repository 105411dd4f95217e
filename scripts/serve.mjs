// The server itself, started by start.mjs: what no page and no route could answer is answered here.
import { createServer } from 'node:http';
import next from 'next';
import { root } from './lib.mjs';

const hostname = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 3000);
const app = next({ dev: process.argv.includes('--dev'), dir: root, hostname, port });

const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS'];

/** Whether every escape of an address stands for something. */
function isReadable(address) {
  try {
    decodeURIComponent(address);
    return true;
  } catch {
    return false;
  }
}

function refuse(response, status, title, headers = {}) {
  response.writeHead(status, { 'content-type': 'application/problem+json', ...headers });
  response.end(JSON.stringify({ status, title }));
}

await app.prepare();
const handle = app.getRequestHandler();
const server = createServer((request, response) => {
  if (!METHODS.includes(request.method))
    return refuse(response, 405, `${request.method} is not answered here.`, { allow: METHODS.join(', ') });
  if (!isReadable(request.url))
    return refuse(response, 400, 'The address holds an escape, such as %20, that stands for nothing.');
  handle(request, response).catch((error) => {
    console.error(error);
    if (!response.headersSent)
      refuse(response, 500, 'Something went wrong on the server; nothing was changed.');
    else response.destroy();
  });
});
server.listen(port, hostname);
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => {
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    setTimeout(() => process.exit(0), 2000).unref();
  });
