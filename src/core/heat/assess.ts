/** Assess: one setting on one piece, from the scene to the figures that are judged by. */

import type { z } from 'zod';
import { bondOf, flowOf, flowOver, harmOf, harmOver, peelClockOf, type Shut, tempAt, within } from './indices';
import { LATENT_J_KG } from './march';
import { sceneOf } from './piece';
import type { Passage, Piece } from './pieceSchema';
import type { PeelClock, ReferenceSchema } from './schemas';
import { type Curve, type Solved, type SolveOptions, solve } from './solve';

/** What is known of the adhesive: where it softens, and how far it flows as its supplier means it. */
export interface Adhesive {
  softenC: number;
  /** s at 150 °C and 20 kPa. */
  referenceFlow: number;
  /** What the log has learned: the bond is this many times what the figures give; 1: nothing. */
  shift: number;
}

/** Limits of the cloth, °C for 15 s; null: none known, or none that holds here. */
export interface Limits {
  markC: number | null;
  damageC: number | null;
  dyeC: number | null;
}

const shutOf = (solved: Solved): Shut[] => solved.stages.filter(({ pressureKPa }) => pressureKPa > 0);
const stageOf = (solved: Solved, name: string) => {
  const stage = solved.stages.find((stage) => stage.name === name);
  if (!stage) throw new TypeError(`the scene has no ${name}`);
  return stage;
};
const curveOf = (solved: Solved, key: string): Curve => {
  const curve = solved.curves[key];
  if (!curve) throw new TypeError(`the scene has no probe ${key}`);
  return curve;
};

/** How far the adhesive flows in a passage, s at 150 °C and 20 kPa. */
const flowIn = (solved: Solved, softenC: number): number => flowOf(curveOf(solved, 'glue'), shutOf(solved), softenC);

export interface Assessment {
  bond: number;
  /** Harm, 1 = the limit; null: no limit. Mark counts on the bare face while it is pressed, damage wherever the cloth is hottest. */
  mark: number | null;
  damage: number | null;
  dye: number | null;
  /** As the press opens, °C: at the glue, on the bare face, in the cloth under the art, and at the inside where it is hotter. */
  glueC: number;
  faceC: number;
  underC: number;
  insideC: number;
  /** Share of its water the cloth still holds as the press shuts on the transfer, 0 to 1; 0 when it held none. */
  dampShare: number;
  peel: PeelClock | null;
}

/** The two columns of one setting, with what is read from them. */
export interface Pressed {
  art: Solved;
  bare: Solved;
  read: Assessment;
}

/**
 * Bond and glue temperature of a press stage alone: one run of the art's own column, up to the opening.
 *
 * @param adhesive where it softens, °C, and the flow its supplier means, s at 150 °C and 20 kPa
 * @param options how finely the column is cut and stepped
 * @returns bond as a share of the supplier's own, and the glue as the press opens, °C
 */
export function bondUnder(
  piece: Piece,
  passage: Passage,
  adhesive: Adhesive,
  options: SolveOptions = {},
): Pick<Assessment, 'bond' | 'glueC'> {
  const scene = sceneOf(piece, { ...passage, finish: null, cooling: null }, 'art');
  const art = solve(scene, options);
  const glue = curveOf(art, 'glue');
  return {
    bond: bondOf(flowIn(art, adhesive.softenC), adhesive.referenceFlow) * adhesive.shift,
    glueC: glue.tempC.at(-1) ?? Number.NaN,
  };
}

/** Shine needs pressure: only what the face sees while the press is shut counts. */
const harmShut = (curve: Curve, shut: readonly Shut[], limitC: number | null): number | null =>
  limitC === null ? null : shut.reduce((sum, { fromS, toS }) => sum + harmOf(within(curve, fromS, toS), limitC), 0);

const harm = (curves: readonly Curve[], limitC: number | null): number | null =>
  limitC === null ? null : Math.max(...curves.map((curve) => harmOf(curve, limitC)));

/** Water the cloth still holds as the press shuts on the transfer, against what it was loaded with. */
function dampness(piece: Piece, { stages }: Solved): number {
  const water = piece.stack.reduce((sum, { waterKgM2 = 0 }) => sum + waterKgM2, 0);
  const before = stages.slice(
    0,
    stages.findIndex(({ name }) => name === 'press'),
  );
  return water === 0 ? 0 : 1 - before.reduce((sum, { driedJ }) => sum + driedJ, 0) / (water * LATENT_J_KG);
}

/**
 * Presses a piece in thought and reads every index.
 *
 * @param limits °C for 15 s
 * @returns curves of both columns and the figures; the peel clock only where the passage cools
 */
export function press(piece: Piece, passage: Passage, adhesive: Adhesive, limits: Limits, options: SolveOptions = {}): Pressed {
  const art = solve(sceneOf(piece, passage, 'art'), options);
  const bare = solve(sceneOf(piece, passage, 'bare'), options);
  const [glue, under, inside] = [curveOf(art, 'glue'), curveOf(art, 'face'), curveOf(art, 'inside')];
  const [face, bareInside] = [curveOf(bare, 'face'), curveOf(bare, 'inside')];
  const opened = stageOf(art, 'press').toS;
  const opening = (curve: Curve) => tempAt(within(curve, 0, opened), opened);
  const cooling = art.stages.find(({ name }) => name.startsWith('cool'));
  return {
    art,
    bare,
    read: {
      bond: bondOf(flowIn(art, adhesive.softenC), adhesive.referenceFlow) * adhesive.shift,
      mark: harmShut(face, shutOf(bare), limits.markC),
      damage: harm([face, under, inside, bareInside], limits.damageC),
      dye: harm([under], limits.dyeC),
      glueC: opening(glue),
      faceC: opening(face),
      underC: opening(under),
      insideC: Math.max(opening(inside), opening(bareInside)),
      dampShare: dampness(piece, art),
      peel: cooling ? peelClockOf(within(glue, cooling.fromS, cooling.toS), piece.roomC) : null,
    },
  };
}

/** How everything grows while the press stays shut: for any time up to the longest one tried. */
export interface Growth {
  timeS: Float64Array;
  bond: Float64Array;
  glueC: Float64Array;
  /** Harm so far, everything before the press stage counted; null: no limit. */
  mark: Grown | null;
  damage: Grown | null;
}
interface Grown {
  timeS: Float64Array;
  value: Float64Array;
}

/**
 * One solve a column, read at every time of the press stage. Finish presses are not in it: they follow whatever time is chosen.
 *
 * @param passage its time is the longest that can be read
 * @param limits of mark, damage and dye, °C for 15 s; null: none of it
 * @returns times from the closing, s, with the bond grown by then, and of each limit the share used up; null where there is none
 */
export function growthOf(piece: Piece, passage: Passage, adhesive: Adhesive, limits: Limits, options: SolveOptions = {}): Growth {
  const plain = { ...passage, finish: null, cooling: null };
  const art = solve(sceneOf(piece, plain, 'art'), options);
  const shut = stageOf(art, 'press');
  const glue = within(curveOf(art, 'glue'), shut.fromS, shut.toS);
  const flow = flowOver(glue, piece.contactKPa, adhesive.softenC);
  const grow = (solved: Solved, key: string, limitC: number, onlyShut: boolean): Grown => {
    const curve = curveOf(solved, key);
    const own = within(curve, shut.fromS, shut.toS);
    const before = onlyShut ? harmShut(curve, shutOf(solved).slice(0, -1), limitC) : harmOf(within(curve, 0, shut.fromS), limitC);
    return { timeS: own.timeS.map((t) => t - shut.fromS), value: harmOver(own, limitC).map((sum) => sum + (before ?? 0)) };
  };
  const { markC, damageC } = limits;
  const bare = markC === null && damageC === null ? null : solve(sceneOf(piece, plain, 'bare'), options);
  const worse = (a: Grown, b: Grown): Grown => ((a.value.at(-1) ?? 0) >= (b.value.at(-1) ?? 0) ? a : b);
  return {
    timeS: glue.timeS.map((t) => t - shut.fromS),
    bond: flow.map((j) => bondOf(j, adhesive.referenceFlow) * adhesive.shift),
    glueC: glue.tempC,
    mark: bare && markC !== null ? grow(bare, 'face', markC, true) : null,
    damage:
      bare && damageC !== null
        ? (
            [
              [bare, 'face'],
              [bare, 'inside'],
              [art, 'face'],
              [art, 'inside'],
            ] as const
          )
            .map(([solved, key]) => grow(solved, key, damageC, false))
            .reduce(worse)
        : null,
  };
}

/** Between two samples things grow by a power of the time: exactly so where the glue has come to rest, nearly so while it still warms. */
const isPower = (t0: number, v0: number, v1: number): boolean => t0 > 0 && v0 > 0 && v1 > v0;

/**
 * Reads something that grew at a time, between its samples; `null`s count as 0.
 *
 * @param atS s from where the samples begin
 * @returns in the unit of the samples, by a power of the time between two of them
 * @example grownAt({ timeS: [0, 4, 16], value: [0, 2, 4] }, 9) // 3
 */
export function grownAt({ timeS, value }: Grown, atS: number): number {
  const next = timeS.findIndex((t) => t > atS);
  const [t0, t1] = [timeS[next - 1] as number, timeS[next] as number];
  const [v0, v1] = [value[next - 1] as number, value[next] as number];
  if (next < 1 || !isPower(t0, v0, v1)) return tempAt({ timeS, tempC: value }, atS);
  return v0 * (atS / t0) ** (Math.log(v1 / v0) / Math.log(t1 / t0));
}

/**
 * First time something has grown to a value.
 *
 * @param wanted in the unit of the samples
 * @returns s from where the samples begin; null: not within what was tried
 * @example reaches({ timeS: [0, 4, 16], value: [0, 2, 4] }, 3) // 9
 */
export function reaches({ timeS, value }: Grown, wanted: number): number | null {
  const i = value.findIndex((value) => value >= wanted);
  if (i < 0) return null;
  if (i === 0) return timeS[0] ?? 0;
  const [t0, t1] = [timeS[i - 1] as number, timeS[i] as number];
  const [v0, v1] = [value[i - 1] as number, value[i] as number];
  if (isPower(t0, v0, v1)) return t0 * (wanted / v0) ** (Math.log(t1 / t0) / Math.log(v1 / v0));
  return t0 + (v1 > v0 ? (wanted - v0) / (v1 - v0) : 1) * (t1 - t0);
}

/** What the supplier means. */
export type Reference = z.output<typeof ReferenceSchema>;

/**
 * Flow of the supplier's own setting: what a bond of 1 is measured by.
 *
 * @param softenC where the glue softens, °C
 * @returns s at 150 °C and 20 kPa
 */
export function referenceFlow({ piece, surfaceC, timeS, prePressS = 0 }: Reference, softenC: number, options: SolveOptions = {}): number {
  const passage: Passage = { surfaceC, timeS, prePressS, finish: null, cooling: null };
  return flowIn(solve(sceneOf(piece, passage, 'art'), options), softenC);
}
