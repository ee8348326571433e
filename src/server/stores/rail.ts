/** The rail: what every press does now, and every run that is open. */
import type { Rail, Unreadable } from '../../contract/schemas';
import { type Clock, clocksOf, cueOf } from '../../core/run';
import { Refusal } from '../http/problem';
import { listOpenRuns, type OpenedRun, openRun } from './openedRun';
import type { Db } from './perShop';
import { orderNameOf } from './runs';
import { listPresses } from './shelf';

/** Every open run that can be read; those that cannot are told. */
function openedRuns(db: Db): { opened: OpenedRun[]; unreadable: Unreadable[] } {
  const opened: OpenedRun[] = [];
  const unreadable: Unreadable[] = [];
  for (const { id, orderId } of listOpenRuns(db)) {
    try {
      opened.push(openRun(db, id));
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      unreadable.push({ what: 'run', id, name: orderNameOf(db, orderId), why: error.message });
    }
  }
  return { opened, unreadable };
}

export function readRail(db: Db, now: number): Rail {
  const { opened, unreadable } = openedRuns(db);
  const open = opened.map((one) => ({ ...one, clocks: clocksOf(one.plan, one.state), cue: cueOf(one.plan, one.state, now) }));
  const presses = listPresses(db);
  return {
    now,
    presses: presses.rows.map(({ doc: press }) => {
      const here = open.filter(({ row }) => row.pressId === press.id);
      const last = here.at(-1);
      const closed = here.some(({ clocks }) => clocks.some(({ phase }) => phase === 'closed'));
      return {
        id: press.id,
        name: press.name,
        setC: last?.card.set.tempC ?? null,
        unit: press.set.unit,
        state: closed ? ('closed' as const) : last ? ('in use' as const) : ('free' as const),
      };
    }),
    runs: open.map(({ row, card, clocks, cue }) => ({
      runId: row.id,
      orderId: row.orderId,
      lineId: row.lineId,
      pressId: row.pressId,
      label: `${orderNameOf(db, row.orderId)}, ${card.of.size}`,
      verb: cue.verb,
      now: [...cue.pieces],
      pieces: row.pieces,
      clocks: clocks.map((clock: Clock) => ({ ...clock })),
    })),
    unreadable: [...presses.unreadable, ...unreadable],
  };
}
