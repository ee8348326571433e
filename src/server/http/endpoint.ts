/** An endpoint: parse, call, reply. Every input and output goes through its route's schemas. */
import type { APIContext, APIRoute } from 'astro';
import { PATHS, type RouteName } from '../../contract/paths';
import { type Body, type Params, type Query, type Reply, TABLE } from '../../contract/routes';
import { DatabaseError, type Shop } from '../db';
import { shop } from '../shop';
import { readJson } from './body';
import { log } from './log';
import { invalid, problemReply, Refusal } from './problem';

export interface Input<N extends RouteName> {
  params: Params<N>;
  query: Query<N>;
  body: Body<N>;
  /** The version If-Match names, or null. */
  ifMatch: number | null;
}

/** What an endpoint answers: the reply, and the version to send as its ETag where it has one. */
type Answer<N extends RouteName> = Reply<N> & { version?: number };

function parse<T>(
  schema: { safeParse: (value: unknown) => { success: true; data: unknown } | { success: false; error: import('zod').ZodError } },
  value: unknown,
  where: string,
): T {
  const parsed = schema.safeParse(value);
  if (!parsed.success) throw invalid(parsed.error, where);
  return parsed.data as T;
}

function versionOf(header: string | null): number | null {
  if (header === null) return null;
  const version = Number(/^(?:W\/)?"?(\d+)"?$/.exec(header.trim())?.[1]);
  if (!Number.isInteger(version))
    throw new Refusal(400, 'Not a version', 'If-Match must be a version as the ETag gave it.', [{ field: 'If-Match', message: header }]);
  return version;
}

/**
 * Makes an Astro endpoint of a route's name and what to call. Anything thrown becomes a problem reply;
 * what is nobody's fault but ours is logged with its context and answered 500 without its insides.
 */
export function endpoint<N extends RouteName>(name: N, handle: (shop: Shop, input: Input<N>) => Answer<N> | Promise<Answer<N>>): APIRoute {
  return async ({ request, params, url }: APIContext) => {
    try {
      const schemas = TABLE[name];
      const hasBody = PATHS[name][0] === 'PUT' || PATHS[name][0] === 'POST';
      const input: Input<N> = {
        params: parse<Params<N>>(schemas.params, params, 'Path'),
        query: parse<Query<N>>(schemas.query, Object.fromEntries(url.searchParams), 'Query'),
        body: hasBody ? parse<Body<N>>(schemas.body, await readJson(request), 'Body') : (undefined as Body<N>),
        ifMatch: versionOf(request.headers.get('if-match')),
      };
      const answer = await handle(shop(), input);
      const reply = schemas.reply.parse(answer);
      const etag = answer.version === undefined ? {} : { etag: `"${answer.version}"` };
      return new Response(JSON.stringify(reply), { headers: { 'content-type': 'application/json', 'cache-control': 'no-store', ...etag } });
    } catch (error) {
      return answerTo(error, request);
    }
  };
}

/** The problem reply for anything thrown. */
export function answerTo(error: unknown, request: Request): Response {
  if (error instanceof Refusal) return problemReply(error);
  const context = { method: request.method, url: request.url, err: error };
  const code = (error as { code?: string }).code ?? '';
  if (error instanceof DatabaseError) {
    log.error(context, 'database unusable');
    return problemReply(new Refusal(503, 'Database unusable', error.message));
  }
  if (code.startsWith('SQLITE_BUSY') || code.startsWith('SQLITE_FULL') || code.startsWith('SQLITE_IOERR')) {
    log.error(context, 'database did not take a write');
    return problemReply(
      new Refusal(
        503,
        'Not saved',
        code.startsWith('SQLITE_FULL')
          ? 'The disk is full: nothing was saved. Make room and try again.'
          : 'Another program holds the database: nothing was saved. Try again in a moment.',
      ),
    );
  }
  log.error(context, 'unexpected');
  return problemReply(new Refusal(500, 'Our fault', 'Something went wrong on our side and nothing was saved. The server’s log says what.'));
}

/** @throws {Refusal} 422 when the id in the body is not the one in the address */
export function sameId(inPath: string, inBody: string): void {
  if (inPath !== inBody)
    throw new Refusal(422, 'Not valid', 'The id in the body is not the one in the address.', [
      { field: 'id', message: `address says ${inPath}` },
    ]);
}

/** For methods an address does not take. */
export const wrongMethod =
  (...allowed: string[]): APIRoute =>
  ({ request }) => {
    const reply = problemReply(
      new Refusal(405, 'Wrong method', `This address takes ${allowed.join(', ')}, not ${request.method}.`, [
        { field: 'method', message: request.method },
      ]),
    );
    reply.headers.set('allow', allowed.join(', '));
    return reply;
  };
