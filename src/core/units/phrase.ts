/** Sentences with quantities in them, kept as data so that a house reads every reason in its own units. */
import { formatDuration, formatForHouse, formatQuantity, formatTape } from './format';
import type { Phrase, PhrasePart } from './phraseSchema';
import type { HouseUnits, QuantityKind } from './quantity';

/** Builds a phrase: ``phrase`Hold ${temp(150)} for ${seconds(9)}` ``. Phrases may stand inside phrases. */
export function phrase(texts: TemplateStringsArray, ...parts: (PhrasePart | Phrase)[]): Phrase {
  const all: Phrase = [];
  texts.forEach((text, i) => {
    if (text) all.push(text);
    const part = parts[i];
    if (Array.isArray(part)) all.push(...part);
    else if (part !== undefined && part !== '') all.push(part);
  });
  return all;
}

const quantity =
  (q: QuantityKind, d?: number) =>
  (v: number): PhrasePart =>
    d === undefined ? { q, v } : { q, v, d };
export const temp = quantity('temperature');
/** A temperature as a press is set to it, in that press's unit whatever the house reads. */
export const setTemp = (v: number, u: 'C' | 'F'): PhrasePart => ({ q: 'temperature', v, u });
export const tempDiff = quantity('temperatureDifference', 0);
export const seconds = quantity('duration');
export const mm = quantity('length');
/** A length to be measured with a tape: millimetres, or inches and eighths. */
export const tape = (v: number): PhrasePart => ({ q: 'length', v, tape: true });
export const contact = quantity('contactPressure');
export const line = quantity('linePressure');

/** A phrase as plain text in the house's units. */
export function phraseText(words: Phrase, house: HouseUnits): string {
  return words
    .map((part) => {
      if (typeof part === 'string') return part;
      if (part.q === 'duration') return formatDuration(part.v);
      if (part.tape) return formatTape(part.v, house);
      if (part.u) return formatQuantity(part.v, part.u, part.d);
      // in words a length is told to a tenth of an inch; fields keep their hundredths
      const decimals = part.d ?? (part.q === 'length' && house.length === 'in' ? 1 : undefined);
      return formatForHouse(part.q, part.v, house, decimals);
    })
    .join('');
}
