/** Reads a JSON body with a limit, so that a huge one is refused before it is held in memory. */
import { Refusal } from './problem';

/** 1 MiB: an order of 200 lines is under 100 kB. */
const BODY_LIMIT = 1024 * 1024;

const tooLarge = (limit: number) =>
  new Refusal(413, 'Too large', `The body is over ${limit / 1024} KiB. Send less at once.`, [{ field: 'body', message: 'too large' }]);

/** The text of a body, refused before more than a limit of it is held. @throws {Refusal} 413 */
export async function readText(request: Request, limit: number): Promise<string> {
  if (Number(request.headers.get('content-length') ?? 0) > limit) throw tooLarge(limit);
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of (request.body ?? []) as AsyncIterable<Uint8Array>) {
    size += chunk.byteLength;
    if (size > limit) throw tooLarge(limit);
    chunks.push(chunk);
  }
  return Buffer.concat(chunks).toString('utf8');
}

/** @throws {Refusal} 413 over the limit, 415 not JSON by its type, 400 broken JSON, 422 empty */
export async function readJson(request: Request): Promise<unknown> {
  const type = request.headers.get('content-type') ?? '';
  if (!type.startsWith('application/json'))
    throw new Refusal(415, 'Not JSON', 'Send the body as application/json.', [{ field: 'content-type', message: type || 'missing' }]);
  const text = await readText(request, BODY_LIMIT);
  try {
    return JSON.parse(text) as unknown;
  } catch (error) {
    throw new Refusal(400, 'Broken JSON', `The body is not JSON: ${error instanceof Error ? error.message : 'cannot be parsed'}`, [
      { field: 'body', message: 'broken JSON' },
    ]);
  }
}
