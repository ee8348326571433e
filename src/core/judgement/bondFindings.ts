/** What the bond at the glue says against a card: short, over, or not known. */

import { type BondPoint, bondAt, cardPiece, THINGS, takesOf, bondWords as times } from '../bond';
import type { Draft, PreparedInput } from '../draft';
import { SOUND } from '../heat';
import { bandOf, type Offset } from '../press';
import { phrase } from '../units';
import type { Finding } from './finding';
import type { Setting } from './setting';

/** What a bond says against a card: never more than Care, for the supplier knows the product better than the model does. */
export function bondFindings(points: readonly BondPoint[] | null, window: Offset, setC: number): Finding[] {
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
export function unknownHeat(
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
