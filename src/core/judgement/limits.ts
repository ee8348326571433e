/** Limits: what must not be passed where in the stack, before it is asked which platen would do so. */

import { dyeLimit, HARMS, LIMIT_SD_K, limitSdOf, limitsFor, limitWords, MARKS, type PreparedInput, testedOnBlank } from '../draft';
import type { TwoSidedPlace } from '../heat';
import { byHouse } from '../house';
import { FIBRES, fibreLimits, mostShiftOf, type TimedLimit, testPieceHeld } from '../materials';
import { type Phrase, phrase } from '../units';
import type { Side } from '../window';

/** A limit of the cloth, of the transfer, or of the dye. */
export interface Limit {
  side: Side;
  place: Exclude<TwoSidedPlace, 'glue'>;
  /** The lowest of them at its time is the limit. */
  bears: readonly TimedLimit[];
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
  const { blank, fabric, product } = input;
  const { markC, damageC } = limitsFor(input);
  const borne = testPieceHeld(blank, product.id) || testedOnBlank(input);
  const limits: Limit[] = [];
  const add = (
    side: Side,
    place: Limit['place'],
    bears: readonly TimedLimit[],
    what: Phrase,
    { sdK = LIMIT_SD_K.table, harms = false, withTransfer = false }: Partial<Pick<Limit, 'sdK' | 'harms' | 'withTransfer'>>,
  ) => {
    const eased = borne && (side === 'mark' || side === 'inside mark' || side === 'dye');
    limits.push({ side, place, bears, sdK, harms, withTransfer, eased, what });
  };
  const sdK = limitSdOf(input);
  if (markC !== null && !passesMark) {
    const bears = ofMaterial(input, 'markC', markC);
    add('mark', 'bare', bears, limitWords(input, 'mark', MARKS), { sdK });
    if (fromBelow && byHouse(input.house, 'insideMark', { care: true, accept: false }))
      add('inside mark', 'inside', bears, limitWords(input, 'mark', 'shine or yellow inside'), { sdK });
  }
  const dyed = passesMark && !blank.tested && (damageC ?? 0) < DYED_DAMAGE_C;
  if (damageC !== null || dyed) {
    const bears = dyed ? [alone(DYED_DAMAGE_C)] : ofMaterial(input, 'damageC', damageC ?? DYED_DAMAGE_C);
    const harm = { sdK, harms: true };
    add('damage', 'bare', bears, limitWords(input, 'damage', HARMS), harm);
    if (fromBelow) {
      add('under the art', 'art', bears, limitWords(input, 'damage', `${HARMS} under the art`), harm);
      add('inside', 'inside', bears, limitWords(input, 'damage', `${HARMS} inside`), harm);
    }
  }
  const { madeOf, name } = product;
  if (madeOf) {
    const of = FIBRES[madeOf];
    add('transfer mark', 'transfer', [alone(of.markC)], phrase`${name} is ${of.name} and may shine or darken`, { withTransfer: true });
    add('transfer', 'transfer', [alone(of.damageC)], phrase`${name} is ${of.name} and may ${HARMS}`, { withTransfer: true, harms: true });
  }
  const dyeC = dyeLimit({ fabric, product });
  if (dyeC !== null) add('dye', 'art', [alone(dyeC)], phrase`dye may move into a lighter print`, { withTransfer: true });
  return limits;
}

const alone = (limitC: number): TimedLimit => ({ limitC, mostK: mostShiftOf(null) });

/** What a material bears: of every fibre that counts; a blank that was tested bears what it bore, moved with the time as its fibres are. */
function ofMaterial({ blank, fabric }: PreparedInput, of: 'markC' | 'damageC', limitC: number): TimedLimit[] {
  const fibres = fibreLimits(fabric.composition, of);
  if (fibres.length === 0) return [alone(limitC)];
  return blank.tested ? fibres.map(({ mostK }) => ({ limitC, mostK })) : fibres;
}
