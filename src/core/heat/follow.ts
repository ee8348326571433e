/** Follow: how far a face follows a platen over time, and the platen that brings it to a temperature. Dry, so that it holds for every temperature. */
import { remembered } from '../numerics';
import { tempAt, within } from './indices';
import { sceneOf } from './piece';
import type { Piece } from './pieceSchema';
import { type SolveOptions, solve } from './solve';

/** A share of an excess temperature that a place has reached, 0 to 1, over the time the press is shut. */
interface Share {
  timeS: Float64Array;
  share: Float64Array;
}

/** How a place follows what is hotter than the room: the platen over it, and the base in use that it was laid on. */
export interface Follow {
  platen: Share;
  base: Share;
}

/** Watched so long, s; after it a place holds the share it has. */
const WATCHED_S = 60;
/** Read to a tenth of a kelvin or so: a limit is no better known. */
const COARSE = { resolution: 0.3, toleranceK: 0.3 } as const;
/** A base is some twenty kelvin over the room: a hundredth of that is half of what is seen. */
const OF_BASE = { resolution: 0.1, toleranceK: 1.5 } as const;
const follows = remembered<Follow>(600);

function keyOf(place: Place, contactKPa: number, stack: Piece['stack']): string {
  let key = `${place} ${contactKPa}`;
  for (const { role, k, rho, c, thicknessMm } of stack) key += `|${role} ${k} ${rho} ${c} ${thicknessMm}`;
  return key;
}

/** A place that is followed: the bare face beside the art, the cloth under the art, or the upper side of the transfer itself. */
export type Place = 'bare' | 'art' | 'transfer';

/**
 * How a place follows the platen in one shutting of the press, and the warm base it was loaded on.
 *
 * Dry conduction is linear, so one run of each serves every temperature. Damp holds a face back for the first second or two;
 * it is not counted, since a limit is kept for the driest piece.
 *
 * @param piece its temperatures and its water are not used
 * @returns kept for the next piece of the same stack
 */
export function followOf(piece: Piece, place: Place): Follow {
  const stack = place !== 'bare' ? piece.stack : piece.stack.filter(({ role }) => role !== 'carrier' && role !== 'transfer');
  return follows(keyOf(place, piece.contactKPa, stack), () => {
    const dry = { ...piece, stack: stack.map((layer) => ({ ...layer, waterKgM2: 0 })), roomC: 0, lowerC: null, droop: null };
    const shareOf = (surfaceC: number, baseC: number, named: readonly string[], options: SolveOptions): Share => {
      const scene = sceneOf(
        { ...dry, baseC },
        { surfaceC, timeS: WATCHED_S, prePressS: 0, finish: null, cooling: null },
        place === 'bare' ? 'bare' : 'art',
      );
      const print = scene.probes.filter(({ key }) => key === 'glue').map((glue) => ({ ...glue, key: 'transfer', at: 'top' as const }));
      const stages = scene.stages.filter(({ name }) => named.includes(name));
      const run = solve({ ...scene, stages, probes: [...scene.probes, ...print] }, options);
      const pressed = run.stages.at(-1);
      const whole = run.curves[place === 'transfer' ? 'transfer' : 'face'];
      if (!whole || !pressed) throw new TypeError(`the piece has no ${place === 'transfer' ? 'transfer' : 'face'}`);
      const face = within(whole, pressed.fromS, pressed.toS);
      return { timeS: face.timeS.map((t) => t - pressed.fromS), share: face.tempC.map((c) => c / UNIT_K) };
    };
    return { platen: shareOf(UNIT_K, 0, ['press'], COARSE), base: shareOf(0, UNIT_K, ['load', 'place', 'press'], OF_BASE) };
  });
}
const UNIT_K = 100;

/**
 * How far a place has come towards the platen.
 *
 * @param atS time under heat, s
 * @returns share of what the platen stands over the room, 0 to 1
 */
export const followed = ({ platen: { timeS, share } }: Follow, atS: number): number => tempAt({ timeS, tempC: share }, atS);

/**
 * What a place is at without any heat from the platen: the room, and what the warm base has brought it by then.
 *
 * @param start the room and the base it lies on, °C
 * @param atS time on the base, s
 * @returns °C
 */
export const unheated = ({ base: { timeS, share } }: Follow, { roomC, baseC }: Pick<Piece, 'roomC' | 'baseC'>, atS: number): number =>
  roomC + (baseC - roomC) * tempAt({ timeS, tempC: share }, atS);

/**
 * The platen that brings a place to a temperature just as the press opens.
 *
 * @param start the room and the base it lies on, °C
 * @param wantedC °C
 * @param timeS under heat, s
 * @returns surface of the platen, °C
 */
export const platenFor = (follow: Follow, start: Pick<Piece, 'roomC' | 'baseC'>, wantedC: number, timeS: number): number =>
  start.roomC + (wantedC - unheated(follow, start, timeS)) / followed(follow, timeS);
