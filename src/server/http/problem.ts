/** Problem replies (RFC 9457): what was wrong, with which field, and what to do. */
import type { Problem } from '../../contract/schemas';
import type { Refusal, RefusalKind } from '../refusal';

const STATUS: Record<RefusalKind, number> = {
  malformed: 400,
  'not found': 404,
  'wrong method': 405,
  conflict: 409,
  'changed meanwhile': 412,
  'too large': 413,
  'wrong format': 415,
  'wrong address': 421,
  forbidden: 403,
  'not valid': 422,
  'which version': 428,
  'too many': 429,
  fault: 500,
  'not now': 503,
  'no room': 507,
};

const statusOf = ({ kind }: Pick<Refusal, 'kind'>): number => STATUS[kind];

const slug = (title: string) =>
  title
    .toLowerCase()
    .replace(/[^a-z]+/g, '-')
    .replace(/^-|-$/g, '');

export function problemReply(refusal: Refusal): Response {
  const { title, message, errors } = refusal;
  const status = statusOf(refusal);
  const body: Problem = { type: `urn:tidy-beacon:problem:${slug(title)}`, title, status, detail: message, ...(errors ? { errors } : {}) };
  return new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/problem+json', 'cache-control': 'no-store' },
  });
}

/** The problem a reply carries. */
export const problemOf = async (reply: Response): Promise<Problem> => (await reply.json()) as Problem;
