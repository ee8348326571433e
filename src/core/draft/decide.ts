/** Decide: a piece's draft, phase by phase, with the reason of every value. */
import { sheetFor } from '../sheet';
import { DECISIONS, type Decision, type Decisions, RANKS } from './decisions';
import { type Arranged, type Asked, type Draft, pressOf, type Sheeted, type Timed } from './draft';
import type { PreparedInput } from './input';
import type { Reason } from './reason';

/** What a phase adds to what was known before it. */
type Own<Settled, Known> = Omit<Settled, keyof Known>;

const NOTHING_ASKED: Asked = { group: undefined, colour: undefined, alternative: undefined };
const UNTIMED: Own<Timed, Arranged> = { timeS: 0, prePressS: 0 };
const NOTHING_AFTER: Own<Draft, Timed> = { spots: 1, finish: null, rub: false, trial: false, weight: false };
const arrangedAsUsual = ({ press }: PreparedInput, sheeted: Sheeted): Own<Arranged, Sheeted> => ({
  band: pressOf(sheeted).pressure.band,
  cover: null,
  peel: 'none',
  mirror: 'as read',
  base: 'usual pad',
  pad: 'none',
  platen: { name: null, widthMm: press.platen.widthMm, heightMm: press.platen.heightMm },
  raised: false,
  loading: 'single',
  marry: null,
  tackS: 0,
  embossTackS: 0,
  mask: false,
  trim: 'nothing',
  protectFirst: false,
  split: false,
  passesMark: false,
  bumpK: 0,
});

/**
 * Everything about a piece but its temperature.
 *
 * Pure and total: a value that no decision speaks of is as it usually is. Where several speak of one, their ranks say whose
 * word counts; the reason of each is kept.
 */
export function decided(input: PreparedInput, decisions: Decisions = DECISIONS): { draft: Draft; reasons: Reason[] } {
  const reasons: Reason[] = [];
  /** One phase: as usual, overruled by what is decided, rank after rank. */
  const settle = <Known extends object, Settled extends object>(
    known: Known,
    usual: Own<Settled, Known>,
    table: readonly Decision<Known, Settled>[],
  ): Known & Own<Settled, Known> => {
    const ranked: Partial<Settled>[] = RANKS.map(() => ({}));
    for (const { field, rank, decide } of table) {
      const one = decide(input, known);
      if (!one) continue;
      Object.assign(ranked[RANKS.indexOf(rank)] ?? {}, one.set);
      reasons.push({ field, source: one.source, says: one.says });
    }
    return Object.assign({}, known, usual, ...ranked);
  };
  const asked: Asked = settle({}, NOTHING_ASKED, decisions.asked);
  const sheeted: Sheeted = { ...asked, sheet: sheetFor(input.product, asked) };
  const arranged: Arranged = settle(sheeted, arrangedAsUsual(input, sheeted), decisions.arranged);
  const timed: Timed = settle(arranged, UNTIMED, decisions.timed);
  const draft: Draft = settle(timed, NOTHING_AFTER, decisions.after);
  return { draft, reasons };
}
