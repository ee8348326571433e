/** What every endpoint does with a request and an answer: each goes through its route's schemas. Knows no HTTP but its problems. */
import type { z } from 'zod';
import { PATHS, type RouteName } from '../../contract/paths';
import { type Body, type Params, type Query, type Reply, TABLE } from '../../contract/routes';
import { invalid } from '../refusal';
import { parseJson } from './body';

export interface Input<N extends RouteName> {
  params: Params<N>;
  query: Query<N>;
  body: Body<N>;
  /** The version If-Match names, or null. */
  ifMatch: number | null;
}

/** What an endpoint answers: the reply, and the version to send as its ETag where it has one. */
export type Answer<N extends RouteName> = Reply<N> & { version?: number };

/** A request as it came in, unread. */
export interface RequestParts {
  params: Record<string, string | undefined>;
  query: Record<string, string>;
  /** Null where the method has none. */
  text: string | null;
  ifMatch: number | null;
}

function parse<T>(schema: z.ZodType, value: unknown, where: string): T {
  const parsed = schema.safeParse(value);
  if (!parsed.success) throw invalid(parsed.error, where);
  return parsed.data as T;
}

/** @throws {Refusal} what does not hold to the route's schemas, by its fields */
export function inputOf<N extends RouteName>(name: N, { params, query, text, ifMatch }: RequestParts): Input<N> {
  const schemas = TABLE[name];
  return {
    params: parse<Params<N>>(schemas.params, params, 'Path'),
    query: parse<Query<N>>(schemas.query, query, 'Query'),
    body: text === null ? (undefined as Body<N>) : parse<Body<N>>(schemas.body, parseJson(text), 'Body'),
    ifMatch,
  };
}

export const hasBody = (name: RouteName): boolean => PATHS[name][0] === 'PUT' || PATHS[name][0] === 'POST';

/** An answer as it goes out, and its version. @throws {ZodError} an answer that is not what the route promises: a fault of ours */
export function outgoing<N extends RouteName>(name: N, answer: Answer<N>): { text: string; version: number | null } {
  return { text: JSON.stringify(TABLE[name].reply.parse(answer)), version: answer.version ?? null };
}
