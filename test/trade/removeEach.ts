/** Takes each rule of the trade out in turn and says which case of the decision table then fails. */
import { TRADE, type Trade } from '../../src/core/card';
import { type Case, mismatches } from './check';
import { CASES } from './table';

/** Whether a case fails under a trade; one that cannot be worked out at all fails too. */
function fails(one: Case, trade: Trade): boolean {
  try {
    return mismatches(one, trade).length > 0;
  } catch {
    return true;
  }
}

export interface Removal {
  part: keyof Trade;
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
    decisions: TRADE.decisions.map((one) => ({ ...one, decide: (input, draft) => hear(one.id, one.decide(input, draft)) })),
    rules: TRADE.rules.map((one) => ({ ...one, met: (input, draft) => hear(one.id, one.met(input, draft)) })),
    steps: TRADE.steps.map((one) => ({ ...one, says: (context) => hear(one.id, one.says(context)) })),
  };
}

export function removeEach(cases: readonly Case[] = CASES): Removal[] {
  const heardIn = cases.map((one) => {
    const heard = new Set<string>();
    mismatches(one, listening(heard));
    return heard;
  });
  return (['decisions', 'rules', 'steps'] as const).flatMap((part) =>
    TRADE[part].map(({ id }) => {
      const without: Trade = { ...TRADE, [part]: TRADE[part].filter((rule) => rule.id !== id) };
      const caught = cases.find((one, i) => heardIn[i]?.has(id) && fails(one, without));
      return { part, id, caught: caught?.says ?? null };
    }),
  );
}
