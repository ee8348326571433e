/** Split heat: the lower platen hot, the upper cool. Face beside the art, cloth under it and the inside are each judged. */

import { type Draft, HARMS, limitsFor, limitWords, MARKS, type PreparedInput, pressOf } from '../draft';
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
} from '../heat';
import { limitForTime } from '../materials';
import { bandMiddle } from '../press';
import { type Phrase, phrase, seconds, snap, temp, toInside, toShown } from '../units';
import type { Bound, Window } from './finding';
import { bestMargin, namedIn, platenWords, surfaceBounds, windowOf } from './window';

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

/** Bounds on the upper platen's surface, for any set value of the lower one. */
function boundsOver(input: PreparedInput, draft: Draft): (lowerSetC: number) => SplitBound[] {
  const { press, house } = input;
  const { offsetK = 0, spreadK = 0 } = press.lower ?? {};
  const places = placesOf(input, draft);
  const { min, max } = pressOf(draft).tempC;
  const [leastC, mostC] = [min, max].map((sheetC) => settledTemperature(places.asSheet, sheetC, BASE_C)) as [number, number];
  const { markC, damageC } = limitsFor(input);
  const limit = (limit15: number) => limitForTime(limit15, draft.timeS);
  const wall = (side: Bound['side'], depth: Depth, limit15: number, breach: Bound['breach'], whose: 'mark' | 'damage', words: string) => {
    const limitC = limit(limit15);
    return (lowerSetC: number): SplitBound => {
      const surfaceC = upperFor(depth, limitC, lowerSetC + offsetK + spreadK);
      return {
        side,
        keep: 'below',
        surfaceC,
        breach,
        says: () =>
          phrase`${limitWords(input, whose, words)} at ${temp(limitC)} held ${seconds(draft.timeS)}; over a base at ${temp(lowerSetC)} that is ${platenWords(press, surfaceC, 'upper platen')}`,
      };
    };
  };
  const walls: ((lowerSetC: number) => SplitBound)[] = [
    (lowerSetC) => ({
      side: 'sheet low',
      keep: 'above',
      surfaceC: upperFor(places.glue, leastC, lowerSetC + offsetK - spreadK),
      breach: 'hold',
      says: () => phrase`the glue wants the ${temp(leastC)} that the sheet’s ${temp(min)} gives it; the rest comes from below`,
    }),
    (lowerSetC) => ({
      side: 'sheet high',
      keep: 'below',
      surfaceC: upperFor(places.glue, mostC, lowerSetC + offsetK + spreadK),
      breach: 'hold',
      says: () => phrase`the glue bears no more than the ${temp(mostC)} of the sheet’s ${temp(max)}`,
    }),
  ];
  if (markC !== null) {
    walls.push(wall('mark', places.face, markC, 'hold', 'mark', MARKS));
    if (house.rules.insideMark === 'care') walls.push(wall('inside mark', places.inside, markC, 'care', 'mark', 'shine or yellow inside'));
  }
  if (damageC !== null) {
    walls.push(wall('under the art', places.glue, damageC, 'hold', 'damage', `${HARMS} under the art`));
    walls.push(wall('inside', places.inside, damageC, 'hold', 'damage', `${HARMS} inside`));
  }
  return (lowerSetC) => walls.map((at) => at(lowerSetC));
}

/**
 * The pair of platens with the largest smallest margin, the lower one found on its own step.
 *
 * For each lower temperature the bounds on the upper one are straight lines, so its best setting is found as for
 * heat from above; every step of the lower one is tried, for over coarse steps of both the room has more than one peak.
 */
function splitWindow(input: PreparedInput, draft: Draft): { lowerC: number; window: Window } {
  const { press } = input;
  const lower = press.lower;
  if (!lower) throw new TypeError(`${press.name} has no heated lower platen`);
  const { unit, step } = press.set;
  const boundsAt = boundsOver(input, draft);
  const tried = (lowerC: number) => ({ lowerC, marginK: bestMargin(press, boundsAt(lowerC)) });
  const first = Math.ceil(toShown(lower.minC, unit) / step - 1e-9);
  const last = Math.floor(toShown(lower.maxC, unit) / step + 1e-9);
  let best = tried(snap((lower.minC + lower.maxC) / 2, unit, step));
  for (let n = first; n <= last; n++) {
    const one = tried(toInside(n * step, unit));
    if (one.marginK > best.marginK + 1e-9) best = one;
  }
  const bounds = boundsAt(best.lowerC).map((one) => ({ ...one, says: one.says() }));
  return { lowerC: best.lowerC, window: windowOf(press, bounds, null) };
}

/** The window of the press stage: heated from above, or split between both platens with the lower one’s set value. */
export function pressWindow(input: PreparedInput, draft: Draft): { lowerC: number | null; window: Window } {
  if (draft.split) return splitWindow(input, draft);
  const bounds = surfaceBounds(input, draft);
  return { lowerC: null, window: windowOf(input.press, bounds, namedIn(pressOf(draft).tempC), draft.bumpK) };
}
