/** Bench stack: a card's piece, setting and limits as the Heat bench takes them up, with what the press can reach. */

import { dyeLimit, learnedOf, limitsFor, pieceOf, prepared, pressOf, type ResolveInput, referenceOf, softensAt } from '../draft';
import { COVER_SHEETS, type StackLayer } from '../heat';
import type { HeatQuery } from '../heatBench';
import { judge } from '../judgement';
import { bandOf, type Offset } from '../press';
import type { Peel, SheetStage } from '../sheet';
import type { Bound, Window } from '../window';

export interface BenchStack {
  blankName: string;
  productName: string;
  query: HeatQuery;
  /** The sheet's window, at the platen's surface. */
  allowed: { timeS: { min: number; max: number }; surfaceC: { min: number; max: number } };
  /** The sheet's own setting. */
  nominal: { surfaceC: number; timeS: number };
  bounds: Bound[];
  press: Offset & Window['settable'] & { id: string; name: string };
  set: { tempC: number; timeS: number };
  /** Half the 95 % band over the art, K, and what is unsure of the learned shift. */
  spreadK: number;
  shiftSd: number;
  peel: Peel;
  cover: { asked: SheetStage['cover']; layer: StackLayer; on: boolean };
}

/** How long a freed piece is watched on the bench, s. */
const WATCHED_S = 240;

/** The stack of a print as its card has it; null where the art is pressed from the back, which the model does not know. */
export function benchStack(original: ResolveInput): BenchStack | null {
  const input = prepared(original);
  if (input.print.embossed) return null;
  const { draft, window, set, values } = judge(input);
  const stage = pressOf(draft);
  const surface = (setC: number) => Math.min(260, Math.max(0, bandOf(window, setC).midC));
  const { lowC, highC } = bandOf(window, set.tempC);
  const learned = learnedOf(input);
  const reference = referenceOf(input, draft);
  const { offsetK, spreadK, slope, spreadPerK, refC } = window;
  return {
    blankName: input.blank.name,
    productName: input.product.name,
    query: {
      piece: pieceOf(input, draft, undefined, set.lowerC),
      passage: {
        surfaceC: surface(set.tempC),
        timeS: draft.timeS,
        prePressS: draft.prePressS,
        finish: draft.finish && {
          surfaceC: surface(values.finish),
          timeS: draft.finish.timeS,
          cover: { role: 'cover', ...COVER_SHEETS[draft.finish.cover] },
        },
        cooling: { where: 'air', forS: WATCHED_S },
      },
      adhesive: { softenC: softensAt(draft), reference, shift: learned?.shift ?? 1 },
      limits: { ...limitsFor(input), dyeC: dyeLimit(input), ...(draft.passesMark && { markC: null }) },
    },
    allowed: { timeS: { min: stage.timeS.min, max: stage.timeS.max }, surfaceC: { min: stage.tempC.min, max: stage.tempC.max } },
    nominal: { surfaceC: reference.surfaceC, timeS: reference.timeS },
    bounds: window.bounds,
    press: { id: input.press.id, name: input.press.name, ...window.settable, offsetK, spreadK, slope, spreadPerK, refC },
    set: { tempC: set.tempC, timeS: draft.timeS },
    spreadK: (highC - lowC) / 2,
    shiftSd: learned?.sd ?? 0,
    peel: draft.peel,
    cover: { asked: stage.cover, layer: { role: 'cover', ...COVER_SHEETS[stage.coverKind] }, on: draft.cover !== null },
  };
}
