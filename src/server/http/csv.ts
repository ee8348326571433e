/** The log as a CSV download, with the same search as on the screen. */
import { LogQuerySchema } from '../../contract/schemas';
import { pressingsCsv } from '../../core/formats';
import { shop } from '../shop';
import { searchLog } from '../stores/pressings';
import { answerTo } from './endpoint';
import { invalid } from './problem';

/** A spreadsheet takes a million rows; more than that is refused by none of them kindly. */
const MOST_ROWS = 1_000_000;

export function csvReply(request: Request, url: URL): Response {
  try {
    const parsed = LogQuerySchema.omit({ limit: true }).safeParse(Object.fromEntries(url.searchParams));
    if (!parsed.success) throw invalid(parsed.error, 'Query');
    const { pressings } = searchLog(shop().db, { ...parsed.data, limit: MOST_ROWS });
    return new Response(pressingsCsv(pressings), {
      headers: {
        'content-type': 'text/csv; charset=utf-8',
        'content-disposition': 'attachment; filename="pressings.csv"',
        'cache-control': 'no-store',
      },
    });
  } catch (error) {
    return answerTo(error, request);
  }
}
