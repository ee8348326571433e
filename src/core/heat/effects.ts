/** Effects: what each thing that differs from the supplier's own stack takes or gives, and what a change would bring. */
import { type Adhesive, bondUnder } from './assess';
import { BASE_PAD, UNDERLAYS } from './layers';
import type { Passage, Piece, StackLayer } from './pieceSchema';
import type { Effect, EffectOf } from './schemas';
import type { SolveOptions } from './solve';

/** What the supplier's figures are taken to mean: this cloth, a base as warm as this. */
export interface Meant {
  cloth: StackLayer;
  baseC: number;
  /** The sheet asks for a cover, a pad over it, felt or foam under it. */
  covered: boolean;
  padOver: boolean;
  underlay: boolean;
}

/** A change worth weighing: temperature, K, and time, s. */
const NUDGE_K = 5;
const NUDGE_S = 2;
const NUDGE_PRESSURE = 1.5;

interface Changed {
  of: EffectOf;
  name: string | null;
  piece: Piece;
  passage: Passage;
}

function weigh(piece: Piece, passage: Passage, adhesive: Adhesive, changed: readonly Changed[], options: SolveOptions): Effect[] {
  const own = bondUnder(piece, passage, adhesive, options);
  return changed
    .map((changed) => {
      const after = bondUnder(changed.piece, changed.passage, adhesive, options);
      return { of: changed.of, name: changed.name, bond: after.bond - own.bond, glueK: after.glueC - own.glueC };
    })
    .sort((a, b) => Math.abs(b.bond) - Math.abs(a.bond));
}

const without = (piece: Piece, ...roles: StackLayer['role'][]): Piece => ({
  ...piece,
  stack: piece.stack.filter(({ role }) => !roles.includes(role)),
});
const named = (piece: Piece, role: StackLayer['role']) => piece.stack.find((layer) => layer.role === role)?.name ?? null;
const isDamp = (piece: Piece) => piece.stack.some(({ waterKgM2 = 0 }) => waterKgM2 > 0);
const dry = (piece: Piece): Piece => ({ ...piece, stack: piece.stack.map((layer) => ({ ...layer, waterKgM2: 0 })) });

/** With the usual pad back in place of what was laid on the base. */
function plainBase(piece: Piece): Piece {
  const bare = without(piece, 'underlay');
  return bare.stack.some(({ role }) => role === 'pad') || piece.lowerC !== null
    ? bare
    : { ...bare, stack: [...bare.stack, { role: 'pad', ...BASE_PAD }] };
}

/**
 * What each deviation from the supplier's stack costs: every one undone by itself, largest first.
 *
 * @returns bond and kelvin at the glue that undoing it gives back: positive where it takes
 */
export function deviations(piece: Piece, passage: Passage, adhesive: Adhesive, meant: Meant, options: SolveOptions = {}): Effect[] {
  const changed: Changed[] = [];
  const add = (of: EffectOf, name: string | null, after: Piece) => changed.push({ of, name, piece: after, passage });
  const cover = named(piece, 'cover');
  if (cover && !meant.covered) add('cover', cover, without(piece, 'cover'));
  const over = named(piece, 'pad over');
  if (over && !meant.padOver) add('pad over', over, without(piece, 'pad over'));
  const cloth = piece.stack.find(({ role }) => role === 'fabric');
  if (cloth && (cloth.thicknessMm !== meant.cloth.thicknessMm || cloth.k !== meant.cloth.k || cloth.rho !== meant.cloth.rho)) {
    const swapped = piece.stack.map((layer) =>
      layer.role === 'fabric' ? { ...meant.cloth, role: layer.role, waterKgM2: layer.waterKgM2 } : layer,
    );
    add('cloth', cloth.name, { ...piece, stack: swapped });
  }
  if (isDamp(piece)) add('damp', cloth?.name ?? null, dry(piece));
  const underlay = named(piece, 'underlay');
  if (underlay && !(meant.underlay && underlay !== UNDERLAYS.pillow.name)) add('underlay', underlay, plainBase(piece));
  if (piece.lowerC === null && Math.abs(piece.baseC - meant.baseC) > 1) add('base', null, { ...piece, baseC: meant.baseC });
  return weigh(piece, passage, adhesive, changed, options);
}

/**
 * What would help (or hurt) most: each change a shop can make, weighed by what it does to the bond, largest first.
 *
 * @returns of each the bond after it less the bond as it is, and the same of the glue as the press opens, K
 */
export function sensitivities(piece: Piece, passage: Passage, adhesive: Adhesive, options: SolveOptions = {}): Effect[] {
  const changed: Changed[] = [];
  const add = (of: EffectOf, name: string | null, change: { piece?: Piece; passage?: Partial<Passage> }) =>
    changed.push({ of, name, piece: change.piece ?? piece, passage: { ...passage, ...change.passage } });
  add('temperature', null, { passage: { surfaceC: passage.surfaceC + NUDGE_K } });
  add('time', null, { passage: { timeS: passage.timeS + NUDGE_S } });
  add('pressure', null, { piece: { ...piece, contactKPa: piece.contactKPa * NUDGE_PRESSURE } });
  const cover = named(piece, 'cover');
  if (cover) add('cover', cover, { piece: without(piece, 'cover') });
  const over = named(piece, 'pad over');
  if (over) add('pad over', over, { piece: without(piece, 'pad over') });
  const underlay = named(piece, 'underlay');
  if (underlay) add('underlay', underlay, { piece: plainBase(piece) });
  if (isDamp(piece)) add('pre-press', null, { passage: { prePressS: passage.prePressS + 5 } });
  if (piece.lowerC === null && piece.baseC < 60) add('base', null, { piece: { ...piece, baseC: piece.baseC + 20 } });
  return weigh(piece, passage, adhesive, changed, options);
}
