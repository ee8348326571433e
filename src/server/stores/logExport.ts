/** The log out, piece by piece, from one reading of it: a million records take no more memory than a hundred. */
import { PRESSING_READER, pressingsCsvHeading, pressingsCsvLines } from '../../core/formats';
import { type Amendment, AmendmentSchema, type Pressing } from '../../core/log';
import { log } from '../log';
import type { Db } from './perShop';
import { type Logged, type LogQuery, logWalk } from './pressings';
import { read } from './readable';

/** Records read before others have their turn. */
const A_TURN = 100;

interface Row {
  id: string;
  text: string;
  later: string;
}

/** Every record that is asked for, newest first, with its amendments, some at a time. */
function* logged(db: Db, query: Omit<LogQuery, 'limit'>): Generator<Logged[]> {
  const { sql, params } = logWalk(db, query);
  let some: Logged[] = [];
  for (const { id, text, later } of db.$client.prepare(sql).iterate(...params) as Iterable<Row>) {
    const result = read<Pressing>(PRESSING_READER, text);
    if ('why' in result) log.warn({ pressing: id, why: result.why }, 'a record that cannot be read is left out of a list');
    else {
      const amendments = (JSON.parse(later) as unknown[]).flatMap((amendment) => {
        const parsed = AmendmentSchema.safeParse(amendment);
        return parsed.success ? [parsed.data as Amendment] : [];
      });
      some.push({ ...result.doc, amendments, withdrawn: amendments.filter((a) => a.field === 'standing').at(-1)?.to === 'withdrawn' });
    }
    if (some.length === A_TURN) {
      yield some;
      some = [];
    }
  }
  yield some;
}

export function* logCsv(db: Db, query: Omit<LogQuery, 'limit'>): Generator<string> {
  yield pressingsCsvHeading();
  for (const some of logged(db, query)) yield pressingsCsvLines(some);
}

export function* logJson(db: Db, query: Omit<LogQuery, 'limit'>): Generator<string> {
  yield '{"pressings": [';
  let first = true;
  for (const some of logged(db, query))
    for (const logged of some) {
      yield `${first ? '' : ','}\n${JSON.stringify(logged)}`;
      first = false;
    }
  yield '\n]}\n';
}
