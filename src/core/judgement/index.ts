/** Judgement: the window a draft leaves on this press, the set value in it, the rules against it, and the lamp. */

export { riskAt, STATE_RANK, worstAt } from './chance';
export {
  BandSchema,
  type Bound,
  BoundSchema,
  type Finding,
  type Lamp,
  LampSchema,
  type LampState,
  type Margin,
  MarginSchema,
  type Side,
  type Window,
  WindowSchema,
} from './finding';
export { judge, LAW, QUICK } from './judge';
export type { Judgement, Law } from './judgement';
export { lampAt, soundChanceAt } from './lamp';
export { RULES } from './rules';
export { PressureSettingSchema, type Setting, SettingSchema } from './setting';
export { type Aim, aimOf, marginsAt, type SetValues, settable, smallestMargin } from './window';
