/** Materials: fibres, fabrics, blanks, transfer families and products. */

export { type Blank, BlankSchema, POSITIONS, type Position } from './blank';
export { BUILT_IN_BLANKS, BUILT_IN_FABRICS, builtInProducts } from './builtIn';
export {
  blendLimits,
  type Composition,
  CompositionSchema,
  describeComposition,
  type Fabric,
  type FabricLimit,
  FabricSchema,
  limitForTime,
} from './fabric';
export { FAMILIES, type Family, type FamilyId, type Peel } from './family';
export { FIBRE_IDS, FIBRES, type FibreId, LEAST_SHARE_PERCENT } from './fibres';
export { Id, Name, nominalOf, PRESSURE_BANDS, type PressureBand, type Range, rangeOf, Words } from './fields';
export { type Product, ProductSchema } from './product';
