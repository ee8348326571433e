/** What measuring is worth to the work on the bench: worked out anew only when shelf, presses, house, orders or log have changed. */
import { type Worth, worthOf } from '../../core/advice';
import { readFacts } from './cards';
import { openPrints } from './openPrints';
import { type Db, perShop } from './perShop';
import { markOf, whileSame } from './revisions';

const worthBefore = perShop(() => new Map<string, { mark: string; value: Worth[] }>());

/** @param pressId the press it is asked for; absent: all of them */
export const worthOfMeasuring = (db: Db, pressId?: string): Worth[] =>
  whileSame(db, worthBefore(db), pressId ?? '', markOf(db, 'shelf', 'presses', 'house', 'orders', 'log'), () =>
    worthOf(
      openPrints(db, readFacts(db), (print) => pressId === undefined || print.pressId === pressId).map(({ input, left }) => ({
        input,
        pieces: left,
      })),
    ),
  );
