/** Guards before every request: known host, nothing taken or given to other sites' pages, and a strict content policy on every reply. */

import { Refusal } from '../refusal';
import { incoming } from './incoming';
import { INLINE_SCRIPTS, INLINE_STYLES } from './inlineHashes';
import { problemReply } from './problem';

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

/** Further names this server answers to; names go by no case. */
const more = (): string[] =>
  (process.env.TIDY_BEACON_HOSTS ?? '')
    .split(',')
    .map((host) => host.trim().toLowerCase())
    .filter(Boolean);

/** The name in a Host header without its port. */
const nameOf = (host: string) => host.replace(/:\d+$/, '').toLowerCase();

/** An address of a socket as a Host header writes it. */
function asHost(address: string): string {
  const plain = address.replace(/^::ffff:/, '');
  return plain.includes(':') ? `[${plain}]` : plain;
}

/** Names a request may call this server by: the address it really came in on, and what the owner has named. */
function ownNames(address: string | undefined): string[] {
  const came = address === undefined ? '127.0.0.1' : asHost(address);
  const loopback = came === '[::1]' || came.startsWith('127.');
  return [...(loopback ? LOOPBACK : [came.toLowerCase()]), ...more()];
}

/** A reply that refuses the request, or null when it may pass. @param cameInOn address of the socket, where it is known */
export function guard(request: Request, cameInOn: string | undefined = incoming()?.req.socket.localAddress): Response | null {
  const url = new URL(request.url);
  const host = request.headers.get('host') ?? url.host;
  if (!ownNames(cameInOn).includes(nameOf(host))) {
    return problemReply(
      new Refusal(
        'wrong address',
        'Unknown host',
        `This server does not answer as “${nameOf(host).slice(0, 100)}”. Name it in TIDY_BEACON_HOSTS if it should.`,
      ),
    );
  }
  const reads = request.method === 'GET' || request.method === 'HEAD';
  const site = request.headers.get('sec-fetch-site');
  const fromElsewhere = site !== null && site !== 'same-origin' && site !== 'none';
  // a page may be linked to from anywhere; what the endpoints give is for this app's own pages
  if (reads && !url.pathname.startsWith('/api/')) return null;
  const origin = request.headers.get('origin');
  const foreign = fromElsewhere || (origin !== null && origin !== `http://${host}` && origin !== `https://${host}`);
  if (!foreign) return null;
  return problemReply(
    new Refusal(
      'forbidden',
      'Not from here',
      reads ? 'This is only given to the app’s own pages.' : 'Changes are only taken from this app’s own pages.',
    ),
  );
}

const POLICY = [
  "default-src 'self'",
  `script-src 'self' ${INLINE_SCRIPTS.join(' ')}`,
  `style-src 'self' ${INLINE_STYLES.join(' ')}`,
  "style-src-attr 'unsafe-inline'",
  "img-src 'self' data: blob:",
  "object-src 'none'",
  "base-uri 'none'",
  "form-action 'self'",
  "frame-ancestors 'none'",
].join('; ');

export function secure(response: Response): Response {
  response.headers.set('content-security-policy', POLICY);
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'same-origin');
  response.headers.set('cross-origin-opener-policy', 'same-origin');
  return response;
}
