/** Documents in and out. */

export { CSV_KINDS, type CsvKind } from './columns';
export { type LoggedPressing, pressingsCsv, readPressingsCsv } from './pressingCsv';
export { readCard } from './readCard';
export { readPressing } from './readPressing';
export { type ReadRoster, readRoster } from './rosterCsv';
export { inStrides, type LineFault, type Progress, readShelfCsv, shelfCsv } from './shelfCsv';
export {
  inNameOrder,
  NotAShop,
  readShopDocument,
  SHOP_FORMAT,
  type ShopDocument,
  shopJsonSchema,
} from './shopDocument';
export { DOCUMENT_VERSION, UPGRADES_TO_2 } from './upgrade';
