/** Words that several steps and reasons share: how hard, which way round. */

import { layerName, type Mirror } from '../../draft';
import type { Setting } from '../../judgement';
import { line, type Phrase, phrase } from '../../units';
import type { Card } from '../schema';

/** Pressure in the press's own terms, with how sure it is. */
export function pressureWords(pressName: string, pressure: Setting['pressure']): Phrase {
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

/** Layers whose art lies the same way round on their sheets. */
export interface Lettering {
  mirror: Mirror;
  /** Their names; empty where all the print's layers lie so. */
  layers: string[];
}

/** Each way round that art of the print lies on its sheets, in pressing order; one entry where all layers lie alike. */
export function letteringOf({ of: { layers }, set }: { of: Pick<Card['of'], 'layers'>; set: Pick<Setting, 'mirror'> }): Lettering[] {
  const ways = [...new Set(layers.map(({ mirror }) => mirror ?? set.mirror))];
  if (ways.length <= 1) return [{ mirror: set.mirror, layers: [] }];
  return ways.map((mirror) => ({ mirror, layers: layers.filter((layer) => (layer.mirror ?? set.mirror) === mirror).map(layerName) }));
}

/** How every sheet of a print must look before it is laid. */
export function letteringWords(lettering: readonly Lettering[]): Phrase {
  return lettering
    .map(({ mirror, layers }) => (layers.length === 0 ? mirrorWords(mirror) : phrase`${layers.join(', ')}: ${mirrorWords(mirror)}`))
    .reduce((all, next) => phrase`${all} ${next}`);
}

function mirrorWords(mirror: Mirror): Phrase {
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
