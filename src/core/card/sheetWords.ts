/** What a card says of its sheet where there is room for a few words: beside the window bar, and on paper. */
import { figureText, figureWords } from '../sheet';
import { formatFigure, type HouseUnits, houseUnit, UNITS, type UnitId } from '../units';
import type { Card } from './schema';

type Bracketed = Pick<Card, 'of' | 'set' | 'window'>;

/** What the bracket of the window bar stands for: the sheet's own words, what of it is our allowance, or what split heat makes of it. */
export function bracketWords({ of, set, window }: Bracketed, unit: UnitId): string {
  const at = (name: 'sheet low' | 'sheet high') => formatFigure(window.bounds.find(({ side }) => side === name)?.surfaceC ?? 0, unit);
  const sides = `${at('sheet low')} to ${at('sheet high')} ${UNITS[unit].symbol}`;
  // with heat from below the sides are what the upper platen may have, not what the sheet says
  if (set.lowerC !== null) return `glue wants ${sides} above`;
  const written = of.sheet.tempC;
  switch (written?.form) {
    case 'one':
      return `sheet ${figureWords(written, unit)}; our allowance ${sides}`;
    case 'tolerance':
      return `sheet ${figureWords(written, unit)}`;
    default:
      return `sheet ${sides}${written?.start === undefined ? '' : `, start ${figureText({ form: 'one', value: written.start }, unit)}`}`;
  }
}

/** The press stage of the sheet as it is written; null: a card from before that was kept. */
export function writtenWords({ of: { sheet } }: Pick<Card, 'of'>, house: HouseUnits): string | null {
  if (!sheet.tempC || !sheet.timeS) return null;
  return `${figureWords(sheet.tempC, houseUnit('temperature', house).first)}, ${figureWords(sheet.timeS, 's')}`;
}
