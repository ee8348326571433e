/** Follow: how far a face follows a platen over time, and the platen that brings it to a temperature. Dry, so that it holds for every temperature. */
import { remembered } from '../numerics';
import { tempAt } from './indices';
import { type Piece, sceneOf } from './piece';
import { solve } from './solve';

/** Share of the platen's excess temperature that a place has reached, 0 to 1, over the time the press is shut. */
export interface Follow {
  timeS: Float64Array;
  share: Float64Array;
}

/** Watched so long, s; after it a place holds the share it has. */
const WATCHED_S = 60;
/** Read to a tenth of a kelvin or so: a limit is no better known. */
const COARSE = { resolution: 0.3, toleranceK: 0.3 } as const;
const follows = remembered<Follow>(600);

function keyOf(place: Place, contactKPa: number, stack: Piece['stack']): string {
  let key = `${place} ${contactKPa}`;
  for (const { role, k, rho, c, thicknessMm } of stack) key += `|${role} ${k} ${rho} ${c} ${thicknessMm}`;
  return key;
}

/** A place that is followed: the bare face beside the art, the cloth under the art, or the upper side of the transfer itself. */
export type Place = 'bare' | 'art' | 'transfer';

/**
 * How a place follows the platen in one shutting of the press.
 *
 * Dry conduction is linear, so one run serves every temperature. Damp holds a face back for the first second or two;
 * it is not counted, since a limit is kept for the driest piece.
 *
 * @param piece its temperatures and its water are not used
 * @returns kept for the next piece of the same stack
 */
export function followOf(piece: Piece, place: Place): Follow {
  const stack = place !== 'bare' ? piece.stack : piece.stack.filter(({ role }) => role !== 'carrier' && role !== 'transfer');
  return follows(keyOf(place, piece.contactKPa, stack), () => {
    const dry = stack.map((layer) => ({ ...layer, waterKgM2: 0 }));
    const scene = sceneOf(
      { ...piece, stack: dry, roomC: 0, baseC: 0, lowerC: null, droop: null },
      { surfaceC: 100, timeS: WATCHED_S, prePressS: 0, finish: null, cooling: null },
      place === 'bare' ? 'bare' : 'art',
    );
    const print = scene.probes.filter(({ key }) => key === 'glue').map((glue) => ({ ...glue, key: 'transfer', at: 'top' as const }));
    const stages = scene.stages.filter(({ name }) => name === 'press');
    const run = solve({ ...scene, stages, probes: [...scene.probes, ...print] }, COARSE);
    const face = run.curves[place === 'transfer' ? 'transfer' : 'face'];
    if (!face) throw new TypeError(`the piece has no ${place === 'transfer' ? 'transfer' : 'face'}`);
    return { timeS: face.timeS, share: face.tempC.map((c) => c / 100) };
  });
}

/** Share of the platen's excess temperature after a time under heat, s. */
export const followed = ({ timeS, share }: Follow, atS: number): number => tempAt({ timeS, tempC: share }, atS);

/** The platen that brings a place to a temperature just as the press opens, °C. */
export const platenFor = (follow: Follow, startC: number, wantedC: number, timeS: number): number =>
  startC + (wantedC - startC) / followed(follow, timeS);
