/** The lamp: Clear, Care or Hold, from the margins at a set value and the rules that were met. */

import type { BondPoint } from '../bond';
import type { Offset } from '../press';
import { phrase, tempDiff } from '../units';
import { bondFindings } from './bondFindings';
import type { Finding, Lamp, Window } from './finding';
import { CLEAR_MARGIN_K, marginsAt } from './window';

const BREACH_WORDS = {
  'sheet low': 'The coolest spot under the art falls short of the sheet',
  'sheet high': 'The hottest spot runs over the sheet',
  mark: 'The bare face beside the art goes past its mark limit',
  damage: 'The fabric goes past what it bears',
  'under the art': 'The cloth under the art goes past what it bears',
  inside: 'The inside goes past what it bears',
  'inside mark': 'The inside may show a mark',
  dye: 'Dye may bleed into the print',
  transfer: 'The transfer itself goes past what it bears',
  'transfer mark': 'The transfer itself may show the heat',
} as const;

/** What each margin at a set value says against the card: gone is Hold (dye: Care), under 2 K is Care. */
export function marginFindings(window: Pick<Window, 'bounds'> & Offset, setC: number): Finding[] {
  return marginsAt(window, setC).flatMap((margin, i): Finding[] => {
    const bound = window.bounds[i];
    if (!bound) return [];
    const base = { from: 'margin' as const, rule: margin.side, field: 'temperature' as const };
    if (margin.kelvin < 0) {
      return [
        { ...base, level: margin.breach, says: phrase`${BREACH_WORDS[margin.side]}, by ${tempDiff(-margin.kelvin)}: ${bound.says}.` },
      ];
    }
    if (margin.kelvin < CLEAR_MARGIN_K && margin.breach === 'hold') {
      return [
        { ...base, level: 'care', says: phrase`Only ${{ q: 'temperatureDifference', v: margin.kelvin, d: 1 }} to spare: ${bound.says}.` },
      ];
    }
    return [];
  });
}

/** The lamp for findings: any hold is Hold, any caution is Care. Holds stand first. */
export function lampOf(findings: readonly Finding[]): Lamp {
  const holds = findings.filter((f) => f.level === 'hold');
  const cares = findings.filter((f) => f.level === 'care');
  return { state: holds.length > 0 ? 'hold' : cares.length > 0 ? 'care' : 'clear', findings: [...holds, ...cares] };
}

/** The lamp a card would have if its set value were moved: its standing rules, the margins and the bond there. */
export function lampAt(card: { window: Window; lamp: Lamp; heat?: { bonds: BondPoint[] } | undefined }, setC: number): Lamp {
  const standing = card.lamp.findings.filter(({ from, closing }) => closing !== undefined || (from !== 'margin' && from !== 'bond'));
  return lampOf([...marginFindings(card.window, setC), ...bondFindings(card.heat?.bonds ?? null, card.window, setC), ...standing]);
}
