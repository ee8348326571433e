/** Sheet: transfer families and products, with a supplier's sheet stage by stage and what of it holds for one piece. */

export { builtInProducts, productFromFamily } from './builtInProducts';
export { FAMILIES } from './families';
export { FAMILY_IDS, type FamilyId } from './family';
export { OlderSheet, type Product, ProductSchema, pressStage, type SheetFor, sheetFor, stageOf, withRevision } from './product';
export { isFoundBy } from './search';
export { type SheetStage, STAGE_KINDS } from './stage';
export { ART_KINDS, type ArtKind, PADS, type Pad, PEELS, type Peel } from './traits';
