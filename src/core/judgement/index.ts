/** Judgement: the window a draft leaves on this press, the set value in it, the rules against it, and the lamp. */

export {
  BandSchema,
  type Bound,
  BoundSchema,
  type Finding,
  type Lamp,
  LampSchema,
  type LampState,
  MarginSchema,
  type Window,
  WindowSchema,
} from './finding';
export { judge, LAW, QUICK } from './judge';
export type { Judgement, Law } from './judgement';
export { lampAt } from './lamp';
export { RULES } from './rules';
export { PressureSettingSchema, type Setting, SettingSchema } from './setting';
export { marginsAt, namedIn, type SetValues, settable, smallestMargin } from './window';
