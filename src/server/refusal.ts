/** Refusals: what the shop will not do as it was asked, in words, and of which kind. Nothing in them knows how they are sent. */
import type { z } from 'zod';

export type RefusalKind =
  | 'malformed'
  | 'not found'
  | 'wrong method'
  | 'conflict'
  | 'changed meanwhile'
  | 'too large'
  | 'wrong format'
  | 'wrong address'
  | 'forbidden'
  | 'not valid'
  | 'which version'
  | 'too many'
  | 'fault'
  | 'not now'
  | 'no room';

/** Thrown where something cannot be done as it was asked; `http/problem.ts` makes it the reply. */
export class Refusal extends Error {
  override name = 'Refusal';
  constructor(
    readonly kind: RefusalKind,
    readonly title: string,
    detail: string,
    readonly errors?: { field: string; message: string }[],
  ) {
    super(detail);
  }
}

export const notFound = (what: string, id: string) =>
  new Refusal('not found', 'Not found', `There is no ${what} with the id “${id}”. It may have been removed.`, [
    { field: 'id', message: `unknown ${what}` },
  ]);

export const changedMeanwhile = (what: string) =>
  new Refusal(
    'changed meanwhile',
    'Changed meanwhile',
    `This ${what} was changed somewhere else since you opened it. Load it again; what you typed is kept until you do.`,
  );

export const needsVersion = (what: string) =>
  new Refusal('which version', 'Which version?', `This ${what} already exists. Send If-Match with the version you last saw.`);

/** More than these nobody reads. */
const MOST_ERRORS = 50;

/** Schema issues as fields and their messages, the first of them. */
const fieldErrors = (error: z.ZodError): { field: string; message: string }[] =>
  error.issues.slice(0, MOST_ERRORS).map((issue) => ({ field: issue.path.join('.') || 'body', message: issue.message }));

export function invalid(error: z.ZodError, where: string): Refusal {
  const errors = fieldErrors(error);
  const first = errors[0];
  return new Refusal(
    'not valid',
    'Not valid',
    `${where}: ${first ? `${first.field}: ${first.message}` : 'not valid'}${errors.length > 1 ? ` (and ${error.issues.length - 1} more)` : ''}`,
    errors,
  );
}

/** What a piece of work gives, or something else where it is refused: one document that cannot be read never takes its neighbours with it. */
export function unlessRefused<T, U>(work: () => T, otherwise: U): T | U {
  try {
    return work();
  } catch (error) {
    if (error instanceof Refusal) return otherwise;
    throw error;
  }
}
