/** The lamp: Clear, Care or Hold, from the margins at a set value, the bond at the glue and the rules that were met. */

import { type BondPoint, bondAt, bondsOf, cardPiece, THINGS, takesOf, bondWords as times } from '../bond';
import type { Draft, PreparedInput } from '../draft';
import { SOUND } from '../heat';
import { bandOf, type Offset } from '../press';
import { phrase, tempDiff } from '../units';
import type { Bound, Finding, Lamp, Margin, Window } from './finding';
import type { Setting } from './setting';
import { CLEAR_MARGIN_K, marginsAt, type SetClosing } from './window';

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

/** What each margin at a set value says against the card: gone is Hold (dye: Care), under 2 K is Care. @param margins one a bound */
function marginFindings({ bounds }: Pick<Window, 'bounds'>, margins: readonly Margin[]): Finding[] {
  return margins.flatMap((margin, i): Finding[] => {
    const bound = bounds[i];
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

/** What a bond says against a card: never more than Care, for the supplier knows the product better than the model does. */
function bondFindings(points: readonly BondPoint[] | null, window: Offset, setC: number): Finding[] {
  if (!points) return [];
  const bond = bondAt(points, bandOf(window, setC).midC);
  const base = { level: 'care' as const, from: 'bond' as const, field: 'time' as const };
  if (bond < SOUND.low)
    return [
      {
        ...base,
        rule: 'short',
        says: phrase`The glue gets ${times(bond)} of the bond its sheet means; under ${times(SOUND.low)} it may lift or crack.`,
      },
    ];
  if (bond > SOUND.high)
    return [
      {
        ...base,
        rule: 'over',
        says: phrase`The glue gets ${times(bond)} times the bond its sheet means; over ${times(SOUND.high)} it may sink in, spread and close small counters.`,
      },
    ];
  return [];
}

/** An estimate that leaves what it is made of by more than this factor is none. */
const MOST_FACTOR = 3;

const isWithin = (factor: number): boolean => factor >= 1 / MOST_FACTOR && factor <= MOST_FACTOR;

/**
 * What of a piece the heat model cannot tell: something in its stack, or its setting, that would change the bond by more than
 * a factor of three. Null: it can. Where it cannot, no figure of the bond is worth printing, and the lamp is never Clear.
 */
function unknownHeat(
  input: PreparedInput,
  draft: Draft,
  window: Offset,
  set: Pick<Setting, 'tempC' | 'lowerC'>,
  points: BondPoint[],
): Finding | null {
  const { midC } = bandOf(window, set.tempC);
  const one = cardPiece(input, draft, Math.min(260, Math.max(20, midC)), set.lowerC);
  if (!one) return null;
  const bond = bondAt(points, midC);
  const takes = takesOf(input, draft, one);
  const odd = takes.find((take) => !isWithin((bond + take.bond) / bond));
  if (!odd && isWithin(bond)) return null;
  const why = odd ? phrase`${THINGS[odd.of](odd.name)} ${WHY_UNKNOWN}` : phrase`This setting ${WHY_UNKNOWN}`;
  return {
    level: 'care',
    from: 'heat',
    rule: 'not known',
    field: 'time',
    says: phrase`${why}: what reaches the glue is not known. Press a test piece first and note how it came out.`,
  };
}
const WHY_UNKNOWN = 'is further from what the sheet means than the heat model can tell';

/** The lamp for findings: any hold is Hold, any caution is Care. Holds stand first. */
function lampOf(findings: readonly Finding[]): Lamp {
  const holds = findings.filter((f) => f.level === 'hold');
  const cares = findings.filter((f) => f.level === 'care');
  return { state: holds.length > 0 ? 'hold' : cares.length > 0 ? 'care' : 'clear', findings: [...holds, ...cares] };
}

/** The lamp a card would have if its set value were moved: its standing rules, the margins and the bond there. */
export function lampAt(card: { window: Window; lamp: Lamp; heat?: { bonds: BondPoint[] } | undefined }, setC: number): Lamp {
  const standing = card.lamp.findings.filter(({ from, closing }) => closing !== undefined || (from !== 'margin' && from !== 'bond'));
  return lampOf([
    ...marginFindings(card.window, marginsAt(card.window, setC)),
    ...bondFindings(card.heat?.bonds ?? null, card.window, setC),
    ...standing,
  ]);
}

const inClosing = ({ kind, window, margins }: SetClosing): Finding[] =>
  marginFindings(window, margins).map((finding) => ({ ...finding, closing: kind, says: phrase`In the ${kind}: ${finding.says}` }));

/** What the lamp is judged from once everything about a piece is set. */
export interface Judged {
  window: Window;
  set: Setting;
  /** At the set value, and at the window’s best. */
  margins: Margin[];
  bestMargins: Margin[];
  further: readonly SetClosing[];
  ruled: readonly Finding[];
}

/** The lamp of a piece, and its bonds across the sheet, which are worked out only where nothing holds it. */
export function lampFor(
  input: PreparedInput,
  draft: Draft,
  judged: Judged,
  weighsBonds: boolean,
): { lamp: Lamp; bonds: BondPoint[] | null } {
  const { window, set, margins, bestMargins } = judged;
  const standing = [...judged.further.flatMap(inClosing), ...judged.ruled];
  // at the best value, so that it does not depend on where the handle stands
  const held = lampOf([...marginFindings(window, bestMargins), ...standing]).state === 'hold';
  const surfaceOf = (side: Bound['side']) => window.bounds.find((bound) => bound.side === side)?.surfaceC ?? Number.NaN;
  const sheet = { low: surfaceOf('sheet low'), high: surfaceOf('sheet high') };
  const reckoned = weighsBonds && !held ? bondsOf(input, draft, sheet, set.lowerC) : null;
  const unknown = reckoned && unknownHeat(input, draft, window, set, reckoned);
  const bonds = unknown ? null : reckoned;
  const against = [...marginFindings(window, margins), ...bondFindings(bonds, window, set.tempC), ...(unknown ? [unknown] : [])];
  return { lamp: lampOf([...against, ...standing]), bonds };
}
