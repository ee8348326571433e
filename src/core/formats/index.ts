/** Documents in and out. */

export { Faults, type LineFault } from './faults';
export { type LoggedPressing, pressingsCsv, pressingsCsvHeading, pressingsCsvLines, readPressingsCsv } from './pressingCsv';
export { readCard } from './readCard';
export { PRESSING_READER } from './readPressing';
export { type Garment, type ListFault, type ReadKit, type ReadRoster, readKit, readRoster } from './rosterCsv';
export { inStrides, type Progress, readShelfCsv, shelfCsv } from './shelfCsv';
export {
  inNameOrder,
  NotAShop,
  readShopDocument,
  SHOP_FORMAT,
  type ShopDocument,
  shopJsonSchema,
} from './shopDocument';
export { DOCUMENT_VERSION, UPGRADED, upgraded } from './upgrade';
