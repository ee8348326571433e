/** Lists in and out over the wire: the import tells how far it is as it reads; exports are sent as they are made. */
import { z } from 'zod';
import { STALE_AFTER_ALL } from '../../contract/paths';
import { LogQuerySchema } from '../../contract/schemas';
import { shelfCsv } from '../../core/formats';
import { SHELF_KINDS } from '../../core/sheet';
import { announceChange } from '../announce';
import { invalid, Refusal } from '../refusal';
import { shop } from '../shop';
import { IMPORT_KINDS } from '../stores/importKinds';
import { readShelf } from '../stores/shelf';
import { inWorkerTelling, listInWorker } from '../work/pool';
import type { ListJob } from '../work/task';
import { readBytes } from './body';
import { answerTo } from './endpoint';
import { problemOf } from './problem';
import { attachment, streamed } from './streamed';

const IMPORT_LIMIT = 64 * 1024 * 1024;
const ImportQuery = z.object({ kind: z.enum(IMPORT_KINDS), apply: z.enum(['true', 'false']).default('false') });

/** POST of a file: lines of progress, then what it would do or has done. All of it or none. */
export async function importReply(request: Request, url: URL): Promise<Response> {
  try {
    const query = ImportQuery.safeParse(Object.fromEntries(url.searchParams));
    if (!query.success) throw invalid(query.error, 'Query');
    const type = request.headers.get('content-type') ?? '';
    const json = type.startsWith('application/json');
    if (!json && !type.startsWith('text/csv'))
      throw new Refusal('wrong format', 'Not a list', 'Send the file as text/csv or application/json.', [
        { field: 'content-type', message: type.slice(0, 100) || 'missing' },
      ]);
    const bytes = await readBytes(request, IMPORT_LIMIT);
    const { path } = shop();
    const { kind, apply } = query.data;
    const encoder = new TextEncoder();
    const body = new ReadableStream<Uint8Array>({
      async start(controller) {
        const tell = (words: string) => {
          try {
            controller.enqueue(encoder.encode(`${words}\n`));
          } catch {
            // who asked is gone; the file is taken to its end all the same, or not at all
          }
        };
        try {
          const task = { do: 'import', path, job: { kind, json, apply: apply === 'true', bytes } } as const;
          const done = await inWorkerTelling(task, (progress) => tell(JSON.stringify(progress)));
          announceChange(STALE_AFTER_ALL);
          tell(`{"result":${done.text}}`);
        } catch (error) {
          tell(JSON.stringify({ problem: await problemOf(answerTo(error, request)) }));
        }
        controller.close();
      },
    });
    return new Response(body, { headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' } });
  } catch (error) {
    return answerTo(error, request);
  }
}

/** A list of the shop as it is at this moment, sent as it is made. What goes wrong before its first piece is still a problem reply. */
async function listReply(request: Request, jobOf: () => ListJob, name: string, type: string): Promise<Response> {
  try {
    const { pieces, end } = listInWorker(shop().path, jobOf());
    let first: Awaited<ReturnType<typeof pieces.next>> | null = await pieces.next();
    const next = async () => {
      const piece = first ?? (await pieces.next());
      first = null;
      return piece;
    };
    return streamed({ next }, attachment(name, `${type}; charset=utf-8`), end);
  } catch (error) {
    return answerTo(error, request);
  }
}

export const shopJsonReply = (request: Request): Promise<Response> =>
  listReply(request, () => ({ list: 'shop' }), 'shop.json', 'application/json');

export function shelfCsvReply(request: Request, kind: string): Response {
  try {
    const parsed = z.enum(SHELF_KINDS).safeParse(kind);
    if (!parsed.success) throw invalid(parsed.error, 'Path');
    const docs = readShelf(shop().db)[parsed.data];
    return new Response(shelfCsv(parsed.data, docs as never), { headers: attachment(`${parsed.data}.csv`, 'text/csv; charset=utf-8') });
  } catch (error) {
    return answerTo(error, request);
  }
}

/** The log as a list, with the same search as on the screen. */
export function pressingsReply(request: Request, url: URL, as: 'csv' | 'json'): Promise<Response> {
  const jobOf = (): ListJob => {
    const parsed = LogQuerySchema.omit({ limit: true }).safeParse(Object.fromEntries(url.searchParams));
    if (!parsed.success) throw invalid(parsed.error, 'Query');
    return { list: 'pressings', as, query: parsed.data };
  };
  return listReply(request, jobOf, `pressings.${as}`, as === 'csv' ? 'text/csv' : 'application/json');
}
