/** An endpoint: parse, call, reply. Every input and output goes through its route's schemas. */
import type { APIContext, APIRoute } from 'astro';
import { type RouteName, STALE_AFTER } from '../../contract/paths';
import { announceChange } from '../announce';
import { DatabaseError, type Shop } from '../db';
import { log } from '../log';
import { Refusal } from '../refusal';
import { shop } from '../shop';
import { writeSoon } from '../stores/perShop';
import type { ComputedRoute, JudgedRoute } from '../work/jobs';
import { inWorker } from '../work/pool';
import type { Task } from '../work/task';
import { type Answer, hasBody, type Input, inputOf, outgoing, type RequestParts } from './answer';
import { readJsonText } from './body';
import { problemReply } from './problem';

export type { Input };

type Here = Shop & { now: () => number };

function versionOf(header: string | null): number | null {
  if (header === null) return null;
  const version = Number(/^(?:W\/)?"?(\d+)"?$/.exec(header.trim())?.[1]);
  if (!Number.isSafeInteger(version))
    throw new Refusal('malformed', 'Not a version', 'If-Match must be a version as the ETag gave it.', [
      { field: 'If-Match', message: header.slice(0, 100) },
    ]);
  return version;
}

export async function partsOf(name: RouteName, { request, params, url }: APIContext): Promise<RequestParts> {
  return {
    params,
    query: Object.fromEntries(url.searchParams),
    text: hasBody(name) ? await readJsonText(request) : null,
    ifMatch: versionOf(request.headers.get('if-match')),
  };
}

export function replied({ text, version }: { text: string; version: number | null }): Response {
  const etag = version === null ? {} : { etag: `"${version}"` };
  return new Response(text, { headers: { 'content-type': 'application/json', 'cache-control': 'no-store', ...etag } });
}

/**
 * Makes an Astro endpoint of a route's name and what to call. Anything thrown becomes a problem reply; what is nobody's fault
 * but ours is logged with its context and answered 500 without its insides.
 *
 * A write and its reply are one: the reply is built before the write is committed, so “nothing was saved” is true whenever
 * it is said. While another program is writing it is tried again, and others are answered meanwhile.
 */
export function endpoint<N extends RouteName>(name: N, handle: (shop: Here, input: Input<N>) => Answer<N>): APIRoute {
  const stale: readonly RouteName[] | null = name in STALE_AFTER ? STALE_AFTER[name as keyof typeof STALE_AFTER] : null;
  return async (context: APIContext) => {
    try {
      const input = inputOf(name, await partsOf(name, context));
      const here = shop();
      const answer = () => outgoing(name, handle(here, input));
      if (!stale) return replied(answer());
      const written = await writeSoon(here.db, answer);
      announceChange(stale);
      return replied(written);
    } catch (error) {
      return answerTo(error, context.request);
    }
  };
}

/** An endpoint whose work is done beside the request thread. */
const besides =
  (name: RouteName, taskOf: (parts: RequestParts) => Extract<Task, { do: 'compute' | 'judge' }>): APIRoute =>
  async (context: APIContext) => {
    try {
      return replied(await inWorker(taskOf(await partsOf(name, context)), context.request.signal));
    } catch (error) {
      return answerTo(error, context.request);
    }
  };

/** An endpoint that only works something out of its body. */
export const computed = (name: ComputedRoute): APIRoute => besides(name, (parts) => ({ do: 'compute', route: name, parts }));

/** An endpoint that reads much of the shop and judges it. */
export const judged = (name: JudgedRoute): APIRoute => besides(name, (parts) => ({ do: 'judge', path: shop().path, route: name, parts }));

/** What SQLite says of a write it did not take, in words. */
const NOT_TAKEN: [RegExp, string][] = [
  [/^SQLITE_FULL/, 'The disk is full: nothing was saved. Make room and try again.'],
  [/^SQLITE_(BUSY|LOCKED)/, 'Another program holds the database: nothing was saved. Try again in a moment.'],
  [/^SQLITE_IOERR/, 'The disk did not take it: nothing was saved. See to the disk, then try again.'],
];

/** The problem reply for anything thrown. */
export function answerTo(error: unknown, request: Request): Response {
  if (error instanceof Refusal) return problemReply(error);
  // who asked is gone: nobody reads this
  if (request.signal.aborted) return new Response(null, { status: 499 });
  const context = { method: request.method, url: request.url, err: error };
  const code = (error as { code?: string }).code ?? '';
  if (error instanceof DatabaseError) {
    log.error(context, 'database unusable');
    return problemReply(new Refusal('not now', 'Database unusable', error.message));
  }
  const taken = NOT_TAKEN.find(([pattern]) => pattern.test(code));
  if (taken) {
    log.error(context, 'database did not take a write');
    return problemReply(new Refusal('not now', 'Not saved', taken[1]));
  }
  log.error(context, 'unexpected');
  return problemReply(
    new Refusal('fault', 'Our fault', 'Something went wrong on our side and nothing was saved. The server’s log says what.'),
  );
}

/** @throws {Refusal} 422 when the id in the body is not the one in the address */
export function sameId(inPath: string, inBody: string): void {
  if (inPath !== inBody)
    throw new Refusal('not valid', 'Not valid', 'The id in the body is not the one in the address.', [
      { field: 'id', message: `address says ${inPath}` },
    ]);
}

/** For methods an address does not take. */
export const wrongMethod =
  (...allowed: string[]): APIRoute =>
  ({ request }) => {
    const reply = problemReply(
      new Refusal('wrong method', 'Wrong method', `This address takes ${allowed.join(', ')}, not ${request.method}.`, [
        { field: 'method', message: request.method },
      ]),
    );
    reply.headers.set('allow', allowed.join(', '));
    return reply;
  };
