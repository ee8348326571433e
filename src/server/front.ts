/** The front door: the one HTTP server of the app. What no page or endpoint can answer is answered here. Built into a file of its own (scripts/worker.mjs). */
import { createServer, type IncomingMessage, type RequestListener, type Server, type ServerResponse } from 'node:http';
import sirv from 'sirv';
import { incomingStore } from './http/incoming';
import { log } from './log';

/** Methods the pages and endpoints know; the page framework fails on others. */
const KNOWN = new Set(['GET', 'HEAD', 'POST', 'PUT', 'DELETE', 'OPTIONS', 'PATCH']);
/** Addresses the page framework makes and nobody here uses. */
const CLOSED = /^\/_(image|server-islands|actions)(\/|\?|$)/;
/** More connections at once than any shop has. */
const MOST_CONNECTIONS = 1000;
/** Of a file whose name has its content's hash in it. */
const FOR_GOOD = 'public, max-age=31536000, immutable';

const problem = (status: number, title: string, detail: string) => ({
  status,
  body: JSON.stringify({ type: `urn:tidy-beacon:problem:${title.toLowerCase().replaceAll(' ', '-')}`, title, status, detail }),
});

/** Why a request is answered here already; null: it goes on. */
function refusal(method: string, url: string): ReturnType<typeof problem> | null {
  if (!KNOWN.has(method)) return problem(405, 'Wrong method', `The method ${method.slice(0, 20)} is not taken here.`);
  if (CLOSED.test(url)) return problem(404, 'Not found', 'There is nothing at this address.');
  try {
    decodeURI(url);
    new URL(url, 'http://localhost');
    return null;
  } catch {
    return problem(400, 'Not an address', 'This address cannot be read.');
  }
}

/**
 * Serves the app.
 *
 * @param handler the pages and endpoints
 * @param files folder of the scripts, styles, fonts and pictures; listed once, so that no request looks for a file that is none
 */
export function serveFront(handler: RequestListener, { port, host, files }: { port: number; host: string; files: string }): Server {
  const store = incomingStore();
  const file = sirv(files, {
    etag: true,
    setHeaders: (res, path) => {
      res.setHeader('x-content-type-options', 'nosniff');
      if (path.startsWith('/_astro/')) res.setHeader('cache-control', FOR_GOOD);
    },
  });
  const page = (req: IncomingMessage, res: ServerResponse) => store.run({ req, res }, () => handler(req, res));
  const server = createServer((req, res) => {
    const refused = refusal(req.method ?? '', req.url ?? '');
    if (refused) {
      res.writeHead(refused.status, {
        'content-type': 'application/problem+json',
        'cache-control': 'no-store',
        'x-content-type-options': 'nosniff',
      });
      res.end(refused.body);
      return;
    }
    if (req.method === 'GET' || req.method === 'HEAD') file(req, res, () => page(req, res));
    else page(req, res);
  });
  server.maxConnections = MOST_CONNECTIONS;
  server.on('clientError', (error, socket) => {
    log.info({ error: error.message }, 'a connection that is no request');
    if (socket.writable) socket.end('HTTP/1.1 400 Bad Request\r\nconnection: close\r\n\r\n');
  });
  server.listen(port, host);
  return server;
}
