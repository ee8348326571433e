/** Cues followed by hands of a fixed kind at a simulated press, against the best that any order of the same acts can do. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isWhole } from '../../../test/runs';
import { actsOf } from './acts';
import { cueOf, factOf, type RunEvent, type RunPlan, type RunState, replay } from './index';
import { step } from './machine';
import { startRun } from './state';
import { COLD, MARRIED, TWO_SHEET, uuid, WARM } from './test/plans';

/** To close or to open the press, s. */
const HANDLE_S = 1;
const handsOf = (plan: RunPlan, stage: number): number => {
  const it = plan.stages[stage];
  return it?.by === 'hands' ? it.timeS : HANDLE_S;
};

/** Plays a run by its cues; hands need their usual time, times a factor. */
function played(plan: RunPlan, factor: () => number = () => 1) {
  let run = startRun(1);
  let at = 1;
  const hot: number[] = [];
  for (let i = 0; i < 5000 && !run.done; i++) {
    const cue = cueOf(plan, run, at);
    if (!cue.act) {
      const due = Math.min(...run.active.flatMap(({ dueAt }) => (dueAt !== null && dueAt > at ? [dueAt] : [])));
      if (!Number.isFinite(due)) throw new Error(`nothing to wait for: ${cue.verb}`);
      at = due;
      continue;
    }
    // a peel counts from when the hands begin it
    if (cue.hot) hot.push((at - (run.active.find((lot) => lot.first === cue.pieces[0])?.since ?? at)) / 1000);
    at += Math.round(handsOf(plan, cue.stage) * factor() * 1000);
    const applied = step(plan, run, { ...factOf(cue, cue.act), id: uuid(), at } as Exclude<RunEvent, { kind: 'undone' }>);
    if (applied.state === 'refused') throw new Error(applied.message);
    run = applied.run;
  }
  return { makespanS: (at - 1) / 1000, hot, run };
}

/**
 * The least time any order of acts takes, by search over all of them: at every moment each act that could be done, and waiting
 * for the next clock. States that differ only in which of the like pieces is which are one.
 */
function bestS(plan: RunPlan, limit: number): number {
  const seen = new Map<string, number>();
  let best = limit;
  /** Seconds of hands still to come: no order is quicker. */
  const rest = (run: RunState): number => {
    const begun = run.active.flatMap((lot) => plan.stages.slice(lot.stage + (lot.phase === 'ready' ? 0 : 1)));
    const fresh = Array.from({ length: plan.pieces - run.begun }, () => plan.stages).flat();
    return [...begun, ...fresh].reduce(
      (sum, plannedStage) => sum + (plannedStage.by === 'hands' ? plannedStage.timeS : plannedStage.by === 'press' ? HANDLE_S : 0),
      0,
    );
  };
  // biome-ignore lint/complexity/noExcessiveCognitiveComplexity: the best order found by trying all of them
  const visit = (run: RunState, at: number): void => {
    const now = (at - 1) / 1000;
    if (run.done) {
      best = Math.min(best, now);
      return;
    }
    if (now + rest(run) >= best) return;
    const key = JSON.stringify([
      run.begun,
      run.active.map((lot) => [lot.stage, lot.phase, lot.onPress, lot.dueAt === null ? 0 : Math.max(0, lot.dueAt - at)]).sort(),
    ]);
    const before = seen.get(key);
    if (before !== undefined && before <= at) return;
    seen.set(key, at);
    const acts = actsOf(plan, run);
    const tried = new Set<string>();
    for (const act of acts) {
      if (act.kind === 'opened' || act.peel ? act.from > at : act.lot.phase === 'cooling' && act.from > at) continue;
      const like = JSON.stringify([act.kind, act.stage, act.lot.phase, act.lot.onPress, act.lot.dueAt]);
      if (tried.has(like)) continue;
      tried.add(like);
      const after = at + handsOf(plan, act.stage) * 1000;
      const applied = step(plan, run, { kind: act.kind, piece: act.lot.pieces[0], id: uuid(), at: after } as Exclude<
        RunEvent,
        { kind: 'undone' }
      >);
      if (applied.state === 'ok') visit(applied.run, after);
    }
    const due = Math.min(...run.active.flatMap(({ dueAt }) => (dueAt !== null && dueAt > at ? [dueAt] : [])));
    if (Number.isFinite(due)) visit(run, due);
  };
  visit(startRun(1), 1);
  return best;
}

const shorter = (plan: RunPlan, pieces: number, wait: number): RunPlan => ({
  ...plan,
  pieces,
  stages: plan.stages.map((stage) => (stage.by === 'clock' ? { ...stage, timeS: wait } : stage)),
});
describe('runs played by their cues', () => {
  it.runIf(isWhole).each([
    { what: '2 warm', plan: shorter(WARM, 2, 30) },
    { what: '6 warm', plan: shorter(WARM, 6, 30) },
    { what: '3 cold', plan: shorter(COLD, 3, 150) },
    { what: '5 cold', plan: shorter(COLD, 5, 150) },
    { what: '5 with a short wait', plan: shorter(COLD, 5, 70) },
    { what: '3 in two layers', plan: { ...MARRIED, pieces: 3 } },
    { what: '2 of two sheets', plan: TWO_SHEET },
    { what: '4 of two sheets', plan: { ...TWO_SHEET, pieces: 4 } },
  ])('$what: within 5 % of the best order there is', ({ plan }) => {
    const { makespanS } = played(plan);
    const best = bestS(plan, makespanS + 0.001);
    expect(makespanS / best, `${makespanS} s, best ${best} s`).toBeLessThanOrEqual(1.05);
  });

  it('in 100 runs with hands now quicker, now slower, hot peels are begun within 3 s of opening, and every piece comes out', () => {
    const factors = fc.sample(fc.integer({ min: 60, max: 180 }), { numRuns: 4000, seed: 7 });
    let i = 0;
    const hot = [WARM, COLD, MARRIED, TWO_SHEET].flatMap((plan, k) =>
      Array.from({ length: 25 }, (_, n) => {
        const entry = played({ ...plan, pieces: 1 + ((n + k) % 9) }, () => (factors[i++ % factors.length] ?? 100) / 100);
        expect(entry.run.results).toHaveLength(1 + ((n + k) % 9));
        return entry.hot;
      }).flat(),
    );
    expect(hot.length).toBeGreaterThan(300);
    expect(hot.filter((s) => s <= 3).length / hot.length).toBeGreaterThanOrEqual(0.99);
  });

  it('what is replayed is what was played', () => {
    const { run } = played({ ...TWO_SHEET, pieces: 3 });
    expect(replay(TWO_SHEET, 1, [])).toEqual(startRun(1));
    expect(run.results.map(({ piece }) => piece).sort()).toEqual([1, 2, 3]);
  });
});
