/** Words that several steps and reasons share: where the art goes, how hard, which way round. */
import type { Position } from '../../materials';
import { line, mm, type Phrase, phrase } from '../../units';
import type { Card } from '../schema';
import type { Context } from './step';

/** Where the art goes, adult sizes: the distance that is measured, mm, and the words around it. */
const WHERE: Record<Position, { drop: readonly [number, number] | null; says: (drop: Phrase) => Phrase }> = {
  'full front': { drop: [50, 80], says: (drop) => phrase`centred, top of the art ${drop} below the collar seam` },
  'youth front': { drop: [40, 55], says: (drop) => phrase`centred, top of the art ${drop} below the collar seam` },
  'left chest': {
    drop: [175, 200],
    says: (drop) =>
      phrase`art centre ${mm(95)} to ${mm(115)} to the wearer’s left of the centre line, ${drop} below the point where shoulder meets neck`,
  },
  'upper back': { drop: [90, 120], says: (drop) => phrase`centred, top of the art ${drop} below the back collar seam` },
  'full back': { drop: [90, 120], says: (drop) => phrase`centred, top of the art ${drop} below the back collar seam` },
  'neck label': { drop: [15, 30], says: (drop) => phrase`centred, ${drop} below the back collar seam, on the inside` },
  sleeve: { drop: [25, 40], says: (drop) => phrase`centred on the fold, ${drop} above the hem` },
  leg: { drop: [40, 70], says: (drop) => phrase`parallel to the hem, ${drop} above it, ${mm(25)} clear of the side seam` },
  'cap front': { drop: [12, 20], says: (drop) => phrase`centred on the front, ${drop} above the brim seam` },
  bib: { drop: [70, 100], says: (drop) => phrase`centred on the bib, top of the art ${drop} below the top hem` },
  'tote front': { drop: null, says: () => phrase`centred, top of the art a quarter of the height below the top hem` },
  'pocket face': { drop: null, says: () => phrase`centred on the pocket, clear of its seams` },
  face: {
    drop: null,
    says: () =>
      phrase`centred on the face, or bled ${{ q: 'length', v: 3, d: 2 }} past the edge; ${{ q: 'length', v: 1.5, d: 2 }} inside a bevel`,
  },
};

/** Tall art sits nearer the collar, mm. */
const TALL_ART = { overMm: 330, drop: [20, 40] } as const;

/** Pressure in the press's own terms, with how sure it is. */
export function pressureWords(pressName: string, pressure: Card['set']['pressure']): Phrase {
  const { setting, band } = pressure;
  const doubt = setting.sure === 'measured' ? '' : setting.sure === 'guess' ? ' (a guess)' : ' (beyond what was measured)';
  switch (setting.gauge) {
    case 'dial':
      return phrase`${band}, dial ${setting.reading.toFixed(1)}${doubt}`;
    case 'air':
      return phrase`${band}, ${line(setting.lineKPa)} in the line of ${pressName}${doubt}`;
    case 'feel':
      return phrase`${band}, by feel${doubt}`;
  }
}

/** How the sheet must look before it is laid. */
export function mirrorWords(mirror: Card['set']['mirror']): Phrase {
  switch (mirror) {
    case 'mirrored':
      return phrase`An R on the sheet must read backwards.`;
    case 'as read':
      return phrase`An R on the sheet must read as in a book.`;
    case 'by the supplier':
      return phrase`The supplier has printed it the way it must lie: check one sheet by its lettering.`;
    case 'by the printer path':
      return phrase`The printer’s own path decides: print one R, marry it, and look before the stack is printed.`;
  }
}

/** Distance to measure, by the house's way of telling it. */
export function dropWords({ input: { print, house } }: Context): Phrase {
  const where = WHERE[print.position];
  if (where.drop === null) return where.says(phrase``);
  const tall = house.rules.drop === 'tall art' && where.drop[0] === 50 && print.heightMm > TALL_ART.overMm;
  const [low, high] = tall ? TALL_ART.drop : where.drop;
  const { fingerMm } = house.figures;
  const drop = phrase`${mm(low)} to ${mm(high)}`;
  if (house.rules.drop !== 'fingers') return where.says(drop);
  return where.says(phrase`${(low / fingerMm).toFixed(1)} to ${(high / fingerMm).toFixed(1)} finger-widths (${drop})`);
}
