/** Whose the piece in hand is: in a batch each has the card, the order and the number of its own print. */
import type { RunReply } from '../../contract';
import type { Card } from '../../core/card';
import { partOf } from '../../core/run';

export interface Whose {
  card: Card;
  /** Its order and size. */
  name: string;
  /** Which piece of its print, from 1, and of how many; null: the run has one print alone. */
  place: { nth: number; of: number } | null;
  /** The number or name it carries. */
  person: Card['of']['roster'][number] | undefined;
}

/** @param piece absent: the cue is of no piece */
export function whose({ run, card, orderName, also }: RunReply, piece: number | undefined): Whose {
  if (also.length === 0 || piece === undefined) return { card, name: orderName, place: null, person: card.of.roster[(piece ?? 0) - 1] };
  const { part, index, nth } = partOf(run, piece);
  const own = also[index - 1] ?? { card, orderName };
  const name = `${own.orderName}, ${own.card.of.size}`;
  return { card: own.card, name, place: { nth, of: part.pieces }, person: own.card.of.roster[nth - 1] };
}

/** Nothing of this piece’s print has had its verdict: it is looked over as a first piece is. */
export function isFirstOfPrint({ run }: Pick<RunReply, 'run'>, results: readonly { piece: number }[], piece: number | undefined): boolean {
  if (run.also.length === 0 || piece === undefined) return results.length === 0;
  const { index } = partOf(run, piece);
  return results.every((result) => partOf(run, result.piece).index !== index);
}
