/** Reads a JSON body with a limit, so that a huge one is refused before it is held in memory. */
import { Refusal } from './problem';

/** 1 MiB: an order of 200 lines is under 100 kB. */
const BODY_LIMIT = 1024 * 1024;

const tooLarge = () =>
  new Refusal(413, 'Too large', `The body is over ${BODY_LIMIT / 1024} KiB. Send less at once.`, [{ field: 'body', message: 'too large' }]);

/** @throws {Refusal} 413 over the limit, 415 not JSON by its type, 400 broken JSON, 422 empty */
export async function readJson(request: Request): Promise<unknown> {
  const type = request.headers.get('content-type') ?? '';
  if (!type.startsWith('application/json'))
    throw new Refusal(415, 'Not JSON', 'Send the body as application/json.', [{ field: 'content-type', message: type || 'missing' }]);
  if (Number(request.headers.get('content-length') ?? 0) > BODY_LIMIT) throw tooLarge();
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of (request.body ?? []) as AsyncIterable<Uint8Array>) {
    size += chunk.byteLength;
    if (size > BODY_LIMIT) throw tooLarge();
    chunks.push(chunk);
  }
  const text = Buffer.concat(chunks).toString('utf8');
  try {
    return JSON.parse(text) as unknown;
  } catch (error) {
    throw new Refusal(400, 'Broken JSON', `The body is not JSON: ${error instanceof Error ? error.message : 'cannot be parsed'}`, [
      { field: 'body', message: 'broken JSON' },
    ]);
  }
}
