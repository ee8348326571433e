/** How far prints and lines are, for tests: ten pieces, none pressed, unless said. */
import type { LineProgress, PrintProgress } from '../index';

const print = (change: Partial<PrintProgress> = {}): PrintProgress => ({
  printKey: 'a',
  good: 0,
  spoiled: 0,
  lamp: 'clear',
  cautions: 0,
  openRunId: null,
  ...change,
});
export const line = (lineId: string, ...prints: Partial<PrintProgress>[]): LineProgress => ({
  lineId,
  count: 10,
  prints: (prints.length > 0 ? prints : [{}]).map(print),
});
