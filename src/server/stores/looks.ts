/** How a line's piece looks, as a small picture. */
import { miniatureOf, miniatureSvg } from '../../core/draft';
import { readHouse } from './house';
import type { Db } from './perShop';
import { findReadable } from './versioned';

/**
 * @param lineId null: the order's first line
 * @returns an SVG; null: there is no such line, it has no print, or nobody can say where that lies
 * @throws {Refusal} 409 the order or its blank cannot be read
 */
export function looksOf(db: Db, orderId: string, lineId: string | null): string | null {
  const lines = findReadable(db, 'orders', orderId)?.doc.lines ?? [];
  const line = lineId === null ? lines[0] : lines.find(({ id }) => id === lineId);
  const blank = line && findReadable(db, 'blanks', line.blankId)?.doc;
  const miniature = line && blank ? miniatureOf(line, blank, readHouse(db).doc) : null;
  return miniature && miniatureSvg(miniature);
}
