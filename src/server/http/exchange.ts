/** Lists in and out over the wire: the import tells how far it is as it reads; exports are streamed piece by piece. */
import { z } from 'zod';
import { LogQuerySchema } from '../../contract/schemas';
import { CSV_KINDS, type CsvKind, NotAShop, type Progress, shelfCsv } from '../../core/formats';
import type { Shop } from '../db';
import { shop } from '../shop';
import type { Plan } from '../stores/planner';
import { searchLog } from '../stores/pressings';
import { readShelf } from '../stores/shelf';
import { shopJson } from '../stores/shopExport';
import { planCsv, planJson, planPressingsCsv } from '../stores/shopImport';
import { readText } from './body';
import { announceChange } from './changes';
import { answerTo } from './endpoint';
import { invalid, problemOf, Refusal } from './problem';

const IMPORT_LIMIT = 64 * 1024 * 1024;
const ImportQuery = z.object({ kind: z.enum([...CSV_KINDS, 'pressings', 'shop']), apply: z.enum(['true', 'false']).default('false') });

const attachment = (name: string, type: string) => ({
  'content-type': type,
  'content-disposition': `attachment; filename="${name}"`,
  'cache-control': 'no-store',
});

/** Lets other requests have their turn. */
const breathe = () => new Promise<void>((resolve) => setImmediate(resolve));

/** The plan of a file, with a word of progress now and then. */
async function* planned(
  { db }: Shop,
  kind: z.output<typeof ImportQuery>['kind'],
  json: boolean,
  text: string,
): AsyncGenerator<Progress, Plan> {
  if (json) return planJson(db, text);
  if (kind === 'shop')
    throw new Refusal(415, 'Not a shop', 'A whole shop comes in as JSON. For a CSV say what its rows are.', [
      { field: 'kind', message: 'a CSV is of one kind' },
    ]);
  const reading = kind === 'pressings' ? planPressingsCsv(db, text) : planCsv(db, kind as CsvKind, text);
  for (;;) {
    const step = reading.next();
    if (step.done) return step.value;
    yield step.value;
    await breathe();
  }
}

/** POST of a file: lines of progress, then what it would do or has done. All of it or none. */
export async function importReply(request: Request, url: URL): Promise<Response> {
  try {
    const query = ImportQuery.safeParse(Object.fromEntries(url.searchParams));
    if (!query.success) throw invalid(query.error, 'Query');
    const type = request.headers.get('content-type') ?? '';
    const json = type.startsWith('application/json');
    if (!json && !type.startsWith('text/csv'))
      throw new Refusal(415, 'Not a list', 'Send the file as text/csv or application/json.', [
        { field: 'content-type', message: type || 'missing' },
      ]);
    const text = await readText(request, IMPORT_LIMIT);
    const opened = shop();
    const { kind, apply } = query.data;
    const encoder = new TextEncoder();
    const body = new ReadableStream<Uint8Array>({
      async start(controller) {
        const tell = (words: object) => controller.enqueue(encoder.encode(`${JSON.stringify(words)}\n`));
        try {
          const plan = planned(opened, kind, json, text);
          let step = await plan.next();
          while (!step.done) {
            tell(step.value);
            step = await plan.next();
          }
          const { changes, same, faults, apply: doIt } = step.value;
          const applied = apply === 'true' && faults.length === 0;
          if (applied) {
            doIt();
            announceChange();
          }
          tell({ result: { changes, same, faults, applied } });
        } catch (error) {
          const refusal =
            error instanceof NotAShop ? new Refusal(422, 'Not a shop', error.message, [{ field: 'file', message: error.message }]) : error;
          tell({ problem: await problemOf(answerTo(refusal, request)) });
        }
        controller.close();
      },
    });
    return new Response(body, { headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' } });
  } catch (error) {
    return answerTo(error, request);
  }
}

/** A text sent as it is made. */
function streamed(pieces: Generator<string>, headers: Record<string, string>): Response {
  const encoder = new TextEncoder();
  const body = new ReadableStream<Uint8Array>({
    async pull(controller) {
      const { value, done } = pieces.next();
      if (done) controller.close();
      else controller.enqueue(encoder.encode(value));
      await breathe();
    },
  });
  return new Response(body, { headers });
}

export function shopJsonReply(request: Request): Response {
  try {
    return streamed(shopJson(shop().db), attachment('shop.json', 'application/json; charset=utf-8'));
  } catch (error) {
    return answerTo(error, request);
  }
}

export function shelfCsvReply(request: Request, kind: string): Response {
  try {
    const asked = z.enum(CSV_KINDS).safeParse(kind);
    if (!asked.success) throw invalid(asked.error, 'Path');
    const docs = readShelf(shop().db)[asked.data];
    return new Response(shelfCsv(asked.data, docs as never), { headers: attachment(`${asked.data}.csv`, 'text/csv; charset=utf-8') });
  } catch (error) {
    return answerTo(error, request);
  }
}

/** A spreadsheet takes a million rows; more than that is refused by none of them kindly. */
const MOST_ROWS = 1_000_000;

/** The log as JSON, with the same search as on the screen. */
export function pressingsJsonReply(request: Request, url: URL): Response {
  try {
    const parsed = LogQuerySchema.omit({ limit: true }).safeParse(Object.fromEntries(url.searchParams));
    if (!parsed.success) throw invalid(parsed.error, 'Query');
    const { pressings } = searchLog(shop().db, { ...parsed.data, limit: MOST_ROWS });
    return new Response(JSON.stringify({ pressings }, null, 1), {
      headers: attachment('pressings.json', 'application/json; charset=utf-8'),
    });
  } catch (error) {
    return answerTo(error, request);
  }
}
