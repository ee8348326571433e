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
import { phrase, seconds, snap, temp, toInside, toShown } from '../units';
import type { Bound, Window } from './finding';
import { marginsAt, namedIn, platenWords, smallestMargin, surfaceBounds, windowOf } from './window';

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

/** Bounds on the upper platen's surface while the lower one is set to a temperature. */
function boundsAt(input: PreparedInput, draft: Draft, lowerSetC: number): Bound[] {
  const { press, house } = input;
  const lower = press.lower;
  const [lowC, highC] = [
    lowerSetC + (lower?.offsetK ?? 0) - (lower?.spreadK ?? 0),
    lowerSetC + (lower?.offsetK ?? 0) + (lower?.spreadK ?? 0),
  ];
  const places = placesOf(input, draft);
  const { min, max } = pressOf(draft).tempC;
  const wanted = (sheetC: number) => settledTemperature(places.asSheet, sheetC, BASE_C);
  const bounds: Bound[] = [
    {
      side: 'sheet low',
      keep: 'above',
      surfaceC: upperFor(places.glue, wanted(min), lowC),
      breach: 'hold',
      says: phrase`the glue wants the ${temp(wanted(min))} that the sheet’s ${temp(min)} gives it; the rest comes from below`,
    },
    {
      side: 'sheet high',
      keep: 'below',
      surfaceC: upperFor(places.glue, wanted(max), highC),
      breach: 'hold',
      says: phrase`the glue bears no more than the ${temp(wanted(max))} of the sheet’s ${temp(max)}`,
    },
  ];
  const { markC, damageC } = limitsFor(input);
  const add = (side: Bound['side'], depth: Depth, limit15: number, breach: Bound['breach'], whose: 'mark' | 'damage', words: string) => {
    const limitC = limitForTime(limit15, draft.timeS);
    bounds.push({
      side,
      keep: 'below',
      surfaceC: upperFor(depth, limitC, highC),
      breach,
      says: phrase`${limitWords(input, whose, words)} at ${temp(limitC)} held ${seconds(draft.timeS)}; over a base at ${temp(lowerSetC)} that is ${platenWords(press, upperFor(depth, limitC, highC), 'upper platen')}`,
    });
  };
  if (markC !== null) {
    add('mark', places.face, markC, 'hold', 'mark', MARKS);
    if (house.rules.insideMark === 'care') add('inside mark', places.inside, markC, 'care', 'mark', 'shine or yellow inside');
  }
  if (damageC !== null) {
    add('under the art', places.glue, damageC, 'hold', 'damage', `${HARMS} under the art`);
    add('inside', places.inside, damageC, 'hold', 'damage', `${HARMS} inside`);
  }
  return bounds;
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
  const tried = (lowerC: number) => {
    const bounds = boundsAt(input, draft, lowerC);
    const window = windowOf(press, bounds, null);
    return { lowerC, window, marginK: smallestMargin(marginsAt(window, window.bestSetC)) };
  };
  const first = Math.ceil(toShown(lower.minC, unit) / step - 1e-9);
  const last = Math.floor(toShown(lower.maxC, unit) / step + 1e-9);
  let best = tried(snap((lower.minC + lower.maxC) / 2, unit, step));
  for (let n = first; n <= last; n++) {
    const one = tried(toInside(n * step, unit));
    if (one.marginK > best.marginK + 1e-9) best = one;
  }
  return { lowerC: best.lowerC, window: best.window };
}

/** The window of the press stage: heated from above, or split between both platens with the lower one’s set value. */
export function pressWindow(input: PreparedInput, draft: Draft): { lowerC: number | null; window: Window } {
  if (draft.split) return splitWindow(input, draft);
  const bounds = surfaceBounds(input, draft);
  return { lowerC: null, window: windowOf(input.press, bounds, namedIn(pressOf(draft).tempC), draft.bumpK) };
}
