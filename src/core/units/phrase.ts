/** Sentences with quantities in them, kept as data so that a house reads every reason in its own units. */
import { z } from 'zod';
import { formatDuration, formatForHouse, formatQuantity, formatTape } from './format';
import { type HouseUnits, QUANTITY_KINDS, type QuantityKind } from './quantity';

const QuantityPart = z.object({
  q: z.enum(QUANTITY_KINDS),
  /** Value in the inside unit. */
  v: z.number(),
  /** Decimals, where the unit's usual ones will not do. */
  d: z.number().int().min(0).max(3).optional(),
  /** A unit of its own, for what must be told as a press shows it. */
  u: z.enum(['C', 'F']).optional(),
  /** Told as a tape shows it. */
  tape: z.boolean().optional(),
});

export const PhraseSchema = z.array(z.union([z.string(), QuantityPart]));
export type Phrase = z.infer<typeof PhraseSchema>;
export type PhrasePart = Phrase[number];

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
