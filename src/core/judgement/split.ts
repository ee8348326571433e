/** Split heat: the lower platen hot, the upper cool. Face beside the art, cloth under it and the inside are each judged. */

import { type Draft, HARMS, limitSdOf, limitsFor, limitWords, MARKS, type PreparedInput, pressOf } from '../draft';
import {
  BASE_PAD,
  CARRIERS,
  COVER_SHEETS,
  contactResistance,
  type Depth,
  FILM,
  layerResistance,
  settledTemperature,
  upperFor,
  upperShare,
} from '../heat';
import { limitForTime } from '../materials';
import { bandMiddle, SURE } from '../press';
import { type Phrase, phrase, seconds, snap, temp, toInside, toShown } from '../units';
import { riskAt, STATE_RANK, worstAt } from './chance';
import type { Bound, Side, Window } from './finding';
import { aimOf, EDGE_SDS, leastRisk, platenWords, surfaceBounds, windowOf } from './window';

/** Where a supplier's figures are taken to hold: heat from above, a base pad at this temperature under the cloth, °C. */
const BASE_C = 45;

interface Places {
  glue: Depth;
  face: Depth;
  inside: Depth;
  /** The glue as the sheet means it: heated from above, over a warm pad. */
  asSheet: Depth;
}

/** Resistances from each place of interest to either platen, m²K/W. */
function placesOf({ fabric, product }: PreparedInput, draft: Draft): Places {
  const contact = contactResistance(bandMiddle(draft.band));
  const cover = draft.cover ? layerResistance(COVER_SHEETS[draft.cover]) + contact : 0;
  const carrier = product.carrier === 'none' ? 0 : layerResistance(CARRIERS[product.carrier]) + contact;
  const film = layerResistance({ k: FILM.k, thicknessMm: product.filmMm });
  const cloth = layerResistance({ k: fabric.thermal.k, thicknessMm: fabric.thicknessMm });
  const glue = { above: contact + cover + carrier + film, below: contact + cloth };
  return {
    glue,
    face: { above: contact + cover, below: contact + cloth },
    inside: { above: glue.above + cloth, below: contact },
    asSheet: { above: glue.above, below: contact + cloth + layerResistance(BASE_PAD) },
  };
}

/** A bound while the lower platen stands at a set value; its words are put together only for the one that is shown. */
interface SplitBound extends Omit<Bound, 'says'> {
  says: () => Phrase;
}

/** A temperature wanted somewhere in the stack, or the most it may have there, with its own doubt. */
interface Wanted {
  tempC: number;
  sdK: number;
}

/** Bounds on the upper platen's surface, for any set value of the lower one. */
function boundsOver(input: PreparedInput, draft: Draft): (lowerSetC: number) => SplitBound[] {
  const { press, house } = input;
  const { offsetK = 0, spreadK = 0 } = press.lower ?? {};
  const places = placesOf(input, draft);
  const { min, max, nominal, ours } = pressOf(draft).tempC;
  const settled = (sheetC: number) => settledTemperature(places.asSheet, sheetC, BASE_C);
  const [least, most] = [min, max].map((sheetC) => ({
    tempC: settled(sheetC),
    sdK: ours ? Math.abs(settled(nominal) - settled(sheetC)) / EDGE_SDS : 0,
  })) as [Wanted, Wanted];
  const { markC, damageC } = limitsFor(input);
  const bound = (side: Side, depth: Depth, { tempC, sdK }: Wanted, says: (lowerSetC: number, surfaceC: number) => Phrase) => {
    const share = upperShare(depth);
    // what is not known of the lower platen stands at the upper one as so much more doubt
    const doubtK = Math.hypot(sdK, ((1 - share) * spreadK) / SURE) / share;
    return (lowerSetC: number): SplitBound => {
      const surfaceC = upperFor(depth, tempC, lowerSetC + offsetK);
      const isOurs = ours && (side === 'sheet low' || side === 'sheet high');
      const keep = side === 'sheet low' ? 'above' : 'below';
      return { side, keep, surfaceC, sdK: doubtK, ours: isOurs, eased: false, says: () => says(lowerSetC, surfaceC) };
    };
  };
  const wall = (side: Side, depth: Depth, limit15: number, whose: 'mark' | 'damage', words: string) => {
    const limitC = limitForTime(limit15, draft.timeS);
    return bound(
      side,
      depth,
      { tempC: limitC, sdK: limitSdOf(input) },
      (lowerSetC, surfaceC) =>
        phrase`${limitWords(input, whose, words)} at ${temp(limitC)} held ${seconds(draft.timeS)}; over a base at ${temp(lowerSetC)} that is ${platenWords(press, surfaceC, 'upper platen')}`,
    );
  };
  const walls: ((lowerSetC: number) => SplitBound)[] = [
    bound(
      'sheet low',
      places.glue,
      least,
      () => phrase`the glue wants the ${temp(least.tempC)} that the sheet’s ${temp(min)} gives it; the rest comes from below`,
    ),
    bound('sheet high', places.glue, most, () => phrase`the glue bears no more than the ${temp(most.tempC)} of the sheet’s ${temp(max)}`),
  ];
  if (markC !== null) {
    walls.push(wall('mark', places.face, markC, 'mark', MARKS));
    if (house.rules.insideMark === 'care') walls.push(wall('inside mark', places.inside, markC, 'mark', 'shine or yellow inside'));
  }
  if (damageC !== null) {
    walls.push(wall('under the art', places.glue, damageC, 'damage', `${HARMS} under the art`));
    walls.push(wall('inside', places.inside, damageC, 'damage', `${HARMS} inside`));
  }
  return (lowerSetC) => walls.map((at) => at(lowerSetC));
}

/** Of pairs of so little more risk than the least, the one with the coolest face is taken. */
const COOLER_RISK = 1.5;

/**
 * The pair of platens that gives the glue its dose with the coolest face: of all pairs whose lamp is the best there is and whose
 * risk is little more than the least, the one with the coolest upper platen. Each has the upper setting of least risk for its
 * lower one.
 */
function splitWindow(input: PreparedInput, draft: Draft): { lowerC: number; window: Window } {
  const { press, surface } = input;
  const lower = press.lower;
  if (!lower) throw new TypeError(`${press.name} has no heated lower platen`);
  const { unit, step } = press.set;
  const boundsAt = boundsOver(input, draft);
  const tried = (lowerC: number) => {
    const bounds = boundsAt(lowerC);
    const upperC = leastRisk(surface, bounds, press);
    return { lowerC, upperC, rank: STATE_RANK[worstAt(surface, bounds, upperC)], risk: riskAt(surface, bounds, upperC) };
  };
  const first = Math.ceil(toShown(lower.minC, unit) / step - 1e-9);
  const last = Math.floor(toShown(lower.maxC, unit) / step + 1e-9);
  const steps = Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => toInside((first + i) * step, unit));
  const pairs = (steps.length > 0 ? steps : [snap((lower.minC + lower.maxC) / 2, unit, step)]).map(tried);
  const rank = Math.min(...pairs.map((pair) => pair.rank));
  const best = pairs.filter((pair) => pair.rank === rank);
  const least = Math.min(...best.map((pair) => pair.risk));
  const { lowerC } = best
    .filter((pair) => pair.risk <= COOLER_RISK * least + 1e-12)
    .reduce((cool, pair) => (pair.upperC < cool.upperC || (pair.upperC === cool.upperC && pair.risk < cool.risk) ? pair : cool));
  const bounds = boundsAt(lowerC).map((one) => ({ ...one, says: one.says() }));
  return { lowerC, window: windowOf(input, bounds, null) };
}

/** The window of the press stage: heated from above, or split between both platens with the lower one’s set value. */
export function pressWindow(input: PreparedInput, draft: Draft): { lowerC: number | null; window: Window } {
  if (draft.split) return splitWindow(input, draft);
  const bounds = surfaceBounds(input, draft);
  return { lowerC: null, window: windowOf(input, bounds, aimOf(pressOf(draft).tempC), draft.bumpK) };
}
