/**
 * Split heat: the lower platen hot, the upper as cool as it can be. The dose of the glue, the face beside the art, the cloth under it
 * and its inside are each judged over the whole passage, with the layers that lie there.
 */
import { bondAt, bondsOf } from '../bond';
import { closingsOf, type Draft, type OnCloth, type PreparedInput, pieceOf, pressOf, sheetFlow, softensAt } from '../draft';
import { COVER_SHEETS, limitLine, type Span, sharesAt, shutIn, type TwoSided, twoSided, upperForFlow } from '../heat';
import { lowestForTime } from '../materials';
import { remembered } from '../numerics';
import { type Press, SURE } from '../press';
import type { Allowed } from '../sheet';
import { phrase, seconds, snap, temp, toInside, toShown } from '../units';
import { type BareBound, type Bound, bestOf, EDGE_SDS, platenWords, riskAt, STATE_RANK, windowOf, worstAt } from '../window';
import type { PressWindow } from './judgement';
import type { Limit } from './limits';

type Lower = NonNullable<Press['lower']>;

function lowerOf({ name, lower }: Press): Lower {
  if (!lower) throw new TypeError(`${name} has no heated lower platen`);
  return lower;
}

/** The piece between both platens, from the loading to the end of its last closing. */
function betweenPlatens(input: PreparedInput, draft: Draft): TwoSided {
  const { timeS, prePressS, finish } = draft;
  return twoSided(pieceOf(input, draft), {
    timeS,
    prePressS,
    finish: finish && { surfaceC: 0, timeS: finish.timeS, cover: { role: 'cover', ...COVER_SHEETS[finish.cover] } },
  });
}

/** Who asks: the piece between its platens, with what its sheet and its limits want of them. */
interface SplitQuery {
  press: Press;
  lower: Lower;
  seen: TwoSided;
  sheet: Allowed;
  softenC: number;
  /** Flow at the sheet's coolest, nominal and hottest, s at 150 °C and 20 kPa. */
  flows: { min: number; nominal: number; max: number };
  limits: { limit: Limit; span: Span }[];
}

function splitQueryOf(input: PreparedInput, draft: Draft, limits: readonly Limit[]): SplitQuery {
  const seen = betweenPlatens(input, draft);
  const sheet = pressOf(draft).tempC;
  const last = closingsOf(input, draft).at(-1)?.name ?? 'press';
  const pressed = shutIn(seen, 'press').fromS;
  const flow = (sheetC: number) => sheetFlow(input, draft, sheetC);
  return {
    press: input.press,
    lower: lowerOf(input.press),
    seen,
    sheet,
    softenC: softensAt(draft),
    flows: { min: flow(sheet.min), nominal: flow(sheet.nominal), max: flow(sheet.max) },
    limits: limits.map((limit) => ({
      limit,
      span: { fromS: limit.withTransfer ? pressed : 0, closing: last, shutOnly: !limit.harms },
    })),
  };
}

/** Upper platens that give the glue the least, the nominal and the most that its sheet does. */
interface Doses {
  min: number;
  nominal: number;
  max: number;
  /** What is not known of the lower platen, as it stands at the upper one, K. */
  doubtK: number;
}

function dosesOver({ seen, sheet, softenC, flows, lower }: SplitQuery, lowerSetC: number): Doses {
  const lowerC = lowerSetC + lower.offsetK;
  const shares = sharesAt(seen, 'glue', 'press');
  const upperAt = (of: 'min' | 'nominal' | 'max') => {
    const guessC = seen.roomC + (sheet[of] - seen.roomC - shares.lower * (lowerC - seen.roomC)) / shares.upper;
    return upperForFlow(seen, lowerC, { flow: flows[of], softenC, guessC });
  };
  return { min: upperAt('min'), nominal: upperAt('nominal'), max: upperAt('max'), doubtK: lowerDoubt(shares, lower) };
}

/** What stands at the upper platen of what is not known of the lower one, K. */
const lowerDoubt = (shares: { upper: number; lower: number }, { spreadK }: Lower): number =>
  ((shares.lower / shares.upper) * spreadK) / SURE;

/** A bound is put no further than this from where the press works, K, and its doubt with it: its chance there is the same. */
const FAR_K = 200;

/** Bounds on the upper platen's surface over a set value of the lower one. */
function boundsOver(query: SplitQuery, lowerSetC: number, doses: Doses): Bound[] {
  const { sheet, limits } = query;
  const edge = (side: 'sheet low' | 'sheet high', surfaceC: number, says: Bound['says']): Bound => {
    const sdK = Math.hypot(sheet.ours ? (doses.nominal - surfaceC) / EDGE_SDS : 0, doses.doubtK);
    return { side, keep: side === 'sheet low' ? 'above' : 'below', surfaceC, sdK, ours: sheet.ours, eased: false, says };
  };
  return [
    edge('sheet low', doses.min, phrase`the glue wants as much as the sheet’s ${temp(sheet.min)} gives it; the rest comes from below`),
    edge('sheet high', doses.max, phrase`the glue bears no more than the sheet’s ${temp(sheet.max)} gives it`),
    ...limits.map(({ limit, span }) => limitBound(query, limit, span, { upperC: doses.nominal, lowerSetC })),
  ];
}

/** A limit as a bound on the upper platen, straightened round the pair it is pressed with. */
function limitBound(
  { press, lower, seen }: SplitQuery,
  limit: Limit,
  span: Span,
  { upperC, lowerSetC }: { upperC: number; lowerSetC: number },
): Bound {
  const limitFor = (heldS: number) => lowestForTime(limit.bears, heldS);
  const line = limitLine(seen, limit.place, { upperC, lowerC: lowerSetC + lower.offsetK }, span, limitFor);
  const doubtK = Math.hypot(limit.sdK / line.perUpper, lowerDoubt({ upper: line.perUpper, lower: line.perLower }, lower));
  const { equivalentS } = line.exposure;
  const near = Math.min(1, FAR_K / Math.abs(line.upperC - upperC));
  const surfaceC = upperC + near * (line.upperC - upperC);
  const says = phrase`${limit.what} at ${temp(limitFor(equivalentS))}, as if held ${seconds(Math.max(1, Math.round(equivalentS)))} in all; over a lower platen at ${temp(lowerSetC)} that is ${platenWords(press, surfaceC, 'upper platen')}`;
  return { side: limit.side, keep: 'below', surfaceC, sdK: near * doubtK, ours: false, eased: limit.eased, says };
}

/** What a closing with a set value of its own may do to the cloth over the hot lower platen; a lower layer's counts as the press does. */
function closingBounds(query: SplitQuery, { name }: OnCloth, at: { upperC: number; lowerSetC: number }): Bound[] {
  const closing = name === 'pre-press' || name === 'finish' ? name : 'press';
  // the lower platen has heated the piece from its loading on; a second press is felt on top of that
  const fromS = closing === 'pre-press' ? 0 : shutIn(query.seen, closing).fromS;
  return query.limits
    .filter(({ limit }) => !(limit.withTransfer && closing === 'pre-press'))
    .map(({ limit, span }) => limitBound(query, limit, { ...span, fromS, closing }, at));
}

/** Lower platens at which the bounds are worked out; between them they run as good as straight. */
const WORKED_OUT = 7;

/** A set value of the lower platen with the upper one that gives the glue its dose, and the bounds there. */
interface Row {
  doseC: number;
  bounds: BareBound[];
}
const rowsBefore = remembered<Row[]>(100);

/** Says all that the rows depend on. */
const keyOf = ({ seen, lower, sheet, softenC, flows, limits }: SplitQuery): string =>
  JSON.stringify([
    seen.key,
    seen.roomC,
    lower,
    sheet,
    softenC,
    flows,
    limits.map(({ limit: { what: _, ...limit }, span }) => [limit, span]),
  ]);

function rowAt(query: SplitQuery, lowerSetC: number): Row {
  const doses = dosesOver(query, lowerSetC);
  return { doseC: doses.nominal, bounds: boundsOver(query, lowerSetC, doses).map(({ says: _, ...bare }) => bare) };
}

/** Rows for many set values of the lower platen, read off a few. */
function readBetween(query: SplitQuery): (lowerSetC: number) => Row {
  const { minC, maxC } = query.lower;
  const stepK = (maxC - minC) / (WORKED_OUT - 1);
  const rows = rowsBefore(keyOf(query), () => Array.from({ length: WORKED_OUT }, (_, i) => rowAt(query, minC + i * stepK)));
  return (lowerSetC) => {
    const at = Math.min(WORKED_OUT - 2, Math.max(0, Math.floor((lowerSetC - minC) / stepK)));
    const share = (lowerSetC - minC) / stepK - at;
    const [low, high] = [rows[at], rows[at + 1]] as [Row, Row];
    const between = (a: number, b: number) => a + share * (b - a);
    const bounds = low.bounds.map((bound, i) => {
      const next = high.bounds[i] as BareBound;
      return { ...bound, surfaceC: between(bound.surfaceC, next.surfaceC), sdK: between(bound.sdK, next.sdK) };
    });
    return { doseC: between(low.doseC, high.doseC), bounds };
  };
}

/** Every set value the lower platen can be given, °C. */
function lowerSteps({ set: { unit, step } }: Press, { minC, maxC }: Lower): number[] {
  const first = Math.ceil(toShown(minC, unit) / step - 1e-9);
  const last = Math.floor(toShown(maxC, unit) / step + 1e-9);
  const steps = Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => toInside((first + i) * step, unit));
  return steps.length > 0 ? steps : [snap((minC + maxC) / 2, unit, step)];
}

/** A set value of the lower platen as its press can be given it, °C. */
const lowerSettable = (press: Press, lower: Lower, setC: number): number =>
  lowerSteps(press, lower).reduce((best, step) => (Math.abs(step - setC) < Math.abs(best - setC) ? step : best));

/** Of pairs of so little more risk than the least, the one with the coolest face is taken. */
const COOLER_RISK = 1.5;

/**
 * The lower platen of the pair that gives the glue its dose with the coolest face: of all pairs whose lamp is the best there is and
 * whose risk is little more than the least, the one with the coolest upper platen. Each upper one is set as the dose or its own
 * bounds want it.
 */
function coolestPair({ press, surface }: PreparedInput, query: SplitQuery): number {
  return coolest(JSON.stringify([keyOf(query), surface, press.set]), () => {
    const read = readBetween(query);
    const tried = (lowerC: number, { doseC, bounds }: Row = read(lowerC)): Pair => {
      const upperC = bestOf({ ...surface, bounds }, press, { tempC: doseC, named: true });
      return { lowerC, upperC, rank: STATE_RANK[worstAt(surface, bounds, upperC)], risk: riskAt(surface, bounds, upperC) };
    };
    const steps = lowerSteps(press, query.lower);
    const last = steps.length - 1;
    const strode = coolestOf(steps.filter((_, i) => i % LOWER_STRIDE === 0 || i === last).map((lowerC) => tried(lowerC)));
    const at = steps.indexOf(strode.lowerC);
    const near = steps.slice(Math.max(0, at - LOWER_STRIDE), at + LOWER_STRIDE + 1);
    const found = coolestOf(near.map((lowerC) => tried(lowerC)));
    // so near a bound that what is read between rows is not enough: each is worked out by itself
    const workedOut = (lowerC: number) => tried(lowerC, rowAt(query, lowerC));
    return workedOut(found.lowerC).rank <= found.rank ? found.lowerC : coolestOf(near.map(workedOut)).lowerC;
  });
}

/** A lower and an upper platen, with the lamp and the risk of the two. */
interface Pair {
  lowerC: number;
  upperC: number;
  rank: number;
  risk: number;
}
const coolest = remembered<number>(400);
/** Lower platens are looked through so many steps at a time before they are looked through one by one. */
const LOWER_STRIDE = 6;

function coolestOf(pairs: readonly Pair[]): Pair {
  const rank = Math.min(...pairs.map((pair) => pair.rank));
  const best = pairs.filter((pair) => pair.rank === rank);
  const least = Math.min(...best.map((pair) => pair.risk));
  return best
    .filter((pair) => pair.risk <= COOLER_RISK * least + 1e-12)
    .reduce((cool, pair) => (pair.upperC < cool.upperC || (pair.upperC === cool.upperC && pair.risk < cool.risk) ? pair : cool));
}

/**
 * What the glue of this very piece gets of its dose between dry platens reckoned for it: damp takes from it, and the log may say
 * that it gets more or less. 1 where the model does not know the stack.
 */
function doseShare(input: PreparedInput, draft: Draft, { min, nominal, max }: Doses, lowerC: number): number {
  const points = bondsOf(input, draft, { low: min, high: max }, lowerC);
  return points ? bondAt(points, nominal) ** 2 : 1;
}

/** A dose that is so near to that between dry platens is it, as a share: a third of a kelvin. */
const DRY_WITHIN = 0.02;

/** The window over the lower platen that was chosen by hand, or is the best. */
export function windowOverLower(input: PreparedInput, draft: Draft, limits: readonly Limit[]): PressWindow {
  const { press, print } = input;
  const byHand = print.choices.lowerC;
  const lowerFor = (query: SplitQuery) => (byHand === undefined ? coolestPair(input, query) : lowerSettable(press, query.lower, byHand));
  const dry = splitQueryOf(input, draft, limits);
  const firstC = lowerFor(dry);
  const share = doseShare(input, draft, dosesOver(dry, firstC), firstC);
  const { min, nominal, max } = dry.flows;
  const isDry = Math.abs(share - 1) < DRY_WITHIN;
  const query = isDry ? dry : { ...dry, flows: { min: min / share, nominal: nominal / share, max: max / share } };
  const lowerC = isDry ? firstC : lowerFor(query);
  const doses = dosesOver(query, lowerC);
  return {
    lowerC,
    window: windowOf(input, boundsOver(query, lowerC, doses), { tempC: doses.nominal, named: true }),
    boundsFor: (closing) => closingBounds(query, closing, { upperC: doses.nominal, lowerSetC: lowerC }),
  };
}
