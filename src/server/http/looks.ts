/** The small picture of a line's piece. It is asked for again each time, and sent only where it has changed. */
import { createHash } from 'node:crypto';
import type { APIRoute } from 'astro';
import { shop } from '../shop';
import { looksOf } from '../stores/looks';
import { answerTo } from './endpoint';

/** What stands where nobody can say how it looks. */
const NOTHING = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 48 48"/>';

export const looksReply: APIRoute = ({ request, params, url }) => {
  try {
    const svg = looksOf(shop().db, params.id ?? '', url.searchParams.get('line')) ?? NOTHING;
    const etag = `"${createHash('sha256').update(svg).digest('base64url').slice(0, 20)}"`;
    const headers = { 'content-type': 'image/svg+xml; charset=utf-8', 'cache-control': 'private, no-cache', etag };
    return request.headers.get('if-none-match') === etag ? new Response(null, { status: 304, headers }) : new Response(svg, { headers });
  } catch (error) {
    return answerTo(error, request);
  }
};
