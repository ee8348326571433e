/** Reads a JSON body with a limit, so that a huge or a deep one is refused before it is held in memory. */
import { Refusal } from '../refusal';

/** 1 MiB: an order of 200 lines is under 100 kB. */
const BODY_LIMIT = 1024 * 1024;

const tooLarge = (limit: number) =>
  new Refusal('too large', 'Too large', `The body is over ${limit / 1024} KiB. Send less at once.`, [
    { field: 'body', message: 'too large' },
  ]);

/** The bytes of a body, refused before more than a limit of them is held. @throws {Refusal} 413 */
export async function readBytes(request: Request, limit: number): Promise<Uint8Array> {
  if (Number(request.headers.get('content-length') ?? 0) > limit) throw tooLarge(limit);
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of (request.body ?? []) as AsyncIterable<Uint8Array>) {
    size += chunk.byteLength;
    if (size > limit) throw tooLarge(limit);
    chunks.push(chunk);
  }
  const bytes = new Uint8Array(size);
  let at = 0;
  for (const chunk of chunks) {
    bytes.set(chunk, at);
    at += chunk.byteLength;
  }
  return bytes;
}

/** The text of a JSON body. @throws {Refusal} 413 over the limit, 415 not JSON by its type */
export async function readJsonText(request: Request): Promise<string> {
  const type = request.headers.get('content-type') ?? '';
  if (!type.startsWith('application/json'))
    throw new Refusal('wrong format', 'Not JSON', 'Send the body as application/json.', [
      { field: 'content-type', message: type || 'missing' },
    ]);
  return Buffer.from(await readBytes(request, BODY_LIMIT)).toString('utf8');
}

/** No document of a shop is nested half as deep. */
const MOST_DEEP = 64;
const [OPENS, CLOSES, OPENS_LIST, CLOSES_LIST, QUOTE, ESCAPE] = [...'{}[]"\\'].map((sign) => sign.charCodeAt(0));

/** Whether a JSON text is nested deeper than any document is. */
function tooDeep(text: string): boolean {
  let depth = 0;
  let quoted = false;
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    if (quoted) {
      if (code === ESCAPE) i++;
      else if (code === QUOTE) quoted = false;
    } else if (code === QUOTE) quoted = true;
    else if (code === OPENS || code === OPENS_LIST) {
      if (++depth > MOST_DEEP) return true;
    } else if (code === CLOSES || code === CLOSES_LIST) depth--;
  }
  return false;
}

/** @throws {Refusal} 400 broken JSON, or one that is nested too deep */
export function parseJson(text: string): unknown {
  if (tooDeep(text))
    throw new Refusal('malformed', 'Broken JSON', `The body is nested more than ${MOST_DEEP} deep: nothing here is.`, [
      { field: 'body', message: 'nested too deep' },
    ]);
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new Refusal('malformed', 'Broken JSON', 'The body is not whole JSON: it cannot be read to its end. Send it again.', [
      { field: 'body', message: 'broken JSON' },
    ]);
  }
}
