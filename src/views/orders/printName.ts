/** What a print of a piece is called among its others: its place, or its art where two share a place. */
import { sidedWords } from '../../core/materials';
import type { Print } from '../../core/order';

type Named = Pick<Print, 'position' | 'side' | 'artName'>;

export function printName(print: Named, prints: readonly Named[]): string {
  const place = sidedWords(print);
  return prints.some((other) => other !== print && sidedWords(other) === place) ? print.artName : place;
}
