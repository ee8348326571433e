/** Problem replies (RFC 9457): what was wrong, with which field, and what to do. */
import type { z } from 'zod';
import type { Problem } from '../../contract/schemas';

/** Thrown by stores and endpoints; becomes the reply. */
export class Refusal extends Error {
  override name = 'Refusal';
  constructor(
    readonly status: number,
    readonly title: string,
    detail: string,
    readonly errors?: { field: string; message: string }[],
  ) {
    super(detail);
  }
}

export const notFound = (what: string, id: string) =>
  new Refusal(404, 'Not found', `There is no ${what} with the id “${id}”. It may have been removed.`, [
    { field: 'id', message: `unknown ${what}` },
  ]);

export const changedMeanwhile = (what: string) =>
  new Refusal(
    412,
    'Changed meanwhile',
    `This ${what} was changed somewhere else since you opened it. Load it again; what you typed is kept until you do.`,
  );

export const needsVersion = (what: string) =>
  new Refusal(428, 'Which version?', `This ${what} already exists. Send If-Match with the version you last saw.`);

/** More than these nobody reads. */
const MOST_ERRORS = 50;

/** Schema issues as fields and their messages, the first of them. */
const fieldErrors = (error: z.ZodError): { field: string; message: string }[] =>
  error.issues.slice(0, MOST_ERRORS).map((issue) => ({ field: issue.path.join('.') || 'body', message: issue.message }));

export function invalid(error: z.ZodError, where: string): Refusal {
  const errors = fieldErrors(error);
  const first = errors[0];
  return new Refusal(
    422,
    'Not valid',
    `${where}: ${first ? `${first.field}: ${first.message}` : 'not valid'}${errors.length > 1 ? ` (and ${error.issues.length - 1} more)` : ''}`,
    errors,
  );
}

const slug = (title: string) =>
  title
    .toLowerCase()
    .replace(/[^a-z]+/g, '-')
    .replace(/^-|-$/g, '');

export function problemReply({ status, title, message, errors }: Refusal): Response {
  const body: Problem = { type: `urn:tidy-beacon:problem:${slug(title)}`, title, status, detail: message, ...(errors ? { errors } : {}) };
  return new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/problem+json', 'cache-control': 'no-store' },
  });
}

/** The problem a reply carries. */
export const problemOf = async (reply: Response): Promise<Problem> => (await reply.json()) as Problem;
