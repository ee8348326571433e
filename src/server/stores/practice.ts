/** Practice: every round is kept, and what it comes to is told by operator. */
import type { PracticeRound, PracticeScore } from '../../contract/heat';
import { MISTAKES } from '../../core/advice';
import { practiceRounds } from '../db/schema';
import type { Db } from './versioned';

/** Keeps a round. A second one with the same id is the same round. */
export function keepRound(db: Db, id: string, round: PracticeRound): void {
  db.insert(practiceRounds).values({ id, operator: round.operator, doc: round }).onConflictDoNothing().run();
}

/** How practice went, by operator, those with most rounds first. */
export function practiceScores(db: Db): PracticeScore[] {
  const byOperator = new Map<string, PracticeRound[]>();
  for (const { operator, doc } of db.select().from(practiceRounds).all())
    byOperator.set(operator, [...(byOperator.get(operator) ?? []), doc]);
  return [...byOperator]
    .map(([operator, rounds]) => ({
      operator,
      rounds: rounds.length,
      meanScore: rounds.reduce((sum, { score }) => sum + score, 0) / rounds.length,
      mistakes: Object.fromEntries(
        MISTAKES.map((kind) => [kind, rounds.filter(({ mistakes }) => mistakes.includes(kind)).length]),
      ) as PracticeScore['mistakes'],
    }))
    .sort((a, b) => b.rounds - a.rounds);
}
