/** The rail: what every press does now, and every run that is open. */
import type { Rail } from '../../contract/schemas';
import { clocksOf, cueOf, planOf } from '../../core/run';
import { listOpenRuns, openRun, stateOf } from './openedRun';
import { findOrder } from './orders';
import { listPresses } from './shelf';
import type { Db } from './versioned';

export function readRail(db: Db, now: number): Rail {
  const open = listOpenRuns(db).map((row) => {
    const opened = openRun(db, row.id);
    const state = stateOf(opened);
    const plan = planOf(opened.run, opened.card);
    const clocks = clocksOf(plan, state);
    const order = findOrder(db, row.orderId).doc;
    return { row, card: opened.card, clocks, cue: cueOf(plan, state, now), order };
  });
  return {
    now,
    presses: listPresses(db).map(({ doc: press }) => {
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
    runs: open.map(({ row, card, clocks, cue, order }) => ({
      runId: row.id,
      orderId: row.orderId,
      lineId: row.lineId,
      pressId: row.pressId,
      label: `${order.name}, ${card.of.size}`,
      verb: cue.verb,
      now: cue.pieces,
      pieces: row.pieces,
      clocks,
    })),
  };
}
