/** Judgement: the window a draft leaves on this press, the set value in it, the rules against it, and the lamp. */
export { type Finding, type Lamp, LampSchema } from './finding';
export { judge, LAW, QUICK } from './judge';
export type { Judgement, Law, SetValues } from './judgement';
export { lampAt, soundChanceAt } from './lamp';
export { RULES } from './rules';
export { PressureSettingSchema, type Setting, SettingSchema } from './setting';
