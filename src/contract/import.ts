/** The import as a client calls it: the file goes up, lines of progress come back, the last line is what it did. */
import { AwayError, ProblemError } from './client';
import { API } from './paths';
import type { ImportReply, Problem } from './schemas';

export interface ImportFile {
  /** What the rows of a CSV are; a JSON file says so itself. */
  kind: string;
  name: string;
  bytes: Blob;
  /** False: only say what it would do. */
  apply: boolean;
}

/**
 * Sends a file.
 *
 * @param onProgress lines read so far, of how many
 * @throws {ProblemError} the file as a whole is refused
 * @throws {AwayError} there was no answer
 */
export async function importFile(
  { kind, name, bytes, apply }: ImportFile,
  onProgress: (done: number, of: number) => void,
): Promise<ImportReply> {
  const json = name.endsWith('.json') || /^\s*\{/.test(await bytes.slice(0, 100).text());
  const response = await fetch(`${API}/import?kind=${encodeURIComponent(kind)}&apply=${apply}`, {
    method: 'POST',
    headers: { 'content-type': json ? 'application/json' : 'text/csv' },
    body: bytes,
  }).catch(() => {
    throw new AwayError();
  });
  if (!response.ok || !response.body) throw new ProblemError((await response.json()) as Problem);
  let last: ImportReply | null = null;
  for await (const line of linesOf(response.body)) {
    const told = JSON.parse(line) as { done: number; of: number } | { result: ImportReply } | { problem: Problem };
    if ('problem' in told) throw new ProblemError(told.problem);
    if ('result' in told) last = told.result;
    else onProgress(told.done, told.of);
  }
  if (!last) throw new AwayError();
  return last;
}

async function* linesOf(body: ReadableStream<Uint8Array>): AsyncGenerator<string> {
  const reader = body.getReader();
  const decoder = new TextDecoder();
  let rest = '';
  for (;;) {
    const { value, done } = await reader.read();
    if (done) break;
    const lines = (rest + decoder.decode(value, { stream: true })).split('\n');
    rest = lines.pop() ?? '';
    yield* lines.filter(Boolean);
  }
  if (rest.trim()) yield rest;
}
