/** Words that several steps and reasons share: how hard, which way round. */

import type { Setting } from '../../judgement';
import { line, type Phrase, phrase } from '../../units';

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

/** How the sheet must look before it is laid. */
export function mirrorWords(mirror: Setting['mirror']): Phrase {
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
