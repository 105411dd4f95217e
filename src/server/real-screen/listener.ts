import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { log } from '../log';
import { answer, type Outside } from './answers';
import { createGuessed } from './guessed';
import type { Visits } from './visits';

/** Connections at a time, of all who reach the port. */
const MOST_CONNECTIONS = 64;

/** A port of its own on which real screens are answered, and nobody else. */
export interface Listener {
  /** host and port, as the browser of a real screen says them */
  own: string;
  close: () => void;
}

/** What is not there is not told apart from what nobody may see, and takes longer the more of it is tried. */
async function nothing(response: ServerResponse, guessed: ReturnType<typeof createGuessed>): Promise<void> {
  if (!(await guessed.wait())) return void response.destroy();
  response.writeHead(404, { 'content-type': 'text/plain; charset=utf-8', 'cache-control': 'no-store' });
  response.end('Nothing is here. Ask for a new address at the desk.\n');
}

const listening = (server: Server, port: number, host: string) =>
  new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, resolve);
  });

/**
 * Opens the port. @param port 0 takes one that is free @param wait ms until a wrong address is answered
 * @throws what the system says where it cannot be opened
 */
export async function listen(
  visits: Visits,
  outside: Outside,
  { host, port, wait }: { host: string; port: number; wait?: (ms: number) => Promise<unknown> },
): Promise<Listener> {
  const guessed = createGuessed(wait);
  let own = '';
  const handle = async (request: IncomingMessage, response: ServerResponse) => {
    const isThere = await answer(request, response, { visits, outside, own });
    if (!isThere) await nothing(response, guessed);
  };
  const server = createServer({ requestTimeout: 20_000, headersTimeout: 10_000 }, (request, response) => {
    handle(request, response).catch((error: unknown) => {
      log.error(error);
      response.destroy();
    });
  });
  server.maxConnections = MOST_CONNECTIONS;
  await listening(server, port, host);
  const { port: taken } = server.address() as AddressInfo;
  own = `${host.includes(':') ? `[${host}]` : host}:${taken}`;
  return {
    own,
    close() {
      server.close();
      server.closeAllConnections();
    },
  };
}
