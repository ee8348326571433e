/** Guards before every request: known host, writes only from our own pages, and a strict content policy on every reply. */
import { INLINE_SCRIPTS, INLINE_STYLES } from './inlineHashes';
import { problemReply, Refusal } from './problem';

const OWN_HOSTS = new Set(['localhost', '127.0.0.1', '[::1]']);
const more = () =>
  (process.env.TIDY_BEACON_HOSTS ?? '')
    .split(',')
    .map((host) => host.trim())
    .filter(Boolean);

/** The name in a Host header without its port. */
const nameOf = (host: string) => host.replace(/:\d+$/, '').toLowerCase();

/** A reply that refuses the request, or null when it may pass. */
export function guard(request: Request): Response | null {
  const host = request.headers.get('host') ?? new URL(request.url).host;
  if (!OWN_HOSTS.has(nameOf(host)) && !more().includes(nameOf(host))) {
    return problemReply(
      new Refusal(421, 'Unknown host', `This server does not answer as “${nameOf(host)}”. Name it in TIDY_BEACON_HOSTS if it should.`),
    );
  }
  if (request.method === 'GET' || request.method === 'HEAD') return null;
  const origin = request.headers.get('origin');
  const site = request.headers.get('sec-fetch-site');
  const foreign =
    (origin !== null && origin !== `http://${host}` && origin !== `https://${host}`) ||
    (site !== null && site !== 'same-origin' && site !== 'none');
  return foreign ? problemReply(new Refusal(403, 'Not from here', 'Changes are only taken from this app’s own pages.')) : null;
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
