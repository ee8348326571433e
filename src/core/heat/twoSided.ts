/** Two-sided: a piece between two heated platens, over its whole passage, and the upper one that brings a place to its dose or its limit. */
import { remembered, rootOf } from '../numerics';
import { flowOf, harmRate, logMean, type Shut, tempAt, within } from './indices';
import { sceneOf } from './piece';
import type { Passage, Piece } from './pieceSchema';
import { type Curve, solve } from './solve';

/** Places of a piece: the bond line, the bare face beside the art, the cloth under the art and its inside, the upper side of the transfer. */
export type TwoSidedPlace = 'glue' | 'bare' | 'art' | 'inside' | 'transfer';

/** How a place follows each platen, as shares of what each stands over the room. */
interface Answer {
  timeS: Float64Array;
  upper: Float64Array;
  lower: Float64Array;
}

/** A piece as it answers to any two platens, dry. */
export interface TwoSided {
  /** Says all it was worked out from but the room. */
  key: string;
  roomC: number;
  places: Record<TwoSidedPlace, Answer>;
  shut: (Shut & { name: string })[];
}

/** What is asked of a passage; its temperatures are what is looked for. */
export type TwoSidedPassage = Pick<Passage, 'timeS' | 'prePressS' | 'finish'>;

const SOLVED = { resolution: 0.4, toleranceK: 0.1 } as const;
const UNIT_K = 100;
/** Samples of a shutting, the denser the nearer to its beginning, and of the time between. */
const SHUT_SAMPLES = 18;
const OPEN_SAMPLES = 5;
type Answers = Pick<TwoSided, 'places' | 'shut'>;
const answers = remembered<Answers>(200);

/**
 * How a piece answers to both platens.
 *
 * Dry conduction is linear, so one run with only the upper platen hot and one with only the lower give every pair:
 * `T = T_room + s_u·(T_u − T_room) + s_l·(T_l − T_room)`, at each place and each instant of the passage. The lower platen is hot
 * from the loading on; damp is not counted, as a limit is kept for the driest piece.
 *
 * @param piece its temperatures and its water are not used
 */
export function twoSided(piece: Piece, passage: TwoSidedPassage): TwoSided {
  const stack = piece.stack.map(({ waterKgM2: _, ...layer }) => layer);
  const asked = { stack, contactKPa: piece.contactKPa, droop: piece.droop };
  const key = JSON.stringify([asked, passage]);
  return { ...answers(key, () => answersOf({ ...piece, ...asked }, passage)), key, roomC: piece.roomC };
}

function answersOf(piece: Piece, passage: TwoSidedPassage): Answers {
  const run = (column: 'art' | 'bare', upperC: number, lowerC: number) => {
    const finish = passage.finish && { ...passage.finish, surfaceC: upperC };
    const scene = sceneOf({ ...piece, roomC: 0, baseC: 0, lowerC }, { ...passage, surfaceC: upperC, finish, cooling: null }, column);
    const top = scene.probes.filter(({ key }) => key === 'glue').map((glue) => ({ ...glue, key: 'transfer', at: 'top' as const }));
    return solve({ ...scene, probes: [...scene.probes, ...top] }, SOLVED);
  };
  const both = (column: 'art' | 'bare') => [run(column, UNIT_K, 0), run(column, 0, UNIT_K)] as const;
  const runs = { art: both('art'), bare: both('bare') };
  const answerAt = (column: 'art' | 'bare', key: string): Answer => {
    const [upper, lower] = runs[column];
    const [ofUpper, ofLower] = [upper.curves[key], lower.curves[key]];
    if (!ofUpper || !ofLower) throw new TypeError(`the piece has no ${key}`);
    const begins = ofUpper.timeS[0] ?? 0;
    const timeS: number[] = [];
    const shares = { upper: [] as number[], lower: [] as number[] };
    for (const { fromS, toS, pressureKPa } of upper.stages) {
      if (toS <= begins) continue;
      const parts = [within(ofUpper, fromS, toS), within(ofLower, fromS, toS)] as const;
      const n = pressureKPa > 0 ? SHUT_SAMPLES : OPEN_SAMPLES;
      // at the instant of opening a face is not one temperature: it is read from a little later on
      const first = pressureKPa > 0 ? 0 : 0.5;
      for (let i = first; i < n; i++) {
        const atS = fromS + (toS - fromS) * (i / (n - 1 + first)) ** 2;
        timeS.push(atS);
        shares.upper.push(tempAt(parts[0], atS) / UNIT_K);
        shares.lower.push(tempAt(parts[1], atS) / UNIT_K);
      }
    }
    return { timeS: Float64Array.from(timeS), upper: Float64Array.from(shares.upper), lower: Float64Array.from(shares.lower) };
  };
  return {
    places: {
      glue: answerAt('art', 'glue'),
      bare: answerAt('bare', 'face'),
      art: answerAt('art', 'face'),
      inside: answerAt('art', 'inside'),
      transfer: answerAt('art', 'transfer'),
    },
    shut: runs.art[0].stages.filter(({ pressureKPa }) => pressureKPa > 0),
  };
}

/**
 * Temperatures of a place between two platens.
 *
 * @param upperC surface of the upper platen, °C
 * @param lowerC of the lower one, °C
 * @returns times, s, each with its °C
 */
export function curveBetween({ roomC, places }: TwoSided, place: TwoSidedPlace, upperC: number, lowerC: number): Curve {
  const { timeS, upper, lower } = places[place];
  const [overUpper, overLower] = [upperC - roomC, lowerC - roomC];
  return { timeS, tempC: upper.map((share, i) => roomC + share * overUpper + (lower[i] as number) * overLower) };
}

export const shutIn = ({ shut }: TwoSided, name: string): Shut => {
  const found = shut.find((shutting) => shutting.name === name);
  if (!found) throw new TypeError(`the passage has no ${name}`);
  return found;
};

/**
 * How a place follows each platen as a closing ends.
 *
 * @param closing by the name of its stage
 * @returns shares of what each platen stands over the room
 */
export function sharesAt(seen: TwoSided, place: TwoSidedPlace, closing: string): { upper: number; lower: number } {
  const { timeS, upper, lower } = seen.places[place];
  const { toS } = shutIn(seen, closing);
  const at = (share: Float64Array) => tempAt(within({ timeS, tempC: share }, 0, toS), toS);
  return { upper: at(upper), lower: at(lower) };
}

/** An upper platen is looked for between these, °C; one at an end stands for none. */
const LOOKED_C = { low: -150, high: 600 } as const;
/** First looked for so near to where it is guessed, K. */
const NEAR_K = 60;
/** Found to so much, K. */
const FOUND_K = 0.02;

/**
 * The upper platen that makes the adhesive flow so far in the press.
 *
 * @param lowerC surface of the lower platen, °C
 * @param flow s at 150 °C and 20 kPa
 * @param softenC where the glue softens, °C
 * @param guessC near the answer, °C
 * @returns °C
 */
export function upperForFlow(
  seen: TwoSided,
  lowerC: number,
  { flow, softenC, guessC }: { flow: number; softenC: number; guessC: number },
): number {
  const shut = [shutIn(seen, 'press')];
  const wanted = Math.log(flow);
  const over = (upperC: number) =>
    Math.log(Math.max(Number.MIN_VALUE, flowOf(curveBetween(seen, 'glue', upperC, lowerC), shut, softenC))) - wanted;
  const [low, high] = [Math.max(LOOKED_C.low, guessC - NEAR_K), Math.min(LOOKED_C.high, guessC + NEAR_K)];
  const isNear = over(low) < 0 && over(high) > 0;
  return isNear ? rootOf(over, low, high, FOUND_K) : rootOf(over, LOOKED_C.low, LOOKED_C.high, FOUND_K);
}

/** The hottest a place comes to, °C, and how long it would have to be held there to be harmed as much as it is, s. */
export interface Exposure {
  hottestC: number;
  equivalentS: number;
}

/** What of a passage counts against a limit: from a time to the end of a closing, all of it or only while the press is shut. */
export interface Span {
  fromS: number;
  closing: string;
  shutOnly: boolean;
}

/** Samples of a place that count in a span: runs of them, from one index to before another. */
type Runs = readonly (readonly [number, number])[];

/** The runs of a span: while the press is shut, or all from its beginning to its end. */
function runsIn(seen: TwoSided, place: TwoSidedPlace, { fromS, closing, shutOnly }: Span): Runs {
  const { timeS } = seen.places[place];
  const { toS } = shutIn(seen, closing);
  const spans = shutOnly ? seen.shut.filter((shutting) => shutting.toS > fromS && shutting.toS <= toS) : [{ fromS, toS }];
  return spans.flatMap((span) => {
    const part = within({ timeS, tempC: timeS }, Math.max(fromS, span.fromS), span.toS);
    const first = (part.timeS.byteOffset - timeS.byteOffset) / timeS.BYTES_PER_ELEMENT;
    return part.timeS.length > 0 ? [[first, first + part.timeS.length] as const] : [];
  });
}

/** The hottest of a place between two platens, and the time at it that is worth all it went through. */
function exposureBetween({ roomC, places }: TwoSided, place: TwoSidedPlace, upperC: number, lowerC: number, runs: Runs): Exposure {
  const { timeS, upper, lower } = places[place];
  const [overUpper, overLower] = [upperC - roomC, lowerC - roomC];
  const at = (i: number) => roomC + (upper[i] as number) * overUpper + (lower[i] as number) * overLower;
  let hottestC = Number.NEGATIVE_INFINITY;
  for (const [from, to] of runs) for (let i = from; i < to; i++) hottestC = Math.max(hottestC, at(i));
  let equivalentS = 0;
  for (const [from, to] of runs) {
    let before = harmRate(at(from), hottestC);
    for (let i = from + 1; i < to; i++) {
      const now = harmRate(at(i), hottestC);
      equivalentS += logMean(before, now) * ((timeS[i] as number) - (timeS[i - 1] as number));
      before = now;
    }
  }
  return { hottestC, equivalentS };
}

/** A limit as it stands to both platens: the upper one that brings a place to it, and how much each kelvin of either counts there. */
export interface LimitLine {
  upperC: number;
  perUpper: number;
  perLower: number;
  exposure: Exposure;
}

/** A limit that is no further from where the press works is looked for where it stands, K. */
const REACHED_K = 60;
const DIFFERENCE_K = 1;

/**
 * How a place stands to its limit: straight in both platens, from where the press works, or where the limit is if it is near.
 *
 * Straight lines serve a place that the upper platen hardly reaches too: its limit then lies far off, and is as far off in doubt.
 *
 * @param at the pair round which it is straightened, °C
 * @param limitFor what the place may come to when held for a time, °C
 */
export function limitLine(
  seen: TwoSided,
  place: TwoSidedPlace,
  at: { upperC: number; lowerC: number },
  span: Span,
  limitFor: (equivalentS: number) => number,
): LimitLine {
  const runs = runsIn(seen, place, span);
  const over = (upperC: number, lowerC: number) => {
    const exposure = exposureBetween(seen, place, upperC, lowerC, runs);
    return { exposure, overK: exposure.hottestC - limitFor(exposure.equivalentS) };
  };
  const { lowerC } = at;
  const from = (upperC: number): LimitLine => {
    const here = over(upperC, lowerC);
    const slope = (there: { overK: number }) => Math.max(LEAST_SHARE, (there.overK - here.overK) / DIFFERENCE_K);
    const perUpper = slope(over(upperC + DIFFERENCE_K, lowerC));
    const perLower = slope(over(upperC, lowerC + DIFFERENCE_K));
    return { upperC: upperC - here.overK / perUpper, perUpper, perLower, exposure: here.exposure };
  };
  const line = from(at.upperC);
  return Math.abs(line.upperC - at.upperC) <= REACHED_K ? from(line.upperC) : line;
}
/** No place is quite without either platen. */
const LEAST_SHARE = 1e-4;
