/** Variants of a stack on the Heat bench: what is tried, and what can be done to it. */
import type { BenchStack } from '../../core/advice';
import { BASE_PAD, COVER_SHEETS, PADS_OVER, type StackLayer, UNDERLAYS } from '../../core/heat';
import type { HeatQuery } from '../../core/heatBench';
import { bandOf } from '../../core/press';

/** One thing tried: a set value on the press's readout, and all the heat model is asked. */
export interface Variant {
  setC: number;
  query: HeatQuery;
}

export const MOST_VARIANTS = 3;
export const VARIANT_NAMES = ['A', 'B', 'C'] as const;

export const variantOf = (stack: BenchStack): Variant => ({ setC: stack.set.tempC, query: stack.query });

/** A variant at another set value: the model takes what the press really delivers for it. */
export const atSet = (variant: Variant, stack: BenchStack, setC: number): Variant => ({
  setC,
  query: { ...variant.query, passage: { ...variant.query.passage, surfaceC: bandOf(stack.press, setC).midC } },
});

export const withPassage = (variant: Variant, change: Partial<HeatQuery['passage']>): Variant => ({
  ...variant,
  query: { ...variant.query, passage: { ...variant.query.passage, ...change } },
});
export const withPiece = (variant: Variant, change: Partial<HeatQuery['piece']>): Variant => ({
  ...variant,
  query: { ...variant.query, piece: { ...variant.query.piece, ...change } },
});
const withStack = (variant: Variant, stack: StackLayer[]): Variant => withPiece(variant, { stack });

/** Sheets, pads and pillows that may be laid in. */
export const PALETTE: StackLayer[] = [
  ...Object.values(COVER_SHEETS).map((layer) => ({ role: 'cover' as const, ...layer })),
  ...Object.values(PADS_OVER).map((layer) => ({ role: 'pad over' as const, ...layer })),
  ...Object.values(UNDERLAYS).map((layer) => ({ role: 'underlay' as const, ...layer })),
  { role: 'pad', ...BASE_PAD },
];

/** Lays a layer in: over the piece what belongs over it, under it what belongs there. */
export function withLayer(variant: Variant, layer: StackLayer): Variant {
  const stack = [...variant.query.piece.stack];
  const cloth = stack.findIndex(({ role }) => role === 'fabric');
  const lastCloth = stack.length - 1 - [...stack].reverse().findIndex(({ role }) => role === 'fabric');
  if (layer.role === 'pad over') stack.unshift(layer);
  else if (layer.role === 'cover') stack.splice(stack.filter(({ role }) => role === 'pad over').length, 0, layer);
  else if (layer.role === 'fabric') stack.splice(cloth < 0 ? stack.length : lastCloth + 1, 0, layer);
  else if (layer.role === 'pad') stack.push(layer);
  else stack.splice(cloth < 0 ? stack.length : lastCloth + 1, 0, layer);
  return withStack(variant, stack);
}

export const takenOut = (variant: Variant, i: number): Variant =>
  withStack(
    variant,
    variant.query.piece.stack.filter((_, j) => j !== i),
  );

/** Moves a layer by so many places, kept within the stack. */
export function moved(variant: Variant, i: number, to: number): Variant {
  const stack = [...variant.query.piece.stack];
  const [layer] = stack.splice(i, 1);
  if (layer) stack.splice(Math.max(0, Math.min(stack.length, to)), 0, layer);
  return withStack(variant, stack);
}

export const changed = (variant: Variant, i: number, change: Partial<StackLayer>): Variant =>
  withStack(
    variant,
    variant.query.piece.stack.map((layer, j) => (j === i ? { ...layer, ...change } : layer)),
  );

/** Whether a cover lies over it, where its sheet leaves that open. */
export const isCovered = (variant: Variant): boolean => variant.query.piece.stack.some(({ role }) => role === 'cover');

/** What a drawing of temperatures is held against. */
export const limitsOf = ({ limits, adhesive }: Pick<HeatQuery, 'limits' | 'adhesive'>): { name: string; tempC: number }[] => [
  { name: 'glue softens', tempC: adhesive.softenC },
  ...(limits.markC === null ? [] : [{ name: 'may mark, 15 s', tempC: limits.markC }]),
  ...(limits.damageC === null ? [] : [{ name: 'harm, 15 s', tempC: limits.damageC }]),
  ...(limits.dyeC === null ? [] : [{ name: 'dye moves, 15 s', tempC: limits.dyeC }]),
];
