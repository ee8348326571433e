/** Series: the first pieces of the day, and what else is asked of time: how long to dry, to warm the base, to cool. */

import type { Adhesive } from './assess';
import { bondOf, flowOver, peelClockOf, SOUND, within } from './indices';
import { sceneOf, seriesOf } from './piece';
import type { CoolingPlace, Passage, Piece, StackLayer } from './pieceSchema';
import type { PeelClock } from './schemas';
import { type SolveOptions, solve } from './solve';

/** Most pieces of a series: their layers must fit in one scene. */
const MOST_IN_SERIES = 12;

export interface SeriesPiece {
  bond: number;
  /** At the glue as the press opens, °C. */
  openC: number;
  /** Time under heat that would give this piece the bond of the last, s; null: not within twice the time. */
  wantsS: number | null;
}

export interface Series {
  pieces: SeriesPiece[];
  /** The first that is sound, counted from 1; null: none of them. */
  firstSound: number | null;
}

/**
 * Pieces pressed one after another over a base that begins as the piece says, each leaving its heat in it.
 *
 * @param restS from one piece's last stage to the next one's loading, s
 * @param pieces 1 to `MOST_IN_SERIES`
 */
export function series(
  piece: Piece,
  passage: Passage,
  adhesive: Adhesive,
  pieces: number,
  restS: number,
  options: SolveOptions = {},
): Series {
  if (!Number.isInteger(pieces) || pieces < 1 || pieces > MOST_IN_SERIES)
    throw new RangeError(`A series has 1 to ${MOST_IN_SERIES} pieces.`);
  // pressed twice as long as asked, the flow at every time is there to read; what the base keeps is taken from the asked time
  const run = solve(seriesOf(piece, passage, pieces, restS), options);
  const bonds = Array.from({ length: pieces }, (_, i) => {
    const stage = run.stages.find(({ name }) => name === `piece ${i + 1} press`);
    const curve = run.curves[`${i + 1} glue`];
    if (!stage || !curve) throw new TypeError(`piece ${i + 1} was not pressed`);
    const glue = within(curve, stage.fromS, stage.toS);
    const flow = flowOver(glue, stage.pressureKPa, adhesive.softenC).at(-1) ?? 0;
    return { bond: bondOf(flow, adhesive.referenceFlow) * adhesive.shift, openC: glue.tempC.at(-1) ?? Number.NaN };
  });
  const settled = bonds.at(-1)?.bond ?? 0;
  const first = bonds.findIndex(({ bond }) => bond >= SOUND.low && bond <= SOUND.high);
  return {
    pieces: bonds.map((bond, i) => ({ ...bond, wantsS: wants(piece, passage, adhesive, restS, i + 1, settled, options) })),
    firstSound: first < 0 ? null : first + 1,
  };
}

/** Time the n-th piece would want for a bond, the pieces before it pressed as asked. */
function wants(
  piece: Piece,
  passage: Passage,
  adhesive: Adhesive,
  restS: number,
  n: number,
  bond: number,
  options: SolveOptions,
): number | null {
  const scene = seriesOf(piece, passage, n, restS);
  const last = scene.stages.findIndex(({ name }) => name === `piece ${n} press`);
  const stages = scene.stages.slice(0, last + 1).map((stage, i) => (i === last ? { ...stage, durationS: passage.timeS * 2 } : stage));
  const run = solve({ ...scene, stages }, options);
  const stage = run.stages.at(-1);
  const curve = run.curves[`${n} glue`];
  if (!stage || !curve) return null;
  const glue = within(curve, stage.fromS, stage.toS);
  const flow = flowOver(glue, stage.pressureKPa, adhesive.softenC);
  const wanted = (bond / adhesive.shift) ** 2 * adhesive.referenceFlow;
  const i = flow.findIndex((value) => value >= wanted);
  if (i <= 0) return i === 0 ? 0 : null;
  const [a, b] = [flow[i - 1] as number, flow[i] as number];
  const [t0, t1] = [glue.timeS[i - 1] as number, glue.timeS[i] as number];
  return t0 + ((t1 - t0) * (wanted - a)) / (b - a) - stage.fromS;
}

/** The press is shut empty on its base for at most this long, s. */
const MOST_WARMING_S = 600;

/**
 * Time the press must be shut empty for the first piece to be as sound as a wish, s; 0: it is so already; null: not within ten minutes.
 * Found by halving: a longer warming never makes a first piece cooler.
 */
export function baseWarming(
  piece: Piece,
  passage: Passage,
  adhesive: Adhesive,
  wishedBond: number,
  options: SolveOptions = {},
): number | null {
  const base = piece.stack
    .map((layer, i) => ({ layer, key: `${i + 1} ${layer.role}` }))
    .filter(({ layer }) => layer.role === 'underlay' || layer.role === 'pad');
  const plain: Passage = { ...passage, finish: null, cooling: null };
  const scene = sceneOf(piece, plain, 'art');
  const shut = scene.stages.find(({ name }) => name === 'press');
  if (!shut || base.length === 0) return null;
  const bondAfter = (warmS: number) => {
    const warm = {
      ...shut,
      name: 'warm the base',
      durationS: warmS,
      stack: base.map(({ key }) => key),
      contacts: shut.contacts.slice(shut.contacts.length - (base.length - 1)),
    };
    const run = solve({ ...scene, stages: warmS > 0 ? [warm, ...scene.stages] : scene.stages }, options);
    const stage = run.stages.find(({ name }) => name === 'press');
    const curve = run.curves.glue;
    if (!stage || !curve) throw new TypeError('the piece was not pressed');
    return (
      bondOf(flowOver(within(curve, stage.fromS, stage.toS), stage.pressureKPa, adhesive.softenC).at(-1) ?? 0, adhesive.referenceFlow) *
      adhesive.shift
    );
  };
  if (bondAfter(0) >= wishedBond) return 0;
  if (bondAfter(MOST_WARMING_S) < wishedBond) return null;
  let [low, high] = [0, MOST_WARMING_S];
  while (high - low > 1) {
    const middle = (low + high) / 2;
    if (bondAfter(middle) >= wishedBond) high = middle;
    else low = middle;
  }
  return Math.ceil(high);
}

/** Counted as dry when so little of its water is left. */
const DRY_SHARE = 0.05;
const MOST_DRYING_S = 60;

/**
 * How long a bare pre-press must last until a fabric is dry, s: until 5 % of its water is left.
 *
 * @returns 0 when it holds none; null: not within a minute at this temperature
 */
export function dryingTime(piece: Piece, surfaceC: number, options: SolveOptions = {}): number | null {
  const water = (layers: readonly { waterKgM2?: number | undefined }[]) => layers.reduce((sum, { waterKgM2 = 0 }) => sum + waterKgM2, 0);
  const loaded = water(piece.stack);
  if (loaded === 0) return 0;
  const left = (prePressS: number) => {
    const passage: Passage = { surfaceC, timeS: 1, prePressS, finish: null, cooling: null };
    const scene = sceneOf(piece, passage, 'bare');
    const until = scene.stages.findIndex(({ name }) => name === 'pre-press') + 1;
    return water(Object.values(solve({ ...scene, stages: scene.stages.slice(0, until) }, options).ends)) / loaded;
  };
  if (left(MOST_DRYING_S) > DRY_SHARE) return null;
  let [low, high] = [0, MOST_DRYING_S];
  while (high - low > 0.2) {
    const middle = (low + high) / 2;
    if (left(middle) <= DRY_SHARE) high = middle;
    else low = middle;
  }
  return high;
}

/** A piece is watched cooling for so long, s: two hours, and a thick block is cold. */
const WATCHED_S = 7200;

/**
 * Seconds after opening until this piece is warm and cold, read at its bond line.
 *
 * @param cools where it is laid, what hangs under it there, and what counts as cold, K over the room
 */
export function peelClock(
  piece: Piece,
  passage: Passage,
  { where, under, coldOverRoomK }: { where: CoolingPlace; under?: StackLayer | undefined; coldOverRoomK?: number },
  options: SolveOptions = {},
): PeelClock {
  const cooling = { where, forS: WATCHED_S, ...(under && { under }) };
  const scene = sceneOf(piece, { ...passage, cooling }, 'art');
  // how long it lay on the base before it was pressed does not tell once it has been
  const stages = passage.prePressS > 0 ? scene.stages : scene.stages.filter(({ name }) => name !== 'load' && name !== 'place');
  const run = solve({ ...scene, stages }, options);
  const stage = run.stages.at(-1);
  const glue = run.curves.glue;
  if (!stage || !glue) throw new TypeError('the piece has no bond line');
  return peelClockOf(within(glue, stage.fromS, stage.toS), piece.roomC, coldOverRoomK);
}
