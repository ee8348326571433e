/** Whose the piece in hand is: in a batch each has the card, the order and the number of its own print. */
import type { RunReply } from '../../contract';
import type { Card } from '../../core/card';
import { hasDesigns, partOf } from '../../core/run';
import { piecesWords } from '../../ui/pieces';

export interface Whose {
  card: Card;
  /** Its order and size. */
  name: string;
  /** Which piece of its print, from 1, and of how many; null: the run has one print alone. */
  place: { nth: number; of: number } | null;
  /** What each piece of the cue is called, where they are designs of one closing. */
  designs: string[];
  /** The number or name it carries. */
  person: Card['of']['roster'][number] | undefined;
}

/** @param pieces of the cue; none: the cue is of no piece */
export function whose(reply: RunReply, pieces: readonly number[]): Whose {
  const { run, card, orderName, also } = reply;
  const [piece] = pieces;
  if (also.length === 0 || piece === undefined)
    return { card, name: orderName, place: null, designs: [], person: card.of.roster[(piece ?? 0) - 1] };
  const { part, index, nth } = partOf(run, piece);
  const own = also[index - 1] ?? { card, orderName };
  const designs = hasDesigns(run) ? pieces.map((one) => designOf(reply, one)) : [];
  const name = `${own.orderName}, ${own.card.of.size}`;
  return { card: own.card, name, place: { nth, of: part.pieces }, designs, person: own.card.of.roster[nth - 1] };
}

/** Art of a piece of a run. */
function designOf({ run, card, also }: RunReply, piece: number): string {
  const { index } = partOf(run, piece);
  return (also[index - 1]?.card ?? card).of.artName;
}

/** `piece 3`; of several designs the blank they lie on, and which where it is not all of them. */
export function briefName(reply: RunReply, pieces: readonly number[]): string {
  const { designs, place } = whose(reply, pieces);
  if (!place || designs.length === 0) return piecesWords(pieces);
  return designs.length > reply.also.length ? `piece ${place.nth}` : designs.join(', ');
}

/** Nothing of this piece’s print was looked over already: it is looked over as a first piece is. */
export function isFirstOfPrint({ run }: Pick<RunReply, 'run'>, results: readonly { piece: number }[], piece: number | undefined): boolean {
  if (run.also.length === 0 || piece === undefined) return results.length === 0;
  const { index } = partOf(run, piece);
  return results.every((result) => partOf(run, result.piece).index !== index);
}
