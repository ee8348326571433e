/** Decide: a piece's draft, phase by phase, with the reason of every value. */
import { groupOf } from '../materials';
import { dwell, type Press } from '../press';
import { sheetFor } from '../sheet';
import { DECISIONS, type Decision, type Decisions, RANKS } from './decisions';
import { type Arranged, type Draft, pressOf, type Sheeted, type SheetQuery, sheetStage, type Timed } from './draft';
import { layersOf, type PreparedInput } from './input';
import { mirrorOf } from './mirror';
import type { Reason } from './reason';

/** What a phase adds to what was known before it. */
type Own<Settled, Known> = Omit<Settled, keyof Known>;

const NOTHING_ASKED: SheetQuery = { group: undefined, colour: undefined, alternative: undefined };
const UNTIMED: Own<Timed, Arranged> = { timeS: 0, prePressS: 0, prePressCover: null };
const NOTHING_AFTER: Own<Draft, Timed> = { spots: 1, finish: null, rub: false, trial: false, weight: false, coolsOn: 'table' };
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
  rubMarried: false,
  tackS: 0,
  fullS: [],
  embossTackS: 0,
  mask: null,
  trim: 'nothing',
  protectFirst: false,
  split: false,
  passesMark: false,
  bumpK: 0,
});

/** Each lower layer by its own sheet, for this fabric and the colour that lies there. */
function underOf(input: PreparedInput): Sheeted['under'] {
  const { under, fabric, blank, house } = input;
  return under.map((product, i) => {
    const colour = layersOf(input)[i]?.colour ?? undefined;
    const sheet = sheetFor(product, house.figures.allowances, { group: groupOf(fabric), colour, alternative: undefined });
    return { product, mirror: mirrorOf(product, blank), press: pressOf({ sheet }), tack: sheetStage({ sheet }, 'tack') };
  });
}

/** Times as the press's own timer can be set. */
function inSteps<T extends Partial<Draft>>(press: Press, draft: T): T {
  const step = (timeS: number) => dwell(press, timeS);
  const { timeS, prePressS, tackS, fullS, embossTackS, finish } = draft;
  return {
    ...draft,
    ...(timeS !== undefined && { timeS: step(timeS) }),
    ...(prePressS && { prePressS: step(prePressS) }),
    ...(tackS && { tackS: step(tackS) }),
    ...(fullS && { fullS: fullS.map((value) => value && step(value)) }),
    ...(embossTackS && { embossTackS: step(embossTackS) }),
    ...(finish && { finish: { ...finish, timeS: step(finish.timeS) } }),
  };
}

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
      const decided = decide(input, known);
      if (!decided) continue;
      Object.assign(ranked[RANKS.indexOf(rank)] ?? {}, decided.set);
      reasons.push({ field, source: decided.source, says: decided.says });
    }
    return Object.assign({}, known, usual, ...ranked);
  };
  const asked: SheetQuery = settle({}, NOTHING_ASKED, decisions.asked);
  const sheeted: Sheeted = { ...asked, sheet: sheetFor(input.product, input.house.figures.allowances, asked), under: underOf(input) };
  const arranged: Arranged = settle(sheeted, arrangedAsUsual(input, sheeted), decisions.arranged);
  const timed: Timed = inSteps(input.press, settle(arranged, UNTIMED, decisions.timed));
  const draft: Draft = inSteps(input.press, settle(timed, NOTHING_AFTER, decisions.after));
  return { draft, reasons };
}
