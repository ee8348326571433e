/** Sheet: transfer families and products, with a supplier's sheet stage by stage and what of it holds for one piece. */

export { builtInProducts, productFromFamily } from './builtInProducts';
export { CHOSEN_STAGES, type ChosenStage, CLOSING_NAMES } from './chosenStage';
export { FAMILIES } from './families';
export { FAMILY_IDS, type FamilyId } from './family';
export {
  type Allowance,
  AllowanceSchema,
  type Allowed,
  allowedTemp,
  allowedTime,
  at,
  between,
  type Figure,
  FigureSchema,
} from './figure';
export { figurePhrase, figureText, figureWords, readFigure } from './figureText';
export { isAsMeant, unlike } from './look';
export { type Parcel, ParcelSchema, UNTOLD_PARCEL } from './parcel';
export { isOfParcel, PARCEL_LOOKS, type ParcelLook, unlooked } from './parcelLooks';
export { priceOfPrint } from './prints';
export {
  type Allowances,
  allowanceOf,
  type Fitness,
  fitnessOn,
  neverBecause,
  OlderSheet,
  type Product,
  ProductSchema,
  pressStage,
  type SheetFor,
  sheetFor,
  withFitness,
  withRevision,
  writtenPress,
  writtenStage,
} from './product';
export { isFoundBy, knownBy, SHELF_KINDS, type ShelfKind, type ShelfThings } from './search';
export {
  SHEET_C,
  SHEET_S,
  type SheetStage,
  STAGE_KINDS,
  type StageChange,
  type StageKind,
  type WrittenStage,
} from './stage';
export { TESTED_RESULTS, type Tested, TestedSchema } from './tested';
export { ART_KINDS, type ArtKind, PADS, type Pad, PEELS, type Peel } from './traits';
