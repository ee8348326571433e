/** Fibres, with the two temperatures at which each begins to show or take harm. General figures; a blank's own tested limit replaces them. */

export interface Fibre {
  id: string;
  name: string;
  /** Where shine, glazing or yellowing may begin to show on a bare face, °C held for 15 s. */
  markC: number;
  /** Where scorch, melt or shrinkage begins, °C held for 15 s. */
  damageC: number;
  /** Water held at 65 % humidity, % of dry mass. */
  regainPercent: number;
}

export const FIBRE_IDS = [
  'cotton',
  'linen',
  'polyester',
  'viscose',
  'nylon',
  'acrylic',
  'elastane',
  'wool',
  'polypropylene',
  'leather',
  'pu-leather',
  'silk',
  'acetate',
  'jute',
  'neoprene',
  'vinyl',
] as const;
export type FibreId = (typeof FIBRE_IDS)[number];

export const FIBRES: Record<FibreId, Fibre> = {
  cotton: { id: 'cotton', name: 'cotton', markC: 195, damageC: 215, regainPercent: 8 },
  linen: { id: 'linen', name: 'linen or hemp', markC: 195, damageC: 215, regainPercent: 11 },
  polyester: { id: 'polyester', name: 'polyester', markC: 175, damageC: 215, regainPercent: 0.4 },
  viscose: { id: 'viscose', name: 'viscose (rayon, modal)', markC: 145, damageC: 185, regainPercent: 12.5 },
  nylon: { id: 'nylon', name: 'nylon', markC: 155, damageC: 180, regainPercent: 4.2 },
  acrylic: { id: 'acrylic', name: 'acrylic', markC: 135, damageC: 170, regainPercent: 1.6 },
  elastane: { id: 'elastane', name: 'elastane', markC: 165, damageC: 190, regainPercent: 1 },
  wool: { id: 'wool', name: 'wool', markC: 150, damageC: 180, regainPercent: 15 },
  polypropylene: { id: 'polypropylene', name: 'polypropylene (non-woven)', markC: 105, damageC: 130, regainPercent: 0.05 },
  leather: { id: 'leather', name: 'leather', markC: 105, damageC: 125, regainPercent: 14 },
  'pu-leather': { id: 'pu-leather', name: 'leather-look (polyurethane)', markC: 155, damageC: 175, regainPercent: 1 },
  silk: { id: 'silk', name: 'silk', markC: 150, damageC: 170, regainPercent: 11 },
  acetate: { id: 'acetate', name: 'acetate', markC: 130, damageC: 160, regainPercent: 6.5 },
  jute: { id: 'jute', name: 'jute', markC: 180, damageC: 205, regainPercent: 13.7 },
  neoprene: { id: 'neoprene', name: 'neoprene', markC: 140, damageC: 160, regainPercent: 0.5 },
  vinyl: { id: 'vinyl', name: 'vinyl (PVC)', markC: 70, damageC: 90, regainPercent: 0.1 },
};

/** Fibres that are never pressed, whatever their share: heated, they give off what harms whoever stands there. */
export const NEVER_PRESSED: readonly FibreId[] = ['vinyl'];

/** A fibre below this share does not set a blend's limits, %. */
export const LEAST_SHARE_PERCENT = 5;
