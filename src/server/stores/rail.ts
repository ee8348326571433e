/** The rail: what every press does now, and every run that is open. */
import type { Rail, Unreadable } from '../../contract/schemas';
import { figuresAt } from '../../core/card';
import { type Clock, clocksOf, cueOf, cueVerb, hasDesigns, type Live, setNow } from '../../core/run';
import { Refusal } from '../refusal';
import { firstHourNow } from './firstHour';
import { openedUpTo, openRunsNow } from './openedRun';
import { type Db, perShop, remember } from './perShop';
import { markOf, whileSame } from './revisions';
import { orderNameOf } from './runs';
import { listPresses } from './shelf';

type RailRun = Rail['runs'][number];
/** What the rail says of a run, as long as it has no further step; a cue changes with time as well. */
interface CueWords {
  /** Of its newest event and of the orders, whose names it tells. */
  mark: string;
  at: number;
  run: RailRun;
  /** What is set for the closing in hand. */
  setC: number;
  closed: boolean;
}
const cueWordsOf = perShop(() => new Map<string, CueWords>());
const namesOf = perShop(() => new Map<string, { mark: string; value: string }>());
/** What a cue says changes with time too: what was told so long ago is told no more, ms. */
export const GOOD_FOR_MS = 1000;
const MOST_TOLD = 400;

function cueWords(db: Db, { row, newest }: ReturnType<typeof openRunsNow>[number], orders: string, now: number, live: LiveOf): CueWords {
  const mark = `${newest} ${orders}`;
  const memory = cueWordsOf(db);
  const before = memory.get(row.id);
  if (before?.mark === mark && now >= before.at && now - before.at < GOOD_FOR_MS) return before;
  const { card, plan, state } = openedUpTo(db, row, newest);
  const clocks = clocksOf(plan, state);
  const cue = cueOf(plan, state, now, null, live(row.pressId));
  const run: RailRun = {
    runId: row.id,
    orderId: row.orderId,
    lineId: row.lineId,
    pressId: row.pressId,
    label: `${whileSame(db, namesOf(db), row.orderId, orders, () => orderNameOf(db, row.orderId))}, ${card.of.size}${row.also.length > 0 ? `, ${hasDesigns(row) ? `${row.also.length + 1} designs` : `batch of ${row.also.length + 1}`}` : ''}`,
    verb: cueVerb(cue, card.window.settable.unit),
    now: [...cue.pieces],
    pieces: row.pieces,
    clocks: clocks.map((clock: Clock) => ({ ...clock })),
  };
  const closed = clocks.some(({ phase }) => phase === 'closed');
  const ofMachine = plan.machine < 2 ? null : setNow(plan, state);
  const setC = ofMachine ?? figuresAt(card, cue.stage)?.tempC ?? card.set.tempC;
  return remember(db, memory, row.id, { mark, at: now, run, setC, closed }, MOST_TOLD);
}

/** What a press's panel says this moment; null: no device tells. */
export type LiveOf = (pressId: string) => Live | null;

export function readRail(db: Db, now: number, live: LiveOf = () => null): Rail {
  const open: CueWords[] = [];
  const orders = markOf(db, 'orders');
  const unreadable: Unreadable[] = [];
  for (const openRun of openRunsNow(db)) {
    try {
      open.push(cueWords(db, openRun, orders, now, live));
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      const { id, orderId } = openRun.row;
      unreadable.push({ what: 'run', id, name: orderNameOf(db, orderId), why: error.message });
    }
  }
  const presses = listPresses(db);
  return {
    now,
    presses: presses.rows.map(({ doc: press }) => {
      const here = open.filter(({ run }) => run.pressId === press.id);
      const last = here.at(-1);
      return {
        id: press.id,
        name: press.name,
        setC: last?.setC ?? null,
        unit: press.set.unit,
        state: here.some(({ closed }) => closed) ? ('closed' as const) : last ? ('in use' as const) : ('free' as const),
      };
    }),
    runs: open.map(({ run }) => run),
    unreadable: [...presses.unreadable, ...unreadable],
    firstHour: firstHourNow(db),
  };
}
