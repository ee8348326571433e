/** How a line's piece looks, as a small picture. */
import { miniatureOf, miniatureSvg } from '../../core/draft';
import { notFound } from '../refusal';
import { readHouse } from './house';
import { findOrder } from './orders';
import type { Db } from './perShop';
import { readShelf } from './shelf';

/**
 * @param lineId null: the order's first line
 * @returns an SVG; null: it has no print, or nobody can say where it lies
 * @throws {Refusal} 404
 */
export function looksOf(db: Db, orderId: string, lineId: string | null): string | null {
  const { lines } = findOrder(db, orderId).doc;
  const line = lineId === null ? lines[0] : lines.find(({ id }) => id === lineId);
  if (!line) throw notFound('line', lineId ?? 'first');
  const blank = readShelf(db).blanks.find(({ id }) => id === line.blankId);
  if (!blank) throw notFound('blank', line.blankId);
  const miniature = miniatureOf(line, blank, readHouse(db).doc);
  return miniature && miniatureSvg(miniature);
}
