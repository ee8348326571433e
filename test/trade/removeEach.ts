/** Takes each rule of the trade out in turn and says which case of the decision table then fails. */
import { TRADE, type Trade } from '../../src/core/card';
import type { Decision, Decisions } from '../../src/core/draft';
import { type Case, mismatches } from './check';
import { CASES } from './table';

/** Whether a case fails under a trade; one that cannot be worked out at all fails too. */
function fails(entry: Case, trade: Trade): boolean {
  try {
    return mismatches(entry, trade).length > 0;
  } catch {
    return true;
  }
}

type Table = <Known, Settled>(table: readonly Decision<Known, Settled>[]) => readonly Decision<Known, Settled>[];

/** The decisions with every phase's table changed. */
export const eachPhase = (change: Table, { asked, arranged, timed, after }: Decisions = TRADE.decisions): Decisions => ({
  asked: change(asked),
  arranged: change(arranged),
  timed: change(timed),
  after: change(after),
});

export interface Removal {
  part: 'decisions' | 'rules' | 'steps';
  id: string;
  /** The first case that fails without it; null: nothing guards it. */
  caught: string | null;
}

/** The trade with every rule noting when it has something to say: only there can its absence be felt. */
function listening(heard: Set<string>): Trade {
  const hear = <T>(id: string, said: T | null): T | null => {
    if (said !== null) heard.add(id);
    return said;
  };
  return {
    ...TRADE,
    decisions: eachPhase((table) =>
      table.map((decision) => ({ ...decision, decide: (input, known) => hear(decision.id, decision.decide(input, known)) })),
    ),
    rules: TRADE.rules.map((rule) => ({ ...rule, evaluate: (input, draft) => hear(rule.id, rule.evaluate(input, draft)) })),
    steps: TRADE.steps.map((step) => ({ ...step, says: (context) => hear(step.id, step.says(context)) })),
  };
}

export function removeEach(cases: readonly Case[] = CASES): Removal[] {
  const heardIn = cases.map((example) => {
    const heard = new Set<string>();
    mismatches(example, listening(heard));
    return heard;
  });
  const others = <T extends { id: string }>(table: readonly T[], id: string) => table.filter((candidate) => candidate.id !== id);
  const removals: { part: Removal['part']; id: string; without: Trade }[] = [
    ...Object.values(TRADE.decisions).flatMap((table) =>
      table.map(({ id }: { id: string }) => ({
        part: 'decisions' as const,
        id,
        without: { ...TRADE, decisions: eachPhase((phase) => others(phase, id)) },
      })),
    ),
    ...TRADE.rules.map(({ id }) => ({ part: 'rules' as const, id, without: { ...TRADE, rules: others(TRADE.rules, id) } })),
    ...TRADE.steps.map(({ id }) => ({ part: 'steps' as const, id, without: { ...TRADE, steps: others(TRADE.steps, id) } })),
  ];
  return removals.map(({ part, id, without }) => {
    const caught = cases.find((example, i) => heardIn[i]?.has(id) && fails(example, without));
    return { part, id, caught: caught?.says ?? null };
  });
}
