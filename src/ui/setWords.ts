/** What a press stage is set to, in one line: `280 °F · 6 s`, and with the lower platen hot too `280 °F above, 348 °F below · 6 s`. */
import { formatDuration, formatQuantity, type UnitId } from '../core/units';

export function setWords(set: { tempC: number; lowerC: number | null; timeS: number }, unit: Extract<UnitId, 'C' | 'F'>): string {
  const below = set.lowerC === null ? '' : ` above, ${formatQuantity(set.lowerC, unit)} below`;
  return `${formatQuantity(set.tempC, unit)}${below} · ${formatDuration(set.timeS)}`;
}
