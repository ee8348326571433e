/** House: the shop's choice where practice differs, the units and room it works in, and what it has found out for itself. */

export {
  type House,
  type HouseRules,
  HouseSchema,
  type HouseSetting,
  houseSetting,
  STARTING_HOUSE,
  withoutSetting,
  withSetting,
} from './house';
export { SCHOOLS } from './schools';
