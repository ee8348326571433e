/** Which transfer for this? Every product of the shelf and every family it lacks, judged on every press and ranked. */

import { minutesOf, stagesOf } from '../card';
import { type PreparedInput, prepared, type ResolveInput } from '../draft';
import { type Judgement, judge, QUICK } from '../judgement';
import { type Blank, type Duty, type Fabric, usualPosition } from '../materials';
import type { Print } from '../order';
import { fitsShape, type Press } from '../press';
import { type ArtKind, builtInProducts, FAMILIES, isAsMeant, type Product, priceOfPrint } from '../sheet';
import { phrase } from '../units';
import type { LampState } from '../window';
import type { Suited } from './replies';

export interface Wish {
  blank: Blank;
  fabric: Fabric;
  /** Its colour may differ from the blank's own. */
  shade: Blank['shade'];
  size: string;
  artKind: ArtKind;
  widthMm: number;
  heightMm: number;
  count: number;
  duty: Duty;
}

const QUALITY: Record<LampState, number> = { clear: 0, care: 1, hold: 2 };

function printFor(wish: Wish, product: Product, press: Press): Print {
  return {
    key: 'p',
    position: usualPosition(wish.blank.kind),
    artName: wish.artKind,
    artKind: wish.artKind,
    widthMm: wish.widthMm,
    heightMm: wish.heightMm,
    layers: [{ key: 'a', productId: product.id, over: [] }],
    embossed: false,
    looseParts: false,
    smallType: wish.artKind === 'fine detail',
    crossesSeam: false,
    pressId: press.id,
    choices: {},
  };
}

/** Chances are told apart by tenths. */
const tenths = ({ soundChance }: { soundChance: number }): number => Math.round(10 * soundChance);

/** Better for a piece: the lamp, the likelier sound piece, fewer cautions, then the wider margin. */
const betterPress = (a: Judgement, b: Judgement): boolean => {
  const cautions = (judgement: Judgement) => judgement.lamp.findings.length;
  return (
    (QUALITY[a.lamp.state] - QUALITY[b.lamp.state] ||
      tenths(b) - tenths(a) ||
      cautions(a) - cautions(b) ||
      b.smallestMarginK - a.smallestMarginK) < 0
  );
};

/** Best first: lamp, the kind of art, its body, the likelier sound piece, cautions, what is on the shelf, minutes, money, margin. A Hold never stands above what is not. */
const better = (a: Suited, b: Suited): number =>
  QUALITY[a.lamp] - QUALITY[b.lamp] ||
  Number(b.suitsArt) - Number(a.suitsArt) ||
  Number(b.asMeant) - Number(a.asMeant) ||
  tenths(b) - tenths(a) ||
  a.cautions - b.cautions ||
  Number(b.onShelf) - Number(a.onShelf) ||
  a.minutes - b.minutes ||
  a.costMinor - b.costMinor ||
  b.smallestMarginK - a.smallestMarginK ||
  a.name.localeCompare(b.name);

/**
 * Ranks every product that is not retired, and every family without a product on the shelf, for one wish.
 *
 * @param families general products of the families, of which those the shelf lacks are taken
 * @returns one entry a product, on the press that suits it best; empty when there is no press
 */
export function whichTransfer(
  wish: Wish,
  shop: Pick<ResolveInput, 'house' | 'aids' | 'maps' | 'slips'> & { products: readonly Product[]; presses: readonly Press[] },
): Suited[] {
  const own = shop.products.filter((product) => !product.retiredOn);
  const lacking = builtInProducts('2000-01-01').filter((general) => !own.some((product) => product.familyId === general.familyId));
  const blank = { ...wish.blank, shade: wish.shade, duty: wish.duty };
  const all = shop.presses.filter((press) => !press.retiredOn);
  // a press the piece does not lie on is asked only where the shop has no other
  const fitting = all.filter((press) => fitsShape(press, blank));
  const presses = fitting.length > 0 ? fitting : all;
  const judgeOn = (product: Product, press: Press) => {
    const input = prepared({
      print: printFor(wish, product, press),
      item: { size: wish.size, roster: [], perClosing: 1, together: [], before: [] },
      blank,
      fabric: wish.fabric,
      product,
      under: [],
      press,
      house: shop.house,
      aids: shop.aids,
      ...(shop.maps && { maps: shop.maps }),
      ...(shop.slips && { slips: shop.slips }),
    });
    return { input, press, judged: judge(input, QUICK) };
  };
  return [...own.map((product) => ({ product, onShelf: true })), ...lacking.map((product) => ({ product, onShelf: false }))]
    .flatMap(({ product, onShelf }): Suited[] => {
      let best: ReturnType<typeof judgeOn> | null = null;
      for (const press of presses) {
        const judged = judgeOn(product, press);
        if (best === null || betterPress(judged.judged, best.judged)) best = judged;
      }
      return best ? [suited(wish, product, onShelf, best)] : [];
    })
    .sort(better);
}

function suited(
  wish: Wish,
  product: Product,
  onShelf: boolean,
  { input, press, judged }: { input: PreparedInput; press: Press; judged: Judgement },
): Suited {
  const { lamp, set, draft, values, window, smallestMarginK } = judged;
  const perPiece = minutesOf(stagesOf(input, draft, values)) + product.minutesToMake;
  return {
    productId: product.id,
    name: onShelf ? product.name : `any ${FAMILIES[product.familyId].name}`,
    familyName: FAMILIES[product.familyId].name,
    onShelf,
    pressId: press.id,
    pressName: press.name,
    lamp: lamp.state,
    cautions: lamp.findings.length,
    soundChance: judged.soundChance,
    suitsArt: product.artKinds.includes(wish.artKind),
    asMeant: isAsMeant(product, wish.artKind),
    reasons:
      lamp.findings.length > 0
        ? lamp.findings.map((finding) => finding.says)
        : [phrase`Made for such art (${wish.artKind}) on this material, with room to every side.`],
    setC: set.tempC,
    unit: window.settable.unit,
    timeS: set.timeS,
    smallestMarginK,
    minutes: perPiece * wish.count,
    costMinor: priceOfPrint(product, wish) * wish.count,
  };
}
