/** Where on the art a part lies that was pressed again. */
import type { SpotArea } from './events';

/** Nearly as long as the art itself. */
const WHOLE = 0.9;

/** `the top right part`, `the left part`, `the middle part`. */
export function partWords({ x, y, width, height }: SpotArea): string {
  const side = (middle: number, length: number, low: string, high: string): string =>
    length > WHOLE ? '' : middle < 0.4 ? low : middle > 0.6 ? high : '';
  const words = [side(y + height / 2, height, 'top', 'bottom'), side(x + width / 2, width, 'left', 'right')].filter(Boolean);
  return `the ${words.join(' ') || (width > WHOLE && height > WHOLE ? 'whole' : 'middle')} part`;
}
