/** Resolve: from a print, a blank, a press and the house to the worked-out card. */
import { describeComposition, FAMILIES, nominalOf } from '../materials';
import { bandMiddle, deliveredBand, pressureSetting } from '../press';
import type { ResolveInput } from './input';
import { lampOf, marginFindings } from './lamp';
import { reasonsOf } from './reasons';
import { ruleFindings } from './rules';
import { CARD_SCHEMA_VERSION, type Card } from './schema';
import { closingsOf, coverChoice, type Decisions, finishChoice, prePressOf, stagesOf } from './stages';
import { stepsOf } from './steps';
import { marginsAt, settable, smallestMargin, surfaceBounds, windowOf } from './window';

/** `mirrored = face down XOR seen through`; nothing pressed here is seen through. */
function mirrorOf({ product }: ResolveInput): Card['set']['mirror'] {
  if (product.mirroredBySupplier) return 'by the supplier';
  return product.faceDown ? 'mirrored' : 'as read';
}

const namesOf = ({ blank, fabric, product, press, print, item }: ResolveInput): Card['of'] => ({
  blankId: blank.id,
  blankName: blank.name,
  size: item.size,
  colour: blank.colour,
  fabricId: fabric.id,
  fabricName: fabric.name,
  composition: describeComposition(fabric.composition),
  productId: product.id,
  productName: product.name,
  familyName: FAMILIES[product.familyId].name,
  pressId: press.id,
  pressName: press.name,
  pressKind: press.kind,
  position: print.position,
  artName: print.artName,
  widthMm: print.widthMm,
  heightMm: print.heightMm,
});

/**
 * Works out the pressing of one print on one press.
 *
 * The time is the sheet's nominal unless the line chooses another. The set value is the settable one whose delivered
 * band keeps farthest from the nearest bound (sheet, mark beside the art, damage); a value set by hand is kept to the
 * press's step and judged the same way. Pure and total: any valid input gives a card, a bad one gives a Hold.
 *
 * @param input °C, s, mm; all parts already parsed by their schemas
 * @returns the card; its lamp is Clear only with 2 K or more on every side and no rule met
 */
export function resolve(input: ResolveInput): Card {
  const { print, product, fabric, blank, press, house } = input;
  const open = {
    timeS: print.choices.timeS ?? nominalOf(product.press.timeS),
    prePressS: prePressOf(input),
    cover: coverChoice(input),
    finishS: finishChoice(input),
  };
  const window = windowOf(press, surfaceBounds(product, fabric, blank, closingsOf(open), house.room.tempC));
  const byHand = print.choices.setC !== undefined;
  const d: Decisions = { ...open, setC: byHand ? settable(press, print.choices.setC ?? 0) : window.bestSetC };
  const { band, asStated } = product.press.pressure;
  const set: Card['set'] = {
    tempC: d.setC,
    timeS: d.timeS,
    byHand,
    pressure: { band, contactKPa: bandMiddle(band), asStated, setting: pressureSetting(press, band) },
    peel: product.peel,
    cover: d.cover,
    mirror: mirrorOf(input),
  };
  const margins = marginsAt(window, d.setC);
  const stages = stagesOf(input, d);
  return {
    schemaVersion: CARD_SCHEMA_VERSION,
    of: namesOf(input),
    set,
    window,
    delivered: deliveredBand(press, d.setC),
    margins,
    smallestMarginK: smallestMargin(margins),
    lamp: lampOf([...marginFindings(window, d.setC), ...ruleFindings(input)]),
    stages,
    steps: stepsOf(input, d, set),
    reasons: reasonsOf(input, d, window, set),
    care: product.care,
    minutesPerPiece: stages.reduce((sum, stage) => sum + stage.timeS, 0) / 60,
  };
}
