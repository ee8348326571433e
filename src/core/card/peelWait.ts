/** Peel wait: how long after opening a piece may be peeled, and until when, by the peel clock of where it is laid. */
import { type Draft, massOf, type PreparedInput, pieceOf } from '../draft';
import { HARD_COLD_OVER_ROOM_K, peelClock, type StackLayer, WARM_C } from '../heat';
import { isHard } from '../materials';
import { remembered } from '../numerics';
import { bandOf, pressOffset } from '../press';
import type { Peel } from '../sheet';
import { type Phrase, phrase, seconds } from '../units';

/** Seconds after opening from when a piece may be peeled, and until when it still is warm; null: it keeps. */
export interface PeelSpan {
  fromS: number;
  toS: number | null;
}

/** Loss of a freed piece from both faces, W/m²K. */
const AIR_W_M2K = 24;

/**
 * Seconds for a hard piece to lose its warmth, in air on both faces: a lumped body, `t = m″c/2h · ln(ΔT/ΔT_cold)`.
 *
 * @param massJm2K heat it takes up, J/m²K
 * @param fromC as it is freed, °C
 * @param roomC °C
 * @param coldOverRoomK what counts as cold, K over the room
 * @returns whole seconds
 * @see Incropera, Fundamentals of Heat and Mass Transfer, §5.1 (lumped capacitance)
 * @example coolingTimeS(9600, 170, 20, 15) // 921
 */
export function coolingTimeS(massJm2K: number, fromC: number, roomC: number, coldOverRoomK: number): number {
  const overK = Math.max(coldOverRoomK, fromC - roomC);
  return Math.round((massJm2K / AIR_W_M2K) * Math.log(overK / coldOverRoomK));
}

/** Waits are told in seconds: a coarse run tells them. */
const TOLD = { resolution: 0.1, toleranceK: 1 } as const;
/** A closing that a piece comes out of. */
export interface Opened {
  setC: number;
  /** Null: the lower platen is not heated. */
  lowerC: number | null;
  timeS: number;
}

/** A hard piece that is not cold in so long is left for the day, s. */
const LONGEST_S = 7200;
const spans = remembered<PeelSpan>(4000);

/** The back of a garment that was threaded over the base: it was not pressed, and hangs under the print once it is taken off. */
function backOf(input: PreparedInput, { loading }: Draft, stack: readonly StackLayer[]): StackLayer | undefined {
  const cloth = stack.find(({ role }) => role === 'fabric');
  return loading === 'threaded' && !isHard(input.fabric) && cloth ? { ...cloth, name: `${cloth.name}, back` } : undefined;
}

/**
 * When a piece may be peeled; null: at once, or never.
 *
 * @param closing the closing it comes out of: what its platens are set to, °C, and how long it was shut, s
 */
export function peelSpan(input: PreparedInput, draft: Draft, peel: Peel, closing: Opened): PeelSpan | null {
  if (peel !== 'warm' && peel !== 'cold') return null;
  const { midC } = bandOf(pressOffset(input.press), closing.setC);
  const surfaceC = Math.round(Math.min(260, Math.max(30, midC)));
  const piece = pieceOf(input, draft, undefined, closing.lowerC);
  const passage = { surfaceC, timeS: closing.timeS, prePressS: 0, finish: null, cooling: null };
  const under = backOf(input, draft, piece.stack);
  const hard = isHard(input.fabric);
  const cools = { where: draft.coolsOn, ...(under && { under }), ...(hard && { coldOverRoomK: HARD_COLD_OVER_ROOM_K }) };
  return spans(JSON.stringify([peel, piece, passage, cools, hard && massOf(input)]), () => {
    const { warmS, warmUntilS, coldS } = peelClock(piece, passage, cools, TOLD);
    // through a pad a hard piece is reckoned colder than it is: it is taken to be as hot as the platen, and the later of the two stands
    const { tempC: roomC } = input.house.room;
    const bodyTo = (overRoomK: number) => (hard ? coolingTimeS(massOf(input), surfaceC, roomC, overRoomK) : 0);
    if (peel === 'cold') return { fromS: roundly(Math.max(coldS ?? LONGEST_S, bodyTo(HARD_COLD_OVER_ROOM_K))), toS: null };
    const fromS = Math.ceil(Math.max(warmS ?? LONGEST_S, bodyTo(WARM_C.high - roomC)));
    return { fromS, toS: Math.max(fromS, Math.round(Math.max(warmUntilS ?? LONGEST_S, bodyTo(WARM_C.low - roomC)))) };
  });
}

/** A wait for cold is known to no better than its next five seconds, and a long one to its next minute, s. */
function roundly(coldS: number): number {
  const step = coldS > LONG_S ? 60 : 5;
  return step * Math.ceil(coldS / step);
}
const LONG_S = 300;

const WHERE: Record<Draft['coolsOn'], string> = {
  table: 'on a table',
  air: 'in the air',
  rack: 'on a rack',
  base: 'on the base',
  weight: 'under a flat weight',
};

/** A wait in words: `on a table, from 9 s to 22 s after opening`. */
export function spanWords({ fromS, toS }: PeelSpan, { coolsOn }: Draft): Phrase {
  return toS === null
    ? phrase`${WHERE[coolsOn]}, about ${seconds(fromS)} after opening`
    : phrase`${WHERE[coolsOn]}, from ${seconds(fromS)} to ${seconds(toS)} after opening`;
}
