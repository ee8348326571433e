/** The rail: what every press does now, and every run that is open. */
import type { Rail } from '../../contract/schemas';
import { cueOf } from '../../core/run';
import { findOrder } from './orders';
import { listOpenRuns, openRun, stateOf } from './runs';
import { listPresses } from './shelf';
import type { Db } from './versioned';

export function readRail(db: Db, now: number): Rail {
  const open = listOpenRuns(db).map((row) => {
    const opened = openRun(db, row.id);
    const state = stateOf(opened);
    const stages = opened.card.stages;
    const cue = cueOf({ pieces: opened.run.pieces, stages }, state, now);
    return { row, card: opened.card, state, cue, timeS: stages[state.stage]?.timeS ?? 0, order: findOrder(db, row.orderId).doc };
  });
  return {
    now,
    presses: listPresses(db).map(({ doc: press }) => {
      const here = open.filter(({ row }) => row.pressId === press.id);
      const last = here.at(-1);
      const closed = here.some(({ state }) => state.phase === 'closed');
      return {
        id: press.id,
        name: press.name,
        setC: last?.card.set.tempC ?? null,
        unit: press.set.unit,
        state: closed ? ('closed' as const) : last ? ('in use' as const) : ('free' as const),
      };
    }),
    runs: open.map(({ row, card, state, cue, timeS, order }) => ({
      runId: row.id,
      orderId: row.orderId,
      lineId: row.lineId,
      pressId: row.pressId,
      label: `${order.name}, ${card.of.size}`,
      phase: state.phase,
      verb: cue.verb,
      piece: state.piece,
      pieces: row.pieces,
      dueAt: state.dueAt,
      timeS,
    })),
  };
}
