/** Where the set value may lie: the bounds on the platen's surface, and the settable value that keeps farthest from them. */
import { COVER_SHEETS, contactResistance, effusivity, type HeatedFace, layerResistance, platenForFace } from '../heat';
import { type Blank, blendLimits, type Fabric, FIBRES, limitForTime, type Product } from '../materials';
import { bandMiddle, type Press, pressOffset } from '../press';
import { type Phrase, phrase, seconds, snap, temp, toInside, toShown } from '../units';
import type { Bound, Margin, Window } from './schema';

/** Below this margin on any side a card is Care, K. */
export const CLEAR_MARGIN_K = 2;

/** A shutting of the press as the bare face beside the art feels it. */
export interface Closing {
  name: string;
  timeS: number;
  cover: keyof typeof COVER_SHEETS | null;
}

/** What lies between platen and bare face: the contacts, and the cover if there is one. */
function bareFace(fabric: Fabric, closing: Closing, contactKPa: number, roomC: number): HeatedFace {
  const contacts = closing.cover ? 2 : 1;
  const cover = closing.cover ? layerResistance(COVER_SHEETS[closing.cover]) : 0;
  return { resistance: contacts * contactResistance(contactKPa) + cover, effusivity: effusivity(fabric.thermal), startC: roomC };
}

interface Wall {
  surfaceC: number;
  limitC: number;
  closing: Closing;
}

/** The lowest platen temperature at which any closing brings the bare face to a limit. */
function lowestWall(limit15: number, closings: readonly Closing[], face: (closing: Closing) => HeatedFace): Wall {
  const walls = closings.map((closing) => {
    const limitC = limitForTime(limit15, closing.timeS);
    return { surfaceC: platenForFace(face(closing), limitC, closing.timeS), limitC, closing };
  });
  return walls.reduce((low, wall) => (wall.surfaceC < low.surfaceC ? wall : low));
}

/** Dye leaves polyester from here on, °C for 15 s. */
const DYE_LIMIT_C = { 'dyed-polyester': 140, 'sublimation-dyed': 125 } as const;

const under = (wall: Wall, what: Phrase): Phrase =>
  phrase`${what} at ${temp(wall.limitC)} held ${seconds(wall.closing.timeS)}; in the ${wall.closing.name}${wall.closing.cover ? ` under ${COVER_SHEETS[wall.closing.cover].name}` : ', bare,'} that is a platen at ${temp(wall.surfaceC)}`;

/** Every bound on the platen's surface, with words for each. */
export function surfaceBounds(product: Product, fabric: Fabric, blank: Blank, closings: readonly Closing[], roomC: number): Bound[] {
  const { min, max } = product.press.tempC;
  const face = (closing: Closing) => bareFace(fabric, closing, bandMiddle(product.press.pressure.band), roomC);
  const limits = blendLimits(fabric.composition);
  const { tested } = blank;
  const mark = lowestWall(tested?.markC ?? limits.mark.limitC, closings, face);
  const damage = lowestWall(tested?.damageC ?? limits.damage.limitC, closings, face);
  const whose = (kind: 'mark' | 'damage', does: string): Phrase =>
    tested ? phrase`the test of ${tested.on} says this blank may ${does}` : phrase`${FIBRES[limits[kind].fibre].name} may ${does}`;
  const bounds: Bound[] = [
    { side: 'sheet low', keep: 'above', surfaceC: min, breach: 'hold', says: phrase`the sheet asks for at least ${temp(min)}` },
    { side: 'sheet high', keep: 'below', surfaceC: max, breach: 'hold', says: phrase`the sheet allows at most ${temp(max)}` },
    {
      side: 'mark',
      keep: 'below',
      surfaceC: mark.surfaceC,
      breach: 'hold',
      says: under(mark, whose('mark', 'shine or yellow beside the art')),
    },
    {
      side: 'damage',
      keep: 'below',
      surfaceC: damage.surfaceC,
      breach: 'hold',
      says: under(damage, whose('damage', 'scorch, melt or shrink')),
    },
  ];
  if (fabric.dyeRisk !== 'none' && blank.shade === 'dark') {
    const press = closings.filter((closing) => closing.name === 'press');
    const dye = lowestWall(DYE_LIMIT_C[fabric.dyeRisk], press, face);
    bounds.push({
      side: 'dye',
      keep: 'below',
      surfaceC: dye.surfaceC,
      breach: 'care',
      says: under(dye, phrase`dye may move into a lighter print`),
    });
  }
  return bounds;
}

/** How far the delivered band keeps inside each bound at a set value, K; negative is past it. */
export function marginsAt(window: Pick<Window, 'bounds' | 'offsetK' | 'spreadK'>, setC: number): Margin[] {
  const mid = setC + window.offsetK;
  return window.bounds.map(({ side, keep, surfaceC, breach }) => ({
    side,
    breach,
    kelvin: keep === 'above' ? mid - window.spreadK - surfaceC : surfaceC - mid - window.spreadK,
  }));
}

/** The smallest margin among the bounds that hold a card, K. */
export const smallestMargin = (margins: readonly Margin[]): number =>
  Math.min(...margins.filter((m) => m.breach === 'hold').map((m) => m.kelvin));

/**
 * The settable value with the largest smallest margin; of two equal, the cooler.
 *
 * The smallest margin rises with slope 1 to one peak and falls with slope −1, so the best settable value is one of
 * the two grid values next to the peak, kept inside what the press can be set to.
 */
function bestSetting(window: Pick<Window, 'bounds' | 'offsetK' | 'spreadK'>, press: Press): number {
  const { unit, step } = press.set;
  const held = window.bounds.filter((b) => b.breach === 'hold');
  const floor = Math.max(...held.filter((b) => b.keep === 'above').map((b) => b.surfaceC));
  const ceiling = Math.min(...held.filter((b) => b.keep === 'below').map((b) => b.surfaceC));
  const peakC = (floor + ceiling) / 2 - window.offsetK;
  const low = Math.ceil(toShown(press.set.minC, unit) / step - 1e-9);
  const high = Math.max(low, Math.floor(toShown(press.set.maxC, unit) / step + 1e-9));
  const at = (n: number) => toInside(Math.min(high, Math.max(low, n)) * step, unit);
  const below = Math.floor(toShown(peakC, unit) / step);
  const [cool, warm] = [at(below), at(below + 1)];
  const better = smallestMargin(marginsAt(window, warm)) - smallestMargin(marginsAt(window, cool));
  return better > 1e-9 ? warm : cool;
}

/** A set value kept to the press's own step and range, °C. */
export function settable(press: Press, setC: number): number {
  const { unit, step, minC, maxC } = press.set;
  return snap(Math.min(maxC, Math.max(minC, setC)), unit, step);
}

/** The whole window of a print on a press. */
export function windowOf(press: Press, bounds: Bound[]): Window {
  const open = { bounds, ...pressOffset(press) };
  return { ...open, settable: press.set, bestSetC: bestSetting(open, press) };
}
