/** Limits: what must not be passed where in the stack, before it is asked which platen would do so. */
import { dyeLimit, HARMS, LIMIT_SD_K, limitSdOf, limitsFor, limitWords, MARKS, type PreparedInput, testedOnBlank } from '../draft';
import type { TwoSidedPlace } from '../heat';
import { blendLimits, FIBRES, mostShiftOf, testPieceHeld } from '../materials';
import { type Phrase, phrase } from '../units';
import type { Side } from './finding';

/** A limit of the cloth, of the transfer, or of the dye. */
export interface Limit {
  side: Side;
  place: Exclude<TwoSidedPlace, 'glue'>;
  /** °C for 15 s, and how far it moves with the time at most, K. */
  limitC: number;
  mostK: number;
  /** One standard deviation of it where it is, K. */
  sdK: number;
  /** Harm itself counts always; what shows counts while the press is shut. */
  harms: boolean;
  /** It concerns the transfer too, so a bare pre-press does not count. */
  withTransfer: boolean;
  /** A test piece bore it. */
  eased: boolean;
  what: Phrase;
}

/** What white polyester bears under a paper that is made to dye it, °C for 15 s. */
const DYED_DAMAGE_C = 230;

/**
 * Every limit of a piece.
 *
 * @param passesMark the transfer is made to pass the mark limit
 * @param fromBelow the lower platen is hot too, so that the cloth under the art and its inside may be the hottest of it
 */
export function limitsOf(input: PreparedInput, passesMark: boolean, fromBelow: boolean): Limit[] {
  const { markC, damageC: given } = limitsFor(input);
  const damageC = passesMark && !input.blank.tested ? Math.max(given ?? 0, DYED_DAMAGE_C) : given;
  const { mark, damage } = blendLimits(input.fabric.composition);
  const held = testPieceHeld(input.blank, input.product.id) || testedOnBlank(input);
  const own = limitSdOf(input);
  const limits: Limit[] = [];
  const add = (
    side: Side,
    place: Limit['place'],
    limitC: number,
    what: Phrase,
    {
      sdK = LIMIT_SD_K.table,
      mostK = mostShiftOf(null),
      ...rest
    }: { sdK?: number; mostK?: number } & Partial<Pick<Limit, 'harms' | 'withTransfer'>>,
  ) =>
    limits.push({
      side,
      place,
      limitC,
      mostK,
      sdK,
      harms: false,
      withTransfer: false,
      eased: held && (side === 'mark' || side === 'inside mark' || side === 'dye'),
      what,
      ...rest,
    });
  const ofMark = { sdK: own, mostK: mostShiftOf(mark?.fibre ?? null) };
  const ofDamage = { sdK: own, mostK: mostShiftOf(damage?.fibre ?? null), harms: true };
  if (markC !== null && !passesMark) {
    add('mark', 'bare', markC, limitWords(input, 'mark', MARKS), ofMark);
    if (fromBelow && input.house.rules.insideMark === 'care')
      add('inside mark', 'inside', markC, limitWords(input, 'mark', 'shine or yellow inside'), ofMark);
  }
  if (damageC !== null) {
    add('damage', 'bare', damageC, limitWords(input, 'damage', HARMS), ofDamage);
    if (fromBelow) {
      add('under the art', 'art', damageC, limitWords(input, 'damage', `${HARMS} under the art`), ofDamage);
      add('inside', 'inside', damageC, limitWords(input, 'damage', `${HARMS} inside`), ofDamage);
    }
  }
  const { madeOf, name } = input.product;
  if (madeOf) {
    const of = FIBRES[madeOf];
    add('transfer mark', 'transfer', of.markC, phrase`${name} is ${of.name} and may shine or darken`, { withTransfer: true });
    add('transfer', 'transfer', of.damageC, phrase`${name} is ${of.name} and may ${HARMS}`, { withTransfer: true, harms: true });
  }
  const dyeC = dyeLimit(input);
  if (dyeC !== null) add('dye', 'art', dyeC, phrase`dye may move into a lighter print`, { withTransfer: true });
  return limits;
}
