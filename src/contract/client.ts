/** The typed client: one function for every route. A reply that is a problem is thrown as a `ProblemError`. */
import { API, PATHS, type RouteName } from './paths';
import type { BodyIn, Params, QueryIn, Reply } from './routes';
import type { Problem } from './schemas';

/** The server answered with a problem; `fields` says what is wrong with which field. */
export class ProblemError extends Error {
  override name = 'ProblemError';
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }
  get fields(): Record<string, string> {
    return Object.fromEntries((this.problem.errors ?? []).map((error) => [error.field, error.message]));
  }
}

/** No answer at all: the server is off, or the network is gone. */
export class AwayError extends Error {
  override name = 'AwayError';
  constructor() {
    super('The app’s server does not answer. What you typed is still here; try again once it is back.');
  }
}

type Part<K extends string, T> = [T] extends [undefined] | [Record<string, never>] ? unknown : { [P in K]: T };
export type Args<N extends RouteName> = Part<'params', Params<N>> &
  (QueryIn<N> extends Record<string, never> ? unknown : { query?: QueryIn<N> }) &
  Part<'body', BodyIn<N>> & { ifMatch?: number };

/** An answer that has not come by then never will: a network that is gone without a word holds a question for ever, ms. */
const PATIENCE_MS = 30_000;
/** What the server works on for so long as it allows is waited for longer: given up and asked again it would begin anew each time. */
const LONG_MS = 130_000;
const TAKES_LONG: readonly RouteName[] = ['orderCards', 'whichTransfer', 'testedMatrix', 'measuringWorth', 'putSample'];

/**
 * Calls a route.
 *
 * @throws {ProblemError} the server refused, with words for the operator
 * @throws {AwayError} there was no answer, or only half of one
 */
export async function call<N extends RouteName>(name: N, args: Args<N>): Promise<Reply<N>> {
  const { params = {}, query = {}, body, ifMatch } = args as { params?: object; query?: object; body?: unknown; ifMatch?: number };
  const [method] = PATHS[name];
  const headers: Record<string, string> = {};
  if (body !== undefined) headers['content-type'] = 'application/json';
  if (ifMatch !== undefined) headers['if-match'] = `"${ifMatch}"`;
  const patience = new AbortController();
  const late = setTimeout(() => patience.abort(), TAKES_LONG.includes(name) ? LONG_MS : PATIENCE_MS);
  try {
    const { signal } = patience;
    const sent = body === undefined ? {} : { body: JSON.stringify(body) };
    const response = await fetch(urlOf(name, params, query), { method, headers, signal, ...sent });
    if (!response.ok) throw new ProblemError(await problemOf(response));
    return (await response.json()) as Reply<N>;
  } catch (error) {
    throw error instanceof ProblemError ? error : new AwayError();
  } finally {
    clearTimeout(late);
  }
}

function urlOf(name: RouteName, params: object, query: object): string {
  const filled = Object.entries(params).reduce(
    (path: string, [key, value]) => path.replace(`{${key}}`, encodeURIComponent(String(value))),
    PATHS[name][1],
  );
  const search = new URLSearchParams(
    Object.entries(query)
      .filter(([, value]) => value !== undefined && value !== '')
      .map(([key, value]) => [key, String(value)]),
  );
  return `${API}${filled}${search.size > 0 ? `?${search}` : ''}`;
}

async function problemOf(response: Response): Promise<Problem> {
  try {
    return (await response.json()) as Problem;
  } catch {
    return { type: 'about:blank', title: response.statusText, status: response.status, detail: `The server answered ${response.status}.` };
  }
}
