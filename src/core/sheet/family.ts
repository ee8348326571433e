/** What a built-in transfer family is: a general starting point that a product's own sheet always replaces. */

import type { FabricGroup, PressureBand, Substrate } from '../materials';
import type { Allowance, Figure } from './figure';
import type { StageKind } from './stage';
import type { Peel, Traits } from './traits';

export const FAMILY_IDS = [
  'cut-film',
  'stretch-film',
  'coated-fabric-film',
  'raised-film',
  'high-build-film',
  'textured-film',
  'print-and-cut-film',
  'one-sheet-laser-paper',
  'two-sheet-toner',
  'two-sheet-colour',
  'opaque-inkjet-paper',
  'hard-paper-porous',
  'hard-paper-smooth',
  'dye-paper',
  'screen-printed',
  'low-cure-screen-printed',
  'raised-screen-printed',
  'film-printed',
  'stones',
  'heat-glued-patch',
] as const;
export type FamilyId = (typeof FAMILY_IDS)[number];

/** A stage of a family: its window at the platen, and what lies over it. */
export interface FamilyStage {
  kind: StageKind;
  tempC: Figure;
  timeS: Figure;
  pressure: PressureBand;
  cover: 'required' | 'allowed' | 'avoid';
  peel: Peel;
}

/** What a family does otherwise on a group of materials. */
export interface FamilyOverride {
  group: FabricGroup;
  timeS?: Figure;
  pressure?: PressureBand;
  peel?: Peel;
}

export interface Family extends Omit<Traits, 'never'> {
  id: FamilyId;
  name: string;
  what: string;
  stages: readonly FamilyStage[];
  /** Settings of its own for a group of materials. */
  overrides: readonly FamilyOverride[];
  /** What it cannot hold on, and why. */
  never: { on: readonly Substrate[]; because: string };
  /** How far a product of it may be from a single figure of its sheet: ours. */
  allowance: Allowance;
  /** How long a hard blank is warmed before it is laid on, s: the thinnest and the thickest; null: it is pressed as it comes. */
  preWarmS: { least: number; most: number } | null;
  filmMm: number;
  carrier: 'film' | 'paper' | 'none';
  /** Hands' time to make one ready, minutes: cut, weed, print, marry. A starting figure to be replaced. */
  minutesToMake: number;
  care: string;
}
