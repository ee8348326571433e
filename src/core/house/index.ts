/** House: the shop's choice where practice differs, the units and room it works in, and what it has found out for itself. */

export {
  type House,
  HouseSchema,
  type HouseSetting,
  houseSetting,
  type SettingOf,
  STARTING_HOUSE,
  withoutSetting,
  withSetting,
} from './house';
export { PAPER_SIZES, type PaperSize } from './paper';
export { byHouse, type HouseRules, SCHOOLS, type School, type SchoolId } from './schools';
