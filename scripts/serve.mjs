// The server itself, started by start.mjs: what no page and no route could answer is answered here.
import { createServer, STATUS_CODES } from 'node:http';
import next from 'next';
import { builtDrawing, root } from './lib.mjs';

const hostname = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 3000);
const dev = process.argv.includes('--dev');
// As it was built; in development its sources may change at any time.
if (!dev) process.env.COULEE_DRAWING ??= builtDrawing;
const app = next({ dev, dir: root, hostname, port });

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

/** In the shape of all other errors. Source: RFC 9457. */
function refuse(response, status, detail, headers = {}) {
  response.writeHead(status, {
    'content-type': 'application/problem+json',
    'cache-control': 'no-store',
    'x-content-type-options': 'nosniff',
    ...headers,
  });
  response.end(JSON.stringify({ type: 'about:blank', title: STATUS_CODES[status], status, detail }));
}

await app.prepare();
const handle = app.getRequestHandler();
const server = createServer((request, response) => {
  if (!METHODS.includes(request.method))
    return refuse(response, 405, `${request.method} is not answered here.`, { allow: METHODS.join(', ') });
  if (!isReadable(request.url))
    return refuse(response, 400, 'The address holds an escape, such as %20, that stands for nothing.');
  // Of the server as a whole, and not of an address. Source: RFC 9110, §9.3.7.
  if (request.url === '*') {
    response.writeHead(204, { allow: METHODS.join(', ') });
    return response.end();
  }
  // Only here the connection is seen; what a client says of itself is written over.
  request.headers['x-client-address'] = request.socket.remoteAddress ?? '';
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
