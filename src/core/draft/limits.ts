/** What a piece bears: its own test's limits, else its weakest fibre's; and where its dye begins to move. */
import { blendLimits, FIBRES } from '../materials';
import { type Phrase, phrase } from '../units';
import type { PreparedInput } from './input';

/** Dye leaves polyester from here on, °C for 15 s. */
const DYE_LIMIT_C = { 'dyed-polyester': 140, 'sublimation-dyed': 125 } as const;

/** Where the cloth’s dye begins to move into a print, °C for 15 s; null: it has none, or the print is itself a dye in it. */
export const dyeLimit = ({ fabric, product }: Pick<PreparedInput, 'fabric' | 'product'>): number | null =>
  fabric.dyeRisk === 'none' || product.passesMark ? null : DYE_LIMIT_C[fabric.dyeRisk];

/** Who says so: the blank's own test, or its weakest fibre. */
export function limitWords({ blank, fabric }: Pick<PreparedInput, 'blank' | 'fabric'>, kind: 'mark' | 'damage', does: string): Phrase {
  if (blank.tested) return phrase`the test of ${blank.tested.on} says this blank may ${does}`;
  const limit = blendLimits(fabric.composition)[kind];
  return phrase`${limit ? FIBRES[limit.fibre].name : fabric.name} may ${does}`;
}

/** Mark and damage limits that hold for a piece, °C for 15 s: its own test's, else its weakest fibre's; null: none known. */
export function limitsFor({ blank, fabric }: Pick<PreparedInput, 'blank' | 'fabric'>): { markC: number | null; damageC: number | null } {
  if (blank.tested) return blank.tested;
  const { mark, damage } = blendLimits(fabric.composition);
  return { markC: mark?.limitC ?? null, damageC: damage?.limitC ?? null };
}

/** One standard deviation of a limit, K: of the fibre table, and of a test on the blank itself. */
export const LIMIT_SD_K = { table: 5, tested: 2 } as const;
export const limitSdOf = ({ blank }: Pick<PreparedInput, 'blank'>): number => (blank.tested ? LIMIT_SD_K.tested : LIMIT_SD_K.table);

export const MARKS = 'shine or yellow beside the art';
export const HARMS = 'scorch, melt or shrink';
