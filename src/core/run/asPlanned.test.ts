/** A run done exactly as its stage line plans has no lateness at all, whatever is pressed. */
import { describe, expect, it } from 'vitest';
import { familyInput } from '../../../test/trade/families';
import { type Card, resolve } from '../card';
import { FAMILY_IDS } from '../sheet';
import { nextDue } from './choose';
import { afterRun, cueOf, factOf, MACHINE_VERSION, planOf, type RunEvent, type RunState, replay } from './index';
import { step } from './machine';
import { uuid } from './test/plans';

/** Hands that take for each act just what is planned for it, at a press that has its heat when it is reckoned to. */
function asPlanned(card: Card): RunState {
  const plan = planOf({ pieces: 3, perClosing: 1, machine: MACHINE_VERSION }, card);
  let run = replay(plan, 1, []);
  let at = 1;
  for (let i = 0; i < 1000 && !run.done; i++) {
    const cue = cueOf(plan, run, at);
    if (!cue.act || cue.act === 'freed') {
      at = nextDue(plan, run, at) ?? Number.NaN;
      continue;
    }
    const stage = plan.stages[cue.stage];
    const lastsS = stage?.by === 'hands' && cue.act !== 'turned' && cue.act !== 'read' ? stage.timeS : 0;
    // a peel is told as the hand begins it
    if (cue.act !== 'peeled') at += lastsS * 1000;
    const applied = step(plan, run, { ...factOf(cue, cue.act), id: uuid(), at } as Exclude<RunEvent, { kind: 'undone' }>);
    if (applied.state === 'refused') throw new Error(applied.message);
    run = applied.run;
  }
  return run;
}

describe('a run done exactly as planned', () => {
  it.each(FAMILY_IDS)('%s: nothing is opened or peeled late or early, and the figures of every cue are those of its stage', (id) => {
    const card = resolve(familyInput(id));
    const run = asPlanned(card);
    expect(run.results.map(({ outcome }) => outcome)).toEqual(['good', 'good', 'good']);
    const after = afterRun(card, run, 1, {});
    const off = [...after.times, ...after.peels].filter(({ late, early }) => late + early > 0);
    expect(off).toEqual([]);
    const closings = run.results.flatMap((result) => result.closings);
    for (const { stage, setC, plannedS } of closings) {
      const carded = card.stages.find(({ kind, timeS }) => kind === stage && timeS === plannedS);
      expect(setC).toBeCloseTo(carded?.setC ?? card.set.tempC, 6);
    }
  });
});
