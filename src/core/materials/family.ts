/** Built-in transfer families: general starting points that a product's own sheet always replaces. */
import type { PressureBand, Range } from './fields';

export const FAMILY_IDS = ['cut-film', 'stretch-film', 'screen-printed'] as const;
export type FamilyId = (typeof FAMILY_IDS)[number];

export const PEELS = ['hot', 'warm', 'cold'] as const;
export type Peel = (typeof PEELS)[number];

export interface Family {
  id: FamilyId;
  name: string;
  what: string;
  press: { tempC: Range; timeS: Range; pressure: PressureBand };
  peel: Peel;
  cover: 'required' | 'allowed' | 'avoid';
  base: 'any' | 'firm';
  /** Laid with its print towards the blank, seen from the side it was pressed on, so it is made mirrored. */
  faceDown: boolean;
  /** The supplier has already printed it the way it must lie. */
  mirroredBySupplier: boolean;
  /** The film gives with the cloth. */
  stretches: boolean;
  care: string;
}

export const FAMILIES: Record<FamilyId, Family> = {
  'cut-film': {
    id: 'cut-film',
    name: 'cut film',
    what: 'Solid film, cut and weeded.',
    press: { tempC: { min: 145, max: 160 }, timeS: { min: 8, max: 16 }, pressure: 'medium' },
    peel: 'warm',
    cover: 'allowed',
    base: 'any',
    faceDown: true,
    mirroredBySupplier: false,
    stretches: false,
    care: 'Wash inside out, cool, no softener; dry low.',
  },
  'stretch-film': {
    id: 'stretch-film',
    name: 'stretch film',
    what: 'Elastic film for blends and sportswear.',
    press: { tempC: { min: 130, max: 150 }, timeS: { min: 7, max: 12 }, pressure: 'medium' },
    peel: 'warm',
    cover: 'allowed',
    base: 'any',
    faceDown: true,
    mirroredBySupplier: false,
    stretches: true,
    care: 'Wash inside out, cool, no softener; dry low.',
  },
  'screen-printed': {
    id: 'screen-printed',
    name: 'screen-printed transfer',
    what: 'Bought plastisol transfer, hot split.',
    press: { tempC: { min: 172, max: 190 }, timeS: { min: 4, max: 9 }, pressure: 'firm' },
    peel: 'hot',
    cover: 'avoid',
    base: 'firm',
    faceDown: true,
    mirroredBySupplier: true,
    stretches: false,
    care: 'Wash inside out, warm at most, no softener; do not iron the print.',
  },
};
